package org.stratopneum.web.pressure.air;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Pump, cartridges and chamber for a 60-622 on a 30 mm rim, which holds 5.83 l. */
@ExtendWith(RunningApplication.class)
class AirOnHandTest {

    private static final Pattern STROKES = Pattern.compile("About (\\d+) strokes");

    private final Site site;
    private Guest rider;
    private String air;

    AirOnHandTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-size", "60-622", "rear-measuringRim", "30", "rear-tireMax", "45");
        air = "/wheels/" + rider.ids("/garage", "/wheels/").get(0) + "/air";
    }

    private String page(String query) {
        var answer = rider.get(air + query);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    /** A 1.0 l chamber at 150 psi into 5.8 l gives 22 psi (common practice); 25 g in 5.828 l: 34.0 psi at best (handbook). */
    @Test
    void chamberAndCartridgeSayWhatTheyGiveInThisTire() {
        assertThat(page("?chamberL=1&chamberCharge=150&cartridgeG=25"))
                .contains("60-622, 5.83 l of air", "leaves the tire at 22.0 psi", "34.0 psi");
        assertThat(page("?chamberL=3&chamberCharge=250")).contains("Charge the chamber to");
    }

    @Test
    void aPartUsedCartridgeGivesWhatIsLeftInIt() {
        String half = page("?cartridgeG=25&left=50&target=");
        String small = page("?cartridgeG=12.5&target=");
        assertThat(table(half)).isEqualTo(table(small)).isNotEqualTo(table(page("?cartridgeG=25&target=")));
        assertThat(page("?cartridgeG=16&target=30")).contains("2 full cartridges of 16 g likely reach 30.0 psi");
        assertThat(page("?cartridgeG=16&from=30&target=30")).contains("It holds that already");
    }

    private static String table(String page) {
        int from = page.indexOf("<tbody>");
        return page.substring(from, page.indexOf("</tbody>", from));
    }

    /** Twice the barrel, half the strokes; and the told pressure is the target that stands there. */
    @Test
    void aLargerPumpTakesFewerStrokes() {
        int small = strokes(page("?stroke=60&pumpMost=120"));
        int large = strokes(page("?stroke=120&pumpMost=120"));
        assertThat(small).isBetween(2 * large - 2, 2 * large);
        assertThat(strokes(page("?stroke=60&pumpMost=120&from=15"))).isLessThan(small);
        assertThat(strokes(page("?stroke=60&pumpMost=120&height=2000")))
                .as("thin air takes more")
                .isGreaterThan(small);
    }

    private static int strokes(String page) {
        Matcher found = STROKES.matcher(page);
        assertThat(found.find()).as(page).isTrue();
        return Integer.parseInt(found.group(1));
    }

    @Test
    void whatCannotBeIsSaidAtItsFieldAndWhatWasTypedStays() {
        assertThat(page("?target=60")).contains("must be at most 45 psi, the lowest of what tire and rim allow");
        assertThat(page("?stroke=60&pumpMost=20&target=30")).contains("is not enough for that: it does 20 psi");
        assertThat(page("?stroke=60")).contains("fault-pumpMost", "Required");
        assertThat(page("?chamberL=99&cartridgeG=none&cartridges=1.5"))
                .contains("must be at most 10", "value=\"none\"", "must be a whole number");
        assertThat(page("?cartridgeG=100&cartridges=20&target="))
                .contains("beyond what the equation of the gas describes");
    }
}
