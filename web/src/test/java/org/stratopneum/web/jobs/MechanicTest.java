package org.stratopneum.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Job cards as a good mechanic does them: what is known is believed and kept, and what is found becomes work. */
@ExtendWith(RunningApplication.class)
class MechanicTest {

    private final Site site;
    private Guest rider;
    private String wheel;

    MechanicTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private void enterTubes() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-size", "60-622", "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private void onTheShelf(String... pairs) {
        Map<String, String> fields =
                new HashMap<>(Map.of("newId", UUID.randomUUID().toString(), "amount", "1"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        assertThat(rider.post("/shelf", fields).statusCode()).isEqualTo(302);
    }

    /** Only the fields of the form that the job asks for, as a browser sends them. */
    private JobCard begin(String job, String... pairs) {
        Map<String, String> fields =
                new HashMap<>(Map.of("job", job, "newId", UUID.randomUUID().toString()));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post(wheel + "/jobs", fields);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        return JobCard.at(
                rider, answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]+", ""));
    }

    private String asked(String job) {
        return rider.get(wheel + "/jobs/new?job=" + job).body();
    }

    private static String ticked(String field) {
        return "name=\"" + field + "\" aria-describedby=\"fault-" + field + "\" checked=\"checked\"";
    }

    @Test
    void aCardKeepsWhatItAskedAndNothingElse() {
        begin("REFRESH_AT_BEAD", "disc", "on", "coreRemovable", "on", "valveKind", "PRESTA", "hub", "THRU_AXLE");
        for (String other : new String[] {"HOLD_TEST", "ADD_AIR", "PREVENTION_LOOK", "BEFORE_RIDING"}) {
            begin(other, "valveKind", "PRESTA");
        }
        String again = asked("REFRESH_THROUGH_VALVE");
        assertThat(again).contains(ticked("coreRemovable"), "Known from before. Change");
        assertThat(asked("CHANGE_TIRE"))
                .contains(ticked("disc"), ticked("injector"), ticked("overnight"))
                .containsPattern("<option value=\"THRU_AXLE\" selected");
        assertThat(begin("REFRESH_THROUGH_VALVE", "coreRemovable", "on", "valveKind", "PRESTA", "topUp", "40")
                        .step())
                .isEqualTo("refresh-stand");

        // the other wheel of the bike has its own valve and hub, and the bike's brakes
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(1);
        assertThat(asked("CHANGE_TIRE"))
                .contains(ticked("disc"), "Asked once")
                .doesNotContainPattern("<option value=\"THRU_AXLE\" selected");
    }

    @Test
    void theValveIsAskedOnceAndTheStepsFollowIt() {
        enterTubes();
        JobCard card = begin("ADD_AIR", "valveKind", "DUNLOP");
        assertThat(card.page()).contains("lets a gauge read only while you pump");
        assertThat(asked("ADD_AIR")).containsPattern("<option value=\"DUNLOP\" selected");
        JobCard swap = begin("SWAP_TUBE", "valveKind", "DUNLOP", "disc", "on", "tubeKind", "BUTYL_TUBE");
        swap.goTo("air-out");
        assertThat(swap.page()).contains("Loosen the nut and lift the core until the tube is empty");
        JobCard wide = begin("ADD_AIR", "valveKind", "SCHRADER");
        assertThat(wide.page()).contains("Cap off");
        wide.goTo("pressure-set");
        wide.answer("value", "150");
        assertThat(wide.step()).isEqualTo("cap-on");
    }

    @Test
    void theWheelIsHeldByWhatWasSaidOfIt() {
        enterTubes();
        JobCard card = begin("FIT_TUBE", "eBike", "on", "hub", "HUB_MOTOR", "tubeKind", "BUTYL_TUBE");
        assertThat(card.step()).isEqualTo("battery-out");
        card.goTo("brake-open");
        card.goTo("wheel-off");
        assertThat(card.page()).contains("mark which way the washers face");
        card.goTo("wheel-in");
        assertThat(card.page()).contains("torque washers as marked");
    }

    @Test
    void whatGivesTheMostAirIsOnTheShelfAndComesFirst() {
        enterTubes();
        onTheShelf("kind", "TOOL", "name", "Workshop compressor", "tool", "COMPRESSOR");
        assertThat(asked("CONVERT")).contains(ticked("compressor"));
        JobCard card = JobCard.begin(rider, wheel, "CONVERT", "compressor", "on", "soapFirst", "on");
        card.goTo("seat-soap");
        card.answer("answer", "DONE");
        assertThat(card.step()).isEqualTo("before-compressor");
        assertThat(asked("FIT_DRY")).contains(ticked("soapFirst"));
    }

    /** docs/handbook, page 2: 28 mm on a 30 mm bed, 24 mm over each other; two turns of 622 and 100 mm: 3.96 m. */
    @Test
    void aNarrowTapeIsLaidTwiceAndOneThatCannotCoverIsRefused() {
        enterTubes();
        String narrow = UUID.randomUUID().toString();
        onTheShelf("kind", "TAPE", "name", "Birch 28", "amount", "10", "width", "28", "newId", narrow);
        JobCard card = JobCard.begin(rider, wheel, "TAPE_RIM", "tape", narrow);
        card.goTo("tape-cut");
        assertThat(card.page())
                .contains("Tape of 28 mm, about 3.96 m of it, in two passes that lie 24 mm over each other");
        card.goTo("tape-other-side");
        assertThat(card.page()).contains("24 mm over the first one");
        card.goToTheEnd();
        assertThat(rider.get("/garage").body()).contains("6 m left of 10 m");

        String thin = UUID.randomUUID().toString();
        onTheShelf("kind", "TAPE", "name", "Birch 15", "amount", "10", "width", "15", "newId", thin);
        assertThat(rider.post(wheel + "/jobs", JobCard.fields("TAPE_RIM", "tape", thin))
                        .body())
                .contains("not even two passes cover the bed");
        assertThat(rider.post(wheel + "/jobs", JobCard.fields("TAPE_RIM", "tapeMaterial", "ELECTRICAL"))
                        .body())
                .contains("its glue creeps and leaks");
        JobCard cloth = JobCard.begin(rider, wheel, "TAPE_RIM", "tapeMaterial", "CLOTH");
        cloth.goTo("tape-second-turn");
        assertThat(cloth.page()).contains("until the tape is 2 times round");
    }

    @Test
    void aRimThatWasTapedIsBelievedAndAStockTireIsNotScrubbed() {
        enterTubes();
        bed("TAPED");
        JobCard card = JobCard.begin(rider, wheel, "CONVERT", "tapeStart", "THREE_HOLES");
        card.goTo("tape-sound");
        assertThat(card.page()).contains("does it reach both walls?");
        card.goTo("valve-press");
        card.goTo("beads-wiped");
    }

    private void bed(String bed) {
        String rim = "/rims/" + rider.ids(wheel, "/rims/").get(0);
        Map<String, String> fields = new HashMap<>(Map.of("version", "0", "rimWidth", "30", "rimDiameter", "622"));
        fields.put("bed", bed);
        assertThat(rider.post(rim, fields).statusCode()).isEqualTo(302);
    }

    /** An unmarked 23-622 on a rim for tubes only: refused before the first step, and what to do instead is said. */
    @Test
    void aSetUpThatCannotBeIsRefusedBeforeTheFirstStep() {
        rider = Guest.withAccount(site);
        TypedBike.enter(
                rider,
                "posture",
                "ROAD",
                "rear-size",
                "23-622",
                "rear-rimWidth",
                "15",
                "rear-tireMax",
                "120",
                "rear-tubeless",
                "no",
                "rear-setup",
                "BUTYL_TUBE",
                "front-setup",
                "BUTYL_TUBE",
                "ground1",
                "SMOOTH_PAVEMENT");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        for (String job : new String[] {"CONVERT", "FIT_DRY", "SEAT"}) {
            var refused = rider.post(wheel + "/jobs", JobCard.fields(job));
            assertThat(refused.statusCode()).as(job).isEqualTo(422);
            assertThat(refused.body())
                    .as(job)
                    .contains(
                            "too narrow to try",
                            "id=\"tube-instead\"",
                            "sealant goes into it where its core comes out");
        }
        assertThat(rider.get("/jobs").body()).doesNotContain("/cards/");
        assertThat(rider.get(wheel + "/needs?as=TUBELESS").body())
                .contains("Not tubeless with these parts", "too narrow to try", "id=\"tube-instead\"");
        assertThat(JobCard.begin(rider, wheel, "SEALANT_IN_TUBE").step()).isEqualTo("what-tube-sealant-closes");
    }

    /** docs/handbook, page 2: 60-622 about 41 ml of a thin one; looked at after six months. */
    @Test
    void sealantInATubeIsWorkedOutNotedAndLookedAtAfterSixMonths() {
        enterTubes();
        JobCard card = JobCard.begin(rider, wheel, "SEALANT_IN_TUBE");
        assertThat(card.page()).contains("up to 3 mm");
        card.goTo("fill-syringe");
        assertThat(card.page()).contains("About 41 ml by syringe");
        card.goTo("tube-sealant-ml");
        assertThat(card.page()).contains("value=\"41\"");
        card.answer("value", "41");
        card.goToTheEnd();
        assertThat(card.page()).contains("Done");
        assertThat(rider.get("/log").body()).contains("sealant in, 41 ml");
        assertThat(rider.get(wheel + "/sealant").body()).contains("In the tube: 41 ml of sealant");
        assertThat(rider.get("/").body()).doesNotContain("Check the sealant");
        MovableClock.after(
                rider,
                Duration.ofDays(184),
                () -> assertThat(rider.get("/todo").body()).contains("Check the sealant"));
    }

    @Test
    void whatAnInspectionFindsIsWorkWithItsDayAndItsCard() {
        JobCard card = begin("PREVENTION_LOOK");
        card.goTo("look-worn");
        card.answer("answer", "YES");
        card.answer("answer", "YES");
        card.goTo("look-open");
        card.answer("answer", "YES");
        card.goTo("look-tape");
        card.answer("answer", "DAMAGED");
        assertThat(card.page()).contains("Done");
        assertThat(rider.get("/todo").body())
                .contains("this one is worn", "Look at the plug", "Retape the rim")
                .contains("job=CHANGE_TIRE", "job=PLUG_AND_PATCH", "job=RETAPE");

        JobCard cut = begin("PREVENTION_LOOK");
        cut.goTo("look-tread");
        cut.answer("answer", "CUT_FOUND");
        cut.answer("answer", "TOO_LARGE");
        assertThat(cut.page()).contains("Stopped: fix it before the next ride", "boot inside");
        assertThat(rider.get("/todo").body()).contains("Put a boot in", "job=BOOT", "cut through its threads");
    }

    @Test
    void whatIsFoundOnAWheelWithATubeIsMendedByTheCardsOfTubes() {
        enterTubes();
        JobCard card = begin("PREVENTION_LOOK");
        card.goTo("look-worn");
        card.answer("answer", "YES");
        card.goTo("look-valve");
        card.answer("answer", "DAMAGED");
        assertThat(rider.get("/todo").body())
                .contains("job=FIT_TUBE", "job=SWAP_TUBE")
                .doesNotContain("job=CHANGE_TIRE");
        for (String job : new String[] {"CHANGE_TIRE", "RETAPE", "PLUG_AND_PATCH", "MEND_BEAD", "SETTLE", "DIP"}) {
            assertThat(JobCard.begin(rider, wheel, job).page()).as(job).contains("a tube holds the air");
        }
        assertThat(begin("HOLD_TEST").step()).as("nothing is shaken in a tube").isEqualTo("inflate-to-hold");
    }

    /** 50 psi are printed: 344.7 kPa. The advice for this tire is far below. */
    @Test
    void aPressureThatCannotBeRightIsSaidAtOnce() {
        JobCard card = begin("ADD_AIR", "valveKind", "PRESTA");
        card.goTo("pressure-found");
        card.answer("value", "380");
        assertThat(card.page()).contains("Above the limit of", "let air out now");
        card.answer("answer", "DONE");
        card.goTo("pressure-set");
        card.answer("value", "320");
        assertThat(card.page()).contains("more than one and a half times the recommended");
        card.goToTheEnd();
        assertThat(rider.get("/log").body()).contains("380", "set to 320");

        JobCard unit = begin("ADD_AIR", "valveKind", "PRESTA");
        unit.goTo("pressure-found");
        unit.answer("value", "300");
        assertThat(unit.page()).contains("Is it the right unit, and the right wheel?");
        unit.answer("answer", "NO");
        assertThat(unit.step()).isEqualTo("pressure-found-again");
    }

    @Test
    void aThumbIsHeldAgainstTheGaugeAndTheRecommendation() {
        JobCard card = begin("THUMB_TEST");
        card.answer("answer", "RIM_JUST_NOT_FELT");
        card.answer("value", "80");
        assertThat(card.page()).contains("Too low: recommended");
        card.goToTheEnd();
        assertThat(rider.get("/log").body()).contains("thumb just did not feel the rim");
    }

    @Test
    void gasIsLetOutAgainAtHome() {
        JobCard card = begin("FILL_WITH_CARTRIDGE", "valveKind", "PRESTA", "cartridgeG", "16");
        assertThat(card.page()).contains("it is live from then on", "The gas freezes skin");
        card.goTo("gas-tip");
        card.goTo("cartridge");
        assertThat(card.page()).contains("Glove or sleeve", "away from the pool");
        card.goTo("cartridge-off");
        card.goToTheEnd();
        assertThat(rider.get("/todo").body()).contains("Let the carbon dioxide out", "job=ADD_AIR");
    }

    @Test
    void aFixedPrestaCoreGoesInwardAndEndsWithTheTubeInTheTire() {
        enterTubes();
        JobCard card = JobCard.begin(rider, wheel, Job.FIXED_CORE.name());
        for (String step : new String[] {
            "core-trial",
            "tube-on-bench",
            "pin-straight",
            "nut-to-its-end",
            "nut-over-its-end",
            "core-inward",
            "core-caught",
            "fill-syringe",
            "core-cleaned",
            "core-back",
            "nut-back",
            "nut-over-again",
            "core-holds",
            "tube-in",
            "line-half"
        }) {
            card.goTo(step);
        }
        card.goToTheEnd();
        assertThat(card.page()).contains("Done");
        assertThat(rider.get("/log").body()).contains("sealant in", "fitted 60-622, butyl");
    }

    @Test
    void anInsertComesOutAndGoesBackDry() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        JobCard in = JobCard.begin(rider, wheel, "INSERT", "insert", "on");
        in.goTo("hold-wait");
        JobCard over = JobCard.begin(rider, wheel, "REFRESH_AT_BEAD", "topUp", "30");
        over.goTo("insert-out");
        over.goTo("insert-wash");
        over.goTo("insert-in");
        JobCard through = JobCard.begin(rider, wheel, "REFRESH_THROUGH_VALVE", "topUp", "30");
        through.answer("answer", "NO");
        assertThat(through.page()).contains("the insert closes this valve", "without side holes");
        assertThat(JobCard.begin(rider, wheel, "DIP").page()).contains("no dips with an insert");
    }
}
