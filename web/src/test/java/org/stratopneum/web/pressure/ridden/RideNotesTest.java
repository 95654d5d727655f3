package org.stratopneum.web.pressure.ridden;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Notes after rides, and what is learned from them. */
@ExtendWith(RunningApplication.class)
class RideNotesTest {

    private static final Pattern TOLD = Pattern.compile("id=\"told-(rear|front)\">([0-9.]+)<");
    private static final Pattern CHAIN = Pattern.compile("Without your feedback: ([0-9.]+) psi");

    private final Site site;
    private Guest rider;
    private String bike;

    RideNotesTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = "/bikes/" + TypedBike.enter(rider);
    }

    private String dialling() {
        return rider.get(bike + "/dialling").body();
    }

    private double told(String where) {
        Matcher told = TOLD.matcher(rider.pressures(bike + "/pressure"));
        while (told.find()) {
            if (told.group(1).equals(where)) {
                return Double.parseDouble(told.group(2));
            }
        }
        throw new AssertionError("nothing told for " + where);
    }

    private int note(String... pairs) {
        return rider.post(bike + "/rides", TypedRide.with(pairs)).statusCode();
    }

    private String entry() {
        Matcher found = Pattern.compile("/log/([0-9a-f-]{36})/correct").matcher(dialling());
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    @Test
    void whatTwoNotesSayMovesWhatIsToldAndStrikingMovesItBack() {
        double rear = told("rear");
        double front = told("front");
        assertThat(dialling()).contains("No feedback yet: for 80 % of riders it is between", "No rides yet.");
        assertThat(note("rear-start", "" + rear, "rear-feel", "TOO_HARD", "distance", "21"))
                .isEqualTo(302);
        assertThat(note("rear-start", "" + rear, "rear-feel", "TOO_HARD")).isEqualTo(302);
        assertThat(told("rear")).isLessThan(rear - 0.9);
        assertThat(told("front")).as("what the rear tells of the rider's taste").isBetween(0.85 * front, front - 0.4);
        String page = dialling();
        assertThat(page).contains("From 2 rides", "ridden 21 km, rear too hard", "dialling-band");
        Matcher chain = CHAIN.matcher(page);
        assertThat(chain.find()).isTrue();
        assertThat(Double.parseDouble(chain.group(1))).isCloseTo(rear, within(0.5));
        assertThat(rider.pressures(bike + "/pressure")).contains("Your feedback");

        for (int i = 0; i < 2; i++) {
            rider.post(bike + "/dialling/strike", Map.of("entry", entry()));
        }
        assertThat(told("rear")).isEqualTo(rear);
        assertThat(told("front")).isEqualTo(front);
        assertThat(dialling()).contains("No feedback yet: for 80 % of riders it is between");
    }

    @Test
    void silenceCountsAsNothing() {
        double rear = told("rear");
        note("distance", "30", "climb", "420", "rear-start", "" + rear);
        assertThat(dialling()).contains("ridden 30 km", "No feedback yet: for 80 % of riders it is between");
        assertThat(told("rear")).isEqualTo(rear);
    }

    @Test
    void itIsAskedOnlyWhileAnAnswerCouldMoveThePressure() {
        String start = "" + told("front");
        assertThat(rider.get(bike + "/rides/new?front-start=" + start).body())
                .contains("Your rating fine-tunes the recommendation; no rating so far");
        for (int i = 0; i < 30; i++) {
            note("front-start", "" + told("front"), "front-feel", "RIGHT");
        }
        String page = rider.get(bike + "/rides/new?front-start=" + start).body();
        assertThat(page)
                .contains("No rating would change the recommendation by what your gauge can show:", ": 30 are enough");
        assertThat(page)
                .as("the rear wheel was never spoken of")
                .contains("Your rating fine-tunes the recommendation;");
    }

    @Test
    void aBurpSaysMoreThanTooSoftAndOtherGroundHalf() {
        String start = "" + told("front");
        note("front-start", start, "front-feel", "TOO_SOFT");
        double soft = told("front");
        rider.post(bike + "/dialling/strike", Map.of("entry", entry()));
        note("front-start", start, "front-burp", "on");
        assertThat(told("front")).isGreaterThan(soft);
        rider.post(bike + "/dialling/strike", Map.of("entry", entry()));
        note("front-start", start, "front-feel", "TOO_SOFT", "ground1", "ROCK", "share1", "100");
        // the chain of that ground is higher, so that the same pressure was farther below it
        assertThat(dialling()).contains("From 1 ride", "front too soft");
    }

    @Test
    void forgettingLearnsAnewAndCanBeTakenBack() {
        double rear = told("rear");
        note("rear-start", "" + rear, "rear-feel", "TOO_HARD");
        note("rear-start", "" + rear, "rear-feel", "TOO_HARD");
        double learned = told("rear");
        String wheel = rider.ids("/garage", "/wheels/").get(0);
        String reset = UUID.randomUUID().toString();
        rider.post(bike + "/dialling/reset", Map.of("wheel", wheel, "entry", reset));
        assertThat(told("rear")).isEqualTo(rear);
        rider.post(bike + "/dialling/strike", Map.of("entry", reset));
        assertThat(told("rear")).isEqualTo(learned);
    }

    @Test
    void theRidersOwnNumberStandsBesideWhatIsTold() {
        String wheel = rider.ids("/garage", "/wheels/").get(0);
        double own = told("rear") + 2.5;
        var answer = rider.post(
                bike + "/own-number",
                Map.of("wheel", wheel, "entry", UUID.randomUUID().toString(), "own", "" + own));
        assertThat(answer.statusCode()).isEqualTo(302);
        String said = "Your setting " + own + " psi";
        assertThat(dialling()).contains(said, "2.5 psi above the recommendation");
        assertThat(rider.pressures(bike + "/pressure")).contains(said);
        assertThat(told("rear")).as("it moves nothing").isEqualTo(own - 2.5);
        var faulty = rider.post(
                bike + "/own-number",
                Map.of("wheel", wheel, "entry", UUID.randomUUID().toString(), "own", "900"));
        assertThat(faulty.statusCode()).isEqualTo(422);
        assertThat(faulty.body()).contains("must be at most 174.04 psi", "value=\"900\"");
        rider.post(
                bike + "/own-number",
                Map.of("wheel", wheel, "entry", UUID.randomUUID().toString(), "own", ""));
        assertThat(dialling()).doesNotContain(said);
    }

    @Test
    void aRideIsPutRightInItsOwnForm() {
        String start = "" + told("rear");
        note("rear-start", start, "rear-feel", "TOO_HARD", "distance", "12", "hours", "1.5", "at", "2026-01-05T10:00");
        String id = entry();
        var form = rider.get("/log/" + id + "/correct");
        assertThat(form.statusCode()).isEqualTo(302);
        String at = bike + "/rides/new?corrects=" + id;
        assertThat(rider.get(at).body())
                .contains("Edit a ride: Plover", "value=\"12\"", "value=\"1.5\"", "value=\"2026-01-05T10:00\"")
                .containsPattern("value=\"TOO_HARD\"[^>]*selected");
        note("corrects", id, "rear-start", start, "rear-feel", "TOO_SOFT", "distance", "13", "at", "2026-01-05T10:00");
        assertThat(dialling()).contains("ridden 13 km, rear too soft").doesNotContain("ridden 12 km, rear too hard");
        assertThat(note("corrects", id, "distance", "14"))
                .as("put right already")
                .isEqualTo(409);
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsLost() {
        var answer = rider.post(
                bike + "/rides",
                TypedRide.with(
                        "rear-start",
                        "3",
                        "rear-feel",
                        "TOO_HARD",
                        "rear-burp",
                        "on",
                        "front-feel",
                        "RIGHT",
                        "distance",
                        "far",
                        "climb",
                        "99999"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains(
                        "speak against each other",
                        "is far from the",
                        "Required: a rating counts only with the starting pressure")
                .contains("Enter a number, e.g. 21.5", "must be at most 50000 m", "value=\"far\"");
        assertThat(dialling()).contains("No rides yet.");
    }
}
