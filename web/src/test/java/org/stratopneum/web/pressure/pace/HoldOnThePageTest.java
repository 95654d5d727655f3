package org.stratopneum.web.pressure.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Pump, stand, read again: the wheel's page says whether it holds. */
@ExtendWith(RunningApplication.class)
class HoldOnThePageTest {

    private static final LocalDateTime NOW =
            LocalDateTime.now(ZoneId.of("Europe/Vienna")).truncatedTo(ChronoUnit.MINUTES);

    private final Site site;
    private Guest rider;
    private String bike;
    private String wheel;

    HoldOnThePageTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = TypedBike.enter(rider, "since", NOW.minusDays(30).toLocalDate().toString());
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0) + "/leaks";
    }

    private void read(String state, int hoursAgo, String psi, String celsius) {
        Map<String, String> fields = new HashMap<>(Map.of("rear", psi, "unit", "PSI", "state", state));
        fields.put("at", NOW.minusHours(hoursAgo).toString());
        fields.put("temperature", celsius);
        fields.put("rearEntry", UUID.randomUUID().toString());
        assertThat(rider.post("/bikes/" + bike + "/readings", fields).statusCode())
                .isEqualTo(302);
    }

    @Test
    void beforeAnythingIsReadThePageSaysHowToTest() {
        assertThat(rider.get(wheel).body()).contains("Read it again after 8 to 24 hours");
        read("SET", 5, "40", "20");
        read("FOUND", 1, "39", "20");
        assertThat(rider.get(wheel).body()).as("too soon").contains("Read it again after 8 to 24 hours");
    }

    @Test
    void aWheelThatHoldsPassesAndTheColdIsTakenOut() {
        read("SET", 25, "40", "22");
        // 40 psi at 22 C, carried by the ideal gas law to 2 C, is 36.3 psi
        read("FOUND", 1, "36.3", "2");
        assertThat(rider.get(wheel).body())
                .contains("Passed", "temperature taken out", "Loses 0.")
                .doesNotContain("Failed");
    }

    @Test
    void aWheelThatLeaksLeadsToWhereToLook() {
        read("SET", 25, "40", "");
        read("FOUND", 1, "35", "");
        String page = rider.get(wheel).body();
        assertThat(page).contains("Failed", "Loses 12.5 % in a day", "one temperature is missing");
        assertThat(page).contains(wheel.replace("/leaks", "/leak"));
        assertThat(rider.get(wheel.replace("/leaks", "/leak")).body()).contains("one check at a time");
    }

    @Test
    void inBetweenItIsShakenAndTriedAgain() {
        read("SET", 25, "40", "20");
        read("FOUND", 1, "37", "20");
        assertThat(rider.get(wheel).body()).contains("test again", "Loses 7.5 % in a day");
    }
}
