package org.stratopneum.web.trailside.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
class KitPageTest {

    private final Site site;
    private Guest rider;
    private String page;

    KitPageTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        page = "/bikes/" + TypedBike.enter(rider) + "/kit";
    }

    private HttpResponse<String> count(String version, String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of("version", version));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return rider.post(page, fields);
    }

    private String body() {
        return rider.get(page).body();
    }

    @Test
    void aBagThatNobodyCountedSaysWhatToDoFirst() {
        assertThat(body()).contains("Not checked yet", "id=\"plugsWant\"").doesNotContain("Does it fit?");
    }

    @Test
    void whatIsCountedStandsWithWhatIsMissing() {
        assertThat(count("0", "plugs", "2", "plugsWant", "4", "plugTool", "on", "boots", "1", "bootsWant", "1")
                        .statusCode())
                .isEqualTo(302);
        assertThat(body())
                .contains("Checked on", "Plugs: 2", "Nothing to put air in with", "No tube: a slash ends the ride")
                .doesNotContain("Boot: 1");
    }

    @Test
    void whatDoesNotFitIsSaidWheelByWheel() {
        count(
                "0",
                "tubes",
                "1",
                "tubeMin",
                "28",
                "tubeMax",
                "42",
                "tubeBsd",
                "622",
                "cartridges",
                "1",
                "cartridgeG",
                "16",
                "plugs",
                "3",
                "headShuts",
                "on");
        assertThat(body())
                .contains(
                        "The tube is made for 28 mm to 42 mm; a tire of 57 mm stretches it beyond what rubber bears",
                        "Plugs, but no tool",
                        "1 cartridge, 16 g")
                .containsPattern("likely come to \\d+\\.\\d psi");
        count("1", "tubes", "1", "tubeMin", "47", "tubeMax", "62", "tubeBsd", "584", "pump", "FLOOR");
        assertThat(body()).contains("The tube is made for a bead seat of 584 mm, the tire has 622 mm", "strokes");
    }

    @Test
    void faultsStandBesideTheirFieldsAndKeepWhatWasTyped() {
        HttpResponse<String> answer = count(
                "0",
                "plugs",
                "150",
                "boots",
                "1.5",
                "cartridges",
                "2",
                "cartridgeG",
                "",
                "tubes",
                "1",
                "tubeMin",
                "60",
                "tubeMax",
                "50",
                "tubeBsd",
                "622",
                "pump",
                "OWN",
                "pumpStroke",
                "5",
                "opened",
                "120");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("value=\"150\"", "value=\"1.5\"", "value=\"120\"", "at most 99", "must be a whole number")
                .contains("at least 60 mm", "at least 10 ml", "at most 100 %")
                .containsPattern("id=\"fault-cartridgeG\">Required")
                .containsPattern("id=\"fault-pumpMost\">Required");
        assertThat(body()).contains("Not checked yet");
    }

    @Test
    void whoeverCountsSecondIsTold() {
        count("0", "plugs", "2");
        HttpResponse<String> second = count("0", "plugs", "5");
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("value=\"5\"");
        assertThat(count("1", "plugs", "5").statusCode()).isEqualTo(302);
        assertThat(count("1", "plugs", "6").statusCode()).isEqualTo(409);
        assertThat(body()).contains("value=\"5\"");
    }

    @Test
    void aMeasuredPumpIsShownInTheRidersUnitAndKeptExactly() {
        count("0", "pump", "OWN", "pumpStroke", "95", "pumpMost", "65");
        assertThat(body())
                .containsPattern("name=\"pumpMost\"[^>]*value=\"65(\\.0)?\"")
                .contains("strokes");
    }
}
