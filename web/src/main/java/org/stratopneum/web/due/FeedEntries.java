package org.stratopneum.web.due;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Wording;

/**
 * What calendars have heard of, so that each matter keeps its history there: what changed says so, what is done is taken
 * back, and what has become due suddenly rings.
 */
@Component
class FeedEntries {

    /** So long it is told that something is done. */
    private static final Duration TOLD = Duration.ofDays(30);

    private final FeedMapper mapper;
    private final Wording wording;

    FeedEntries(FeedMapper mapper, Wording wording) {
        this.mapper = mapper;
        this.wording = wording;
    }

    /** All that a calendar is told now, in the order of their days. */
    List<FeedEntry> of(List<DueEntry> matters, LocalDate today, Instant now, ZoneId zone) {
        mapper.forgetGone(now.minus(TOLD));
        Map<String, FeedEntry> before =
                mapper.entries().stream().collect(Collectors.toMap(FeedEntry::matter, Function.identity()));
        List<FeedEntry> entries = new ArrayList<>();
        for (DueEntry matter : matters) {
            String what = wording.text("todo.event", matter.where(), matter.what());
            FeedEntry known = before.remove(matter.key());
            entries.add(keep(
                    known,
                    known == null
                            ? FeedEntry.fresh(matter, what, today, now, zone)
                            : known.next(matter, what, today, now, zone)));
        }
        before.values().forEach(known -> entries.add(keep(known, known.gone(now))));
        return entries;
    }

    private FeedEntry keep(FeedEntry known, FeedEntry entry) {
        if (!entry.equals(known)) {
            mapper.keepEntry(entry);
        }
        return entry;
    }
}
