package org.stratopneum.core.dialling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What one bike tells of another; wanted figures: docs/handbook, page 3. */
class TasteTest {

    private static final Taste.Heard NOTHING = Taste.Heard.of(List.of());

    private static List<RideNote> notes(Feel feel, double logRatio, int times) {
        return Collections.nCopies(times, new RideNote(logRatio, feel, true));
    }

    @Test
    void aRiderWithoutNotesElsewhereStartsAsEver() {
        assertThat(Taste.start(List.of(), List.of())).isSameAs(PersonalFactor.PRIOR);
        assertThat(Taste.start(List.of(NOTHING), List.of(List.of(NOTHING, NOTHING))))
                .isSameAs(PersonalFactor.PRIOR);
    }

    /** What is said on one bike moves the other the same way, and less. */
    @Test
    void aBikeOnWhichEverythingIsTooHardMakesTheOtherSofter() {
        List<RideNote> hard = notes(Feel.TOO_HARD, 0, 6);
        PersonalFactor there = PersonalFactor.PRIOR.after(hard);
        PersonalFactor here =
                Taste.start(List.of(NOTHING), List.of(List.of(Taste.Heard.of(hard), Taste.Heard.of(hard))));
        assertThat(here.factor()).isLessThan(0.97).isGreaterThan(there.factor());
        assertThat(here.width()).isLessThan(PersonalFactor.PRIOR.width());
        PersonalFactor beside = Taste.start(List.of(Taste.Heard.of(hard)), List.of());
        assertThat(beside.factor())
                .as("the other wheel of the same bike tells more")
                .isLessThan(here.factor());
        assertThat(Taste.start(List.of(NOTHING), List.of(List.of(NOTHING), List.of(Taste.Heard.of(hard))))
                        .factor())
                .as("a bike without notes says nothing")
                .isEqualTo(Taste.start(List.of(), List.of(List.of(Taste.Heard.of(hard))))
                        .factor());
    }

    /** One note leaves the likelihood of that note alone; a change before the first counts nothing. */
    @Test
    void whatIsHeardIsTheLikelihoodOfTheFirstTheta() {
        double[] one = PersonalFactor.likelihoodOfFirst(List.of(new RideNote(0, Feel.TOO_HARD, true)));
        double[] changed = PersonalFactor.likelihoodOfFirst(List.of(new RideNote(0, Feel.TOO_HARD, true, true)));
        assertThat(changed).containsExactly(one);
        // forward and back agree: prior times likelihood is what the notes say where nothing can move
        PersonalFactor forward = PersonalFactor.PRIOR.after(new RideNote(0, Feel.TOO_HARD, true));
        double[] joint = ThetaGrid.product(ThetaGrid.normal(0.12), one);
        double mean = 0;
        for (int i = 0; i < joint.length; i++) {
            mean += joint[i] * ThetaGrid.thetaAt(i);
        }
        assertThat(mean).isCloseTo(forward.mean(), within(1e-9));
    }

    /**
     * Against sampling: taste, bike and wheels drawn as the model says, weighed by how well they explain the notes. Twenty
     * notes may move, so the sampled wheels move as well.
     */
    @Test
    void thePassOverTheTreeAgreesWithSampling() {
        List<RideNote> one = new ArrayList<>(notes(Feel.TOO_HARD, 0, 3));
        one.add(new RideNote(-0.1, Feel.RIGHT, true));
        List<RideNote> two = notes(Feel.RIGHT, -0.05, 2);
        List<RideNote> beside = List.of(new RideNote(0.05, Feel.TOO_SOFT, false));
        PersonalFactor start = Taste.start(
                List.of(Taste.Heard.of(beside)), List.of(List.of(Taste.Heard.of(one), Taste.Heard.of(two))));
        double[] likelyOne = PersonalFactor.likelihoodOfFirst(one);
        double[] likelyTwo = PersonalFactor.likelihoodOfFirst(two);
        double[] likelyBeside = PersonalFactor.likelihoodOfFirst(beside);
        Random random = new Random(8);
        double weights = 0;
        double mean = 0;
        double square = 0;
        for (int i = 0; i < 400_000; i++) {
            double taste = 0.08 * random.nextGaussian();
            double there = taste + 0.07 * random.nextGaussian();
            double here = taste + 0.07 * random.nextGaussian();
            double weight = at(likelyOne, there + 0.055 * random.nextGaussian())
                    * at(likelyTwo, there + 0.055 * random.nextGaussian())
                    * at(likelyBeside, here + 0.055 * random.nextGaussian());
            double wheel = here + 0.055 * random.nextGaussian();
            weights += weight;
            mean += weight * wheel;
            square += weight * wheel * wheel;
        }
        double sampled = mean / weights;
        assertThat(start.mean()).isCloseTo(sampled, within(0.001));
        double sigma = Math.sqrt(square / weights - sampled * sampled);
        assertThat(start.width() / (2 * 1.2816)).isCloseTo(sigma, within(0.002));
    }

    private static double at(double[] row, double theta) {
        int step = (int) Math.round((theta + ThetaGrid.REACH) / ThetaGrid.STEP);
        return step < 0 || step >= row.length ? 0 : row[step];
    }

    /** Mean error (%) of a second bike's wheels before and after so many of its rides, alone and shared. */
    private static double[][] errors(int riders, int[] rides) {
        Random random = new Random(31);
        double[][] errors = new double[2][rides.length];
        for (int rider = 0; rider < riders; rider++) {
            double taste = 0.08 * random.nextGaussian();
            List<Taste.Heard> first = new ArrayList<>();
            double bike = taste + 0.07 * random.nextGaussian();
            for (int wheel = 0; wheel < 2; wheel++) {
                first.add(Taste.Heard.of(new SimulatedRider(bike + 0.055 * random.nextGaussian(), random)
                        .ride(PersonalFactor.PRIOR, 12)));
            }
            double second = taste + 0.07 * random.nextGaussian();
            double theta = second + 0.055 * random.nextGaussian();
            for (int shared = 0; shared < 2; shared++) {
                PersonalFactor start = shared == 0 ? PersonalFactor.PRIOR : Taste.start(List.of(), List.of(first));
                List<RideNote> notes = new SimulatedRider(theta, random).ride(start, rides[rides.length - 1]);
                for (int i = 0; i < rides.length; i++) {
                    double factor = start.after(notes.subList(0, rides[i])).factor();
                    errors[shared][i] += 100 * Math.abs(factor / Math.exp(theta) - 1) / riders;
                }
            }
        }
        return errors;
    }

    /** As modelled, 250 riders: 10.4 alone and 8.9 shared before the first ride, 6.2 and 5.4 after it. */
    @Test
    @Tag("all")
    void sharedTasteHelpsInTheFirstRides() {
        double[][] errors = errors(500, new int[] {0, 1, 2, 3});
        assertThat(errors[0][0]).isCloseTo(9.6, within(1.0));
        assertThat(errors[1][0]).isCloseTo(8.5, within(1.0));
        for (int i = 0; i < 3; i++) {
            assertThat(errors[1][i]).as("ride " + i).isLessThan(0.95 * errors[0][i]);
        }
        assertThat(errors[1][3]).isLessThanOrEqualTo(1.02 * errors[0][3]);
    }

    /** A rider whose answers are as the model says, and who sets what they are told, give or take 2 %. */
    private record SimulatedRider(double theta, double noise, Random random) {

        SimulatedRider(double theta, Random random) {
            this(theta, new double[] {0.04, 0.06, 0.06, 0.09}[random.nextInt(4)], random);
        }

        List<RideNote> ride(PersonalFactor start, int times) {
            List<RideNote> notes = new ArrayList<>();
            PersonalFactor factor = start;
            for (int i = 0; i < times; i++) {
                double ratio = factor.mean() + 0.02 * random.nextGaussian();
                double felt = ratio - theta + noise * random.nextGaussian();
                Feel feel = felt > 0.05 ? Feel.TOO_HARD : felt < -0.05 ? Feel.TOO_SOFT : Feel.RIGHT;
                RideNote note = new RideNote(Math.max(-1, Math.min(1, ratio)), feel, true);
                notes.add(note);
                factor = factor.after(note);
            }
            return notes;
        }
    }
}
