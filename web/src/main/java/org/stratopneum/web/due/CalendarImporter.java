package org.stratopneum.web.due;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
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
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Brings planned rides and events in from a calendar: each chosen one is a reminder on its day. */
@Component
class CalendarImporter implements Importer {

    private static final String TAKE = "take-";

    /** Nothing is brought in unseen: what is later stays out. */
    private static final int SHOWN = 200;

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

    private PlannedDays.Found found(Source file) throws IOException {
        Rider rider = riders.self();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        try (InputStream in = file.open()) {
            return PlannedDays.read(in, rider.zoneId(), today);
        }
    }

    /** Everything is chosen at first. */
    @Override
    public Map<String, String> guess(Source file) throws IOException {
        Map<String, String> settings = new TreeMap<>();
        try {
            found(file).planned().stream().limit(SHOWN).forEach(planned -> settings.put(TAKE + planned.id(), "on"));
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
                            .limit(SHOWN)
                            .map(planned -> new ImportForm.Tick(
                                    TAKE + planned.id(), DateText.date(planned.day()) + " · " + planned.what()))
                            .toList(),
                    said(found));
        } catch (PlannedDays.NoCalendarException none) {
            return new ImportForm(List.of(), List.of(), List.of(wording.text("import.calendar.none")));
        }
    }

    private List<String> said(PlannedDays.Found found) {
        String all = wording.text("import.calendar.says", found.planned().size(), found.over());
        return found.planned().size() > SHOWN
                ? List.of(all, wording.text("import.calendar.first", SHOWN))
                : List.of(all);
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
