package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Whether a wheel leaks: how it loses its air since the last inflation, what that is called, and whether the pace changed on
 * the way. A class is named where it is as good as sure; else it is told when another reading would tell.
 *
 * @param named {@link LeakClass#UNSURE} where no class is likely enough
 * @param readAgain when one more reading would name it if all goes on alike, or null where it is named, or sixty days would
 *     not do
 * @param change what changed on the way, or null
 */
public record LeakRate(PressureFall fall, LeakClass named, Instant readAgain, PaceChange change) {

    /** As likely as this a class is named (ratio; our judgement). */
    private static final double SURE = 0.8;

    private static final int LONGEST_DAYS = 60;

    /** Nobody asks farther ahead (days). */
    private static final double FAR_DAYS = 3660;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /**
     * @param turns readings and inflations, oldest first
     * @param heightM where they were read (m)
     * @return empty where fewer than two readings since the last inflation, an hour apart at least, tell of a pace, and
     *     where it went flat
     */
    public static Optional<LeakRate> of(List<Turn> turns, LeakBands bands, double heightM) {
        int last = 0;
        for (int i = 0; i < turns.size(); i++) {
            last = turns.get(i).afterInflation() ? i : last;
        }
        List<LeakReading> readings =
                turns.subList(last, turns.size()).stream().map(Turn::reading).toList();
        if (WentFlat.in(readings).isPresent()) {
            return Optional.empty();
        }
        return PressureFall.of(readings, heightM)
                .filter(PressureFall::longEnough)
                .map(fall -> {
                    LeakClass named = named(fall.perDay(), fall.sigma(), bands);
                    return new LeakRate(
                            fall,
                            named,
                            named == LeakClass.UNSURE ? readAgain(fall, bands) : null,
                            PaceChange.in(readings, heightM).orElse(null));
                });
    }

    /** @param perDay k (1/day), {@code sigma} its standard deviation (1/day) */
    static LeakClass named(double perDay, double sigma, LeakBands bands) {
        NormalDistribution pace = new NormalDistribution(perDay, sigma);
        for (int i = 0; i < LeakClass.NAMED.size(); i++) {
            double from = below(pace, bands.from(LeakClass.NAMED.get(i)));
            double to = i + 1 == LeakClass.NAMED.size() ? 1 : below(pace, bands.from(LeakClass.NAMED.get(i + 1)));
            if (to - from >= SURE) {
                return LeakClass.NAMED.get(i);
            }
        }
        return LeakClass.UNSURE;
    }

    /** How likely it loses less than a share of its pressure in a day. */
    private static double below(NormalDistribution pace, double lossPerDay) {
        return Double.isInfinite(lossPerDay) ? 0 : pace.cumulativeProbability(-Math.log1p(-lossPerDay));
    }

    /** One more reading with its temperature noted, on the line so far. */
    private static Instant readAgain(PressureFall fall, LeakBands bands) {
        for (int days = 1; days <= LONGEST_DAYS; days++) {
            Instant then = fall.end().plus(Duration.ofDays(days));
            double kpa = fall.at(then).likely().kpa();
            double relative = WeightedLine.sigma(kpa, true) / kpa;
            double weight = 1 / (relative * relative);
            PressureFall.Scatter known = fall.scatter();
            double off = Duration.between(fall.start(), then).toMillis() / MILLIS_PER_DAY - known.meanDay();
            double squares = known.squares() + known.weight() * weight / (known.weight() + weight) * off * off;
            if (named(fall.perDay(), known.inflation() / Math.sqrt(squares), bands) != LeakClass.UNSURE) {
                return then;
            }
        }
        return null;
    }

    /**
     * When it falls, or fell, below a pressure if it goes on like this.
     *
     * @param floorKpa that pressure at 20 C (kPa gauge, above 0)
     * @return empty while it does not fall, or where it began below
     */
    public Optional<Instant> below(double floorKpa) {
        double days = (fall.logStartKpa() - Math.log(floorKpa)) / fall.perDay();
        return fall.perDay() > 0 && days > 0 && days < FAR_DAYS
                ? Optional.of(fall.start().plusMillis(Math.round(days * MILLIS_PER_DAY)))
                : Optional.empty();
    }
}
