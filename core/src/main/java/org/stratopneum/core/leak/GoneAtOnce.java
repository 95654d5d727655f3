package org.stratopneum.core.leak;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Air that was gone between two readings and by what was read later did not go at one pace: at a burp, by a hole that closed,
 * by a hand at the valve. It says nothing of how fast the wheel loses air, and would blur what does (our judgement). It leaves
 * out less than a fifth of the air, and what nobody has read at least twice after it.
 *
 * @param before the reading before it
 * @param after the one that found it gone
 */
public record GoneAtOnce(LeakReading before, LeakReading after) {

    /** No more than this of the air is left (ratio). */
    private static final double MUCH_LEFT = Math.exp(-RiseTest.MUCH);

    /** Two stretches with a reading at their end tell. */
    private static final int ENOUGH = 2;

    /** The pace since is certainly less than this of what that loss would be as a pace (ratio). */
    private static final double LESS = 0.5;

    private static final double SURE_SIGMAS = 2;

    /** More than this is no scatter: somebody pumped (of the logarithm). */
    private static final double PUMPED = -0.05;

    /**
     * Those of some readings that found air gone at once, by their place.
     *
     * @param turns oldest first
     * @param kpa what each would be at 20 C (kPa)
     */
    static Set<Integer> in(List<Turn> turns, double[] kpa) {
        Set<Integer> gone = new HashSet<>();
        for (int i = 1; i < turns.size(); i++) {
            if (kpa[i] < MUCH_LEFT * kpa[i - 1]
                    && isOneStretch(turns, i)
                    && wentSlowerSince(turns, kpa, i, fall(kpa, i) / days(turns, i))) {
                gone.add(i);
            }
        }
        return gone;
    }

    /** Of the logarithm; what is flat is taken for nearly so. */
    private static double fall(double[] kpa, int i) {
        return Math.log(Math.max(AirLoss.FLAT_KPA, kpa[i - 1]) / Math.max(AirLoss.FLAT_KPA, kpa[i]));
    }

    private static boolean wentSlowerSince(List<Turn> turns, double[] kpa, int found, double pace) {
        double days = 0;
        double fell = 0;
        double variance = 0;
        int stretches = 0;
        for (int i = found + 1; i < turns.size(); i++) {
            double fall = fall(kpa, i);
            if (!isOneStretch(turns, i) || fall < PUMPED) {
                continue;
            }
            days += days(turns, i);
            fell += fall;
            variance += variance(turns.get(i - 1), kpa[i - 1]) + variance(turns.get(i), kpa[i]);
            stretches++;
            if (stretches >= ENOUGH && fell + SURE_SIGMAS * Math.sqrt(variance) <= LESS * pace * days) {
                return true;
            }
        }
        return false;
    }

    /** Of the logarithm of a reading, by its gauge and by how its warmth is known. */
    private static double variance(Turn turn, double kpa) {
        double held = Math.max(AirLoss.FLAT_KPA, kpa);
        double gauge = GaugeNoise.ofLog(held);
        double warmth = LossFilter.perC(held) * turn.reading().warmth().doubtC();
        return gauge * gauge + warmth * warmth;
    }

    /** Long enough for a temperature to be another one, and not pumped between. */
    private static boolean isOneStretch(List<Turn> turns, int i) {
        return !turns.get(i).afterInflation() && days(turns, i) >= LossFilter.SOON_DAYS;
    }

    private static double days(List<Turn> turns, int i) {
        return turns.get(i).reading().daysSince(turns.get(i - 1).reading());
    }
}
