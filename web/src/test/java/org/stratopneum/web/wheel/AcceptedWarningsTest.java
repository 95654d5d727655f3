package org.stratopneum.web.wheel;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
class AcceptedWarningsTest {

    private static final String WARNING = "tubeless-not-marked";

    private final Site site;
    private Guest rider;
    private String wheel;

    AcceptedWarningsTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void aTireThatWasNotMadeForTubeless() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-tubeless", "no");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private HttpResponse<String> accept(String code, String note) {
        return rider.post(wheel + "/accept", Map.of("code", code, "note", note));
    }

    @Test
    void aWarningIsAcceptedWithANoteThatStaysWithTheSetUp() {
        assertThat(rider.get(wheel).body()).contains("Warning", "I know, and ride it");
        assertThat(accept(WARNING, "seeps, checked daily").statusCode()).isEqualTo(302);
        assertThat(rider.get(wheel).body())
                .contains("Accepted.", "Your note: seeps, checked daily")
                .doesNotContain("I know, and ride it");
        assertThat(rider.get("/log").body()).contains("accepted: tire not made for tubeless (seeps, checked daily)");

        rider.post(wheel + "/take-off", Map.of());
        assertThat(rider.get(wheel).body()).as("with the tire it goes").doesNotContain("Your note:");
    }

    @Test
    void withoutANoteItIsNotAcceptedAndWhatWasTypedStays() {
        assertThat(accept(WARNING, "").statusCode()).isEqualTo(422);
        var longest = accept(WARNING, "x".repeat(201));
        assertThat(longest.statusCode()).isEqualTo(422);
        assertThat(longest.body()).contains("must have at most 200 characters", "x".repeat(201));
    }

    @Test
    void whatIsFineOrBlocksCannotBeAccepted() {
        assertThat(accept("bead-seats-match", "why not").statusCode()).isEqualTo(422);
        assertThat(accept("rim-bed-untaped", "I like it so").body()).doesNotContain("Your note:");
    }

    /** Common practice: 4 mm each side at least, 6 mm for mud. The tire is 57.0 mm wide on this rim. */
    @Test
    void roomBesideTheTireIsCheckedOnceTheFrameIsMeasured() {
        assertThat(rider.get(wheel).body()).contains("clearance beside the tire");
        Guest tight = Guest.withAccount(site);
        TypedBike.enter(tight, "openingRear", "67", "openingFront", "90", "rear-measuringRim", "30");
        String rear = "/wheels/" + tight.ids("/garage", "/wheels/").get(0);
        assertThat(tight.get(rear).body()).contains("There is 5 mm beside the tire", "mud needs 6 mm");
        Guest none = Guest.withAccount(site);
        TypedBike.enter(none, "openingRear", "50", "rear-measuringRim", "30");
        String squeezed = "/wheels/" + none.ids("/garage", "/wheels/").get(0);
        assertThat(none.get(squeezed).body()).contains("3.5 mm wider on each side than the frame or fork allows");
    }
}
