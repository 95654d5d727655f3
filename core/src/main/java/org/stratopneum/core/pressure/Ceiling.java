package org.stratopneum.core.pressure;

import java.util.stream.Stream;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;

/**
 * The most that may be in a tire: the lowest of what tire and rim say, of 500 kPa on a hookless rim, and of 300 kPa for
 * a tire that runs tubeless without having been made for it. Where the tire's own limit is not known, what a tire of
 * its width usually carries stands in for it.
 *
 * @param pressure the ceiling
 * @param usual whether it is only usual for the width, not read from the tire
 */
public record Ceiling(GaugePressure pressure, boolean usual) {

    /** Straight-walled rims, whatever the tire says (kPa gauge; the current tire and rim standard, from memory). */
    public static final GaugePressure HOOKLESS = GaugePressure.kpa(500);

    /** A tire that was not made for tubeless gets no more than this without a tube (kPa gauge; common practice). */
    public static final GaugePressure UNMARKED_TUBELESS = GaugePressure.kpa(300);

    /** Narrowest tire that may go on a hookless rim (nominal width, mm; the current standard, from memory). */
    public static final double HOOKLESS_LEAST_TIRE_MM = 28;

    /** Casing tension (psi mm): it grows with pressure times width, and few casings are made for more. */
    private static final double USUAL_TENSION = 2600;

    private static final double USUAL_MOST_PSI = 120;

    /** @param width inflated width, above 0 */
    public static Ceiling of(Setup setup, Length width) {
        return of(setup.tireMaxKpa(), setup.rimMaxKpa(), setup.hookless(), setup.seeps(), width);
    }

    /**
     * @param tireMaxKpa printed on the tire (kPa gauge), or null
     * @param rimMaxKpa printed on the rim (kPa gauge), or null
     * @param seeps whether a tire runs tubeless that was not made for it
     * @param width inflated width, above 0
     */
    public static Ceiling of(Double tireMaxKpa, Double rimMaxKpa, boolean hookless, boolean seeps, Length width) {
        GaugePressure known = Stream.of(
                        tireMaxKpa, rimMaxKpa, hookless ? HOOKLESS.kpa() : null, seeps ? UNMARKED_TUBELESS.kpa() : null)
                .flatMap(Stream::ofNullable)
                .min(Double::compare)
                .map(GaugePressure::kpa)
                .orElse(null);
        GaugePressure usual = usualFor(width);
        boolean standsIn = tireMaxKpa == null && (known == null || usual.isBelow(known));
        return new Ceiling(standsIn ? usual : known, standsIn);
    }

    /**
     * Whether the limit of hookless rims holds: where nobody looked at the edge it does, unless the tire is too narrow for
     * any such rim, so that a limit is never left out for want of an answer.
     *
     * @param hookless whether the rim has straight walls, or null where nobody looked
     * @param tireMm nominal width of the tire (mm)
     */
    public static boolean hooklessCounts(Boolean hookless, double tireMm) {
        return hookless == null ? tireMm >= HOOKLESS_LEAST_TIRE_MM : hookless;
    }

    /**
     * What a tire of a width usually carries (common practice: 28 mm 93 psi, 40 mm 65, 57 mm 46, 75 mm 35). It leaves
     * out how this tire was built; what is printed on it wins.
     *
     * @param width inflated width, above 0
     */
    public static GaugePressure usualFor(Length width) {
        return GaugePressure.psi(Math.min(USUAL_TENSION / width.mm(), USUAL_MOST_PSI));
    }
}
