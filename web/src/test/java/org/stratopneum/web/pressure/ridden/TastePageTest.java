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
        assertThat(page(other)).contains("Nobody has said anything yet").contains("Let it stand alone");
        String before = rider.get("/bikes/" + other + "/pressure").body();
        tooHard(known, 4);
        assertThat(page(other))
                .contains("No notes on this wheel yet", "what your other notes say of your taste")
                .containsPattern("taste: \\d+\\.\\d % (softer|harder)");
        assertThat(rider.get("/bikes/" + other + "/pressure").body()).isNotEqualTo(before);
        rider.post("/bikes/" + other + "/dialling/alone", Map.of("alone", "on"));
        assertThat(page(other))
                .contains("This bike stands alone", "Nobody has said anything yet", "Learn from the other bikes again");
        rider.post("/bikes/" + other + "/dialling/alone", Map.of());
        assertThat(page(other)).contains("what your other notes say of your taste");
    }

    @Test
    void aBikeEnteredLaterStartsFromTheTasteThatIsKnown() {
        tooHard(known, 4);
        String third = TypedBike.enter(rider, "name", "Knot");
        assertThat(page(third)).contains("what your other notes say of your taste");
    }

    @Test
    void aBikeOfSomebodyElseStandsAlone() {
        tooHard(known, 4);
        String lent = TypedBike.enter(rider, "name", "Wrens", "riderName", "Wren", "rider", "45");
        assertThat(page(lent))
                .contains("Ridden by Wren: it stands alone.", "Nobody has said anything yet")
                .doesNotContain("Let it stand alone");
    }
}
