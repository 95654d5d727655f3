package org.stratopneum.web.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.drawing.HistoryBand;
import org.stratopneum.web.platform.drawing.HistorySpot;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Lays a life along the calendar. */
@Component
class HistoryDrawing {

    private final Wording wording;

    HistoryDrawing(Wording wording) {
        this.wording = wording;
    }

    private record Stretch(Instant from, Instant until) {}

    /** Null where nothing was ever fitted. */
    HistoryBand band(
            PartHistory life,
            List<WindowDays.Read> readings,
            Function<PartHistory.Stay, String> name,
            HistoryPage.Shown shown,
            Rider rider,
            Instant now) {
        if (life.stays().isEmpty()) {
            return null;
        }
        Stretch stretch = stretch(life, shown, rider, now);
        return HistoryBand.of(drawn(life, readings, name, rider, now), stretch.from, stretch.until, rider.zoneId());
    }

    /** What the places of that band say; none where nothing was ever fitted. */
    List<HistorySpot> spots(
            PartHistory life, List<WindowDays.Read> readings, HistoryPage.Shown shown, Rider rider, Instant now) {
        if (life.stays().isEmpty()) {
            return List.of();
        }
        Stretch stretch = stretch(life, shown, rider, now);
        return HistorySpot.of(
                drawn(life, readings, stay -> "", rider, now), stretch.from, stretch.until, rider.zoneId());
    }

    private static Stretch stretch(PartHistory life, HistoryPage.Shown shown, Rider rider, Instant now) {
        if (shown.from() != null) {
            return new Stretch(
                    shown.from().atStartOfDay(rider.zoneId()).toInstant(),
                    shown.until().plusDays(1).atStartOfDay(rider.zoneId()).toInstant());
        }
        int days = shown.span().days();
        Instant from = days == 0 ? life.stays().get(0).from() : now.minus(Duration.ofDays(days));
        // a life of an hour has room too
        Instant latest = now.minus(Duration.ofDays(7));
        return new Stretch(from.isAfter(latest) ? latest : from, now);
    }

    private HistoryBand.Drawn drawn(
            PartHistory life,
            List<WindowDays.Read> readings,
            Function<PartHistory.Stay, String> name,
            Rider rider,
            Instant now) {
        RiderUnit volume = rider.volumeUnit();
        return new HistoryBand.Drawn(
                life.stays().stream()
                        .map(stay -> new HistoryBand.Stretch(
                                stay.from(), stay.until() == null ? now : stay.until(), name.apply(stay)))
                        .toList(),
                life.rides().stream()
                        .filter(ride -> ride.km() != null)
                        .map(ride -> new HistoryBand.Mark(
                                ride.at(), ride.km(), () -> HistoryWording.distance(ride.km(), rider)))
                        .toList(),
                marks(readings, true, rider),
                marks(readings, false, rider),
                life.fillings().stream()
                        .map(filling -> new HistoryBand.Mark(
                                filling.at(),
                                filling.ml(),
                                () -> wording.text("life.spot.filled", QuantityText.text(filling.ml(), volume))))
                        .toList(),
                life.dips().stream()
                        .map(at -> new HistoryBand.Mark(at, 1, () -> wording.text("life.spot.dip")))
                        .toList(),
                life.holes().stream()
                        .map(at -> new HistoryBand.Mark(at, 1, () -> wording.text("life.spot.hole")))
                        .toList(),
                life.treads().stream()
                        .map(tread -> new HistoryBand.Mark(
                                tread.at(),
                                tread.measured().middleMm(),
                                () -> wording.text(
                                        "life.spot.tread",
                                        QuantityText.text(tread.measured().middleMm(), rider.lengthUnit()))))
                        .toList());
    }

    private List<HistoryBand.Mark> marks(List<WindowDays.Read> readings, boolean set, Rider rider) {
        return readings.stream()
                .filter(read -> read.set() == set)
                .map(read -> new HistoryBand.Mark(
                        read.at(),
                        read.pressure().kpa(),
                        () -> wording.text(
                                set ? "life.spot.set" : "life.spot.found",
                                PressureText.text(read.pressure(), rider.pressureUnit()))))
                .toList();
    }

    /** The name of each tire, those of the same name told apart by nothing. */
    static Function<PartHistory.Stay, String> tires(Map<UUID, String> names) {
        return stay -> names.getOrDefault(stay.tire(), "");
    }
}
