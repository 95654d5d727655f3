package org.stratopneum.web.history;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;

/** What wheels went through, and what that comes to, whatever was read of them; remembered for as long as nothing else changes. */
@Component
class WheelLives {

    private static final int MOST_REMEMBERED = 50;

    private final PartHistories lives;
    private final HistoryWording wording;
    private final RiderMemory.Of<UUID, Lived> remembered;

    WheelLives(PartHistories lives, HistoryWording wording, RiderMemory memory) {
        this.lives = lives;
        this.wording = wording;
        remembered = memory.of("HISTORY", MOST_REMEMBERED);
    }

    /**
     * The life of a wheel.
     *
     * @param place its bike, its side and its set
     * @param name the tire of a stay
     */
    record Lived(
            String place,
            PartHistory life,
            Function<PartHistory.Stay, String> name,
            List<HistoryPage.Stay> stays,
            List<HistoryPage.Figure> figures) {}

    /** @throws NotThereException when this rider has no such wheel */
    Lived of(UUID wheel, Rider rider, Instant now) {
        return remembered.get(
                RiderChanges::butReadings, wheel, now.truncatedTo(ChronoUnit.HOURS), () -> lived(wheel, rider, now));
    }

    private Lived lived(UUID wheel, Rider rider, Instant now) {
        PartHistoryBook book = lives.bookOfWheel(wheel, rider);
        String place = wording.place(book.fitted().wheel(wheel).orElseThrow(NotThereException::new));
        PartHistory life = book.ofWheel(wheel);
        List<HistoryMapper.TireRow> tires = lives.tires();
        UUID on = life.current().map(PartHistory.Stay::tire).orElse(null);
        HistoryFigures found = HistoryFigures.of(life, PartHistories.priced(book, tires), on, now);
        Set<UUID> fitted = life.stays().stream().map(PartHistory.Stay::tire).collect(Collectors.toSet());
        Map<UUID, String> names = tires.stream()
                .filter(tire -> fitted.contains(tire.id()))
                .collect(Collectors.toMap(HistoryMapper.TireRow::id, HistoryMapper.TireRow::name));
        Function<PartHistory.Stay, String> name = HistoryDrawing.tires(names);
        return new Lived(
                place,
                life,
                name,
                wording.stays(life, stay -> "/tires/" + stay.tire() + "/history", name, rider, now),
                List.copyOf(wording.figures(found, rider)));
    }
}
