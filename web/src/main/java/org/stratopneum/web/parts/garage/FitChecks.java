package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.FitCode;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

/**
 * What makes a tire impossible or unsafe on a rim, said beside the field that can mend it. What only wants care is said on
 * the wheel's page, where it can be accepted.
 */
final class FitChecks {

    /** Two parts whose bead seats differ do not go together, however alike their names are. */
    static final String BEAD_SEATS_DIFFER = "bead-seats-differ";

    /** A tire that does not say so must not go on a straight-walled rim. */
    static final String NOT_FOR_HOOKLESS = "not-for-hookless";

    private static final String RIM_WIDTH = "rimWidth";

    private static final Map<String, String> FIELD_OF = Map.of(
            "nominalWidthMm", "size",
            "beadSeatDiameterMm", "size",
            "measuringRimWidthMm", "measuringRim",
            "rimInternalWidthMm", RIM_WIDTH,
            "measuredWidthMm", "measured",
            "tireMaxKpa", "tireMax",
            "tireMinKpa", "tireMin",
            "rimMaxKpa", "rimMax",
            "insert", "insert");

    private FitChecks() {}

    /** Where a rule that blocks is mended: the field of a whole wheel's form. */
    private static final Map<String, String> MENDED_AT = Map.of(
            FitCode.RIM_NARROW,
            RIM_WIDTH,
            FitCode.RIM_WIDE,
            RIM_WIDTH,
            FitCode.HOOKLESS_RIM_TOO_WIDE,
            RIM_WIDTH,
            FitCode.HOOKLESS_TOO_NARROW,
            "size",
            FitCode.TUBELESS_NOT_MARKED_HOOKLESS,
            "tubeless",
            FitCode.RIM_BED_UNTAPED,
            "bed");

    /** Adds to {@code reader} what stands against this tire, set up so, on this rim, beside the fields of a wheel. */
    static void check(FormReader reader, Units units, RimSpec rim, TireSpec tire, FitSpec fit) {
        check(reader, units, rim, tire, fit, field -> field);
    }

    /**
     * @param shownAt where a page shows what belongs to a field of a wheel that it has not
     */
    static void check(
            FormReader reader, Units units, RimSpec rim, TireSpec tire, FitSpec fit, UnaryOperator<String> shownAt) {
        FormReader whole = new FormReader(Map.of());
        find(whole, units, rim, tire, fit);
        whole.problems().list().stream()
                .map(problem -> new Problem(
                        shownAt.apply(problem.field()),
                        problem.code(),
                        problem.limit(),
                        problem.value(),
                        problem.unit()))
                .filter(problem -> !reader.isFaulty(problem.field()))
                .forEach(reader::add);
    }

    private static void find(FormReader reader, Units units, RimSpec rim, TireSpec tire, FitSpec fit) {
        if (tire.size().beadSeatDiameterMm() != rim.beadSeatDiameterMm()) {
            reader.add(new Problem(
                    "size",
                    BEAD_SEATS_DIFFER,
                    rim.beadSeatDiameterMm(),
                    tire.size().beadSeatDiameterMm(),
                    "mm"));
            return;
        }
        if (Boolean.TRUE.equals(rim.hookless()) && Boolean.FALSE.equals(tire.hooklessAllowed())) {
            reader.fault("hooklessOk", NOT_FOR_HOOKLESS);
        }
        try {
            TireOnRim onRim = new TireOnRim(
                    tire.size().nominalWidthMm(),
                    rim.beadSeatDiameterMm(),
                    tire.measuringRimWidthMm(),
                    rim.internalWidthMm(),
                    fit.measuredWidthMm());
            new Setup(
                    fit.setup(),
                    fit.insert(),
                    tire.casing(),
                    Ceiling.hooklessCounts(rim.hookless(), tire.size().nominalWidthMm()),
                    tire.maxKpa(),
                    tire.minKpa(),
                    rim.maxKpa(),
                    !Boolean.FALSE.equals(tire.tubelessMarked()));
            blocks(reader, units, rim, tire, fit, onRim);
        } catch (InvalidInputException exception) {
            add(reader, units, exception.problems());
        }
    }

    /** What the fitting service would block is not entered: it is mended by changing something. */
    private static void blocks(
            FormReader reader, Units units, RimSpec rim, TireSpec tire, FitSpec fit, TireOnRim onRim) {
        FitCase parts = new FitCase(
                onRim,
                new FitCase.Rim(
                        rim.internalWidthMm(),
                        rim.beadSeatDiameterMm(),
                        rim.depthMm(),
                        rim.hookless(),
                        rim.bed(),
                        rim.maxKpa(),
                        rim.valveHole()),
                new FitCase.Marks(tire.tubelessMarked(), tire.hooklessAllowed(), tire.maxKpa(), tire.maxLoadKg()),
                null,
                null,
                null,
                null,
                fit.setup() == SetupKind.TUBELESS,
                fit.insert());
        FitCheck.of(parts).verdicts().stream()
                .filter(verdict -> verdict.level() == Level.BLOCKS && MENDED_AT.containsKey(verdict.code()))
                .filter(verdict -> !reader.isFaulty(MENDED_AT.get(verdict.code())))
                .forEach(verdict -> reader.add(inUnits(problemOf(verdict), units)));
    }

    private static Problem problemOf(Verdict verdict) {
        String field = MENDED_AT.get(verdict.code());
        return switch (verdict.code()) {
            case FitCode.RIM_NARROW -> lengths(field, verdict, 3, 1);
            case FitCode.RIM_WIDE -> lengths(field, verdict, 4, 1);
            case FitCode.HOOKLESS_RIM_TOO_WIDE -> lengths(field, verdict, 2, 1);
            case FitCode.HOOKLESS_TOO_NARROW -> lengths(field, verdict, 1, 0);
            default -> Problem.of(field, verdict.code());
        };
    }

    /** A problem whose limit and value stand at these places among the details. */
    private static Problem lengths(String field, Verdict verdict, int limit, int value) {
        return new Problem(
                field,
                verdict.code(),
                ((Length) verdict.details().get(limit)).mm(),
                ((Length) verdict.details().get(value)).mm(),
                "mm");
    }

    private static void add(FormReader reader, Units units, List<Problem> problems) {
        problems.stream()
                .map(problem -> new Problem(
                        FIELD_OF.getOrDefault(problem.field(), "size"),
                        problem.code(),
                        problem.limit(),
                        problem.value(),
                        problem.unit()))
                .filter(problem -> !reader.isFaulty(problem.field()))
                .forEach(problem -> reader.add(inUnits(problem, units)));
    }

    /** The same problem in the rider's units. */
    static Problem inUnits(Problem problem, Units units) {
        if ("mm".equals(problem.unit())) {
            return converted(problem, units.length());
        }
        return "kPa".equals(problem.unit()) ? converted(problem, units.pressure()) : problem;
    }

    private static Problem converted(Problem problem, org.stratopneum.core.quantity.QuantityUnit unit) {
        return new Problem(
                problem.field(),
                problem.code(),
                problem.limit() == null ? null : unit.fromCore(problem.limit()),
                problem.value() == null ? null : unit.fromCore(problem.value()),
                unit.symbol());
    }
}
