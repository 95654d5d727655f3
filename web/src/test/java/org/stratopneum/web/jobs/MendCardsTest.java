package org.stratopneum.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Cards that mend a leak, from the bike to the hold test that proves it. */
@ExtendWith(RunningApplication.class)
class MendCardsTest {

    private static final Duration NIGHT = Duration.ofHours(14);

    /** Nobody waits longer. */
    private static final int NIGHTS = 4;

    private final Site site;

    MendCardsTest(Site site) {
        this.site = site;
    }

    private static String rear(Guest rider) {
        return "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private static void toTheEnd(Guest rider, JobCard card) {
        for (int night = 0; night < NIGHTS; night++) {
            MovableClock.after(rider, NIGHT.multipliedBy(night), card::goOn);
        }
    }

    @Test
    void aMendOfATubelessWheelIsProvenByAHoldTest() {
        mendsAreProven(Job.SERVICE_VALVE, Job.MEND_BEAD, Job.SETTLE, Job.RETAPE);
    }

    @Tag("all")
    @Test
    void everyMendOfATubelessWheelIsProvenByAHoldTest() {
        mendsAreProven(
                Job.SERVICE_VALVE,
                Job.MEND_BEAD,
                Job.PLUG_AND_PATCH,
                Job.RIM_DENT,
                Job.SETTLE,
                Job.RETAPE,
                Job.SEW_FLANK);
    }

    private void mendsAreProven(Job... jobs) {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        String wheel = rear(rider);
        for (Job job : jobs) {
            JobCard card = JobCard.begin(rider, wheel, job.name());
            card.goOn();
            assertThat(card.page()).as(job.name()).contains("Waits until");
            assertThat(rider.get("/todo").body()).as(job.name()).contains("Read the leak-down test");
            toTheEnd(rider, card);
            assertThat(card.step()).as(job.name()).isEmpty();
            assertThat(card.page()).as(job.name()).contains("What was done is in the log");
        }
        assertThat(rider.get("/log").body())
                .contains("Fix a leaking bead: Done", "Let a weeping sidewall seal: Done", "leak-down test ended at")
                .contains("rim taped");
    }

    @Test
    void sprayThatIsFoundAtALookGoesIntoTheLogAsASuspectedPuncture() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        JobCard look = JobCard.begin(rider, rear(rider), Job.PREVENTION_LOOK.name());
        look.goTo("look-traces");
        look.answer("answer", "OBJECT_FOUND");
        look.goToTheEnd();
        assertThat(rider.get("/log").body())
                .contains("traces on frame or fork: a hole sealed itself", "Tire inspection: Done");

        int before = traces(rider);
        JobCard.begin(rider, rear(rider), Job.PREVENTION_LOOK.name()).goToTheEnd();
        assertThat(traces(rider)).as("nothing found, nothing written").isEqualTo(before);
    }

    private static int traces(Guest rider) {
        return rider.get("/log").body().split("traces on frame or fork", -1).length;
    }

    @Test
    void aTubeIsPatchedOrSwappedOnceItIsKnownWhatMadeTheHole() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        String wheel = rear(rider);
        JobCard patch = JobCard.begin(rider, wheel, "PATCH_TUBE");
        patch.goTo("tube-hole");
        assertThat(patch.page()).contains("On the outer side", "Two slits side by side");
        patch.answer("answer", "TWO_SLITS");
        assertThat(patch.page()).contains("It was pinched between rim and ground", "set more pressure");
        toTheEnd(rider, patch);
        assertThat(patch.page()).contains("What was done is in the log");

        JobCard swap = JobCard.begin(rider, wheel, "SWAP_TUBE");
        swap.goTo("tube-hole");
        swap.answer("answer", "RIM_SIDE");
        assertThat(swap.page()).contains("Look at the rim at that place", "tape or strip over every spoke hole");
        toTheEnd(rider, swap);
        assertThat(rider.get("/log").body()).contains("Swap a tube: Done", "Patch a tube: Done", "butyl");
    }

    @Test
    void aBootIsForTheWayHomeAndSaysSo() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        String wheel = rear(rider);
        JobCard boot = JobCard.begin(rider, wheel, "BOOT");
        assertThat(boot.page()).contains("A boot gets you home", "not for descents");
        toTheEnd(rider, boot);
        assertThat(boot.page()).contains("no more than 70 %").contains("What was done is in the log");
        assertThat(rider.get(wheel + "/history").body()).contains("fitted 57-622, butyl tube");
    }

    @Test
    void whatIsTooMuchForARiderGoesToAMechanicAndWhatIsTooLargeForAPlugIsPatched() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        String wheel = rear(rider);
        JobCard dent = JobCard.begin(rider, wheel, "RIM_DENT");
        dent.goTo("dent-small");
        dent.answer("answer", "TOO_LARGE");
        assertThat(dent.page()).contains("this is for a mechanic", "Do not ride it until then");
        JobCard crack = JobCard.begin(rider, wheel, "RIM_DENT");
        crack.goTo("dent-crack");
        crack.answer("answer", "DAMAGED");
        assertThat(crack.page()).contains("do not ride this rim");

        JobCard slash = JobCard.begin(rider, wheel, "PLUG_AND_PATCH");
        slash.goTo("hole-closed");
        slash.answer("answer", "NO");
        assertThat(slash.step()).isEqualTo("hole-size");
        slash.answer("answer", "TOO_LARGE");
        assertThat(slash.step()).as("tire off, without a plug").isNotEqualTo("plug-ream");
        slash.goTo("patch-rough");
        assertThat(slash.page()).contains("without touching the threads");

        JobCard dry = JobCard.begin(rider, wheel, "SETTLE");
        dry.answer("answer", "NO");
        assertThat(dry.page()).contains("more sealant first", "job=REFRESH_THROUGH_VALVE");
    }

    /** The search hears of the hold test that a card made. */
    @Test
    void aHoldTestThatFailedOnACardIsSaidOnTheSearch() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        String wheel = rear(rider);
        String id = UUID.randomUUID().toString();
        rider.post(wheel + "/leak", Map.of("newId", id));
        JobCard card = JobCard.begin(rider, wheel, "MEND_BEAD");
        card.goTo("hold-start");
        card.answer("value", "200", "temperature", "20");
        MovableClock.after(rider, NIGHT, () -> {
            card.goTo("hold-end");
            card.answer("value", "120", "temperature", "20");
        });
        assertThat(card.page()).contains("The leak-down test failed", "Find the leak");
        assertThat(rider.get("/searches/" + id).body())
                .contains(
                        "The leak-down test of the job &quot;Fix a leaking bead&quot; failed",
                        ": if you fixed this cause, answer that it still loses air.");
    }
}
