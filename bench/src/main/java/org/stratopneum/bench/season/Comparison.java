package org.stratopneum.bench.season;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.stratopneum.bench.season.truth.Figure;

/**
 * Usual obedience against the best of the ways without the application, rider by rider.
 *
 * @param said what is counted
 * @param wanted by how much less it is to be at least (ratio)
 * @param of the figures that are added up
 */
record Comparison(String said, double wanted, List<Figure> of) {

    static final List<Comparison> ALL = List.of(
            new Comparison("outside of the best range (km)", 0.4, List.of(Figure.SOFT_KM, Figure.HARD_KM)),
            new Comparison("with too little sealant (km)", 0.6, List.of(Figure.DRY_KM)),
            new Comparison("minutes at the bench", 0.3, List.of(Figure.MINUTES)),
            new Comparison("trips to the shed", 0, List.of(Figure.TRIPS)));

    private static final List<Way> OTHERS = List.of(Way.THUMB, Way.CHART, Way.REMINDER);

    private double sum(Map<Way, Map<Figure, Double>> years, Way way) {
        return of.stream().mapToDouble(figure -> years.get(way).get(figure)).sum();
    }

    private double mean(List<Map<Way, Map<Figure, Double>>> all, Way way) {
        return all.stream().mapToDouble(years -> sum(years, way)).average().orElseThrow();
    }

    /** @return whether it is as much less as is wanted */
    boolean tell(List<Map<Way, Map<Figure, Double>>> all) {
        Way best = OTHERS.stream()
                .min(Comparator.comparingDouble(way -> mean(all, way)))
                .orElseThrow();
        double change = mean(all, Way.USUAL) / mean(all, best) - 1;
        Spread paired = Spread.of(all.stream()
                .mapToDouble(years -> sum(years, Way.USUAL) - sum(years, best))
                .toArray());
        boolean met = change <= -wanted;
        System.out.printf(
                Locale.ROOT,
                "%-32s %+4.0f %% against %s (wanted %+.0f %%): %s; by rider and year %+.0f (%+.0f .. %+.0f)%n",
                said,
                100 * change,
                best.said(),
                -100 * wanted,
                met ? "met" : "missed",
                paired.mean(),
                paired.low(),
                paired.high());
        return met;
    }
}
