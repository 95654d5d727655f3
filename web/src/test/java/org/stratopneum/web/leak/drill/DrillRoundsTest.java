package org.stratopneum.web.leak.drill;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

@ExtendWith(RunningApplication.class)
class DrillRoundsTest {

    private static final Pattern SPENT = Pattern.compile("id=\"spent\">(\\d+)<");
    private static final Pattern CAUSE = Pattern.compile("id=\"name-([a-z-]+)\"");

    private final Site site;

    DrillRoundsTest(Site site) {
        this.site = site;
    }

    private static int spent(String page) {
        Matcher found = SPENT.matcher(page);
        assertThat(found.find()).isTrue();
        return Integer.parseInt(found.group(1));
    }

    private static String begin(Guest guest) {
        String id = UUID.randomUUID().toString();
        assertThat(guest.post("/drill", Map.of("newId", id)).statusCode()).isEqualTo(302);
        return "/rounds/" + id;
    }

    /** Names one cause after the other until it holds; what was named, in its order. */
    private static List<String> nameUntilItHolds(Guest guest, String round) {
        List<String> named = new ArrayList<>();
        Matcher next = CAUSE.matcher(guest.get(round).body());
        while (next.find()) {
            named.add(next.group(1));
            guest.post(round + "/name", Map.of("cause", next.group(1)));
            next = CAUSE.matcher(guest.get(round).body());
        }
        return named;
    }

    @Test
    void aRoundIsLookedIntoNamedAndKeptWithWhatWasMixedUp() {
        Guest guest = Guest.withAccount(site);
        assertThat(guest.get("/drill").body()).contains("No round yet");
        boolean mixed = false;
        for (int i = 0; i < 4; i++) {
            String round = begin(guest);
            assertThat(spent(guest.get(round).body())).isZero();
            guest.post(round + "/look", Map.of("check", "shake"));
            guest.post(round + "/look", Map.of("check", "look-over"));
            guest.post(round + "/look", Map.of("check", "shake"));
            assertThat(spent(guest.get(round).body()))
                    .as("1 and 2 min, each once")
                    .isEqualTo(3);
            List<String> named = nameUntilItHolds(guest, round);
            mixed |= named.size() > 1;
            String page = guest.get(round).body();
            assertThat(page).contains("It was ", "points", "the finder", "it holds");
            assertThat(spent(page)).isGreaterThanOrEqualTo(3 + 26 * named.size());
            guest.post(round + "/look", Map.of("check", "dip"));
            assertThat(spent(guest.get(round).body())).as("over is over").isEqualTo(spent(page));
        }
        String history = guest.get("/drill").body();
        assertThat(history).contains("4 rounds, best ");
        assertThat(history.contains(", taken for ")).isEqualTo(mixed);
    }

    @Test
    void aRoundThatLiesThereIsGoneOnWithOrThrownAway() {
        Guest guest = Guest.withAccount(site);
        String round = begin(guest);
        assertThat(guest.get("/drill").body()).contains("Continue the open round", round);
        assertThat(guest.post(round + "/look", Map.of("check", "crystal-ball")).statusCode())
                .isEqualTo(404);
        assertThat(guest.post(round + "/name", Map.of("cause", "tube-pinch")).statusCode())
                .isEqualTo(404);
        guest.post(round + "/drop", Map.of());
        assertThat(guest.get(round).statusCode()).isEqualTo(404);
        assertThat(guest.get("/drill").body()).contains("No round yet");
    }

    /** The fault of the day is one for everybody, once a day, and days in a row are counted. */
    @Test
    void theFaultOfTheDayIsTheSameForEverybody() {
        Guest one = Guest.withAccount(site);
        Guest other = Guest.withAccount(site);
        String round = daily(one);
        assertThat(daily(one)).as("once a day").isEqualTo(round);
        assertThat(story(other.get(daily(other)).body()))
                .isEqualTo(story(one.get(round).body()));
        assertThat(one.get("/drill").body()).contains("Continue the fault of the day");
        nameUntilItHolds(one, round);
        assertThat(one.get("/drill").body()).contains("Fault of the day: ", "First day");
        MovableClock.after(one, Duration.ofDays(1), () -> {
            assertThat(one.get("/drill").body()).contains("First day").doesNotContain("Fault of the day: ");
            String next = daily(one);
            assertThat(next).isNotEqualTo(round);
            nameUntilItHolds(one, next);
            assertThat(one.get("/drill").body()).contains("2 days in a row");
        });
    }

    private static String daily(Guest guest) {
        String address = guest.post("/drill/daily", Map.of())
                .headers()
                .firstValue("Location")
                .orElseThrow();
        return address.substring(address.indexOf("/rounds/"));
    }

    private static String story(String page) {
        Matcher found = Pattern.compile("class=\"story\"[^>]*>([^<]+)<").matcher(page);
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    /** Without an account the round stands in its address, from the first look to the finder's own way. */
    @Test
    void aVisitorPlaysByTheAddress() {
        Guest visitor = new Guest(site);
        assertThat(visitor.get("/practice").body()).contains("Fault of the day", "New fault", "Nothing is saved.");
        String round = "/practice?seed=17";
        String looked = follow(visitor, round + "&check=shake");
        assertThat(looked).contains("step=look.shake");
        assertThat(spent(visitor.get(looked).body())).isEqualTo(1);
        for (Cause cause : Cause.of(AirSystem.TUBELESS)) {
            if (visitor.get(looked).body().contains("id=\"end\"")) {
                break;
            }
            looked = follow(visitor, looked + "&cause=" + cause.code());
        }
        assertThat(visitor.get(looked).body()).contains("id=\"end\"", "How the finder did it", "points");
        assertThat(visitor.get(round + "&check=crystal-ball").statusCode()).isEqualTo(404);
        assertThat(visitor.get(round + "&step=look.crystal-ball").statusCode()).isEqualTo(404);
    }

    private static String follow(Guest visitor, String path) {
        String address = visitor.get(path).headers().firstValue("Location").orElseThrow();
        return address.substring(address.indexOf("/practice"));
    }
}
