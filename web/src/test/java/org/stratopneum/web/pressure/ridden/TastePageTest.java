package org.stratopneum.web.pressure.ridden;

import static org.assertj.core.api.Assertions.assertThat;

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

/** What a rider said on one bike counts on the others, until they let one stand alone. */
@ExtendWith(RunningApplication.class)
class TastePageTest {

    private final Site site;
    private Guest rider;
    private String known;
    private String other;

    TastePageTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void twoBikes() {
        rider = Guest.withAccount(site);
        known = TypedBike.enter(rider, "name", "Plover");
        other = TypedBike.enter(rider, "name", "Dunlin");
    }

    private void tooHard(String bike, int times) {
        for (int i = 0; i < times; i++) {
            Map<String, String> ride = new HashMap<>(Map.of(
                    "entry", UUID.randomUUID().toString(),
                    "asked", "1",
                    "massUnit", "KG",
                    "rider", "70",
                    "bike", "13",
                    "ground1", "CROSS_COUNTRY",
                    "share1", "100",
                    "drop", "BALANCED"));
            ride.put("rear-start", "24");
            ride.put("front-start", "24");
            ride.put("rear-feel", "TOO_HARD");
            ride.put("front-feel", "TOO_HARD");
            assertThat(rider.post("/bikes/" + bike + "/rides", ride).statusCode())
                    .isEqualTo(302);
        }
    }

    private String page(String bike) {
        return rider.get("/bikes/" + bike + "/dialling").body();
    }

    @Test
    void whatIsSaidOnOneBikeCountsOnTheOtherUntilItStandsAlone() {
        assertThat(page(other))
                .contains("No feedback yet: for 80 % of riders it is between")
                .contains("Let this bike learn alone");
        String before = rider.pressures("/bikes/" + other + "/pressure");
        tooHard(known, 4);
        assertThat(page(other))
                .contains("No feedback on this wheel yet: 80 % likely between", "Start from your other ratings:")
                .containsPattern("ratings: \\d+\\.\\d % (softer|harder)");
        assertThat(rider.pressures("/bikes/" + other + "/pressure")).isNotEqualTo(before);
        rider.post("/bikes/" + other + "/dialling/alone", Map.of("alone", "on"));
        assertThat(page(other))
                .contains(
                        "This bike learns alone: ratings of other bikes do not count here, and its own not there.",
                        "No feedback yet: for 80 % of riders it is between",
                        "Learn from the other bikes again");
        rider.post("/bikes/" + other + "/dialling/alone", Map.of());
        assertThat(page(other)).contains("Start from your other ratings:");
    }

    @Test
    void aBikeEnteredLaterStartsFromTheTasteThatIsKnown() {
        tooHard(known, 4);
        String third = TypedBike.enter(rider, "name", "Knot");
        assertThat(page(third)).contains("Start from your other ratings:");
    }

    @Test
    void aBikeOfSomebodyElseStandsAlone() {
        tooHard(known, 4);
        String lent = TypedBike.enter(rider, "name", "Wrens", "riderName", "Wren", "rider", "45");
        assertThat(page(lent))
                .contains("Ridden by Wren: it learns alone.", "No feedback yet: for 80 % of riders it is between")
                .doesNotContain("Let this bike learn alone");
    }
}
