package org.stratopneum.web.fleet.gauges;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Gauges that disagree: pairs, the fit that they give, and what is told and read with the one in hand. */
@ExtendWith(RunningApplication.class)
class GaugesTest {

    private final Site site;
    private Guest rider;
    private String pump;
    private String dial;

    GaugesTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void twoGauges() {
        rider = Guest.withAccount(site);
        pump = gauge("Hut pump", "PSI");
        dial = gauge("Station dial", "PSI");
        assertThat(rider.get(dial).body()).contains("No gauge is the reference yet");
        rider.post(pump + "/reference", Map.of());
    }

    private String gauge(String name, String unit) {
        String id = UUID.randomUUID().toString();
        rider.post("/gauges", Map.of("newId", id, "name", name, "unit", unit));
        return "/gauges/" + id;
    }

    private String pair(String shown, String reference) {
        var answer = rider.post(
                dial + "/pairs", Map.of("pair", UUID.randomUUID().toString(), "shown", shown, "reference", reference));
        return answer.statusCode() == 302 ? rider.get(dial).body() : answer.body();
    }

    /** reference = shown / 1.1 - 1: what shows 34.1 stands at 30 psi. */
    @Test
    void threePairsOverTheRangeTellOffsetAndSlope() {
        assertThat(pair("23.1", "20")).contains("-3.1 psi make a reading of it one of the reference (one pair)");
        assertThat(pair("34.1", "30")).contains("would also tell how it runs over the range");
        String page = pair("56.1", "50");
        assertThat(page)
                .contains("-1 psi and times 0.909 make a reading of it one of the reference (3 pairs)")
                .contains("A pair lies about 0 psi off that", "here 45.1 psi", "strike-told");

        String wrong = pair("40", "60");
        assertThat(wrong).doesNotContain("A pair lies about 0 psi off");
        String id = wrong.substring(wrong.indexOf("name=\"pair\" value=\"", wrong.indexOf("entry-line")) + 19);
        rider.post(dial + "/pairs/strike", Map.of("pair", id.substring(0, 36)));
        assertThat(rider.get(dial).body()).contains("A pair lies about 0 psi off that", "Restore");
        rider.post(dial + "/pairs/put-back", Map.of("pair", id.substring(0, 36)));
        assertThat(rider.get(dial).body()).doesNotContain("A pair lies about 0 psi off");
    }

    @Test
    void readingsStayAsReadAndAreJudgedAsTheReferenceWouldShow() {
        pair("23", "20");
        pair("33", "30");
        rider.post(dial + "/in-hand", Map.of());
        String bike = TypedBike.enter(rider);
        String told = "/bikes/" + bike + "/pressure";
        assertThat(rider.pressures(told)).contains("on Station dial: ");

        Map<String, String> reading = Map.of(
                "rear",
                "23",
                "front",
                "",
                "unit",
                "PSI",
                "state",
                "FOUND",
                "rearEntry",
                UUID.randomUUID().toString());
        assertThat(rider.post("/bikes/" + bike + "/readings", reading).statusCode())
                .isEqualTo(302);
        assertThat(rider.get("/log").body()).contains("read 23.0 psi", "Station dial", "20.0 psi by the reference");
        assertThat(rider.get("/").body())
                .as("judged as the reference would show")
                .contains("20.0 psi");

        rider.post(pump + "/in-hand", Map.of());
        assertThat(rider.pressures(told)).doesNotContain("on Station dial: ");
        assertThat(rider.get("/log").body())
                .as("the reading was taken with the dial")
                .contains("20.0 psi by the reference");
    }

    @Test
    void whatAJobCardReadsCarriesTheGaugeInHandToo() {
        pair("23", "20");
        rider.post(dial + "/in-hand", Map.of());
        TypedBike.enter(rider);
        String wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        JobCard card = JobCard.begin(rider, wheel, "HOLD_TEST");
        card.goTo("inflate-to-hold");
        assertThat(card.page()).as("50 psi by the reference is 53 on the dial").contains("53.0 psi on your gauge");
        card.goTo("hold-start");
        assertThat(card.answer("unit", "PSI", "value", "53.5", "temperature", "20")
                        .body())
                .as("above 50 psi by the reference")
                .contains("let air out to");
        card.answer("unit", "PSI", "value", "40", "temperature", "20");
        assertThat(rider.get(wheel + "/history").body())
                .contains("leak-down test started at 40.0 psi", "37.0 psi by the reference");
    }

    @Test
    void whatCannotBeIsSaidAndChangesNothing() {
        assertThat(pair("", "fast")).contains("fault-shown", "Required", "Enter a number, e.g. 21.5", "value=\"fast\"");
        assertThat(pair("9999", "20")).contains("must be at most 290");
        pair("20", "20");
        pair("30", "60");
        assertThat(pair("60", "140")).contains("No working gauge is like this");
        assertThat(rider.get("/garage").body()).contains("Hut pump", "psi, reference");

        rider.post(pump + "/retire", Map.of());
        assertThat(rider.get(dial).body())
                .as("nothing to compare with any more")
                .contains("No gauge is the reference");
    }
}
