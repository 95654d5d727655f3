package org.stratopneum.web.due;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;

/** Puts what is due into lines: what is the same for both wheels of a bike is one, and so is all that wants pumping. */
@Component
public class TodoRows {

    private static final int DAYS_OF_A_WEEK = 7;

    private final Wording wording;

    TodoRows(Wording wording) {
        this.wording = wording;
    }

    /** In the order of the matters. */
    public List<TodoRow> of(List<DueEntry> matters, LocalDate today) {
        Map<String, List<DueEntry>> together = matters.stream()
                .collect(Collectors.groupingBy(matter -> same(matter, today), LinkedHashMap::new, Collectors.toList()));
        return together.values().stream().map(same -> row(same, today)).toList();
    }

    /** What is one line; a matter without a wheel is one of its own. */
    private static String same(DueEntry matter, LocalDate today) {
        if (pumping(matter)) {
            return matter.what() + matter.isDueOn(today);
        }
        if (matter.kind() == DueEntry.Kind.CARD) {
            // one card may be of both wheels
            return matter.path().split("\\?")[0];
        }
        return matter.bike() == null || matter.kind() == DueEntry.Kind.FOLLOW_UP
                ? matter.key()
                : matter.bike() + matter.what() + (matter.isDueOn(today) ? "" : matter.due());
    }

    private static boolean pumping(DueEntry matter) {
        return matter.key().endsWith(DueReason.BELOW_WINDOW.name())
                || matter.key().endsWith(DueReason.ABOVE_WINDOW.name());
    }

    private TodoRow row(List<DueEntry> same, LocalDate today) {
        DueEntry first = same.get(0);
        LocalDate due =
                same.stream().map(DueEntry::due).min(LocalDate::compareTo).orElseThrow();
        boolean more = same.size() > 1;
        return new TodoRow(
                same.stream().map(DueEntry::key).toList(),
                more ? null : first.wheel(),
                first.icon(),
                first.what(),
                withHint(where(same), same, today),
                more && pumping(first) ? "/" : first.path(),
                flag(first, due, today),
                tone(first, due, today),
                first.kind() == DueEntry.Kind.CARE || first.kind() == DueEntry.Kind.FOLLOW_UP,
                first.kind() != DueEntry.Kind.CARD);
    }

    /** How far it can be moved, for who is at the bikes sooner or later. */
    private String withHint(String where, List<DueEntry> same, LocalDate today) {
        if (same.stream().map(DueEntry::item).anyMatch(Objects::isNull)) {
            return where;
        }
        List<DueItem> items = same.stream().map(DueEntry::item).toList();
        LocalDate from =
                items.stream().map(DueItem::from).max(LocalDate::compareTo).orElseThrow();
        LocalDate until =
                items.stream().map(DueItem::until).min(LocalDate::compareTo).orElseThrow();
        boolean due = items.stream().anyMatch(item -> item.isDueOn(today));
        return due && until.isAfter(today)
                ? wording.text("todo.can-wait", where, DateText.dayAndMonth(until))
                : !due && !from.isAfter(today) ? wording.text("todo.can-be-done", where) : where;
    }

    private String where(List<DueEntry> same) {
        DueEntry first = same.get(0);
        boolean both = same.size() == 2
                && same.stream()
                                .map(DueEntry::wheel)
                                .filter(Objects::nonNull)
                                .distinct()
                                .count()
                        == 2
                && Objects.equals(first.bike(), same.get(1).bike());
        return both
                ? wording.text("todo.both", first.bike())
                : same.stream().map(DueEntry::where).distinct().collect(Collectors.joining(", "));
    }

    private String flag(DueEntry matter, LocalDate due, LocalDate today) {
        if (pumping(matter)) {
            return wording.text(
                    matter.key().endsWith(DueReason.BELOW_WINDOW.name()) ? "todo.too-low" : "todo.too-high");
        }
        if (matter.kind() == DueEntry.Kind.CARD && !due.isAfter(today)) {
            return wording.text("todo.in-progress");
        }
        if (due.isBefore(today)) {
            return wording.text("todo.since", DateText.dayAndMonth(due));
        }
        if (due.equals(today)) {
            return wording.text("todo.today");
        }
        if (due.equals(today.plusDays(1))) {
            return wording.text("todo.tomorrow");
        }
        return due.isBefore(today.plusDays(DAYS_OF_A_WEEK)) ? DateText.shortDay(due) : DateText.dayAndMonth(due);
    }

    private static String tone(DueEntry matter, LocalDate due, LocalDate today) {
        if (matter.kind() == DueEntry.Kind.CARD) {
            return "mark";
        }
        return due.isBefore(today) || matter.kind() == DueEntry.Kind.AMISS && !due.isAfter(today) ? "low" : "";
    }
}
