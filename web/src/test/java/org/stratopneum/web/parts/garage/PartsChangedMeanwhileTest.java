package org.stratopneum.web.parts.garage;

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

/** Parts and bikes are changed by forms that may be old, or wrong. */
@ExtendWith(RunningApplication.class)
class PartsChangedMeanwhileTest {

    private final Site site;
    private Guest rider;
    private String bike;
    private String wheel;

    PartsChangedMeanwhileTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = TypedBike.enter(rider, "rear-hooklessOk", "no");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    @Test
    void whoComesSecondIsToldAndLosesNothing() {
        String tire = "/tires/" + rider.ids(wheel, "/tires/").get(0);
        Map<String, String> fields = new HashMap<>(Map.of("version", "0", "size", "57-622", "tire", "First"));
        assertThat(rider.post(tire, fields).statusCode()).isEqualTo(302);
        fields.put("tire", "Second");
        HttpResponse<String> second = rider.post(tire, fields);
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body())
                .contains(
                        "This was changed elsewhere in the meantime. Below is what you entered; saving again replaces it.",
                        "value=\"Second\"");
        assertThat(rider.get(wheel).body()).contains("First").doesNotContain("Second");
    }

    @Test
    void aRimUnderATireIsNotChangedIntoWhatTheTireCannotStandOn() {
        String rim = "/rims/" + rider.ids(wheel, "/rims/").get(0);
        Map<String, String> fields =
                new HashMap<>(Map.of("version", "0", "rimDiameter", "584", "rimWidth", "30", "bed", "TAPED"));
        HttpResponse<String> smaller = rider.post(rim, fields);
        assertThat(smaller.statusCode()).isEqualTo(422);
        assertThat(smaller.body()).contains("does not fit this rim: its bead seat is");
        fields.put("rimDiameter", "622");
        fields.put("hookless", "on");
        assertThat(rider.post(rim, fields).body())
                .contains(
                        "this rim is hookless and needs a hookless-compatible tire. Any other can come off while you ride");
        fields.remove("hookless");
        fields.put("rimMax", "58");
        assertThat(rider.post(rim, fields).statusCode()).isEqualTo(302);
        assertThat(rider.get(wheel).body()).contains("58.0 psi (4.00 bar)");
    }

    @Test
    void whatIsInUseStaysOutOfRetirement() {
        String tire = rider.ids(wheel, "/tires/").get(0);
        HttpResponse<String> answer = rider.post("/tires/" + tire + "/retire", Map.of());
        assertThat(answer.headers().firstValue("Location").orElse("")).endsWith("/garage?notice=in-use");
        assertThat(rider.get("/garage?notice=in-use").body())
                .contains("It is in use: take it out first, then retire it.");

        rider.post(wheel + "/take-off", Map.of());
        rider.post("/tires/" + tire + "/retire", Map.of());
        assertThat(rider.get("/garage").body()).contains("retired");
        assertThat(rider.get(wheel + "/history").body()).as("its history stays").contains("57-622");
    }

    @Test
    void massesAndRideOfABikeChangeWhatIsTold() {
        Map<String, String> fields = TypedBike.with("version", "0", "rider", "90", "name", "Plover II");
        String edit = "/bikes/" + bike + "/edit";
        assertThat(rider.post(edit, fields).statusCode()).isEqualTo(302);
        assertThat(rider.get("/").body()).contains("Plover II");
        assertThat(rider.pressures("/bikes/" + bike + "/pressure")).contains("total 103.0 kg");
        fields.put("bike", "999");
        HttpResponse<String> faulty = rider.post(edit, fields);
        assertThat(faulty.statusCode()).isEqualTo(422);
        assertThat(faulty.body()).contains("value=\"999\"", "must be at most");
    }

    /** Two weights replace the share by posture: 30 of 90 kg are 33.3 % on the front. */
    @Test
    void wheelsWeighedOnAScaleReplaceThePosture() {
        String edit = "/bikes/" + bike + "/edit";
        String before = rider.pressures("/bikes/" + bike + "/pressure");
        Map<String, String> fields = TypedBike.with("version", "0", "weighedRear", "60", "weighedFront", "30");
        assertThat(rider.post(edit, fields).statusCode()).isEqualTo(302);
        assertThat(rider.get(edit).body())
                .contains("33.3 % of the load is on the front wheel; by riding position alone it would be 48.0 %");
        assertThat(rider.pressures("/bikes/" + bike + "/pressure"))
                .as("more on the rear: other pressures")
                .isNotEqualTo(before)
                .contains("Load on this wheel 55.3 kg", "Load on this wheel 27.7 kg");

        fields.put("version", "1");
        fields.put("weighedFront", "");
        assertThat(rider.post(edit, fields).body()).contains("fault-weighedFront", "Required");
        fields.put("weighedFront", "2");
        assertThat(rider.post(edit, fields).body()).contains("less than a tenth of the weight on one wheel");
        fields.put("weighedFront", "900");
        assertThat(rider.post(edit, fields).body()).contains("must be at most 300 kg, was 900 kg");
        fields.put("weighedRear", "");
        fields.put("weighedFront", "");
        assertThat(rider.post(edit, fields).statusCode()).isEqualTo(302);
        assertThat(rider.get(edit).body())
                .as("back to the posture")
                .doesNotContain("% of the load is on the front wheel; by riding position alone it would be");
    }

    @Test
    void sentTwiceABikeIsKeptOnce() {
        Map<String, String> fields = TypedBike.with("name", "Once");
        rider.post("/bikes", fields);
        rider.post("/bikes", fields);
        assertThat(rider.get("/garage").body()).containsOnlyOnce("<h3 id=\"bike-" + fields.get("id"));
    }
}
