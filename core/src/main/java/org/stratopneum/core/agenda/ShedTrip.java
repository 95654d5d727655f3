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
import java.util.stream.Stream;

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
     * As few trips as there can be beside days on which somebody is at the bikes anyway, few of those too, each as near to
     * the days of its matters as they all bear, and on each whatever else can be done by then. Who is there today does all
     * that makes sense already.
     *
     * @param items those that can wait no longer than {@code lastDay} make a trip where there is none; others only join one
     * @param anyway days on which somebody is there, as for a ride; those before {@code today} do not count
     * @return earliest first, no two on a day
     */
    public static List<ShedTrip> plan(
            Collection<DueItem> items, Collection<LocalDate> anyway, LocalDate today, LocalDate lastDay) {
        NavigableSet<LocalDate> there = new TreeSet<>(anyway);
        there.headSet(today).clear();
        NavigableSet<LocalDate> days = new TreeSet<>(there.headSet(today, true));
        List<DueItem> pressing = items.stream()
                .filter(item -> !item.until().isAfter(lastDay))
                .sorted(Comparator.comparing(DueItem::until))
                .toList();
        pressing.stream()
                .filter(item -> nearest(item, there, today).isEmpty())
                .filter(item -> nearest(item, days, today).isEmpty())
                .forEachOrdered(item -> days.add(item.lastDay(today)));
        pressing.stream()
                .filter(item -> nearest(item, days, today).isEmpty())
                .forEachOrdered(item -> days.add(there.floor(item.until())));
        Map<LocalDate, List<DueItem>> byDay = new TreeMap<>();
        items.stream()
                .sorted(Comparator.comparing(DueItem::due))
                .forEach(item -> nearest(item, days, today)
                        .ifPresent(day -> byDay.computeIfAbsent(day, one -> new ArrayList<>())
                                .add(item)));
        return byDay.entrySet().stream()
                .map(entry -> new ShedTrip(entry.getKey(), withoutNeedlessLooks(entry.getValue())).nearer(there, today))
                .toList();
    }

    /** On that day which is nearest to its matters' own, of those days on which all of it can be done; of two, the earlier. */
    private ShedTrip nearer(NavigableSet<LocalDate> there, LocalDate today) {
        if (day.equals(today)) {
            return this;
        }
        Stream<LocalDate> others =
                there.contains(day) ? there.stream() : items.stream().map(item -> item.ownDay(today));
        return others.filter(other -> items.stream().allMatch(item -> item.canBeDoneOn(other, today)))
                .min(Comparator.comparingLong(this::daysAway).thenComparing(Comparator.naturalOrder()))
                .filter(other -> daysAway(other) <= daysAway(day))
                .map(other -> new ShedTrip(other, items))
                .orElse(this);
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
