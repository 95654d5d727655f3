package org.stratopneum.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a tire takes of sealant: each filling after the first makes good what was lost since the one before. With it, how
 * long a filling was left alone. Left out: what was cleaned out unused, and what is still in there.
 *
 * @param totalMl all that ever went in (ml), {@code fillings} in how many fillings
 * @param gaps how often one filling followed another on the same stay
 * @param mlAMonth what went in after the first filling, over the time up to the last (ml a month), or null without a
 *     second one
 * @param monthsBetween mean time from a filling to the next (months), {@code shortest} and {@code longest} its ends; null
 *     without a second one
 */
public record SealantUse(
        double totalMl,
        int fillings,
        int gaps,
        Double mlAMonth,
        Double monthsBetween,
        Double shortest,
        Double longest) {

    /** Mean length of a month of the Gregorian calendar (days). */
    public static final double DAYS_A_MONTH = 365.2425 / 12;

    /** Fillings within a day are one. */
    private static final double LEAST_GAP_DAYS = 1;

    /** Sealant that went in (ml). */
    public record Filling(Instant at, double ml) {}

    /**
     * Empty where nothing ever went in.
     *
     * @param stays what went in each time that a tire was on one wheel, oldest first
     */
    public static Optional<SealantUse> of(List<List<Filling>> stays) {
        double total = 0;
        int count = 0;
        double again = 0;
        double time = 0;
        List<Double> gaps = new ArrayList<>();
        for (List<Filling> stay : stays) {
            List<Filling> fillings = merged(stay);
            total += sum(fillings);
            count += fillings.size();
            if (fillings.size() > 1) {
                again += sum(fillings.subList(1, fillings.size()));
                time += months(fillings.get(0).at, fillings.get(fillings.size() - 1).at);
            }
            for (int i = 1; i < fillings.size(); i++) {
                gaps.add(months(fillings.get(i - 1).at, fillings.get(i).at));
            }
        }
        if (count == 0) {
            return Optional.empty();
        }
        boolean told = !gaps.isEmpty();
        return Optional.of(new SealantUse(
                total,
                count,
                gaps.size(),
                told ? again / time : null,
                told ? gaps.stream().mapToDouble(Double::doubleValue).average().orElseThrow() : null,
                told ? gaps.stream().mapToDouble(Double::doubleValue).min().orElseThrow() : null,
                told ? gaps.stream().mapToDouble(Double::doubleValue).max().orElseThrow() : null));
    }

    private static List<Filling> merged(List<Filling> fillings) {
        List<Filling> merged = new ArrayList<>();
        for (Filling filling : fillings) {
            Filling last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last != null && months(last.at, filling.at) * DAYS_A_MONTH < LEAST_GAP_DAYS) {
                merged.set(merged.size() - 1, new Filling(last.at, last.ml + filling.ml));
            } else {
                merged.add(filling);
            }
        }
        return merged;
    }

    private static double sum(List<Filling> fillings) {
        return fillings.stream().mapToDouble(Filling::ml).sum();
    }

    private static double months(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0 / DAYS_A_MONTH;
    }
}
