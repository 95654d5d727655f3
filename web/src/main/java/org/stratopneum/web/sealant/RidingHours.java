package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.ToDoubleFunction;

/**
 * How long each bike was out, as its ride notes say: on days past what was noted, on days to come as much a day as in the
 * last season. A pair of wheels counts as ridden whenever its bike was.
 */
final class RidingHours {

    /** What days to come are told by (days). */
    private static final int SEASON_DAYS = 90;

    private static final double MINUTES = 60;

    private final Map<UUID, Map<LocalDate, Double>> hours = new HashMap<>();
    private final LocalDate today;

    RidingHours(List<RidingMapper.Out> rides, LocalDate today) {
        this.today = today;
        rides.forEach(ride -> hours.computeIfAbsent(ride.bikeId(), bike -> new HashMap<>())
                .put(ride.day(), ride.minutes() / MINUTES));
    }

    static RidingHours none(LocalDate today) {
        return new RidingHours(List.of(), today);
    }

    /** What was noted of a bike, day by day. */
    Map<LocalDate, Double> noted(UUID bikeId) {
        return new TreeMap<>(hours.getOrDefault(bikeId, Map.of()));
    }

    /** Hours of a day that the bike is out. */
    ToDoubleFunction<LocalDate> of(UUID bikeId) {
        Map<LocalDate, Double> noted = hours.getOrDefault(bikeId, Map.of());
        double usual = aDay(bikeId);
        return day -> day.isBefore(today) ? noted.getOrDefault(day, 0.0) : usual;
    }

    /** Hours a day in the season that ends today. */
    double aDay(UUID bikeId) {
        LocalDate since = today.minusDays(SEASON_DAYS);
        return hours.getOrDefault(bikeId, Map.of()).entrySet().stream()
                        .filter(entry -> !entry.getKey().isBefore(since))
                        .mapToDouble(Map.Entry::getValue)
                        .sum()
                / SEASON_DAYS;
    }
}
