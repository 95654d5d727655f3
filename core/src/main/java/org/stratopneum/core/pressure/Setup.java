package org.stratopneum.core.pressure;

import java.util.Objects;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * How a wheel is set up, and what is printed on its parts.
 *
 * @param kind what holds the air
 * @param insert whether a foam insert is in a tubeless set-up
 * @param casing build of the casing
 * @param hookless whether the rim has straight walls
 * @param tireMaxKpa highest pressure printed on the tire (kPa gauge), or null
 * @param tireMinKpa lowest pressure printed on the tire (kPa gauge), or null
 * @param rimMaxKpa highest pressure printed on the rim (kPa gauge), or null
 * @param tubelessCasing whether the tire was made for tubeless; counts only where it runs so
 */
public record Setup(
        SetupKind kind,
        boolean insert,
        Casing casing,
        boolean hookless,
        Double tireMaxKpa,
        Double tireMinKpa,
        Double rimMaxKpa,
        boolean tubelessCasing) {

    public static final Range PRINTED_MAX_KPA = Range.closed(50, 1500, "kPa");
    public static final Range PRINTED_MIN_KPA = Range.closed(0, 1500, "kPa");

    /** A foam insert goes into a tubeless set-up only. */
    public static final String INSERT_WITH_TUBE = "insert-with-tube";

    /** The lowest printed pressure is above the highest. */
    public static final String MIN_ABOVE_MAX = "min-above-max";

    /** A foam insert carries part of the load (ratio; rule of thumb). */
    private static final double INSERT_FACTOR = 0.92;

    public Setup {
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(casing, "casing");
        Problems problems = new Problems();
        problems.checkIfPresent("tireMaxKpa", tireMaxKpa, PRINTED_MAX_KPA);
        problems.checkIfPresent("tireMinKpa", tireMinKpa, PRINTED_MIN_KPA);
        problems.checkIfPresent("rimMaxKpa", rimMaxKpa, PRINTED_MAX_KPA);
        if (insert && kind != SetupKind.TUBELESS) {
            problems.add(Problem.of("insert", INSERT_WITH_TUBE));
        }
        if (tireMinKpa != null && tireMaxKpa != null && tireMinKpa > tireMaxKpa) {
            problems.add(new Problem("tireMinKpa", MIN_ABOVE_MAX, tireMaxKpa, tireMinKpa, "kPa"));
        }
        problems.throwIfAny();
    }

    /** Whether a tire runs tubeless that was not made for it. */
    public boolean seeps() {
        return kind == SetupKind.TUBELESS && !tubelessCasing;
    }

    /** Standard casing that was made for it, hooked rim, nothing printed. */
    public static Setup of(SetupKind kind) {
        return new Setup(kind, false, Casing.STANDARD, false, null, null, null, true);
    }

    /** @return factor of tube, or of an insert (ratio); an insert carries part of the load (rule of thumb) */
    public double kindFactor() {
        return insert ? INSERT_FACTOR : kind.factor();
    }
}
