package org.stratopneum.core.pressure;

import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * One line of the reckoning.
 *
 * @param code kebab-case name of the step
 * @param factor factor of this step (ratio), or null where the step is not a factor
 * @param pressure pressure after this step
 */
public record ChainStep(String code, Double factor, GaugePressure pressure) {

    public static final String BASE = "base";
    public static final String BASE_HELD = "base-held";
    public static final String DROP = "drop";
    public static final String WHEEL_SIZE = "wheel-size";
    public static final String VERY_WIDE = "very-wide";
    public static final String GROUND = "ground";
    public static final String SETUP = "setup";
    public static final String CASING = "casing";
    public static final String WET = "wet";
    public static final String PERSONAL = "personal";
    public static final String FACTORS_HELD = "factors-held";
    public static final String RESULT_HELD = "result-held";
    public static final String RAISED_TO_FLOOR = "raised-to-floor";
    public static final String HELD_AT_CEILING = "held-at-ceiling";

    /** All steps in the order in which they are taken; not every wheel takes every step. */
    public static final List<String> ORDER = List.of(
            BASE,
            BASE_HELD,
            DROP,
            WHEEL_SIZE,
            VERY_WIDE,
            GROUND,
            SETUP,
            CASING,
            WET,
            PERSONAL,
            FACTORS_HELD,
            RESULT_HELD,
            RAISED_TO_FLOOR,
            HELD_AT_CEILING);
}
