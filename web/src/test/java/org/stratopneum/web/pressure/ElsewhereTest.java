package org.stratopneum.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
class ElsewhereTest {

    private static final Pattern SET = Pattern.compile("<strong>([0-9.]+)</strong> <span>psi</span>");
    private static final Pattern THERE = Pattern.compile("Then it reads ([0-9.]+) psi");

    private final Site site;
    private Guest rider;
    private String bike;

    ElsewhereTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = "/bikes/" + TypedBike.enter(rider);
    }

    private String page(String query) {
        var answer = rider.get(bike + "/elsewhere" + query);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    private static double first(Pattern pattern, String page) {
        Matcher found = pattern.matcher(page);
        assertThat(found.find()).as(page).isTrue();
        return Double.parseDouble(found.group(1));
    }

    @Test
    void atTheSamePlaceItIsTheSame() {
        String page = page("?hereTemperature=12&hereHeight=300&thereTemperature=12&thereHeight=300");
        assertThat(first(SET, page)).isEqualTo(first(THERE, page));
    }

    private void read(String bar, String state, String at, String celsius) {
        Map<String, String> reading = new HashMap<>();
        reading.put("rear", bar);
        reading.put("unit", "BAR");
        reading.put("state", state);
        reading.put("at", at);
        reading.put("temperature", celsius);
        reading.put("rearEntry", UUID.randomUUID().toString());
        assertThat(rider.post(bike + "/readings", reading).statusCode()).isEqualTo(302);
    }

    private static String daysAgo(int days) {
        return LocalDateTime.now(ZoneId.of("Europe/Vienna"))
                .minusDays(days)
                .truncatedTo(ChronoUnit.MINUTES)
                .toString();
    }

    /** docs/handbook, page 4: 1.80 bar at 22 C reads 1.54 bar at -5 C; nobody knows the rate from one reading. */
    @Test
    void theColdTakesWhatTheHandbookSays() {
        read("1.80", "SET", "", "22");
        String page = page("?hereTemperature=22&thereTemperature=-5");
        assertThat(page).contains("Without any loss it reads 1.54 bar there at the ride", "not known from one reading");
    }

    /** 200 kPa falling as exp(-0.01 t) is 181 kPa after ten days and 177 kPa after twelve (worked by hand). */
    @Test
    void whatIsLeftAtTheRideFollowsTheRateSoFar() {
        bike = "/bikes/"
                + TypedBike.enter(rider, "name", "Early", "since", daysAgo(30).substring(0, 10));
        read("2.00", "SET", daysAgo(10), "20");
        read("1.90", "FOUND", daysAgo(5), "20");
        read("1.81", "FOUND", "", "20");
        String page = page("?hereTemperature=20&thereTemperature=20&hereHeight=0&thereHeight=0&rideAt=" + daysAgo(-2));
        assertThat(first(Pattern.compile("Now about ([0-9.]+) bar"), page)).isCloseTo(1.81, within(0.011));
        assertThat(first(Pattern.compile("At the ride, there: ([0-9.]+) bar"), page))
                .isCloseTo(1.77, within(0.011));
        assertThat(first(Pattern.compile("It loses ([0-9.]+) % a day"), page)).isCloseTo(1.0, within(0.11));
        String wheel = "/wheels/" + rider.ids("/", "/wheels/").get(2);
        assertThat(rider.get(wheel + "/leaks").body()).contains("% a day");
    }

    /** docs/handbook, page 3: 1,000 m more adds about 11 kPa, 1.6 psi; warmth moves the absolute pressure 0.34 % per C. */
    @Test
    void heightAddsAndSoLessIsSetBelow() {
        String page = page("?hereTemperature=20&hereHeight=0&thereTemperature=20&thereHeight=1000");
        assertThat(first(THERE, page) - first(SET, page)).isCloseTo(1.6, within(0.11));
        assertThat(page).contains("The other height: +1.7 psi", "The other temperature: +0.0 psi");
    }

    @Test
    void whatCannotBeIsSaid() {
        assertThat(page("?hereTemperature=hot&thereHeight=90000"))
                .contains("value=\"hot\"", "Enter a number, e.g. 21.5", "must be at most 9000 m");
        bike = "/bikes/" + TypedBike.enter(rider, "name", "Soft", "rear-tireMax", "26", "front-tireMax", "26");
        String tooMuch = page("?hereTemperature=60&hereHeight=0&thereTemperature=-40&thereHeight=-400");
        assertThat(tooMuch).contains("over the limit of 26.0 psi", "set it there");
        assertThat(tooMuch).as("nothing is told to be set here").doesNotContainPattern(SET);
    }
}
