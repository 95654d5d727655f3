package org.stratopneum.core.check;

import java.util.Optional;

/**
 * The values that a field may take. Not-a-number and the infinities are never inside.
 *
 * @param minimum lower end (in {@code unit})
 * @param minimumIncluded whether the lower end itself is allowed
 * @param maximum upper end, allowed (in {@code unit})
 * @param unit unit of both ends, empty for ratios
 */
public record Range(double minimum, boolean minimumIncluded, double maximum, String unit) {

    public Range {
        if (!(minimum <= maximum)) {
            throw new IllegalArgumentException(
                    "range must have minimum <= maximum, was " + minimum + " and " + maximum);
        }
    }

    /** From {@code minimum} to {@code maximum}, both allowed. */
    public static Range closed(double minimum, double maximum, String unit) {
        return new Range(minimum, true, maximum, unit);
    }

    /** Above {@code minimum}, up to {@code maximum} allowed. */
    public static Range above(double minimum, double maximum, String unit) {
        return new Range(minimum, false, maximum, unit);
    }

    public boolean contains(double value) {
        return (minimumIncluded ? value >= minimum : value > minimum) && value <= maximum;
    }

    /** What is wrong with {@code value} in {@code field}, if anything is. */
    public Optional<Problem> problemOf(String field, double value) {
        if (contains(value)) {
            return Optional.empty();
        }
        if (Double.isNaN(value) || Double.isInfinite(value)) {
            return Optional.of(Problem.of(field, Problem.NOT_FINITE));
        }
        if (value > maximum) {
            return Optional.of(new Problem(field, Problem.ABOVE_MAXIMUM, maximum, value, unit));
        }
        String code = minimumIncluded ? Problem.BELOW_MINIMUM : Problem.NOT_ABOVE_MINIMUM;
        return Optional.of(new Problem(field, code, minimum, value, unit));
    }
}
