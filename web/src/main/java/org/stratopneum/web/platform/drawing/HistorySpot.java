package org.stratopneum.web.platform.drawing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.stratopneum.web.platform.wording.DateText;

/**
 * A place on a {@link HistoryBand} that says what happened there.
 *
 * @param day whose entries tell more
 */
public record HistorySpot(double x, double y, LocalDate day, String said) {

    /** Two places closer than this are one to a finger. */
    private static final double WIDE = 4;

    private record Place(double x, double y) {}

    private record Lane(List<HistoryBand.Mark> marks, double top) {}

    /**
     * The places of a band of the same time, along the calendar. What lies on the same place says the last of it.
     *
     * @param from where the calendar begins, before {@code until}
     */
    public static List<HistorySpot> of(HistoryBand.Drawn drawn, Instant from, Instant until, ZoneId zone) {
        HistoryBand.Along along = new HistoryBand.Along(from, until);
        Map<Place, HistoryBand.Mark> spots =
                new TreeMap<>(Comparator.comparing(Place::x).thenComparing(Place::y));
        for (Lane lane : List.of(
                new Lane(drawn.rides(), HistoryBand.RIDES),
                new Lane(drawn.found(), HistoryBand.READINGS),
                new Lane(drawn.set(), HistoryBand.READINGS),
                new Lane(drawn.fillings(), HistoryBand.SEALANT),
                new Lane(drawn.dips(), HistoryBand.SEALANT),
                new Lane(drawn.holes(), HistoryBand.HOLES - HistoryBand.HEIGHT / 2),
                new Lane(drawn.treads(), HistoryBand.TREAD))) {
            lane.marks.stream()
                    .filter(mark -> along.has(mark.at()))
                    .forEach(mark -> spots.put(
                            new Place(Math.rint(along.x(mark.at()) / WIDE) * WIDE, lane.top + HistoryBand.HEIGHT / 2),
                            mark));
        }
        return spots.entrySet().stream()
                .map(spot -> {
                    LocalDate day = LocalDate.ofInstant(spot.getValue().at(), zone);
                    String said =
                            DateText.date(day) + ": " + spot.getValue().said().get();
                    return new HistorySpot(spot.getKey().x, spot.getKey().y, day, said);
                })
                .toList();
    }
}
