package org.stratopneum.web.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
class PocketCardTest {

    private final Site site;

    PocketCardTest(Site site) {
        this.site = site;
    }

    private static String row(String page, String ground) {
        int from = page.indexOf(">" + ground + "</th>");
        assertThat(from).as(ground).isPositive();
        return page.substring(from, page.indexOf("</tr>", from));
    }

    /** What stands on the card is what the pressure page tells for the same ground. */
    @Test
    void theCardSaysWhatThePressurePageSaysGroundByGround() {
        Guest rider = Guest.withAccount(site);
        String bike = "/bikes/" + TypedBike.enter(rider);
        String card = rider.get(bike + "/pocket").body();
        assertThat(card).contains("Plover", "usual ride", "Max rear 57-622: 50.0 psi");
        assertThat(row(card, "usual ride").replace("usual ride", ""))
                .as("the usual ride is one ground")
                .isEqualTo(row(card, "cross-country trail").replace("cross-country trail", ""));
        for (Ground ground : new Ground[] {Ground.ROCK, Ground.SAND_SNOW, Ground.SMOOTH_PAVEMENT}) {
            String page = rider.pressures(bike + "/pressure?ground1=" + ground + "&share1=100");
            String told = page.substring(page.indexOf("id=\"told-rear\">") + 15);
            told = told.substring(0, told.indexOf('<'));
            assertThat(row(card, word(ground))).as(ground.name()).contains("<strong>" + told + " psi</strong>", " bar");
        }
    }

    private static String word(Ground ground) {
        return switch (ground) {
            case ROCK -> "rock and drops";
            case SAND_SNOW -> "sand or snow";
            default -> "smooth pavement";
        };
    }

    @Test
    void whatCannotBeRiddenHasNoNumberAndWithoutATireThereIsNoCard() {
        Guest rider = Guest.withAccount(site);
        String bike = "/bikes/" + TypedBike.enter(rider, "luggageRear", "190");
        assertThat(row(rider.get(bike + "/pocket").body(), "rock and drops")).contains("not with this tire and load");
        rider.post("/wheels/" + rider.ids("/garage", "/wheels/").get(0) + "/take-off", Map.of());
        assertThat(rider.get(bike + "/pocket").body()).doesNotContain("<table>");
    }
}
