package org.stratopneum.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

/** Job cards over plain HTTP: what they ask, what they keep, and what they write. */
@ExtendWith(RunningApplication.class)
class JobCardTest {

    private static final Duration A_NIGHT = Duration.ofHours(10);

    private final Site site;
    private final RunningApplication.Started started;
    private Guest rider;
    private String wheel;

    JobCardTest(Site site, RunningApplication.Started started) {
        this.site = site;
        this.started = started;
    }

    @BeforeEach
    void enterABikeWithTubes() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-size", "60-622", "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private String onTheShelf(String kind, Map<String, String> more) {
        Map<String, String> fields = new HashMap<>(more);
        String id = UUID.randomUUID().toString();
        fields.put("kind", kind);
        fields.put("newId", id);
        assertThat(rider.post("/shelf", fields).statusCode()).isEqualTo(302);
        return id;
    }

    @Test
    void everyJobCanBeChosenAndBegun() {
        Guest withTubes = rider;
        String withTube = wheel;
        rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        Set<Job> ofATube = EnumSet.of(Job.SEALANT_IN_TUBE, Job.FIXED_CORE, Job.PATCH_TUBE, Job.SWAP_TUBE);
        List<String> begun = new ArrayList<>();
        String offered = rider.get(wheel + "/jobs").body();
        for (Job job : Job.values()) {
            assertThat(offered).contains("job=" + job.name());
            assertThat(rider.get(wheel + "/jobs/new?job=" + job.name()).statusCode())
                    .as(job.name())
                    .isEqualTo(200);
            JobCard card = JobCard.begin(rider, wheel, job.name());
            if (ofATube.contains(job)) {
                assertThat(card.page()).as(job.name()).contains("no tube is in this tire", "job=FIT_TUBE");
                card = JobCard.begin(withTubes, withTube, job.name());
            } else {
                begun.add(card.path());
            }
            assertThat(card.page()).as(job.name()).contains("Why?", "Next steps (");
        }
        assertThat(rider.get("/jobs").body()).contains(begun);
    }

    /** From a wheel with a tube to a passed hold test, with what it takes from the shelf and what it writes. */
    @Test
    void convertingAWheelWritesWhatWasDoneAndTakesItFromTheShelf() {
        String bottle = onTheShelf("SEALANT", Map.of("name", "Tarn milk", "amount", "500", "family", "SYNTHETIC"));
        String roll = onTheShelf("TAPE", Map.of("name", "Birch tape", "amount", "10", "width", "32"));
        String valve = onTheShelf("VALVE", Map.of("name", "Reed valve", "amount", "2", "removableCore", "on"));
        JobCard card = JobCard.begin(
                rider, wheel, "CONVERT", "sealant", bottle, "tape", roll, "valve", valve, "newTire", "on");

        card.goTo("tape-cut");
        assertThat(card.page()).contains("Tape of 32 mm, about 2.03 m");
        card.goTo("sealant-ml");
        // 60-622 on 30 mm, brand-new: 101 ml and a tenth, to the nearest 5 (worked value of the dose law)
        assertThat(card.page()).contains("value=\"110\"");
        assertThat(card.answer("value", "90").statusCode()).isEqualTo(302);
        card.goTo("hold-start");
        card.answer("value", "275", "temperature", "20");
        assertThat(card.step()).isEqualTo("hold-wait");

        MovableClock.after(rider, A_NIGHT, () -> {
            card.goTo("hold-end");
            card.answer("value", "272", "temperature", "20");
            card.goToTheEnd();
        });
        assertThat(card.page()).contains("Done", "What was done is in the log");
        String log = rider.get("/log").body();
        assertThat(log)
                .contains("took off 60-622", "rim taped", "fitted Reed valve", "fitted 60-622, tubeless")
                .contains("sealant in, 90 ml", "leak-down test started at", "leak-down test ended at", "set to")
                .contains("Convert to tubeless: Done");
        String page = rider.get(wheel + "/history").body();
        assertThat(page).contains("leak-down test ended at", "taped");
        assertThat(rider.get("/garage").body()).contains("410 ml left of 500 ml", "8 m left of 10 m", "1 left of 2");

        rider.post("/log/strike", Map.of("entry", entryWith(page, "sealant in")));
        assertThat(rider.get("/garage").body())
                .as("struck, it lies there again")
                .contains("500 ml left of 500 ml");
    }

    @Test
    void aWidthMeasuredOnTheRimOutlivesTheTireComingOffAndGoingBack() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-measured", "58.7");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        assertThat(rider.get(wheel).body()).contains("58.7 mm");
        JobCard card = JobCard.begin(rider, wheel, "INSERT", "insert", "on");
        card.goTo("hold-wait");
        assertThat(rider.get("/log").body()).contains("took off 57-622");
        assertThat(rider.get(wheel).body()).contains("with an insert", "58.7 mm");
    }

    @Test
    void aValveWithABaseOfAnotherShapeBlocksAndAnOffCentreHoleWantsItsSpacer() {
        String square = onTheShelf("VALVE", Map.of("name", "Reed valve", "amount", "1", "valveBase", "SQUARE"));
        String round = onTheShelf("VALVE", Map.of("name", "Sedge valve", "amount", "1", "valveBase", "ROUND"));
        String rim = "/rims/" + rider.ids(wheel, "/rims/").get(0);
        Map<String, String> fields = new HashMap<>(Map.of("version", "0", "rimWidth", "30", "rimDiameter", "622"));
        fields.putAll(Map.of("valveSeat", "ROUND", "valveOffCentre", "on", "bed", "UNTAPED"));
        assertThat(rider.post(rim, fields).statusCode()).isEqualTo(302);

        String refused = rider.post(wheel + "/jobs", JobCard.fields("CONVERT", "valve", square))
                .body();
        assertThat(refused).contains("The base of the valve is square, the bed at its hole round");

        JobCard card = JobCard.begin(rider, wheel, "CONVERT", "valve", round);
        card.goTo("valve-spacer");
        assertThat(card.page()).contains("thick side towards the gap");
    }

    private static String entryWith(String page, String text) {
        String before = page.substring(0, page.indexOf(text, page.indexOf("id=\"entries\"")));
        String id = before.substring(before.lastIndexOf("id=\"entry-") + 10);
        return id.substring(0, 36);
    }

    /** Answers are kept one by one: another server on the same database, another device, the same place. */
    @Test
    void theServerMayDieAndThePlaceIsKept() {
        JobCard card = JobCard.begin(rider, wheel, "CONVERT");
        card.goTo("bead-loose");
        card.answer("answer", "STUCK");
        assertThat(card.step()).isEqualTo("bead-over-table");

        JobCard there = card.on(rider.at(started.other()));
        assertThat(there.step()).isEqualTo("bead-over-table");
        there.answer("answer", "DONE");
        assertThat(card.step()).isEqualTo("bead-loose-now");
    }

    @Test
    void anAnswerSentTwiceCountsOnceAndOneToAnotherStepIsSaid() {
        JobCard card = JobCard.begin(rider, wheel, "HOLD_TEST");
        assertThat(card.step()).isEqualTo("inflate-to-hold");
        String shown = card.step();
        card.answer("answer", "DONE");
        assertThat(card.answerStep(shown, "answer", "DONE").statusCode()).isEqualTo(302);
        assertThat(card.step()).isEqualTo("hold-start");
        var elsewhere = card.answerStep("hold-end", "value", "200");
        assertThat(elsewhere.headers().firstValue("Location").orElse("")).contains("notice=moved-on");
        assertThat(card.step()).isEqualTo("hold-start");
    }

    @Test
    void whatIsNoAnswerOrNoValueIsSaidBesideItsFieldAndKept() {
        JobCard card = JobCard.begin(rider, wheel, "BEFORE_RIDING");
        assertThat(card.answer("answer", "SNAPPED").body()).contains("is not an answer to this step");
        card.goTo("riding-pressure");
        var text = card.answer("value", "plenty");
        assertThat(text.statusCode()).isEqualTo(422);
        assertThat(text.body()).contains("value=\"plenty\"", "Enter a number, e.g. 21.5");
        // 50 psi are printed on the tire: 344.7 kPa
        var above = card.answer("value", "52", "unit", "PSI");
        assertThat(above.statusCode()).isEqualTo(422);
        assertThat(above.body()).contains("let air out to 50", "It was 52", "value=\"52\"");
        assertThat(rider.get("/log").body()).doesNotContain("set to");
        assertThat(card.answer("value", "20", "unit", "PSI").statusCode()).isEqualTo(302);
        assertThat(rider.get("/log").body()).contains("set to 20.0 psi");
    }

    @Test
    void aHoldTestCannotEndTooSoonAndOneThatFailsLeadsToTheLeak() {
        JobCard card = JobCard.begin(rider, wheel, "HOLD_TEST");
        card.goTo("hold-start");
        card.answer("value", "275", "temperature", "20");
        assertThat(card.answer("answer", "DONE").body()).contains("takes at least 8");
        assertThat(card.page()).contains("Waits until").doesNotContain("Continue early");
        assertThat(rider.get("/todo").body()).contains("Read the leak-down test");

        MovableClock.after(rider, A_NIGHT, () -> {
            card.goTo("hold-end");
            card.answer("value", "200", "temperature", "20");
        });
        assertThat(card.page()).contains("The leak-down test failed", wheel + "/leak");
        assertThat(rider.get(wheel + "/history").body())
                .contains("The leak-down test failed", "leak-down test ended at");
    }

    @Test
    void answersAreTakenBackUntilTheyAreInTheLog() {
        JobCard card = JobCard.begin(rider, wheel, "CONVERT");
        card.goTo("bead-lifts");
        String id = card.wheel();
        rider.post(card.path() + "/take-back", Map.of("wheel", id, "step", "air-out"));
        assertThat(card.step()).isEqualTo("air-out");

        card.goTo("rim-sound");
        var late = rider.post(card.path() + "/take-back", Map.of("wheel", id, "step", "bead-lifts"));
        assertThat(late.headers().firstValue("Location").orElse("")).contains("notice=not-taken-back");
        assertThat(card.step()).isEqualTo("rim-sound");
        assertThat(rider.get(card.path() + "?notice=not-taken-back").body())
                .contains("That is in the log already: edit it there.");
    }

    @Test
    void bothWheelsGoThroughEachOthersWaits() {
        JobCard card = JobCard.begin(rider, wheel, "CONVERT", "both", "on");
        String rear = card.wheel();
        card.goTo("bed-clean");
        card.answer("answer", "DONE");
        assertThat(card.wheel()).as("while the rear bed dries").isNotEqualTo(rear);
        assertThat(card.step()).isEqualTo("wheel-off");
        assertThat(card.page()).contains("waits until");
        card.answer("answer", "DONE");

        MovableClock.after(rider, Duration.ofMinutes(6), () -> {
            card.goTo("bed-clean");
            card.answer("answer", "DONE");
            assertThat(card.wheel()).as("the rear bed is dry").isEqualTo(rear);
            assertThat(card.step()).isEqualTo("bed-dry");
        });
    }

    /** Hookless, and the tire was not made for tubeless: with a tube it may be, without one nothing holds its bead. */
    @Test
    void whatBlocksIsSaidAndNotBegun() {
        Guest other = Guest.withAccount(site);
        TypedBike.enter(
                other,
                "rear-setup",
                "BUTYL_TUBE",
                "rear-tubeless",
                "no",
                "rear-hookless",
                "on",
                "rear-hooklessOk",
                "on");
        String blocked = "/wheels/" + other.ids("/garage", "/wheels/").get(0);
        var refused = other.post(blocked + "/jobs", JobCard.fields("CONVERT", "twoTurns", "on"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains(
                        "nothing holds its bead",
                        "Change what is in the way. Do not work around it; then start the job over.");
        assertThat(other.get("/jobs").body()).doesNotContain("/cards/");
        assertThat(JobCard.begin(other, blocked, "TAPE_RIM").step()).isNotEmpty();
    }

    @Test
    void aCardIsGivenUpAndGoneOnWith() {
        JobCard card = JobCard.begin(rider, wheel, "CLEAN_UP");
        card.answer("answer", "DONE");
        String step = card.step();
        rider.post(card.path() + "/leave", Map.of());
        assertThat(card.page()).contains("This job was canceled. What it logged is in the log.");
        assertThat(rider.get("/").body()).doesNotContain(card.path());
        rider.post(card.path() + "/reopen", Map.of());
        assertThat(card.step()).isEqualTo(step);
    }

    @Test
    void choicesThatCannotBeAreSaidAtTheirFields() {
        var answer = rider.post(
                wheel + "/jobs",
                JobCard.fields(
                        "CONVERT",
                        "chamberL",
                        "99",
                        "cartridgeG",
                        "many",
                        "sealant",
                        "no bottle",
                        "tapeStart",
                        "THREE_HOLES"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("must be at most 10", "value=\"99\"", "value=\"many\"", "is not one of the known values");
    }
}
