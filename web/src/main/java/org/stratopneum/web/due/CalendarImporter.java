package org.stratopneum.web.due;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.web.intake.ImportForm;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.intake.ImportStoppedException;
import org.stratopneum.web.intake.ImportedItems;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Riders;

/** Brings planned rides and events in from a calendar: each chosen one is a reminder on its day. */
@Component
class CalendarImporter implements Importer {

    private static final String TAKE = "take-";

    private static final int CALENDARS = 20;

    /** More names are counted. */
    private static final int NAMED = 20;

    private static final Duration REMEMBERED = Duration.ofMinutes(10);

    private final FollowUpMapper mapper;
    private final ImportedItems brought;
    private final Logbook logbook;
    private final Riders riders;
    private final Wording wording;

    CalendarImporter(FollowUpMapper mapper, ImportedItems brought, Logbook logbook, Riders riders, Wording wording) {
        this.mapper = mapper;
        this.brought = brought;
        this.logbook = logbook;
        this.riders = riders;
        this.wording = wording;
    }

    @Override
    public ImportFormat format() {
        return ImportFormat.CALENDAR;
    }

    @Override
    public boolean recognises(byte[] head) {
        return new String(head, StandardCharsets.UTF_8)
                .replace("\uFEFF", "")
                .stripLeading()
                .toUpperCase(Locale.ROOT)
                .startsWith("BEGIN:VCALENDAR");
    }

    /** What was found in a calendar of a rider on a day. */
    private record Looked(UUID file, ZoneId zone, LocalDate today) {}

    /** A calendar is read once, and not for every page that shows it. */
    private final Cache<Looked, PlannedDays.Found> known = Caffeine.newBuilder()
            .maximumSize(CALENDARS)
            .expireAfterAccess(REMEMBERED)
            .build();

    private PlannedDays.Found found(Source file) throws IOException {
        ZoneId zone = riders.self().zoneId();
        Looked looked = new Looked(file.id(), zone, LocalDate.ofInstant(logbook.now(), zone));
        PlannedDays.Found found = known.getIfPresent(looked);
        if (found == null) {
            try (InputStream in = file.open()) {
                found = PlannedDays.read(in, zone, looked.today());
            }
            known.put(looked, found);
        }
        return found;
    }

    /** Everything is chosen at first. */
    @Override
    public Map<String, String> guess(Source file) throws IOException {
        Map<String, String> settings = new TreeMap<>();
        try {
            found(file).planned().stream().forEach(planned -> settings.put(TAKE + planned.id(), "on"));
        } catch (PlannedDays.NoCalendarException none) {
            // that is told where it is read
        }
        return settings;
    }

    @Override
    public ImportForm form(Source file, Map<String, String> settings) throws IOException {
        try {
            PlannedDays.Found found = found(file);
            return new ImportForm(
                    List.of(),
                    found.planned().stream()
                            .map(planned -> new ImportForm.Tick(
                                    TAKE + planned.id(), DateText.date(planned.day()) + " · " + planned.what()))
                            .toList(),
                    said(found));
        } catch (PlannedDays.NoCalendarException none) {
            return new ImportForm(List.of(), List.of(), List.of(wording.text("import.calendar.none")));
        }
    }

    private List<String> said(PlannedDays.Found found) {
        List<String> said = new ArrayList<>();
        said.add(wording.text("import.calendar.says", found.all(), found.over()));
        if (found.all() > PlannedDays.SHOWN) {
            said.add(wording.text("import.calendar.first", PlannedDays.SHOWN));
        }
        for (PlannedDays.Reason reason : PlannedDays.Reason.values()) {
            List<String> names = found.left().stream()
                    .filter(one -> one.reason() == reason)
                    .map(PlannedDays.LeftOut::what)
                    .toList();
            if (!names.isEmpty()) {
                String first = names.stream().limit(NAMED).collect(Collectors.joining("; "));
                said.add(wording.of("import.calendar.left", reason) + " " + first
                        + (names.size() > NAMED ? wording.text("import.calendar.more", names.size() - NAMED) : ""));
            }
        }
        return said;
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        PlannedDays.Found found;
        try {
            found = found(file);
        } catch (PlannedDays.NoCalendarException none) {
            throw new ImportStoppedException("", wording.text("import.calendar.none"));
        }
        for (PlannedDays.Planned planned : found.planned()) {
            if (!"on".equals(settings.get(TAKE + planned.id()))) {
                continue;
            }
            progress.row();
            FollowUp reminder = FollowUp.typed(planned.id(), null, planned.what(), null, planned.day());
            int fresh = mapper.insert(reminder, logbook.now());
            if (fresh == 1) {
                brought.note(run, planned.id());
            }
            progress.count(fresh, 1 - fresh);
        }
    }
}
