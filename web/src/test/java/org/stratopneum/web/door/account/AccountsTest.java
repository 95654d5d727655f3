package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.Mockito;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestGarage;

@ExtendWith(RunningApplication.class)
@Isolated
class AccountsTest {

    private static final String PASSWORD = "seven snowy stations";

    private final Accounts accounts;
    private final SignInGuard guard;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final Logbook logbook;
    private final String name = "Rider " + UUID.randomUUID().toString().substring(0, 8);
    private final String address = "192.0.2." + name.hashCode();

    AccountsTest(
            Accounts accounts, SignInGuard guard, JdbcTemplate jdbc, TransactionTemplate transaction, Logbook logbook) {
        this.accounts = accounts;
        this.guard = guard;
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.logbook = logbook;
    }

    @Test
    void whoSignsUpSignsInByTheSameNameHoweverItIsWritten() {
        RiderPrincipal rider = signUp(name).orElseThrow().rider();
        assertThat(accounts.signIn(name, PASSWORD, address)).contains(rider);
        assertThat(accounts.signIn("  " + name.toUpperCase(Locale.ROOT) + " ", PASSWORD, address))
                .contains(rider);
        assertThat(accounts.signIn(name, PASSWORD + "!", address)).isEmpty();
        assertThat(accounts.signIn("nobody of this name", PASSWORD, address)).isEmpty();
        assertThat(accounts.signIn("", "", address)).isEmpty();
    }

    @Test
    void aNameIsTakenOnce() {
        RiderPrincipal first = signUp(name).orElseThrow().rider();
        assertThat(signUp(name.toLowerCase(Locale.ROOT).replace(" ", "  "))).isEmpty();
        assertThat(accounts.signIn(name, PASSWORD, address)).contains(first);
    }

    @Test
    void passwordsAndCodesAreKeptAsHashesOnly() {
        Accounts.SignedUp signedUp = signUp(name).orElseThrow();
        String kept = as(signedUp.rider(), () -> accounts.own().orElseThrow().passwordHash());
        assertThat(kept).startsWith("$argon2id$").doesNotContain(PASSWORD);
        List<String> codes =
                as(signedUp.rider(), () -> jdbc.queryForList("select code_hash from recovery_code", String.class));
        assertThat(codes)
                .hasSize(RecoveryCodes.COUNT)
                .doesNotContainAnyElementsOf(signedUp.recoveryCodes())
                .allMatch(hash -> hash.matches("[0-9a-f]{64}"));
    }

    @Test
    void aRecoveryCodeOpensTheDoorOnceAndSetsANewPassword() {
        Accounts.SignedUp signedUp = signUp(name).orElseThrow();
        String code = signedUp.recoveryCodes().get(3).toLowerCase(Locale.ROOT).replace("-", " ");
        assertThat(accounts.recover(name, "AAAA-BBBB-CCCC", "another long one", address))
                .isEmpty();
        assertThat(accounts.signIn(name, PASSWORD, address))
                .as("still the old one")
                .isPresent();

        assertThat(accounts.recover(name, code, "another long one", address)).contains(signedUp.rider());
        assertThat(accounts.signIn(name, PASSWORD, address)).isEmpty();
        assertThat(accounts.signIn(name, "another long one", address)).isPresent();
        assertThat(accounts.recover(name, code, "yet another one", address))
                .as("used up")
                .isEmpty();
    }

    @Test
    void newCodesMakeTheOldOnesWorthless() {
        Accounts.SignedUp signedUp = signUp(name).orElseThrow();
        List<String> fresh = CurrentRider.askAs(signedUp.rider(), accounts::newCodes);
        assertThat(accounts.recover(name, signedUp.recoveryCodes().get(0), "another long one", address))
                .isEmpty();
        assertThat(accounts.recover(name, fresh.get(0), "another long one", address))
                .isPresent();
    }

    @Test
    void deletingAnAccountLeavesNothing() {
        RiderPrincipal rider = signUp(name).orElseThrow().rider();
        as(rider, () -> TestGarage.make(jdbc, logbook, Instant.parse("2026-03-01T10:00:00Z")));
        CurrentRider.runAs(rider, accounts::deleteEverything);
        List<String> tables = jdbc.queryForList(
                "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'owner'",
                String.class);
        assertThat(tables).contains("log_entry", "bike", "account");
        for (String table : tables) {
            int left = as(rider, () -> jdbc.queryForObject("select count(*) from " + table, Integer.class));
            assertThat(left).as(table).isZero();
        }
        assertThat(accounts.signIn(name, PASSWORD, address)).isEmpty();
        assertThat(signUp(name)).as("the name is free again").isPresent();
    }

    @Test
    void afterSomeFailuresANameMustWaitAndSuccessForgets() {
        signUp(name);
        String key = AccountName.of(name).orElseThrow().key();
        for (int i = 0; i < 3; i++) {
            assertThat(guard.waitFor(key, address)).as("try " + i).isZero();
            accounts.signIn(name, "wrong wrong wrong", address);
        }
        assertThat(guard.waitFor(key, address)).isBetween(Duration.ofMillis(1), Duration.ofSeconds(2));
        assertThat(guard.waitFor("somebody else", address)).isZero();
        accounts.signIn(name, PASSWORD, address);
        assertThat(guard.waitFor(key, address)).isZero();
    }

    /** Guessing at a thousand names from one address is slowed as well; names that do not exist count alike. */
    @Test
    void anAddressThatTriesManyNamesMustWaitToo() {
        String from = "198.51.100." + name.hashCode();
        for (int i = 0; i < 31; i++) {
            guard.failed(
                    "No sealant logged since this tire was fitted: amount and age are unknown. Add what went in, or dip, shake or look in today."
                            + i,
                    from);
        }
        assertThat(guard.waitFor("a name never tried", from)).isPositive();
        assertThat(guard.waitFor("a name never tried", address)).isZero();
    }

    @Test
    void aDayWithoutFailuresIsForgotten() {
        Instant now = Instant.parse("2026-05-10T10:00:00Z");
        GuardMapper mapper = Mockito.mock(GuardMapper.class);
        Mockito.when(mapper.failures("name x"))
                .thenReturn(Optional.of(new GuardMapper.Failures(40, now.minus(Duration.ofHours(25)))));
        SignInGuard later = new SignInGuard(mapper, Clock.fixed(now, ZoneOffset.UTC));
        assertThat(later.waitFor("x", "y")).isZero();
    }

    @Test
    void thePauseDoublesUpToAQuarterOfAnHour() {
        assertThat(SignInGuard.pause(2, 3)).isZero();
        assertThat(SignInGuard.pause(3, 3)).isEqualTo(Duration.ofSeconds(2));
        assertThat(SignInGuard.pause(4, 3)).isEqualTo(Duration.ofSeconds(4));
        assertThat(SignInGuard.pause(9, 3)).isEqualTo(Duration.ofSeconds(128));
        assertThat(SignInGuard.pause(1000, 3)).isEqualTo(Duration.ofMinutes(15));
    }

    @ParameterizedTest
    @CsvSource({"11, too-short", "12, ''", "128, ''", "129, too-long"})
    void passwordsHaveTwelveTo128Characters(int length, String code) {
        Problems problems = new Problems();
        PasswordRules.check("password", "\uD83D\uDEB2".repeat(length), problems);
        assertThat(problems.list()).extracting("code").isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }

    @Test
    void strengthTellsTheGuessableFromTheRest() {
        assertThat(PasswordRules.strengthOf("password1234", List.of())).isEqualTo(PasswordRules.Strength.WEAK);
        assertThat(PasswordRules.strengthOf("ilse-varga-lund", List.of("ilse-varga-lund")))
                .isEqualTo(PasswordRules.Strength.POOR);
        assertThat(PasswordRules.strengthOf("gneiss teapot umlaut 42 rook", List.of()))
                .isEqualTo(PasswordRules.Strength.STRONG);
        assertThat(PasswordRules.strengthOf("x".repeat(100_000), List.of())).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a", " ", "-ab", "ab-", "a\u0000b", "<b>x</b>", "name@example.org"})
    void whatIsNoNameIsRefused(String typed) {
        assertThat(AccountName.of(typed)).isEmpty();
    }

    @Test
    void namesThatLookAlikeAreTheSame() {
        assertThat(AccountName.of(" Ilse  Varga-Lund ").orElseThrow().key()).isEqualTo("ilse varga-lund");
        assertThat(AccountName.of("\uFF29lse").orElseThrow().key()).isEqualTo("ilse");
        assertThat(AccountName.of("a".repeat(40))).isPresent();
        assertThat(AccountName.of("a".repeat(41))).isEmpty();
    }

    @Test
    void codesAreManyDifferentAndEasyToRead() {
        HashSet<String> codes = new HashSet<>();
        for (int i = 0; i < 200; i++) {
            codes.addAll(RecoveryCodes.fresh());
        }
        assertThat(codes)
                .hasSize(200 * RecoveryCodes.COUNT)
                .allMatch(code -> code.matches("([A-HJKMNP-Z2-9]{4}-){2}[A-HJKMNP-Z2-9]{4}"));
    }

    private Optional<Accounts.SignedUp> signUp(String wanted) {
        return accounts.signUp(new Accounts.NewRider(
                AccountName.of(wanted).orElseThrow(), PASSWORD, null, "Europe/Vienna", PressureUnit.BAR));
    }

    private <T> T as(RiderPrincipal rider, Supplier<T> work) {
        return CurrentRider.askAs(rider, () -> transaction.execute(status -> work.get()));
    }

    /** A club may share an address; accounts by the hundred are another thing. */
    @Test
    void makingAccountsByTheHundredIsSlowed() {
        String address = "test " + UUID.randomUUID();
        for (int i = 0; i < 199; i++) {
            guard.signedUp(address);
        }
        assertThat(guard.waitToSignUp(address)).isZero();
        guard.signedUp(address);
        assertThat(guard.waitToSignUp(address)).isPositive();
        assertThat(guard.waitToSignUp("elsewhere " + address)).isZero();
    }
}
