package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

@ExtendWith(RunningApplication.class)
class SecondStepTest {

    private static final RiderPrincipal RIDER = new RiderPrincipal(UUID.randomUUID(), false);

    private final Site site;

    SecondStepTest(Site site) {
        this.site = site;
    }

    /** RFC 6238, appendix B, SHA-1: the last six of its eight digits; half a minute earlier and later they hold too. */
    @ParameterizedTest
    @CsvSource({"59, 287082", "1111111109, 081804", "1111111111, 050471", "1234567890, 005924", "2000000000, 279037"})
    void codesAreThoseOfTheStandard(long second, String code) {
        for (int off : new int[] {-29, 0, 29}) {
            assertThat(at(second + off).check(RIDER, code).in())
                    .as(code + " at " + off)
                    .isPresent();
        }
        assertThat(at(second + 90).check(RIDER, code).in()).isEmpty();
        assertThat(at(second).check(RIDER, code.substring(0, 5)).in()).isEmpty();
        assertThat(at(second).check(RIDER, "").in()).isEmpty();
    }

    private static SecondStep at(long second) {
        byte[] secret = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);
        SecondStepMapper mapper = Mockito.mock(SecondStepMapper.class);
        Mockito.when(mapper.own()).thenReturn(Optional.of(new SecondStepMapper.Row(secret, Instant.EPOCH, 0)));
        Mockito.when(mapper.use(Mockito.anyLong(), Mockito.any())).thenReturn(1);
        Guard guard = Mockito.mock(Guard.class);
        Mockito.when(guard.reserve(Mockito.any())).thenReturn(Duration.ZERO);
        TransactionTemplate transaction = Mockito.mock(TransactionTemplate.class);
        Mockito.when(transaction.execute(Mockito.any()))
                .thenAnswer(call -> call.<TransactionCallback<?>>getArgument(0).doInTransaction(null));
        return new SecondStep(
                mapper,
                Mockito.mock(Accounts.class),
                guard,
                Clock.fixed(Instant.ofEpochSecond(second), ZoneOffset.UTC),
                transaction);
    }

    private static final Pattern SECRET = Pattern.compile("id=\"secret\">([A-Z2-7]{32})<");
    private static final Pattern TICKET = Pattern.compile("name=\"ticket\" value=\"([^\"]+)\"");

    private static String found(Pattern pattern, String page) {
        Matcher matcher = pattern.matcher(page);
        assertThat(matcher.find()).as(pattern.pattern()).isTrue();
        return matcher.group(1);
    }

    private static String code(String secret, Duration later) throws Exception {
        TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
        return codes.generateOneTimePasswordString(
                new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()),
                Instant.now().plus(later));
    }

    @Test
    void whoeverWantsOneIsAskedForACodeAndEachCodeIsGoodOnce() throws Exception {
        Guest rider = Guest.withAccount(site);
        Matcher recovery = Pattern.compile("<code>([A-Z2-9-]{14})</code>")
                .matcher(rider.get("/account/codes").body());
        assertThat(recovery.find()).isTrue();
        Map<String, String> password = Map.of("name", rider.name(), "password", Guest.PASSWORD);

        assertThat(rider.post("/account/second-step", Map.of("current", "not mine"))
                        .statusCode())
                .isEqualTo(422);
        String page = rider.post("/account/second-step", Map.of("current", Guest.PASSWORD))
                .body();
        String secret = found(SECRET, page);
        assertThat(page).contains("otpauth://totp/Stratopneum:Guest", "<path d=\"M");
        assertThat(new Guest(site).post("/sign-in", password).statusCode())
                .as("not in force before a code has come")
                .isEqualTo(302);
        assertThat(rider.post("/account/second-step/confirm", Map.of("code", "000000"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(rider.post("/account/second-step/confirm", Map.of("code", recovery.group(1)))
                        .statusCode())
                .as("a recovery code does not show that the phone has the key")
                .isEqualTo(422);
        String first = code(secret, Duration.ZERO);
        assertThat(rider.post("/account/second-step/confirm", Map.of("code", first))
                        .statusCode())
                .isEqualTo(302);
        assertThat(rider.get("/account").body())
                .contains("Second step switched on")
                .doesNotContain(secret);

        assertThat(rider.post("/account/second-step", Map.of("current", Guest.PASSWORD))
                        .statusCode())
                .as("sent again by an old page")
                .isEqualTo(302);
        Guest elsewhere = new Guest(site);
        var asked = elsewhere.post("/sign-in", password);
        assertThat(asked.statusCode()).isEqualTo(200);
        assertThat(asked.body()).contains("Enter the six digits");
        String ticket = found(TICKET, asked.body());
        assertThat(elsewhere.get("/account").statusCode()).as("not in yet").isEqualTo(302);
        assertThat(elsewhere
                        .post("/sign-in/code", Map.of("ticket", ticket, "code", first))
                        .statusCode())
                .as("used before")
                .isEqualTo(422);
        assertThat(elsewhere
                        .post(
                                "/sign-in/code",
                                Map.of("ticket", ticket + "x", "code", code(secret, Duration.ofSeconds(30))))
                        .statusCode())
                .as("nobody's ticket")
                .isEqualTo(422);
        assertThat(elsewhere
                        .post("/sign-in/code", Map.of("ticket", ticket, "code", code(secret, Duration.ofSeconds(30))))
                        .statusCode())
                .isEqualTo(302);
        assertThat(elsewhere.get("/account").body()).contains("Wrong code", "Recent activity");

        Guest third = new Guest(site);
        String next = found(TICKET, third.post("/sign-in", password).body());
        assertThat(third.post("/sign-in/code", Map.of("ticket", next, "code", recovery.group(1)))
                        .statusCode())
                .as("a recovery code does as well")
                .isEqualTo(302);
        assertThat(rider.post("/account/second-step/end", Map.of("current", Guest.PASSWORD))
                        .statusCode())
                .isEqualTo(302);
        assertThat(new Guest(site).post("/sign-in", password).statusCode()).isEqualTo(302);
    }
}
