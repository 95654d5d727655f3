package org.stratopneum.web.parts.garage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

class PartFieldsTest {

    /** Numbers that no unit shows in full. */
    private static final TireSpec TIRE = new TireSpec(
            "Lichen Tread",
            new TireSize(57, 622),
            25.13,
            Casing.HEAVY,
            true,
            true,
            false,
            347.77,
            151.23,
            118.41,
            LocalDate.of(2026, 3, 1),
            new BigDecimal("61.90"));

    private static final RimSpec RIM = new RimSpec(
            "Steady rim",
            622,
            29.87,
            21.43,
            true,
            RimBed.TAPED,
            new ValveHole(6.47, ValveBase.WEDGE, true),
            413.69,
            32,
            LocalDate.of(2025, 5, 9),
            null,
            false);

    static Stream<Units> allUnits() {
        List<Units> all = new ArrayList<>();
        for (PressureUnit pressure : PressureUnit.values()) {
            for (RiderUnit length : RiderUnit.Kind.LENGTH.units()) {
                for (RiderUnit mass : RiderUnit.Kind.MASS.units()) {
                    all.add(new Units(pressure, mass, length, RiderUnit.ML, RiderUnit.CELSIUS, RiderUnit.KM));
                }
            }
        }
        return all.stream();
    }

    /** A form that is opened in any units and kept untouched changes no number. */
    @ParameterizedTest
    @MethodSource("allUnits")
    void aFormKeptUntouchedChangesNothing(Units units) {
        PartFields fields = new PartFields(units);
        Map<String, String> texts = new TreeMap<>();
        fields.fill(texts, TIRE);
        fields.fill(texts, RIM);
        FormReader reader = new FormReader(texts);
        assertThat(fields.tire(reader, TIRE)).contains(TIRE);
        assertThat(fields.rim(reader, null, null, RimBed.UNTAPED, RIM)).contains(RIM);
        assertThat(reader.problems().list()).isEmpty();
    }

    /** What is typed anew is read in the unit that the form shows (1 psi = 6.894757 kPa, 1 in = 25.4 mm; NIST SP 811). */
    @Test
    void whatIsTypedAnewIsReadInTheRidersUnits() {
        Units imperial = new Units(
                PressureUnit.PSI, RiderUnit.LB, RiderUnit.IN, RiderUnit.FL_OZ, RiderUnit.FAHRENHEIT, RiderUnit.MI);
        FormReader reader = new FormReader(
                Map.of("size", "57-622", "tireMax", "50", "maxLoad", "265", "measuringRim", "1", "casing", "LIGHT"));
        TireSpec tire = new PartFields(imperial).tire(reader, TIRE).orElseThrow();
        assertThat(tire.maxKpa()).isCloseTo(344.738, within(0.001));
        assertThat(tire.measuringRimWidthMm()).isCloseTo(25.4, within(1e-9));
        // 1 lb = 0.45359237 kg, exact
        assertThat(tire.maxLoadKg()).isCloseTo(265 * 0.45359237, within(1e-6));
        assertThat(tire.name())
                .as("a tire without a name is called by its size")
                .isEqualTo("57-622");
    }

    @ParameterizedTest
    @CsvSource({
        "size, '', missing",
        "size, banana, not-a-size",
        "size, 26 x 1 3/8, which-size",
        "tireMax, 5000, above-maximum",
        "tireMin, 60, min-above-max",
        "measuringRim, 57, measuring-rim-too-wide",
        "tireBought, yesterday, not-a-day",
        "casing, SILK, unknown-value",
        "tirePrice, -1, below-minimum",
        "maxLoad, heavy, wrong-type"
    })
    void everyFaultIsSaidBesideItsField(String field, String typed, String code) {
        Map<String, String> texts = new TreeMap<>(Map.of("size", "57-622", "tireMax", "50"));
        texts.put(field, typed);
        FormReader reader = new FormReader(texts);
        new PartFields(Units.metric(PressureUnit.PSI)).tire(reader, null);
        assertThat(reader.problems().list())
                .extracting(Problem::field, Problem::code)
                .containsExactly(tuple(field, code));
    }

    @ParameterizedTest
    @ValueSource(strings = {"31.9", "32.0001", "31,5"})
    void aPartOfASpokeIsAFault(String typed) {
        FormReader reader = new FormReader(Map.of("rimWidth", "25", "spokes", typed));
        new PartFields(Units.metric(PressureUnit.BAR)).rim(reader, 622.0, null, RimBed.TAPED, null);
        assertThat(reader.problems().list())
                .extracting(Problem::field, Problem::code)
                .containsExactly(tuple("spokes", "not-whole"));
    }

    @Test
    void aRimWithoutANameIsCalledByItsNumbers() {
        FormReader reader = new FormReader(Map.of("rimWidth", "25,5"));
        RimSpec rim = new PartFields(Units.metric(PressureUnit.BAR))
                .rim(reader, 622.0, null, RimBed.TAPED, null)
                .orElseThrow();
        assertThat(rim.name()).isEqualTo("622 x 25.5");
        assertThat(rim.bed()).isEqualTo(RimBed.TAPED);
    }

    @ParameterizedTest
    @CsvSource({
        // rim bead seat, rim width, hookless, tire allowed on hookless, measured, code
        "622, 30, false, false, , ",
        "584, 30, false, false, , bead-seats-differ",
        "622, 30, true, false, , not-for-hookless",
        "622, 30, true, true, , ",
        "622, 100, false, false, , rim-too-wide",
        "622, 30, false, false, 29, measured-not-above-rim"
    })
    void whatCannotGoTogetherIsRefused(
            double beadSeat, double width, boolean hookless, boolean allowed, Double measured, String code) {
        RimSpec rim = new RimSpec(
                "Rim", beadSeat, width, null, hookless, RimBed.TAPED, ValveHole.UNKNOWN, null, null, null, null, false);
        TireSpec tire = new TireSpec(
                "Tire",
                new TireSize(57, 622),
                null,
                Casing.STANDARD,
                true,
                allowed,
                false,
                null,
                null,
                null,
                null,
                null);
        FormReader reader = new FormReader(Map.of());
        FitChecks.check(
                reader,
                Units.metric(PressureUnit.PSI),
                rim,
                tire,
                new FitSpec(null, tire, SetupKind.TUBELESS, false, measured));
        assertThat(reader.problems().list())
                .extracting(Problem::code)
                .isEqualTo(code == null ? List.of() : List.of(code));
    }

    @Test
    void aLimitIsSaidInTheRidersUnit() {
        RimSpec rim = new RimSpec(
                "Rim", 622, 30, null, false, RimBed.TAPED, ValveHole.UNKNOWN, null, null, null, null, false);
        FormReader reader = new FormReader(Map.of());
        Units inches =
                new Units(PressureUnit.PSI, RiderUnit.KG, RiderUnit.IN, RiderUnit.ML, RiderUnit.CELSIUS, RiderUnit.KM);
        FitChecks.check(reader, inches, rim, TIRE, new FitSpec(null, TIRE, SetupKind.TUBELESS, false, 25.4));
        Problem problem = reader.problems().list().get(0);
        assertThat(problem.unit()).isEqualTo("in");
        assertThat(problem.value()).isCloseTo(1, within(1e-9));
    }
}
