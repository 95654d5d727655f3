package org.stratopneum.web.door.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.platform.guard.Limit;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** Makes accounts, checks who signs in, and ends accounts with everything that belongs to them. */
@Service
class Accounts {

    private final AccountMapper mapper;
    private final RiderMapper riders;
    private final Guard guard;
    private final Activity activity;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final PasswordHashes hashes;

    Accounts(
            AccountMapper mapper,
            RiderMapper riders,
            Guard guard,
            Activity activity,
            PasswordHashes hashes,
            TransactionTemplate transaction,
            Clock clock) {
        this.mapper = mapper;
        this.riders = riders;
        this.guard = guard;
        this.activity = activity;
        this.transaction = transaction;
        this.clock = clock;
        this.hashes = hashes;
    }

    /** What a stranger gave to become a rider. */
    record NewRider(AccountName name, String password, String email, String zone, PressureUnit unit, Region region) {}

    /**
     * Makes a rider with an account; nobody when the name is taken. That is looked for before the password is hashed, and
     * every try is counted before that.
     *
     * @throws BusyException when too many passwords are being hashed
     */
    Entry signUp(NewRider wanted, Caller caller) {
        Duration wait = guard.reserve(Tries.ofNewAccount(caller.address()));
        if (!wait.isZero()) {
            return Entry.tooSoon(wait);
        }
        if (find(wanted.name().key()).isPresent()) {
            return Entry.WRONG;
        }
        String hash = hashes.of(wanted.password());
        RiderPrincipal principal = new RiderPrincipal(UUID.randomUUID(), false);
        return inScopeOf(principal, () -> {
            Instant now = now();
            riders.insert(
                    Rider.fresh(
                            principal.riderId(), wanted.name().shown(), wanted.zone(), wanted.unit(), wanted.region()),
                    now);
            if (mapper.insert(wanted.name(), hash, wanted.email(), now) == 0) {
                riders.deleteSelf();
                return Entry.WRONG;
            }
            activity.note(AccountEvent.Kind.SIGNED_UP, caller);
            return Entry.of(principal);
        });
    }

    /**
     * The rider, if name and password belong together.
     *
     * @param device the known device that asks, by the rider whose name was given
     * @throws BusyException when too many passwords are being hashed; the try does not count then
     */
    Entry signIn(String typedName, String password, Caller caller, Function<UUID, Optional<String>> device) {
        String nameKey = key(typedName);
        Optional<AccountMapper.Key> known = find(nameKey);
        List<Limit> made = known.flatMap(key -> device.apply(key.riderId()))
                .map(Tries::ofDevice)
                .orElseGet(() -> Tries.ofStranger(nameKey, caller.address()));
        Duration wait = guard.reserve(made);
        if (!wait.isZero()) {
            return Entry.tooSoon(wait);
        }
        if (!matches(password, known.map(AccountMapper.Key::passwordHash).orElse(null), made)) {
            noteFailure(known, AccountEvent.Kind.FAILED, caller);
            return Entry.WRONG;
        }
        RiderPrincipal rider = new RiderPrincipal(known.orElseThrow().riderId(), false);
        renewHash(rider, password, known.get().passwordHash());
        return Entry.of(rider);
    }

    private boolean matches(String password, String hash, List<Limit> made) {
        try {
            boolean right = hashes.match(password, hash) && hash != null;
            if (right) {
                guard.succeeded(made);
            }
            return right;
        } catch (BusyException busy) {
            guard.takeBack(made);
            throw busy;
        }
    }

    /** What was hashed when less was thought enough is hashed anew, now that the password is known. */
    private void renewHash(RiderPrincipal rider, String password, String hash) {
        if (hashes.isOld(hash)) {
            try {
                String fresh = hashes.of(password);
                inScopeOf(rider, () -> {
                    mapper.changePassword(fresh);
                    return null;
                });
            } catch (BusyException busy) {
                // next time
                return;
            }
        }
    }

    /**
     * Lets a rider in with a recovery code, which is used up, and gives them a new password. A right code is heard however
     * many wrong ones came before it: nobody guesses one.
     *
     * @throws BusyException when too many passwords are being hashed; the code is not used up then
     */
    Entry recover(String typedName, String code, String newPassword, Caller caller) {
        String nameKey = key(typedName);
        Optional<AccountMapper.Key> known = find(nameKey);
        Optional<RiderPrincipal> right = known.map(key -> new RiderPrincipal(key.riderId(), false))
                .filter(rider -> inScopeOf(rider, () -> mapper.hasCode(RecoveryCodes.hash(code))));
        if (right.isEmpty()) {
            Duration wait = guard.reserve(Tries.ofStranger(nameKey, caller.address()));
            if (!wait.isZero()) {
                return Entry.tooSoon(wait);
            }
            noteFailure(known, AccountEvent.Kind.CODE_FAILED, caller);
            return Entry.WRONG;
        }
        String hash = hashes.of(newPassword);
        return inScopeOf(right.get(), () -> {
            if (!useCode(code)) {
                return Entry.WRONG;
            }
            mapper.changePassword(hash);
            activity.note(AccountEvent.Kind.RECOVERED, caller);
            return Entry.of(right.get());
        });
    }

    /** Uses a recovery code of this rider up; false where it is none. */
    boolean useCode(String code) {
        return transaction.execute(status -> mapper.useCode(RecoveryCodes.hash(code), now()) == 1);
    }

    private void noteFailure(Optional<AccountMapper.Key> known, AccountEvent.Kind kind, Caller caller) {
        known.ifPresentOrElse(
                key -> CurrentRider.runAs(new RiderPrincipal(key.riderId(), false), () -> activity.note(kind, caller)),
                () -> activity.unknownName(caller));
    }

    private static String key(String typedName) {
        return AccountName.of(typedName).map(AccountName::key).orElse("");
    }

    private Optional<AccountMapper.Key> find(String nameKey) {
        return transaction.execute(status -> mapper.forSignIn(nameKey));
    }

    /** The signed-in rider's account; the demo rider has none. */
    Optional<AccountMapper.Row> own() {
        return transaction.execute(status -> mapper.own());
    }

    /**
     * Whether {@code password} is the signed-in rider's. Counted as signing in is: a session left open must not become a
     * way to guess.
     */
    Entry ownPassword(RiderPrincipal rider, String password) {
        Optional<AccountMapper.Row> account = own();
        List<Limit> made = Tries.ofRider(rider.riderId());
        Duration wait = guard.reserve(made);
        if (!wait.isZero()) {
            return Entry.tooSoon(wait);
        }
        return matches(password, account.map(AccountMapper.Row::passwordHash).orElse(null), made)
                ? Entry.of(rider)
                : Entry.WRONG;
    }

    /** @param email or null for none */
    void changeEmail(String email) {
        transaction.executeWithoutResult(status -> mapper.changeEmail(email));
    }

    void changePassword(String password) {
        String hash = hashes.of(password);
        transaction.executeWithoutResult(status -> mapper.changePassword(hash));
    }

    /** New codes in place of the old ones. */
    List<String> newCodes() {
        return transaction.execute(status -> renewCodes());
    }

    /** The codes of a new account, made when they are shown; empty where there are some, which nobody can look up. */
    List<String> firstCodes() {
        return transaction.execute(status ->
                mapper.hold() == null || mapper.own().orElseThrow().codes() > 0 ? List.<String>of() : renewCodes());
    }

    void deleteEverything() {
        transaction.executeWithoutResult(status -> riders.deleteSelf());
    }

    private List<String> renewCodes() {
        List<String> codes = RecoveryCodes.fresh();
        mapper.dropCodes();
        codes.forEach(code -> mapper.addCode(RecoveryCodes.hash(code)));
        return codes;
    }

    private <T> T inScopeOf(RiderPrincipal principal, Supplier<T> work) {
        return CurrentRider.askAs(principal, () -> transaction.execute(status -> work.get()));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
