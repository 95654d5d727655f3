package org.stratopneum.web.garage;

import java.util.List;
import java.util.Map;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.Units;

/**
 * What makes a tire impossible or unsafe on a rim, said beside the field that can mend it. More is judged by the fitting
 * desk; here only what no page could reckon with, and what must never be mounted.
 */
final class FitChecks {

    /** Two parts whose bead seats differ do not go together, however alike their names are. */
    static final String BEAD_SEATS_DIFFER = "bead-seats-differ";

    /** A tire that does not say so must not go on a straight-walled rim. */
    static final String NOT_FOR_HOOKLESS = "not-for-hookless";

    private static final Map<String, String> FIELD_OF = Map.of(
            "nominalWidthMm", "size",
            "beadSeatDiameterMm", "size",
            "measuringRimWidthMm", "measuringRim",
            "rimInternalWidthMm", "rimWidth",
            "measuredWidthMm", "measured",
            "tireMaxKpa", "tireMax",
            "tireMinKpa", "tireMin",
            "rimMaxKpa", "rimMax",
            "insert", "insert");

    private FitChecks() {}

    /** Adds to {@code reader} what stands against this tire, set up so, on this rim. */
    static void check(FormReader reader, Units units, RimSpec rim, TireSpec tire, FitSpec fit) {
        if (tire.size().beadSeatDiameterMm() != rim.beadSeatDiameterMm()) {
            reader.add(new Problem(
                    "size",
                    BEAD_SEATS_DIFFER,
                    rim.beadSeatDiameterMm(),
                    tire.size().beadSeatDiameterMm(),
                    "mm"));
            return;
        }
        if (rim.hookless() && !tire.hooklessAllowed()) {
            reader.fault("hooklessOk", NOT_FOR_HOOKLESS);
        }
        try {
            new TireOnRim(
                    tire.size().nominalWidthMm(),
                    rim.beadSeatDiameterMm(),
                    tire.measuringRimWidthMm(),
                    rim.internalWidthMm(),
                    fit.measuredWidthMm());
            new Setup(
                    fit.setup(),
                    fit.insert(),
                    tire.casing(),
                    rim.hookless(),
                    tire.maxKpa(),
                    tire.minKpa(),
                    rim.maxKpa(),
                    tire.tubelessMarked());
        } catch (InvalidInputException exception) {
            add(reader, units, exception.problems());
        }
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
