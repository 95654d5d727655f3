package org.stratopneum.web.platform.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Field;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.agenda.RideReadiness;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.HoldTest;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Answer;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.job.Ending;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.SeatingSchool;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.ChainStep;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.VerdictCode;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.trailside.KitCheck;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.support.RunningApplication;

@ExtendWith(RunningApplication.class)
class WordingTest {

    private final Wording wording;
    private final VerdictWording verdicts;
    private final ProblemWording problems;

    WordingTest(Wording wording, VerdictWording verdicts, ProblemWording problems) {
        this.wording = wording;
        this.verdicts = verdicts;
        this.problems = problems;
    }

    /** Every step of every job says what and why; a quantity that a step names stands in its words, and no other. */
    @ParameterizedTest
    @EnumSource
    void everyStepOfAJobHasItsWordsAndItsWhy(Job job) {
        assertThat(wording.text("job." + job.name() + ".for")).isNotBlank();
        for (Step step : job.steps()) {
            Object[] amounts = step.amounts().stream().map(Amount::name).toArray();
            String text = wording.text("do." + step.text(), amounts);
            assertThat(text).as(step.id()).isNotBlank().doesNotContain("{", "''");
            if (!(step.task() instanceof Step.Task.Measure)) {
                step.amounts().forEach(amount -> assertThat(text).as(step.id()).contains(amount.name()));
            }
            assertThat(wording.text("do." + step.text() + ".why")).as(step.id()).isNotBlank();
        }
    }

    private static final Pattern HOURS = Pattern.compile("(\\d+)(?: (or|and|to) (\\d+))? o'clock");

    /** Where a step's words name an hour for the valve, the drawing beside them stands at it. */
    @Test
    void theDrawingOfAStepStandsAtTheHourThatItsWordsName() {
        Set<String> looked = new TreeSet<>();
        for (Job job : Job.values()) {
            for (Step step : job.steps()) {
                Object[] amounts = step.amounts().stream().map(Amount::name).toArray();
                Matcher named = HOURS.matcher(wording.text("do." + step.text(), amounts));
                if (!named.find()) {
                    continue;
                }
                looked.add(step.text());
                assertThat(step.valveAt()).as(job + " " + step.id()).isNotNull();
                int first = Integer.parseInt(named.group(1));
                int last = named.group(3) == null ? first : Integer.parseInt(named.group(3));
                Set<Integer> hours = new TreeSet<>(Set.of(first % 12));
                // "between 10 and 2" goes round over the top; "4 or 8" are two places
                for (int hour = first; !"or".equals(named.group(2)) && hour % 12 != last % 12; hour++) {
                    hours.add((hour + 1) % 12);
                }
                hours.add(last % 12);
                assertThat(hours).as(job + " " + step.id()).contains(step.valveAt() % 12);
            }
        }
        assertThat(looked).contains("air-out", "inject", "fill-fibre", "fill-syringe");
    }

    @ParameterizedTest
    @EnumSource
    void everyEndingSaysWhatThen(Ending ending) {
        assertThat(wording.text("ending." + ending.name() + ".then")).isNotBlank();
    }

    @Test
    void everyConstantOfTheCoreHasItsWord() {
        Stream.of(
                        words("ground", Ground.values()),
                        words("drop", DropSchool.values()),
                        words("setup", SetupKind.values()),
                        words("side", PressureWindow.Side.values()),
                        words("level", Level.values()),
                        words("due", DueReason.values()),
                        words("casing", Casing.values()),
                        words("posture", Posture.values()),
                        words("bed", RimBed.values()),
                        words("unchecked", FitCheck.Unchecked.values()),
                        words("hold", HoldTest.Outcome.values()),
                        words("dose", DoseSchool.values()),
                        words("habit", SealantDose.Habit.values()),
                        words("schedule", Schedule.Kind.values()),
                        words("ready", RideReadiness.Standing.values()),
                        words("plan", WheelCare.Plan.values()),
                        words("care", LogDetail.CareDone.Care.values()),
                        words("tape-start", TapeStart.values()))
                .flatMap(List::stream)
                .forEach(word -> assertThat(word).isNotBlank());
        Stream.of(
                        words("job", Job.values()),
                        words("caution", Caution.values()),
                        words("ending", Ending.values()),
                        words("amount", Amount.values()),
                        words("answer", Answer.values()),
                        words("article", Article.values()),
                        words("family", SealantFamily.values()),
                        words("school", SeatingSchool.values()),
                        words("delivery", Cartridge.Delivery.values()))
                .flatMap(List::stream)
                .forEach(word -> assertThat(word).isNotBlank());
        ChainStep.ORDER.forEach(code -> {
            assertThat(wording.text("step." + code)).isNotBlank();
            assertThat(wording.text("step." + code + ".why")).isNotBlank();
        });
    }

    @Test
    void everyVerdictOfTheCoreHasAMessageAndARemedy() throws IllegalAccessException {
        List<Field> codes = Stream.concat(
                        Stream.of(VerdictCode.class.getFields()), Stream.of(KitCheck.class.getFields()))
                .filter(code -> !fine(code))
                .toList();
        for (Field code : codes) {
            Verdict verdict = Verdict.of(
                    Level.WARNS,
                    (String) code.get(null),
                    GaugePressure.psi(60),
                    GaugePressure.psi(50),
                    Ground.ROCK,
                    Length.mm(45),
                    Mass.kg(50));
            assertThat(verdicts.message(verdict, Units.metric(PressureUnit.PSI)))
                    .isNotBlank()
                    .doesNotContain("{", "''");
            assertThat(verdicts.fix(verdict, Units.metric(PressureUnit.PSI)))
                    .isNotBlank()
                    .doesNotContain("{", "''");
        }
    }

    /** What is fine has no remedy. */
    private static boolean fine(Field code) {
        return List.of("AIR_ENOUGH", "USUAL_CEILING").contains(code.getName());
    }

    /** The verdicts that fitting really gives, with their own details. */
    @ParameterizedTest
    @CsvSource({
        // tire, rim, hookless, allowed, tubeless-ready, bed, valve, wide valve, clearance, tubeless
        "57, 30, false, true, true, TAPED, 44, false, 8, true",
        "57, 20, true, false, false, UNTAPED, 30, true, 5, true",
        "27, 22, true, true, true, NOT_MADE_FOR_IT, 37, false, 3, true",
        "28, 24, true, true, true, SEALED, 60, false, 9, true",
        "57, 30, false, true, false, TAPED, 44, false, 8, true",
        "35, 30, false, true, false, TAPED, 44, false, 8, false",
        "70, 40, false, true, false, TAPED, 44, false, 8, false"
    })
    void everyVerdictOfFittingSaysItsNumbersAndWhatWouldHelp(
            double tire,
            double rim,
            boolean hookless,
            boolean allowed,
            boolean ready,
            RimBed bed,
            double valve,
            boolean wideValve,
            double clearance,
            boolean tubeless) {
        FitCase parts = new FitCase(
                new TireOnRim(tire, 622, null, rim, null),
                new FitCase.Rim(rim, 630, 20.0, hookless, bed, null, new ValveHole(6.5, ValveBase.ROUND, hookless)),
                new FitCase.Marks(ready, allowed, null, 60.0),
                new FitCase.Valve(
                        valve,
                        !wideValve,
                        wideValve ? ValveKind.SCHRADER : ValveKind.PRESTA,
                        ready ? ValveBase.ROUND : ValveBase.WEDGE,
                        clearance > 5),
                new FitCase.Tube(40, 60, 622),
                clearance,
                Mass.kg(70),
                tubeless,
                allowed);
        for (Verdict verdict : FitCheck.of(parts).verdicts()) {
            assertThat(verdicts.message(verdict, Units.metric(PressureUnit.PSI)))
                    .as(verdict.code())
                    .isNotBlank()
                    .doesNotContain("{", "\'\'");
            if (verdict.level() != Level.FINE) {
                assertThat(verdicts.fix(verdict, Units.metric(PressureUnit.PSI)))
                        .as(verdict.code())
                        .isNotBlank()
                        .doesNotContain("{", "\'\'");
            }
        }
    }

    @Test
    void aVerdictNamesItsNumbersInTheRidersUnitWithTheOtherBeside() {
        Verdict verdict = Verdict.of(
                Level.BLOCKS,
                VerdictCode.CANNOT_CARRY,
                GaugePressure.psi(90),
                GaugePressure.psi(60),
                0.231,
                Length.mm(37),
                null);
        assertThat(verdicts.message(verdict, Units.metric(PressureUnit.PSI))).contains("90.0 psi (6.21 bar)", "23.1 %");
        assertThat(verdicts.message(verdict, Units.metric(PressureUnit.BAR))).contains("6.21 bar (90.0 psi)");
        assertThat(verdicts.fix(verdict, Units.metric(PressureUnit.PSI))).contains("37 mm wide");
        Units imperial = new Units(
                PressureUnit.PSI, RiderUnit.LB, RiderUnit.IN, RiderUnit.FL_OZ, RiderUnit.FAHRENHEIT, RiderUnit.MI);
        assertThat(verdicts.fix(verdict, imperial)).contains("1.46 in wide");
    }

    @Test
    void aCeilingThatIsOnlyUsualSaysSoAndWhatToDo() {
        Ceiling usual = new Ceiling(GaugePressure.psi(46), true);
        Verdict note = Verdict.of(Level.FINE, VerdictCode.USUAL_CEILING, usual, Length.mm(57));
        assertThat(verdicts.message(note, Units.metric(PressureUnit.PSI)))
                .isEqualTo(
                        "A tire 57 mm wide gets no more than 46.0 psi (3.17 bar) (usual for this width, not read from"
                                + " your tire). Enter what the sidewall says; it wins.");
        Verdict blocked = Verdict.of(
                Level.BLOCKS, VerdictCode.CANNOT_CARRY, GaugePressure.psi(90), usual, 0.231, Length.mm(70), null);
        assertThat(verdicts.message(blocked, Units.metric(PressureUnit.PSI))).contains("usual for this width");
        assertThat(verdicts.fix(blocked, Units.metric(PressureUnit.PSI)))
                .contains("70 mm wide", "Enter what the sidewall says; until then this limit applies.");
    }

    @Test
    void aProblemSaysLimitAndUnit() {
        Problem problem = Range.closed(10, 120, "mm").problemOf("width", 300).orElseThrow();
        assertThat(problems.message(problem)).isEqualTo("must be at most 120 mm, was 300 mm");
    }

    /** Large limits would read "1,200" where a number with a point is expected back. */
    @Test
    void numbersInMessagesCarryNoGrouping() {
        assertThat(problems.message(
                        Range.closed(0, 9000, "m").problemOf("height", 12000).orElseThrow()))
                .isEqualTo("must be at most 9000 m, was 12000 m");
    }

    @ParameterizedTest
    @CsvSource({"21.5, 21.5", "'21,5', 21.5", "' 21 ', 21", "-3.5, -3.5", ".5, 0.5", "'0,50', 0.5", "7., 7"})
    void numbersAreReadAsPeopleTypeThem(String typed, double value) {
        FormReader reader = new FormReader(Map.of("field", typed));
        assertThat(reader.number("field", Range.closed(-10, 100, "psi"))).contains(value);
        assertThat(reader.problems().isEmpty()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "21.5.3, wrong-type",
        "'1,000.5', wrong-type",
        "NaN, wrong-type",
        "Infinity, wrong-type",
        "1e3, wrong-type",
        "0x10, wrong-type",
        "psi, wrong-type",
        "101, above-maximum",
        "-11, below-minimum"
    })
    void whatIsNoNumberOrOutsideIsAFaultOfItsField(String typed, String code) {
        FormReader reader = new FormReader(Map.of("field", typed));
        assertThat(reader.number("field", Range.closed(-10, 100, "psi"))).isEmpty();
        assertThat(reader.problems().list()).extracting(Problem::code).containsExactly(code);
    }

    @ParameterizedTest
    @CsvSource({"0.0449, 1, 0.0", "21.45, 1, 21.5", "-0.04, 1, 0.0", "1.005, 2, 1.01", "1500, 0, 1500"})
    void numbersAreRoundedHalfUpWithoutANegativeZero(double value, int decimals, String text) {
        assertThat(Numbers.fixed(value, decimals)).isEqualTo(text);
    }

    @Test
    void numbersWithoutNeedForDecimalsHaveNone() {
        assertThat(Numbers.upTo(120, 3)).isEqualTo("120");
        assertThat(Numbers.upTo(0.25, 3)).isEqualTo("0.25");
        assertThat(Numbers.upTo(0, 2)).isEqualTo("0");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-05-10T09:59:40Z, just now",
        "2026-05-10T09:48:00Z, 12 min ago",
        "2026-05-10T05:30:00Z, today 07:30",
        "2026-05-09T21:30:00Z, yesterday 23:30",
        "2026-05-09T22:30:00Z, today 00:30",
        "2026-05-04T10:00:00Z, 6 days ago",
        "2026-05-12T10:00:00Z, '12 May 2026, 12:00'"
    })
    void agesCountTheRidersOwnDays(Instant then, String age) {
        Instant now = Instant.parse("2026-05-10T10:00:00Z");
        assertThat(DateText.of(then, now, ZoneId.of("Europe/Vienna"), wording)).isEqualTo(age);
    }

    private List<String> words(String prefix, Enum<?>[] constants) {
        return Arrays.stream(constants)
                .map(constant -> wording.of(prefix, constant))
                .toList();
    }
}
