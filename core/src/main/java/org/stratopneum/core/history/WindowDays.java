package org.stratopneum.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * For how long a tire stood inside a window, from what was read. Between two readings without pumping between them the
 * pressure falls by the same share each day; from the last reading before the pump on by the pace of all such falls
 * together, where there are any. Left out: warm and cold days, and gauges that differ.
 *
 * @param inside days inside, {@code below} and {@code above} outside of it
 * @param reckoned how many of these days come from the pace of other falls
 * @param unknown days of which nobody knows
 */
public record WindowDays(double inside, double below, double above, double reckoned, double unknown) {

    private static final double SECONDS_A_DAY = 86_400;

    /** Falls over less time tell more of the gauge than of the tire (days). */
    private static final double LEAST_FALL_DAYS = 0.25;

    /** A pressure this low has no share to lose (kPa). */
    private static final double FLAT_KPA = 1;

    /** A reading; {@code set} where it is the first after pumping or letting out. */
    public record Read(Instant at, GaugePressure pressure, boolean set) {}

    /** @return known days */
    public double known() {
        return inside + below + above;
    }

    /**
     * @param readings oldest first
     * @param from where the time begins, {@code until} where it ends; what was read outside of it is left out
     * @param low lower end of the window, {@code high} the upper one
     */
    public static WindowDays of(
            List<Read> readings, Instant from, Instant until, GaugePressure low, GaugePressure high) {
        List<Read> within = readings.stream()
                .filter(read -> !read.at().isBefore(from) && !read.at().isAfter(until))
                .toList();
        Double pace = pace(within);
        Sum sum = new Sum(Math.log(Math.max(FLAT_KPA, low.kpa())), Math.log(Math.max(FLAT_KPA, high.kpa())));
        if (within.isEmpty()) {
            sum.unknown += days(from, until);
            return sum.days();
        }
        sum.unknown += days(from, within.get(0).at());
        for (int i = 0; i < within.size(); i++) {
            Read read = within.get(i);
            Read next = i + 1 < within.size() ? within.get(i + 1) : null;
            double days = days(read.at(), next == null ? until : next.at());
            if (next != null && !next.set()) {
                sum.add(log(read), log(next), days);
            } else if (pace == null) {
                sum.unknown += days;
            } else {
                sum.reckoned += days;
                sum.add(log(read), log(read) - pace * days, days);
            }
        }
        return sum.days();
    }

    /** What all falls lost together, over their time (1/day); null where there is none. */
    private static Double pace(List<Read> readings) {
        double lost = 0;
        double time = 0;
        for (int i = 1; i < readings.size(); i++) {
            double days = days(readings.get(i - 1).at(), readings.get(i).at());
            if (!readings.get(i).set() && days >= LEAST_FALL_DAYS) {
                lost += log(readings.get(i - 1)) - log(readings.get(i));
                time += days;
            }
        }
        return time == 0 ? null : Math.max(0, lost / time);
    }

    private static double log(Read read) {
        return Math.log(Math.max(FLAT_KPA, read.pressure().kpa()));
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMillis() / 1000.0 / SECONDS_A_DAY;
    }

    /** Adds up times on straight lines of the logarithm. */
    private static final class Sum {

        private final double low;
        private final double high;
        private double inside;
        private double below;
        private double above;
        private double reckoned;
        private double unknown;

        Sum(double low, double high) {
            this.low = low;
            this.high = high;
        }

        void add(double first, double last, double days) {
            double under = shareUnder(first, last, low);
            double upTo = shareUpTo(first, last, high);
            below += under * days;
            inside += (upTo - under) * days;
            above += (1 - upTo) * days;
        }

        private static double shareUnder(double first, double last, double level) {
            double least = Math.min(first, last);
            double most = Math.max(first, last);
            if (most == least) {
                return least < level ? 1 : 0;
            }
            return Math.min(1, Math.max(0, (level - least) / (most - least)));
        }

        private static double shareUpTo(double first, double last, double level) {
            return first == last ? (first <= level ? 1 : 0) : shareUnder(first, last, level);
        }

        WindowDays days() {
            return new WindowDays(inside, below, above, reckoned, unknown);
        }
    }
}
