package org.stratopneum.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.leak.LeakClass;

/** What a rider found before, what is known, and what speaks for a cause. */
class OwnPriorTest {

    private static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);

    /** Dirichlet: counts beside the table's twenty; (20 * 0.12 + 5) / 25 = 0.296. */
    @Test
    void ownCausesCountBesideTheTablesTwenty() {
        LeakModel own = MODEL.withOwn(Map.of(Cause.CORE, 5));
        assertThat(own.shares(Set.of()).get(Cause.CORE)).isCloseTo(0.296, within(1e-9));
        assertThat(own.shares(Set.of()).get(Cause.BEAD)).isCloseTo(20 * 0.10 / 25, within(1e-9));
        assertThat(own.checks()).isEqualTo(MODEL.checks());
    }

    /** Valves of tubes noted before core and stem were told apart count for both, 11 to 7. */
    @Test
    void anOldValveCountsForCoreAndStem() {
        LeakModel own = LeakModel.of(AirSystem.TUBE).withOwn(Map.of(Cause.TUBE_VALVE, 18));
        assertThat(own.shares(Set.of()).get(Cause.TUBE_CORE)).isCloseTo((20 * 0.11 + 11) / 38, within(1e-9));
        assertThat(own.shares(Set.of()).get(Cause.TUBE_STEM)).isCloseTo((20 * 0.07 + 7) / 38, within(1e-9));
    }

    @Test
    void nothingFoundChangesNothingAndCausesOfTubesNeither() {
        for (Map<Cause, Integer> found : List.of(Map.<Cause, Integer>of(), Map.of(Cause.TUBE_PINCH, 9))) {
            LeakModel own = MODEL.withOwn(found);
            MODEL.causes()
                    .forEach(cause -> assertThat(own.prior(Set.of()).of(cause))
                            .isCloseTo(MODEL.prior(Set.of()).of(cause), within(1e-12)));
        }
    }

    /** But for how common causes are, a rider's model goes on like the table's. */
    @Test
    void anOwnModelReasonsLikeTheTable() {
        LeakModel table = LeakModel.read(LeakTable.TUBELESS, AirSystem.TUBELESS);
        LeakModel own = table.withOwn(Map.of());
        Set<Circumstance> known = Set.of(Circumstance.HIT, Circumstance.NOT_NEW_SETUP);
        Diagnosis one =
                Diagnosis.begun(table, known).found("look-over", "clear").found("spray", "bead");
        Diagnosis other =
                Diagnosis.begun(own, known).found("look-over", "clear").found("spray", "bead");
        for (int i = 0; i < 6; i++) {
            Diagnosis.Next next = one.next(Diagnosis.Mode.MEND_SOON);
            Diagnosis.Next same = other.next(Diagnosis.Mode.MEND_SOON);
            assertThat(same.mend()).isEqualTo(next.mend());
            assertThat(same.check() == null ? null : same.check().code())
                    .isEqualTo(next.check() == null ? null : next.check().code());
            for (Cause cause : table.causes()) {
                assertThat(other.belief().of(cause)).isCloseTo(one.belief().of(cause), within(1e-12));
            }
            Step step = next.check() == null
                    ? new Step.MendedInVain(next.mend())
                    : new Step.Seen(next.check().code(), next.check().answers().get(0));
            one = with(one, step);
            other = with(other, step);
        }
    }

    private static Diagnosis with(Diagnosis diagnosis, Step step) {
        return step instanceof Step.Seen seen
                ? diagnosis.found(seen.check(), seen.answer())
                : diagnosis.mendedInVain(((Step.MendedInVain) step).cause());
    }

    /** A world whose numbers are off: every row still adds up to one, and the same seed gives the same world. */
    @Test
    void aShakenModelIsStillOne() {
        LeakModel shaken = MODEL.shaken(new Random(3), 0.8, 0.7);
        LeakModel again = MODEL.shaken(new Random(3), 0.8, 0.7);
        for (Check check : shaken.checks()) {
            for (Cause cause : MODEL.causes()) {
                assertThat(check.likelihood().get(cause).stream()
                                .mapToDouble(Double::doubleValue)
                                .sum())
                        .isCloseTo(1, within(1e-9));
            }
            assertThat(check.likelihood()).isEqualTo(again.check(check.code()).likelihood());
            assertThat(check.likelihood())
                    .isNotEqualTo(MODEL.check(check.code()).likelihood());
        }
        assertThat(shaken.shares(Set.of())).isEqualTo(again.shares(Set.of())).isNotEqualTo(MODEL.shares(Set.of()));
        LeakModel calm = MODEL.shaken(new Random(3), 0, 0);
        assertThat(calm.shares(Set.of()).get(Cause.CORE)).isCloseTo(0.12, within(1e-9));
    }

    @Test
    void aFewOwnCausesDoNotOutweighASign() {
        Diagnosis diagnosis =
                Diagnosis.begun(MODEL.withOwn(Map.of(Cause.BEAD, 3)), Set.of()).found("soap-valve-tip", "bubbles");
        assertThat(diagnosis.belief().leading()).isEqualTo(Cause.CORE);
    }

    @Test
    void whatNobodyKnowsMovesNothing() {
        LeakContext nothing = new LeakContext(null, null, false, false, false, false, false, null, false, false, null);
        assertThat(nothing.circumstances()).isEmpty();
        LeakContext all =
                new LeakContext(false, 121.0, true, true, true, true, true, false, true, true, LeakClass.FAST);
        assertThat(all.circumstances())
                .containsExactlyInAnyOrder(
                        Circumstance.NOT_NEW_SETUP,
                        Circumstance.SEALANT_OLD,
                        Circumstance.LEVER,
                        Circumstance.RIDDEN_LOW,
                        Circumstance.HIT,
                        Circumstance.CO2,
                        Circumstance.INSERT,
                        Circumstance.CASING_NOT_TUBELESS,
                        Circumstance.BED_SEALED,
                        Circumstance.NEW_TAPE,
                        Circumstance.RATE_FAST);
        assertThat(new LeakContext(null, null, false, false, false, false, false, null, false, false, LeakClass.LEAK)
                        .circumstances())
                .containsExactly(Circumstance.RATE_LEAK);
        assertThat(new LeakContext(null, null, false, false, false, false, false, null, false, false, LeakClass.NORMAL)
                        .circumstances())
                .containsExactly(Circumstance.RATE_NORMAL);
        assertThat(new LeakContext(true, 120.0, false, false, false, false, false, true, false, false, LeakClass.SLOW)
                        .circumstances())
                .containsExactly(Circumstance.NEW_SETUP);
    }

    @Test
    void reasonsSayWhatMovesACauseTheStrongestFirst() {
        Diagnosis diagnosis = Diagnosis.begun(MODEL, Set.of(Circumstance.SEALANT_OLD))
                .found("shake", "slosh")
                .found("soap-valve-tip", "bubbles")
                .mendedInVain(Cause.SEALANT_LOW);
        List<Reason> core = diagnosis.reasons(Cause.CORE);
        assertThat(core.get(0).code()).isEqualTo("soap-valve-tip");
        assertThat(core.get(0).times()).as("0.90 over 0.03").isCloseTo(30, within(0.01));
        List<Reason> low = diagnosis.reasons(Cause.SEALANT_LOW);
        assertThat(low).anySatisfy(reason -> {
            assertThat(reason.kind()).isEqualTo(Reason.Kind.MENDED);
            assertThat(reason.times()).isEqualTo(0.2);
        });
        assertThat(low)
                .filteredOn(reason -> reason.code().equals("shake"))
                .singleElement()
                .satisfies(reason -> assertThat(reason.times()).isLessThan(0.2));
        assertThat(low)
                .filteredOn(reason -> reason.kind() == Reason.Kind.KNOWN)
                .singleElement()
                .satisfies(reason -> assertThat(reason.times()).isGreaterThan(4));
    }

    @Test
    void prospectsAddUp() {
        Diagnosis diagnosis = Diagnosis.begun(MODEL, Set.of());
        for (Check check : diagnosis.open()) {
            assertThat(diagnosis.prospects(check).stream()
                            .mapToDouble(Diagnosis.Prospect::expected)
                            .sum())
                    .as(check.code())
                    .isCloseTo(1, within(1e-9));
        }
        assertThat(diagnosis.saves(MODEL.check("spray"))).isGreaterThan(diagnosis.saves(MODEL.check("hold-test")));
    }

    @Test
    void aSealedBedHasHardlyATapeThatLeaks() {
        assertThat(MODEL.shares(Set.of(Circumstance.BED_SEALED)).get(Cause.TAPE))
                .isLessThan(0.01);
    }

    /** Every card that mends a cause ends in a hold test on the way that goes well. */
    @ParameterizedTest
    @EnumSource
    void whatMendsACauseIsProvenByAHoldTest(Cause cause) {
        if (cause != Cause.NORMAL && cause != Cause.RIM_CRACK) {
            assertThat(cause.jobs()).isNotEmpty();
        }
        for (Job job : cause.jobs()) {
            boolean refresh = cause == Cause.SEALANT_LOW && job != Job.RENEW_SEALANT;
            assertThat(job.reaches(Milestone.HOLD_ENDED)).as(job.name()).isNotEqualTo(refresh);
        }
        assertThat(Cause.coded(cause.code())).contains(cause);
    }

    @Test
    void aCardThatEndsBadlyLeadsToTheOneThatGoesOn() {
        assertThat(Ending.TOP_UP_FIRST.next()).contains(Job.REFRESH_THROUGH_VALVE);
        assertThat(Ending.NEW_VALVE.next()).contains(Job.SWAP_TUBE);
    }
}
