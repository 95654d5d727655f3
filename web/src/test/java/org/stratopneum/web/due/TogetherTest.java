package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What can be moved is done on the same day, and nobody is sent to look again at once. */
@ExtendWith(RunningApplication.class)
class TogetherTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));

    private final Site site;
    private Guest rider;
    private List<String> wheels;

    TogetherTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "since", TODAY.minusDays(300).toString());
        wheels = rider.ids("/garage", "/wheels/");
    }

    private void filled(int wheel, int daysAgo) {
        // today at ten may be still to come
        String at = daysAgo == 0 ? "" : TODAY.minusDays(daysAgo) + "T10:00";
        note(wheel, "fillings", "volume", "95", "filledAt", at);
    }

    private void note(int wheel, String what, String field, String value, String at, String when) {
        var answer = rider.post(
                "/wheels/" + wheels.get(wheel) + "/sealant/" + what,
                Map.of("entry", UUID.randomUUID().toString(), field, value, at, when));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
    }

    private String together() {
        String page = rider.get("/todo").body();
        int begin = page.indexOf("id=\"together\"");
        return begin < 0 ? "" : page.substring(begin, page.indexOf("</section>", begin));
    }

    @Test
    void checksOfNearlyTheSameDayAreOneTrip() {
        filled(0, 38);
        assertThat(together()).as("one wheel, one day").isEmpty();
        filled(1, 34);
        assertThat(together())
                .containsPattern("\\d days? at the bikes instead of \\d")
                .contains("Check the sealant: Plover, both wheels")
                .contains("What moving them costs", " instead of ");
        String list = rider.get("/todo").body();
        assertThat(list).as("each on its own day too").contains("Plover rear", "Plover front");
    }

    @Test
    void aRideOfTheListIsTheDayForIt() {
        filled(0, 38);
        filled(1, 34);
        assertThat(together()).doesNotContain("Plover to the hut");
        for (int day = 3; day < 60; day += 3) {
            String due = TODAY.plusDays(day).toString();
            String id = UUID.randomUUID().toString();
            rider.post("/reminders", Map.of("what", "Plover to the hut", "due", due, "newId", id));
        }
        assertThat(together()).contains("Plover to the hut").contains("Check the sealant: Plover, both wheels");
    }

    /** docs/handbook, page 5: too little with a chance between a tenth and a half is in doubt. */
    @Test
    void aDipThatLeavesItInDoubtAsksForARefreshAndForNoOtherDip() {
        filled(1, 0);
        filled(0, 70);
        note(0, "dips", "depths", "12 10", "seenAt", "");
        String sealant = rider.get("/wheels/" + wheels.get(0) + "/sealant").body();
        assertThat(sealant)
                .contains("Refresh it", "another dip so soon would say the same")
                .doesNotContain("Check it: due", "Check by ");
        String list = rider.get("/todo").body();
        assertThat(list.substring(list.indexOf(">Now<"), list.indexOf("</section>", list.indexOf(">Now<"))))
                .contains("Refresh the sealant", "can wait until")
                .doesNotContain("Check the sealant");
    }
}
