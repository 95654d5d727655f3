package org.stratopneum.core.leak;

/**
 * A tire that was found without air half a day or more after it had some: nobody knows when it went down, so only the
 * slowest that it can have been is known.
 *
 * @param before the last reading with air in it
 * @param after the one without
 * @param atLeast rate (1/day), {@code named} what that is called
 */
public record FoundFlat(LeakReading before, LeakReading after, double atLeast, LeakClass named) {

    /** Share of the gauge pressure lost in a day at least (ratio). */
    public double leastLossPerDay() {
        return -Math.expm1(-atLeast);
    }
}
