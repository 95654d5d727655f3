package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What moved a forecast: each thing that was seen or happened since the last filling, and an uncommonly dry time. */
public final class ForecastMoves {

    /** So many of the latest are told. */
    private static final int MOST = 5;

    private static final int FORTNIGHT = 14;
    private static final int YEAR = 365;

    /** What is drier than the usual by less is nothing to speak of (ratio; our judgement). */
    private static final double NOTABLE = 1.2;

    private ForecastMoves() {}

    /**
     * What one thing did.
     *
     * @param days by how much it moved the day of the refresh; negative when the day came nearer
     */
    public record Move(SealantEvent event, long days) {}

    /**
     * The driest fortnight since the filling.
     *
     * @param first its first day, {@code last} its last
     * @param extraMl what it took more than a usual fortnight (ml, by the middle of the rate)
     */
    public record DrySpell(LocalDate first, LocalDate last, double extraMl) {}

    /**
     * @param all the forecast with all of {@code events}
     * @return latest first; what moved nothing is left out
     */
    public static List<Move> of(
            SealantForecast all,
            SealantForecast.Tire tire,
            DryingClimate climate,
            List<SealantEvent> events,
            LocalDate asOf) {
        List<SealantEvent> since = events.stream()
                .filter(event -> !(event instanceof SealantEvent.Start))
                .filter(event ->
                        !event.on().isBefore(all.startedOn()) && !event.on().isAfter(asOf))
                .sorted(Comparator.comparing(SealantEvent::on).reversed())
                .limit(MOST)
                .sorted(Comparator.comparing(SealantEvent::on))
                .toList();
        List<Move> moves = new ArrayList<>();
        SealantForecast before = null;
        for (SealantEvent event : since) {
            // by identity: two dips of one day may say the same
            List<SealantEvent> others =
                    events.stream().filter(other -> other != event).toList();
            LocalDate eve = event.on().minusDays(1);
            if (before != null) {
                before = before.later(events, eve);
            } else if (events.stream().anyMatch(other -> !other.on().isAfter(eve))) {
                before = SealantForecast.of(tire, climate, events, eve);
            }
            SealantForecast without =
                    before == null ? SealantForecast.of(tire, climate, others, asOf) : before.later(others, asOf);
            long days = ChronoUnit.DAYS.between(without.refreshBy(), all.refreshBy());
            if (days != 0) {
                moves.add(0, new Move(event, days));
            }
        }
        return moves;
    }

    /**
     * @param forecast of today, with what is known of the rate
     * @return empty while it is younger than a fortnight, or none was notably dry
     */
    public static Optional<DrySpell> drySpell(SealantForecast forecast, DryingClimate climate, LocalDate today) {
        double usual = 0;
        for (int i = 0; i < YEAR; i++) {
            usual += climate.deficitKpa(today.minusDays(i)) / YEAR;
        }
        LocalDate driest = null;
        double most = NOTABLE * usual * FORTNIGHT;
        for (LocalDate first = forecast.startedOn();
                !first.plusDays(FORTNIGHT).isAfter(today);
                first = first.plusDays(1)) {
            double sum = 0;
            for (int i = 0; i < FORTNIGHT; i++) {
                sum += climate.deficitKpa(first.plusDays(i));
            }
            if (sum > most) {
                most = sum;
                driest = first;
            }
        }
        return driest == null
                ? Optional.empty()
                : Optional.of(new DrySpell(
                        driest,
                        driest.plusDays(FORTNIGHT - 1),
                        forecast.driesMl(driest, driest.plusDays(FORTNIGHT)) * (1 - usual * FORTNIGHT / most)));
    }
}
