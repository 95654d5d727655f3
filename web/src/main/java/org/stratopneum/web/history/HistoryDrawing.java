package org.stratopneum.web.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.web.platform.drawing.HistoryBand;
import org.stratopneum.web.rider.Rider;

/** Lays a life along the calendar. */
final class HistoryDrawing {

    private HistoryDrawing() {}

    /** Null where nothing was ever fitted. */
    static HistoryBand band(
            PartHistory life,
            List<WindowDays.Read> readings,
            Function<PartHistory.Stay, String> name,
            HistoryPage.Span span,
            Rider rider,
            Instant now) {
        if (life.stays().isEmpty()) {
            return null;
        }
        Instant first = life.stays().get(0).from();
        Instant from = span.days() == 0 ? first : now.minus(Duration.ofDays(span.days()));
        // a life of an hour has room too
        Instant latest = now.minus(Duration.ofDays(7));
        HistoryBand.Drawn drawn = new HistoryBand.Drawn(
                life.stays().stream()
                        .map(stay -> new HistoryBand.Stretch(
                                stay.from(), stay.until() == null ? now : stay.until(), name.apply(stay)))
                        .toList(),
                life.rides().stream()
                        .filter(ride -> ride.km() != null)
                        .map(ride -> new HistoryBand.Mark(ride.at(), ride.km()))
                        .toList(),
                marks(readings, true),
                marks(readings, false),
                life.fillings().stream()
                        .map(filling -> new HistoryBand.Mark(filling.at(), filling.ml()))
                        .toList(),
                life.dips(),
                life.holes(),
                life.treads().stream()
                        .map(tread -> new HistoryBand.Mark(
                                tread.at(), tread.measured().middleMm()))
                        .toList());
        return HistoryBand.of(drawn, from.isAfter(latest) ? latest : from, now, rider.zoneId());
    }

    private static List<HistoryBand.Mark> marks(List<WindowDays.Read> readings, boolean set) {
        return readings.stream()
                .filter(read -> read.set() == set)
                .map(read -> new HistoryBand.Mark(read.at(), read.pressure().kpa()))
                .toList();
    }

    /** The name of each tire, those of the same name told apart by nothing. */
    static Function<PartHistory.Stay, String> tires(Map<UUID, String> names) {
        return stay -> names.getOrDefault(stay.tire(), "");
    }
}
