package org.stratopneum.web.door.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.RiderPrincipal;

/** Makes accounts, checks who signs in, and ends accounts with everything that belongs to them. */
@Service
class Accounts {

    private final AccountMapper mapper;
    private final RiderMapper riders;
    private final SignInGuard guard;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final PasswordHashes hashes;

    Accounts(
            AccountMapper mapper,
            RiderMapper riders,
            SignInGuard guard,
            PasswordHashes hashes,
            TransactionTemplate transaction,
            Clock clock) {
        this.mapper = mapper;
        this.riders = riders;
        this.guard = guard;
        this.transaction = transaction;
        this.clock = clock;
        this.hashes = hashes;
    }

    /** What a stranger gave to become a rider. */
    record NewRider(AccountName name, String password, String email, String zone, PressureUnit unit) {}

    /** A new rider with the codes that are shown once. */
    record SignedUp(RiderPrincipal rider, List<String> recoveryCodes) {}

    /** Makes a rider with an account; empty when the name is taken. */
    Optional<SignedUp> signUp(NewRider wanted) {
        String hash = hashes.of(wanted.password());
        RiderPrincipal principal = new RiderPrincipal(UUID.randomUUID(), false);
        return inScopeOf(principal, () -> {
            Instant now = now();
            riders.insert(Rider.fresh(principal.riderId(), wanted.name().shown(), wanted.zone(), wanted.unit()), now);
            if (mapper.insert(wanted.name(), hash, wanted.email(), now) == 0) {
                riders.deleteSelf();
                return Optional.empty();
            }
            return Optional.of(new SignedUp(principal, renewCodes()));
        });
    }

    /** The rider, if name and password belong together. Counts failures; whoever has to wait must not ask. */
    Optional<RiderPrincipal> signIn(String typedName, String password, String address) {
        String nameKey = AccountName.of(typedName).map(AccountName::key).orElse("");
        Optional<AccountMapper.Key> known = transaction.execute(status -> mapper.forSignIn(nameKey));
        boolean right = hashes.match(
                password, known.map(AccountMapper.Key::passwordHash).orElse(null));
        return counted(known.filter(key -> right), nameKey, address);
    }

    /** Lets a rider in with a recovery code, which is used up, and gives them a new password. */
    Optional<RiderPrincipal> recover(String typedName, String code, String newPassword, String address) {
        String nameKey = AccountName.of(typedName).map(AccountName::key).orElse("");
        Optional<AccountMapper.Key> known = transaction.execute(status -> mapper.forSignIn(nameKey));
        String hash = hashes.of(newPassword);
        boolean right = known.isPresent()
                && inScopeOf(new RiderPrincipal(known.get().riderId(), false), () -> {
                    boolean used = mapper.useCode(RecoveryCodes.hash(code), now()) == 1;
                    if (used) {
                        mapper.changePassword(hash);
                    }
                    return used;
                });
        return counted(known.filter(key -> right), nameKey, address);
    }

    private Optional<RiderPrincipal> counted(Optional<AccountMapper.Key> right, String nameKey, String address) {
        if (right.isPresent()) {
            guard.succeeded(nameKey);
        } else {
            guard.failed(nameKey, address);
        }
        return right.map(key -> new RiderPrincipal(key.riderId(), false));
    }

    /** The signed-in rider's account; the demo rider has none. */
    Optional<AccountMapper.Row> own() {
        return transaction.execute(status -> mapper.own());
    }

    /** How long the signed-in rider must wait before their password is heard again. */
    Duration waitForOwn(String address) {
        return own().map(account -> guard.waitFor(account.nameKey(), address)).orElse(Duration.ZERO);
    }

    /** Counts failures, as signing in does: a session left open must not become a way to guess. */
    boolean isOwnPassword(String password, String address) {
        Optional<AccountMapper.Row> account = own();
        boolean right = account.filter(found -> hashes.match(password, found.passwordHash()))
                .isPresent();
        account.map(AccountMapper.Row::nameKey).ifPresent(name -> {
            if (right) {
                guard.succeeded(name);
            } else {
                guard.failed(name, address);
            }
        });
        return right;
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
