package org.stratopneum.web.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.stratopneum.core.history.EventRate;
import org.stratopneum.core.history.SealantUse;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.web.log.TreadMeasured;

/**
 * What a life comes to.
 *
 * @param punctures how many came how often (1000 km), empty where nothing was ridden
 * @param cost what is known of tires and sealant
 * @param middle wear in the middle of the tread, and {@code shoulder} at its shoulder, of the tire that is asked about
 * @param kmADay how far it was ridden each day of late, or null where it was not
 */
record HistoryFigures(
        double days,
        double km,
        int rides,
        long ridesOfUnknownLength,
        int holes,
        Optional<EventRate> punctures,
        Optional<SealantUse> sealant,
        Cost cost,
        Optional<TreadWear> middle,
        Optional<TreadWear> shoulder,
        Double kmADay) {

    private static final double KM_IN_1000 = 1000;

    /** Wear in the days to come is reckoned by what was ridden of late (days). */
    private static final int OF_LATE_DAYS = 90;

    /** To where a tread is ridden when nobody says otherwise (mm); common practice, no source. */
    static final double WORN_AT_MM = 1;

    /**
     * What it cost.
     *
     * @param tires that share of the prices of tires that was ridden off here, or null where no price is known
     * @param sealant what was paid for sealant that went in, or null where no price is known
     * @param tireUnpriced whether a tire's price is missing, {@code sealantUnpriced} whether some sealant's is
     */
    record Cost(Double tires, Double sealant, boolean tireUnpriced, boolean sealantUnpriced) {

        Optional<Double> sum() {
            return tires == null && sealant == null
                    ? Optional.empty()
                    : Optional.of((tires == null ? 0 : tires) + (sealant == null ? 0 : sealant));
        }
    }

    /**
     * A life's.
     *
     * @param shares for each tire, its price and all that was ever ridden on it (km)
     * @param worn the tire whose wear is asked about, or null for none
     */
    static HistoryFigures of(PartHistory life, Map<UUID, Priced> shares, UUID worn, Instant now) {
        double km = life.km();
        return new HistoryFigures(
                life.days(now),
                km,
                life.rides().size(),
                life.ridesOfUnknownLength(),
                life.holes().size(),
                km == 0
                        ? Optional.empty()
                        : Optional.of(new EventRate(life.holes().size(), km / KM_IN_1000)),
                SealantUse.of(life.fillingsByStay()),
                cost(life, shares),
                worn == null ? Optional.empty() : wear(life, worn, TreadMeasured::middleMm),
                worn == null ? Optional.empty() : wear(life, worn, TreadMeasured::shoulderMm),
                ofLate(life, worn, now));
    }

    /** What a tire cost, or null, and how far it was ever ridden (km). */
    record Priced(Double price, double km) {}

    private static Cost cost(PartHistory life, Map<UUID, Priced> shares) {
        List<UUID> tires =
                life.stays().stream().map(PartHistory.Stay::tire).distinct().toList();
        boolean priced = false;
        boolean unpriced = false;
        double sum = 0;
        for (UUID tire : tires) {
            Priced share = shares.get(tire);
            double here = life.km(tire, null);
            if (share == null || share.price == null) {
                unpriced = true;
            } else if (share.km > 0) {
                priced = true;
                sum += share.price * here / share.km;
            }
        }
        List<Double> paid = life.fillings().stream()
                .map(PartHistory.Filling::cost)
                .filter(Objects::nonNull)
                .toList();
        return new Cost(
                priced ? sum : null,
                paid.isEmpty()
                        ? null
                        : paid.stream().mapToDouble(Double::doubleValue).sum(),
                unpriced,
                paid.size() < life.fillings().size());
    }

    private static Optional<TreadWear> wear(PartHistory life, UUID tire, Function<TreadMeasured, Double> depth) {
        List<TreadWear.Mark> marks = life.treads().stream()
                .filter(tread -> tread.tire().equals(tire) && depth.apply(tread.measured()) != null)
                .map(tread -> new TreadWear.Mark(life.km(tire, tread.at()) / KM_IN_1000, depth.apply(tread.measured())))
                .toList();
        return TreadWear.of(marks, life.km(tire, null) / KM_IN_1000, wornAtMm(life.treads(), tire));
    }

    /** The depth to which a tire is ridden (mm): what was said last. */
    static double wornAtMm(List<PartHistory.Tread> treads, UUID tire) {
        return treads.stream()
                .filter(tread -> tread.tire().equals(tire))
                .map(tread -> tread.measured().wornAtMm())
                .filter(Objects::nonNull)
                .reduce((first, last) -> last)
                .orElse(WORN_AT_MM);
    }

    private static Double ofLate(PartHistory life, UUID tire, Instant now) {
        Instant from = now.minus(Duration.ofDays(OF_LATE_DAYS));
        double km = life.km(tire, null) - life.km(tire, from);
        double days = life.stays().stream()
                .filter(stay -> tire == null || stay.tire().equals(tire))
                .filter(stay -> stay.until() == null || stay.until().isAfter(from))
                .mapToDouble(stay ->
                        Math.min(stay.days(now), daysBetween(from, stay.until() == null ? now : stay.until())))
                .sum();
        return km == 0 || days < 1 ? null : km / days;
    }

    private static double daysBetween(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
    }
}
