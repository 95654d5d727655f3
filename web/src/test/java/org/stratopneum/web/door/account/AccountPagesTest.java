package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What an account's own page does, and what comes along when one is made. */
@ExtendWith(RunningApplication.class)
@Isolated
class AccountPagesTest {

    private final Site site;
    private final JdbcTemplate jdbc;

    AccountPagesTest(Site site, JdbcTemplate jdbc) {
        this.site = site;
        this.jdbc = jdbc;
    }

    @Test
    void whoOnlyLooksRoundMakesNoSession() {
        Integer before = sessions();
        Guest visitor = new Guest(site);
        for (String path : List.of("/", "/sign-up", "/sign-in", "/recover", "/calculators", "/log")) {
            assertThat(visitor.get(path).headers().allValues("Set-Cookie"))
                    .as(path)
                    .noneMatch(cookie -> cookie.startsWith("stratopneum-session"));
        }
        assertThat(sessions()).isEqualTo(before);
    }

    private Integer sessions() {
        return jdbc.queryForObject("select count(*) from visits.spring_session", Integer.class);
    }

    @Test
    void afterSeveralWrongTriesTheDoorSaysHowLongToWait() {
        Guest nobody = new Guest(site);
        Map<String, String> guess = Map.of(
                "name", "Nobody " + UUID.randomUUID().toString().substring(0, 8), "password", "not the right one");
        for (int i = 0; i < 3; i++) {
            assertThat(nobody.post("/sign-in", guess).body()).contains("Wrong name or password.");
        }
        assertThat(nobody.post("/sign-in", guess).body())
                .containsPattern("Too many wrong tries\\. Wait \\d+ s and try again\\.");
    }

    @Test
    void theMailAddressIsChangedAndTakenAway() {
        Guest rider = Guest.withAccount(site);
        HttpResponse<String> faulty = rider.post("/account/email", Map.of("email", "nowhere"));
        assertThat(faulty.statusCode()).isEqualTo(422);
        assertThat(faulty.body()).contains("value=\"nowhere\"", "Enter an email address, e.g. name@example.org");

        rider.post("/account/email", Map.of("email", "plover@hut.example"));
        assertThat(rider.get("/account?done=email").body()).contains("Email saved.", "value=\"plover@hut.example\"");
        rider.post("/account/email", Map.of("email", ""));
        assertThat(rider.get("/account").body()).doesNotContain("plover@hut.example");
    }

    /** A session that was left open must not become a way to guess the password. */
    @Test
    void guessingTheOwnPasswordIsSlowedAsWell() {
        Guest rider = Guest.withAccount(site);
        Map<String, String> guess = Map.of("current", "not the right one", "password", "another long password");
        HttpResponse<String> last = null;
        for (int i = 0; i < 4; i++) {
            last = rider.post("/account/password", guess);
            assertThat(last.statusCode()).isEqualTo(422);
        }
        assertThat(last.body()).contains("Too many wrong tries");
        HttpResponse<String> right = rider.post("/account/delete", Map.of("current", "lichen on the north wall"));
        assertThat(right.body()).as("even the right one has to wait").contains("Too many wrong tries");
    }

    @Test
    void whatWasTypedBeforeTheAccountComesAlongThroughAFaultySignUp() {
        Map<String, String> bike = new HashMap<>(TypedBike.fields());
        bike.remove("name");
        Guest visitor = new Guest(site);
        Map<String, String> fields = new HashMap<>(bike);
        fields.put("name", "Guest " + UUID.randomUUID().toString().substring(0, 13));
        fields.put("password", "short");
        HttpResponse<String> faulty = visitor.post("/sign-up", fields);
        assertThat(faulty.statusCode()).isEqualTo(422);
        assertThat(faulty.body())
                .contains(
                        "The bike you entered is saved with your account.",
                        "name=\"rear-size\" value=\"29x2.25\"",
                        "name=\"rider\" value=\"70\"");

        fields.put("password", "lichen on the north wall");
        assertThat(visitor.post("/sign-up", fields).statusCode()).isEqualTo(302);
        assertThat(visitor.get("/garage").body()).contains("Mountain bike", "57-622");
    }

    @Test
    void aBikeThatIsNotWholeDoesNotKeepAnybodyFromSigningUp() {
        Guest rider = Guest.withAccount(site, Map.of("asked", "1", "rear-size", "banana"));
        assertThat(rider.get("/garage").body()).contains("No bikes yet.");
    }
}
