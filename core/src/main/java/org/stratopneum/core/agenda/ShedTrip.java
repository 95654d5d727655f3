package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What is done in one go on a day, on however many wheels: each matter within the days on which it makes sense and can
 * wait at its own risk.
 *
 * @param items in the order of the days by which they are due
 */
public record ShedTrip(LocalDate day, List<DueItem> items) {

    public ShedTrip {
        items = List.copyOf(items);
    }

    /**
     * As few trips as there can be beside days on which somebody is at the bikes anyway, few of those too, and on each
     * whatever else can be done by then; what could be done on more than one is done as near to its day as it can be. Who is
     * there today does all that makes sense already.
     *
     * @param items those due by {@code lastDay} make a trip where there is none; others only join one
     * @param anyway days on which somebody is there, as for a ride; those before {@code today} do not count
     * @return earliest first
     */
    public static List<ShedTrip> plan(
            Collection<DueItem> items, Collection<LocalDate> anyway, LocalDate today, LocalDate lastDay) {
        NavigableSet<LocalDate> there = new TreeSet<>(anyway);
        there.headSet(today).clear();
        NavigableSet<LocalDate> days = new TreeSet<>(there.headSet(today, true));
        List<DueItem> due = items.stream()
                .filter(item -> item.isDueOn(lastDay))
                .sorted(Comparator.comparing(DueItem::until))
                .toList();
        due.stream()
                .filter(item -> nearest(item, there, today).isEmpty())
                .filter(item -> nearest(item, days, today).isEmpty())
                .forEachOrdered(item -> days.add(item.until().isBefore(today) ? today : item.until()));
        due.stream()
                .filter(item -> nearest(item, days, today).isEmpty())
                .forEachOrdered(item -> days.add(there.floor(item.until())));
        Map<LocalDate, List<DueItem>> byDay = new TreeMap<>();
        items.stream()
                .sorted(Comparator.comparing(DueItem::due))
                .forEach(item -> nearest(item, days, today)
                        .ifPresent(day -> byDay.computeIfAbsent(day, one -> new ArrayList<>())
                                .add(item)));
        return byDay.entrySet().stream()
                .map(entry -> new ShedTrip(entry.getKey(), withoutNeedlessLooks(entry.getValue())))
                .toList();
    }

    /** The same on that day, of those on which all of it can be done, that is nearest to their own days; of two, the earlier. */
    public ShedTrip nearest(LocalDate today) {
        LocalDate best = items.stream()
                .map(item -> item.isDueOn(today) ? today : item.due())
                .filter(own -> items.stream().allMatch(item -> item.canBeDoneOn(own, today)))
                .min(Comparator.comparingLong(this::daysAway).thenComparing(Comparator.naturalOrder()))
                .orElse(day);
        return daysAway(best) < daysAway(day) ? new ShedTrip(best, items) : this;
    }

    private long daysAway(LocalDate from) {
        return items.stream()
                .mapToLong(item -> Math.abs(from.toEpochDay() - item.due().toEpochDay()))
                .sum();
    }

    /** Nobody looks at what is refreshed on the same trip. */
    private static List<DueItem> withoutNeedlessLooks(List<DueItem> items) {
        Set<UUID> refreshed = items.stream()
                .filter(item -> item.reason() == DueReason.SEALANT_REFRESH || item.reason() == DueReason.SEALANT_RENEW)
                .map(DueItem::wheelId)
                .collect(Collectors.toSet());
        return items.stream()
                .filter(item -> item.reason() != DueReason.SEALANT_LOOK || !refreshed.contains(item.wheelId()))
                .toList();
    }

    /** Of the days on which it can be done, that which is nearest to its own; of two, the earlier. */
    private static Optional<LocalDate> nearest(DueItem item, NavigableSet<LocalDate> days, LocalDate today) {
        return days.stream()
                .filter(day -> item.canBeDoneOn(day, today))
                .min(Comparator.comparingLong(
                        day -> Math.abs(day.toEpochDay() - item.due().toEpochDay())));
    }
}
