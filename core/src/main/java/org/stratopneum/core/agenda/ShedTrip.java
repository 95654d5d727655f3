package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * All that is due on one wheel, to be done in one go.
 *
 * @param day the earliest day by which some of it wants doing
 * @param items earliest first
 */
public record ShedTrip(UUID wheelId, LocalDate day, List<DueItem> items) {

    public ShedTrip {
        items = List.copyOf(items);
    }

    /**
     * One trip for each wheel on which something is due by {@code lastDay}; whatever else that wheel wants by then is done
     * on the same trip. Earliest first.
     */
    public static List<ShedTrip> gather(List<DueItem> items, LocalDate lastDay) {
        Map<UUID, List<DueItem>> byWheel = new LinkedHashMap<>();
        items.stream()
                .filter(item -> item.isDueOn(lastDay))
                .sorted(Comparator.comparing(DueItem::due))
                .forEach(item -> byWheel.computeIfAbsent(item.wheelId(), id -> new ArrayList<>())
                        .add(item));
        return byWheel.entrySet().stream()
                .map(entry ->
                        new ShedTrip(entry.getKey(), entry.getValue().get(0).due(), entry.getValue()))
                .toList();
    }
}
