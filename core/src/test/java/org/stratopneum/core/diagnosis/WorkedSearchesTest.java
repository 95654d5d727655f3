package org.stratopneum.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked values and ways through a search (docs/handbook, page 6): probabilities to 0.0005, minutes to 0.05. */
class WorkedSearchesTest {

    /** Read anew for each test, so that a changed rule shows in how it is read, too. */
    private final LeakModel tubeless = LeakModel.read(LeakTable.TUBELESS, AirSystem.TUBELESS);

    private final LeakModel tube = LeakModel.read(LeakTable.TUBE, AirSystem.TUBE);

    private Diagnosis search(AirSystem system, String known, String done) {
        Set<Circumstance> circumstances = EnumSet.noneOf(Circumstance.class);
        Stream.of(known.split(" "))
                .filter(word -> !word.isEmpty())
                .forEach(word -> circumstances.add(Circumstance.valueOf(word)));
        Diagnosis diagnosis = Diagnosis.begun(system == AirSystem.TUBE ? tube : tubeless, circumstances);
        for (String step : done == null ? new String[0] : done.split(", ")) {
            String[] words = step.split(" ");
            diagnosis = words[0].equals("mended")
                    ? diagnosis.mendedInVain(Cause.coded(words[1]).orElseThrow())
                    : diagnosis.found(words[0], words[1]);
        }
        return diagnosis;
    }

    private Diagnosis settled(String done) {
        return search(AirSystem.TUBELESS, "NOT_NEW_SETUP", done);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NOT_NEW_SETUP | | sealant-low .2010 tread-hole .1537 core .1440 bead .1196 tape .1089 valve-base .0971",
                "NOT_NEW_SETUP | look-over clear, spray bead | bead .6149 rim-dent .1689 sealant-low .1707 core .0361",
                "NOT_NEW_SETUP | look-over object | tread-hole .6803 sealant-low .1122 core .0806",
                "NOT_NEW_SETUP | look-over clear, spray clear | sealant-low .3160 normal .2781 core .0933 bead .0835",
                "NOT_NEW_SETUP | look-over clear, spray bead, mended bead | sealant-low .3880 bead .2720 core .0821"
                        + " tape .0807 rim-dent .0747",
                "NOT_NEW_SETUP | look-over clear, spray bead, mended bead, spray clear | sealant-low .5615 bead .1549",
                "NOT_NEW_SETUP | look-over clear, spray bead, mended bead, spray clear, spray bead | bead .5381 sealant-low .2737",
                "LEVER NOT_NEW_SETUP | look-over clear, spray spoke-holes | tape .9224 valve-base .0615",
                "HIT NOT_NEW_SETUP | look-over clear, spray clear, look-rim dent | rim-dent .8338"
            })
    void everyCauseIsAsLikelyAsWorkedOutByHand(String known, String done, String expected) {
        Belief belief = search(AirSystem.TUBELESS, known, done).belief();
        String[] words = expected.split(" ");
        for (int i = 0; i < words.length; i += 2) {
            assertThat(belief.of(Cause.coded(words[i]).orElseThrow()))
                    .as(words[i])
                    .isCloseTo(Double.parseDouble(words[i + 1]), within(0.0005));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"| 0.1068", "look-over clear, spray bead | 0.0988", "look-over object | 0.1784"})
    void theSecondCauseIsAsLikely(String done, double two) {
        assertThat(settled(done).belief().ofTwo()).isCloseTo(two, within(0.0005));
    }

    @Test
    void whatIsNeverSeenInBubblesGetsLikelierWithEachClearCheck() {
        assertThat(settled("look-over clear, spray clear").belief().ofSilent()).isCloseTo(0.1208, within(0.0005));
    }

    private double minutesWith(Diagnosis diagnosis, String check) {
        return diagnosis.minutesWith(tubeless.check(check), diagnosis.belief());
    }

    @Test
    void minutesAreAsWorkedOutByHand() {
        Diagnosis begun = settled(null);
        assertThat(begun.mendingOrder(begun.belief()).minutes()).isCloseTo(136.67, within(0.05));
        Map.of(
                        "spray", 91.79,
                        "tub", 93.61,
                        "look-over", 119.48,
                        "soap-valve-tip", 121.07,
                        "soap-nipples", 123.67,
                        "shake", 124.77,
                        "hold-test", 150.44)
                .forEach((check, minutes) ->
                        assertThat(minutesWith(begun, check)).as(check).isCloseTo(minutes, within(0.05)));
        Diagnosis clear = settled("look-over clear, spray clear");
        assertThat(clear.mendingOrder(clear.belief()).minutes()).isCloseTo(96.65, within(0.05));
        assertThat(minutesWith(clear, "tub")).isCloseTo(83.36, within(0.05));
        assertThat(minutesWith(clear, "shake")).isCloseTo(89.65, within(0.05));
    }

    private static String next(Diagnosis diagnosis) {
        Diagnosis.Next next = diagnosis.next(Diagnosis.Mode.MEND_SOON);
        return next.check() != null
                ? next.check().code()
                : "mend " + next.mend().code();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NOT_NEW_SETUP | | look-over",
                "NOT_NEW_SETUP | look-over clear | spray",
                "NOT_NEW_SETUP | look-over clear, spray bead | mend bead",
                "NOT_NEW_SETUP | look-over object | mend tread-hole",
                "NOT_NEW_SETUP | look-over clear, spray clear | shake",
                "LEVER NOT_NEW_SETUP | look-over clear, spray spoke-holes | mend tape",
                "HIT NOT_NEW_SETUP | look-over clear, spray clear, look-rim dent | mend rim-dent",
                "HIT NOT_NEW_SETUP | look-over object, spray tread | look-rim"
            })
    void theNextStepIsTheOneOfThePage(String known, String done, String next) {
        assertThat(next(search(AirSystem.TUBELESS, known, done))).isEqualTo(next);
    }

    /** The ways of the page, all clear; tape comes last after a lever. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SEALANT_OLD NOT_NEW_SETUP | look-over spray soap-valve-tip shake tub",
                "LEVER NOT_NEW_SETUP | look-over spray shake wiggle-nut soap-valve-tip soap-bead mend"
            })
    void withoutASignItIsLookedForInTheOrderOfThePage(String known, String order) {
        Diagnosis diagnosis = search(AirSystem.TUBELESS, known, null);
        List<String> made = new ArrayList<>();
        for (String step = next(diagnosis); !step.startsWith("mend"); step = next(diagnosis)) {
            made.add(step);
            diagnosis = diagnosis.found(step, tubeless.check(step).answers().get(0));
        }
        made.add("mend");
        assertThat(made.stream().limit(order.split(" ").length).collect(Collectors.joining(" ")))
                .isEqualTo(order);
    }

    /** Tubes, exact: the tip alone, and an object with a clear tip; what is tightened leaves the tube where it is. */
    @Test
    void aTubeIsLookedAtBeforeItComesOut() {
        Diagnosis begun = search(AirSystem.TUBE, "", null);
        assertThat(next(begun)).isEqualTo("soap-valve-tip");
        Diagnosis tip = begun.found("soap-valve-tip", "bubbles");
        assertThat(tip.belief().of(Cause.TUBE_CORE)).isCloseTo(0.747, within(0.0005));
        assertThat(next(tip)).isEqualTo("mend tube-core");
        Diagnosis object = begun.found("soap-valve-tip", "clear").found("look-over", "object");
        assertThat(object.belief().of(Cause.TUBE_OBJECT)).isCloseTo(0.909, within(0.0005));
        assertThat(next(object)).isEqualTo("mend tube-object");
        Diagnosis clear = begun.found("soap-valve-tip", "clear").found("look-over", "clear");
        assertThat(next(clear)).isEqualTo("tube-in-water");
        assertThat(next(clear.found("tube-in-water", "slits"))).isEqualTo("mend tube-pinch");
    }

    /** A night is waited for only where nothing quicker is worth it, and never where a loss rate is known. */
    @Test
    void aNightIsNeverTheFirstThing() {
        for (Circumstance rate : List.of(Circumstance.RATE_NORMAL, Circumstance.RATE_LEAK, Circumstance.RATE_FAST)) {
            Diagnosis diagnosis = Diagnosis.begun(tubeless, Set.of(rate, Circumstance.NOT_NEW_SETUP));
            String step = next(diagnosis);
            while (!step.startsWith("mend")) {
                assertThat(step).isNotEqualTo("hold-test");
                diagnosis = diagnosis.found(step, tubeless.check(step).answers().get(0));
                step = next(diagnosis);
            }
        }
    }

    /** What is likely without a sign is looked at by its own check before it is mended, unless that cannot be. */
    @Test
    void nothingIsMendedOnAHunch() {
        Set<String> allButShake = tubeless.checks().stream()
                .map(Check::code)
                .filter(code -> !code.equals("shake"))
                .collect(Collectors.toSet());
        Set<Circumstance> old = Set.of(Circumstance.SEALANT_OLD, Circumstance.RATE_LEAK);
        Diagnosis begun = new Diagnosis(tubeless, old, List.of(), allButShake);
        assertThat(next(begun)).isEqualTo("shake");
        assertThat(next(begun.found("shake", "silent"))).isEqualTo("mend sealant-low");
        allButShake.add("shake");
        assertThat(next(new Diagnosis(tubeless, old, List.of(), allButShake))).isEqualTo("mend sealant-low");
    }

    /** Named first: what is learned counts by the causes, whether it bubbles or not (entropy, nat). */
    @Test
    void doubtIsThatOfTheCauses() {
        Belief belief = settled(null).belief();
        double sure = settled("look-over clear, spray bead, soap-bead bubbles, tub bead")
                .belief()
                .doubt();
        assertThat(belief.doubt()).isBetween(2.2, Math.log(64));
        assertThat(sure).isLessThan(1.2);
        double halves = search(AirSystem.TUBE, "", null).belief().doubt();
        double byHand = -Stream.of(.45, .25, .12, .11, .07)
                .mapToDouble(p -> p * Math.log(p))
                .sum();
        assertThat(halves).isCloseTo(byHand, within(1e-9));
    }
}
