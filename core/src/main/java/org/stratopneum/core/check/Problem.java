package org.stratopneum.core.check;

import java.util.Objects;

/**
 * One fault of one entered value.
 *
 * @param field path of the value, such as {@code tire.nominalWidthMm}
 * @param code kebab-case name of the rule that was broken, such as {@code above-maximum}
 * @param limit the limit that was broken (in {@code unit}), or null where the rule has none
 * @param value the value as it was understood (in {@code unit}), or null where there was none
 * @param unit unit of limit and value, empty for ratios, or null where neither is given
 */
public record Problem(String field, String code, Double limit, Double value, String unit) {

    public static final String MISSING = "missing";
    public static final String WRONG_TYPE = "wrong-type";
    public static final String NOT_FINITE = "not-finite";
    public static final String BELOW_MINIMUM = "below-minimum";
    public static final String NOT_ABOVE_MINIMUM = "not-above-minimum";
    public static final String ABOVE_MAXIMUM = "above-maximum";

    public Problem {
        Objects.requireNonNull(field, "field");
        Objects.requireNonNull(code, "code");
    }

    public static Problem of(String field, String code) {
        return new Problem(field, code, null, null, null);
    }

    /** The same problem, seen from an object that holds this one under {@code parent}. */
    public Problem under(String parent) {
        if (parent.isEmpty()) {
            return this;
        }
        String path = field.isEmpty() ? parent : parent + "." + field;
        return new Problem(path, code, limit, value, unit);
    }

    @Override
    public String toString() {
        StringBuilder text = new StringBuilder(field).append(": ").append(code);
        String suffix = unit == null || unit.isEmpty() ? "" : " " + unit;
        if (limit != null) {
            text.append(", limit ").append(limit).append(suffix);
        }
        if (value != null) {
            text.append(", was ").append(value).append(suffix);
        }
        return text.toString();
    }
}
