package org.stratopneum.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** All jobs, walked in every way that their conditions and answers allow. */
class JobTest {

    private static final Map<Condition, Boolean> ANY = Map.of();

    private static Set<Ending> endings(Job job, Map<Condition, Boolean> fixed) {
        Set<Ending> found = EnumSet.noneOf(Ending.class);
        EveryWay.walk(job, fixed, walk -> walk.ending().ifPresent(found::add));
        return found;
    }

    @ParameterizedTest
    @EnumSource
    void everyWayOfAJobGoesOnOrEndsAndOneOfThemIsDone(Job job) {
        int ways = EveryWay.walk(
                job,
                ANY,
                walk -> assertThat(walk.open().isPresent())
                        .isNotEqualTo(walk.ending().isPresent()));

        assertThat(ways).isGreaterThan(job.steps().size() / 2);
        assertThat(endings(job, ANY)).contains(Ending.DONE);
    }

    @ParameterizedTest
    @EnumSource
    void everyStepAndEveryAnswerOfAJobIsMetOnSomeWay(Job job) {
        Set<String> met = new HashSet<>();
        EveryWay.walk(
                job,
                ANY,
                walk -> walk.taken().forEach(taken -> met.add(taken.step().id() + " " + taken.answer())));

        Set<String> all = job.steps().stream()
                .flatMap(step -> step.task().answers().stream().map(answer -> step.id() + " " + answer))
                .collect(Collectors.toSet());
        if (endings(job, ANY).contains(Ending.TUBE_INSIDE)) {
            // it ends before a tube would come out
            all.remove("tube-out DONE");
        }
        assertThat(met).containsAll(all);
    }

    @ParameterizedTest
    @EnumSource
    void aBlockedWheelIsNeverInflated(Job job) {
        EveryWay.walk(job, Map.of(Condition.BLOCKED, true), walk -> {
            assertThat(walk.open().filter(Step::inflates)).isEmpty();
            assertThat(walk.open().map(Step::task).filter(JobTest::setsPressure))
                    .isEmpty();
        });

        if (job.inflates()) {
            assertThat(endings(job, Map.of(Condition.BLOCKED, true))).containsExactly(Ending.BLOCKED);
        }
    }

    private static boolean setsPressure(Step.Task task) {
        return task instanceof Step.Task.Measure measure && measure.what().wasSet();
    }

    /** Whatever names a pressure to put in says what must not be exceeded, at that step. */
    @ParameterizedTest
    @EnumSource
    void everyStepThatNamesAPressureToPutInCarriesTheCaution(Job job) {
        Set<Amount> pressures =
                EnumSet.of(Amount.SEATING, Amount.RIDING, Amount.CHAMBER_CHARGE, Amount.CARTRIDGE_GIVES);
        assertThat(job.steps())
                .filteredOn(step -> step.amounts().stream().anyMatch(pressures::contains))
                .allMatch(Step::inflates);
    }

    @ParameterizedTest
    @EnumSource(names = {"CONVERT", "FIT_DRY", "FIT_WET", "CHANGE_TIRE", "INSERT"})
    void beforeWhatCannotBeUndoneItIsAskedAgain(Job job) {
        EveryWay.walk(
                job,
                ANY,
                walk -> walk.open().ifPresent(step -> {
                    Set<String> behind = walk.taken().stream()
                            .map(taken -> taken.step().id())
                            .collect(Collectors.toSet());
                    switch (step.id()) {
                        case "second-bead" -> assertThat(behind).contains("arrow-again");
                        case "seat-pump" -> assertThat(behind).contains("valve-between");
                        case "core-in" -> assertThat(behind).contains("sealant-in-before-core");
                        case "close-stretch" -> assertThat(behind).contains("sealant-in-before-closing");
                        case "inflate-again" -> assertThat(behind).containsAnyOf("core-snug", "open-stretch");
                        default -> {}
                    }
                    if (step.id().equals("inflate-again") && behind.contains("core-out")) {
                        assertThat(behind).contains("core-snug");
                    }
                }));
    }

    @ParameterizedTest
    @EnumSource(names = {"CONVERT", "FIT_DRY", "FIT_WET", "CHANGE_TIRE", "INSERT"})
    void aTubelessTireThatIsDoneHasSealantInItAndPassedItsHoldTest(Job job) {
        EveryWay.walk(
                job,
                ANY,
                walk -> walk.ending().filter(Ending::isDone).ifPresent(done -> {
                    assertThat(walk.milestones())
                            .contains(
                                    Milestone.TUBELESS_ON,
                                    Milestone.SEALANT_IN,
                                    Milestone.HOLD_STARTED,
                                    Milestone.HOLD_ENDED,
                                    Milestone.PRESSURE_SET);
                    List<Answer> held = walk.taken().stream()
                            .filter(taken -> taken.step().text().equals("hold-end"))
                            .map(Walk.Taken::answer)
                            .toList();
                    assertThat(held.get(held.size() - 1)).isEqualTo(Answer.PASSED);
                }));
    }

    @Test
    void airOutOfTheRimItselfStopsTheJob() {
        EveryWay.walk(Job.CONVERT, ANY, (holding, walk) -> heardTheRim(walk), (holding, walk, heard) -> {
            if (heard && walk.ending().isPresent()) {
                assertThat(walk.ending()).contains(Ending.AIR_IN_THE_RIM);
            }
        });
        assertThat(endings(Job.CONVERT, ANY)).contains(Ending.AIR_IN_THE_RIM);
    }

    private static boolean heardTheRim(Walk walk) {
        return walk.taken().stream().anyMatch(taken -> taken.answer() == Answer.AT_THE_DRAIN_HOLE);
    }

    /** What gives the most air at once comes first where it is at hand (docs/handbook, page 2). */
    @Test
    void theLadderBeginsWithTheBestThatIsAtHand() {
        EveryWay.walk(Job.CONVERT, ANY, (holding, walk) -> "", (holding, walk, none) -> {
            List<String> rungs = walk.taken().stream()
                    .map(taken -> taken.step().id())
                    .filter(id -> Set.of("seat-compressor", "chamber-charge", "seat-core-out", "seat-pump")
                            .contains(id))
                    .toList();
            if (!rungs.isEmpty()) {
                assertThat(rungs.get(0)).isEqualTo(first(holding));
            }
            if (walk.taken().stream().anyMatch(taken -> taken.step().id().equals("seat-pump"))
                    && holding.contains(Condition.SOAP_FIRST)) {
                assertThat(walk.taken()).anyMatch(taken -> taken.step().id().equals("seat-soap"));
            }
        });
    }

    private static String first(Set<Condition> holding) {
        if (holding.contains(Condition.COMPRESSOR)) {
            return "seat-compressor";
        }
        if (holding.contains(Condition.CHAMBER)) {
            return "chamber-charge";
        }
        boolean bare = holding.contains(Condition.CORE_FIRST)
                && holding.contains(Condition.CORE_REMOVABLE)
                && !holding.contains(Condition.WET);
        return bare ? "seat-core-out" : "seat-pump";
    }

    /** Both are mended by the job itself, so neither may stop it. */
    @Test
    void whatTakesATireOffOrTapesARimIsOpenToABlockedWheel() {
        assertThat(endings(Job.TAPE_RIM, Map.of(Condition.BLOCKED, true))).contains(Ending.DONE);
        assertThat(endings(Job.STUBBORN_TIRE, Map.of(Condition.BLOCKED, true))).contains(Ending.DONE);
        assertThat(endings(Job.CLEAN_UP, Map.of(Condition.BLOCKED, true))).contains(Ending.DONE);
    }

    @Test
    void everyCautionHasAStepWhereItMatters() {
        Set<Caution> shown = EnumSet.noneOf(Caution.class);
        for (Job job : Job.values()) {
            job.steps().forEach(step -> shown.addAll(step.cautions()));
        }
        assertThat(shown).containsExactlyInAnyOrder(Caution.values());
    }

    @Test
    void everyEndingComesSomewhere() {
        Set<Ending> found = EnumSet.noneOf(Ending.class);
        for (Job job : Job.values()) {
            found.addAll(endings(job, ANY));
        }
        assertThat(found).containsExactlyInAnyOrder(Ending.values());
    }

    /** What goes wrong with a refresh leads to the card that mends it, and a card never leads to itself. */
    @Test
    void anEndThatStopsARefreshNamesTheCardThatLeadsOn() {
        for (Job job : List.of(Job.REFRESH_THROUGH_VALVE, Job.REFRESH_AT_BEAD, Job.RENEW_SEALANT)) {
            assertThat(endings(job, ANY).stream().flatMap(ending -> ending.next().stream()))
                    .as(job.name())
                    .contains(Job.SERVICE_VALVE, Job.SEALANT_IN_TUBE)
                    .doesNotContain(job);
        }
        Map<Condition, Boolean> insert = Map.of(Condition.INSERT_INSIDE, true, Condition.LIQUID_INSIDE, true);
        assertThat(endings(Job.REFRESH_AT_BEAD, insert)).contains(Ending.DONE);
        assertThat(endings(Job.REFRESH_THROUGH_VALVE, insert)).contains(Ending.DONE, Ending.INSERT_ON_THE_VALVE);
        assertThat(endings(Job.DIP, insert)).contains(Ending.NO_DIP_WITH_INSERT).doesNotContain(Ending.DONE);
        assertThat(Ending.INSERT_ON_THE_VALVE.next()).contains(Job.REFRESH_AT_BEAD);
        assertThat(Ending.TAPE_WRONG.next()).contains(Job.TAPE_RIM);
        assertThat(Ending.DONE.next()).isEmpty();
    }

    /** docs/handbook, page 5: the core is washed or renewed at each refresh. */
    @ParameterizedTest
    @EnumSource(names = {"REFRESH_THROUGH_VALVE", "REFRESH_AT_BEAD", "RENEW_SEALANT"})
    void aRefreshThatIsDoneHasSealantInItAndAWashedCore(Job job) {
        assertThat(job.servicesCore()).isTrue();
        EveryWay.walk(
                job,
                Map.of(Condition.CORE_REMOVABLE, true),
                walk -> walk.ending().filter(Ending::isDone).ifPresent(done -> {
                    assertThat(walk.milestones()).contains(Milestone.SEALANT_IN, Milestone.PRESSURE_SET);
                    assertThat(walk.taken())
                            .anyMatch(taken -> taken.step().text().equals("core-wash"));
                }));
    }

    /** docs/handbook, page 7: with a boot not over 70 % of the usual; what was cut is not held at what seats a sound tire. */
    @ParameterizedTest
    @EnumSource(names = {"BOOT", "SEW_FLANK"})
    void aTireThatWasCutIsTestedAtNoMoreThanItIsRiddenWith(Job job) {
        EveryWay.walk(job, ANY, walk -> {
            List<Step> behind = walk.taken().stream().map(Walk.Taken::step).toList();
            if (walk.open().filter(step -> step.id().endsWith("hold-start")).isPresent()) {
                assertThat(behind.get(behind.size() - 1).amounts()).contains(Amount.RIDING);
            }
        });
        assertThat(job.steps()).noneMatch(step -> step.text().equals("inflate-to-hold"));
        assertThat(job.steps())
                .filteredOn(
                        step -> step.text().equals("boot-riding") || step.text().equals("hold-at-riding"))
                .isNotEmpty()
                .allSatisfy(step -> assertThat(step.cautions()).contains(Caution.CASING_CUT, Caution.CEILING));
    }

    /** What mends a leak is done when its hold test has passed, on every way. */
    @ParameterizedTest
    @EnumSource(
            names = {
                "SERVICE_VALVE",
                "MEND_BEAD",
                "RETAPE",
                "PLUG_AND_PATCH",
                "SEW_FLANK",
                "BOOT",
                "PATCH_TUBE",
                "SWAP_TUBE",
                "RIM_DENT",
                "SETTLE"
            })
    void whatMendsALeakIsDoneWithAPassedHoldTest(Job job) {
        EveryWay.walk(job, ANY, walk -> {
            if (walk.ending().filter(Ending.DONE::equals).isPresent()) {
                assertThat(walk.taken())
                        .anyMatch(taken -> taken.step().id().endsWith("hold-end") && taken.answer() == Answer.PASSED);
            }
        });
    }

    /** docs/handbook, page 7: before the new tube goes in, what made the hole is found. */
    @ParameterizedTest
    @EnumSource(names = {"PATCH_TUBE", "SWAP_TUBE"})
    void aTubeGoesInAfterTheHoleWasMatchedAndTheTireFeltThrough(Job job) {
        EveryWay.walk(job, ANY, walk -> {
            if (walk.open().filter(step -> step.id().equals("tube-in")).isPresent()) {
                assertThat(walk.taken().stream().map(taken -> taken.step().id()))
                        .contains("tube-hole", "inside-by-cloth");
            }
        });
    }

    private static final Set<Job> LEAVE_IT_OPEN = EnumSet.of(Job.TAPE_RIM, Job.STUBBORN_TIRE, Job.CLEAN_UP);

    /**
     * No step on any way contradicts what was entered or what was done before it, and none comes twice. At the end the
     * wheel is as the log shows it; a job that came to its end leaves nothing open behind it.
     */
    @ParameterizedTest
    @EnumSource
    void noStepContradictsWhatIsInHandAndTheEndIsWhatTheLogShows(Job job) {
        Set<String> against = new TreeSet<>();
        EveryWay.walk(
                job,
                Map.of(Condition.BLOCKED, false),
                (holding, walk) -> Hands.after(job, holding, walk),
                (holding, walk, hands) -> {
                    if (!hands.against().isEmpty()) {
                        against.add(hands.against());
                    }
                    walk.ending()
                            .ifPresent(ending -> atTheEnd(job, ending, hands, logged(job, holding, walk), against));
                });

        assertThat(against).isEmpty();
    }

    private static Hands.Logged logged(Job job, Set<Condition> holding, Walk walk) {
        return Hands.Logged.of(Hands.begin(job, holding), walk, holding.contains(Condition.INSERT));
    }

    private static void atTheEnd(Job job, Ending ending, Hands hands, Hands.Logged logged, Set<String> against) {
        if (hands.tireOff() && logged.tireOn()) {
            against.add("off, and the log says on: " + ending);
        }
        if (!ending.isDone()) {
            return;
        }
        if (hands.tireOn() != logged.tireOn()) {
            against.add("tire on: " + hands.tireOn());
        }
        if (logged.tube().filter(tube -> tube != hands.tubeIn()).isPresent()) {
            against.add("tube in: " + hands.tubeIn());
        }
        if (logged.insert().filter(in -> in != hands.insertIn()).isPresent()) {
            against.add("insert in: " + hands.insertIn());
        }
        if (!LEAVE_IT_OPEN.contains(job) && !(hands.tireOn() && hands.wheelIn() && hands.coreIn())) {
            against.add("left open");
        }
    }
}
