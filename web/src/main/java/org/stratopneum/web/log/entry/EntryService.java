package org.stratopneum.web.log.entry;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.quota.Quota;

/** Shows one entry, and keeps what a rider says and shows beside it. */
@Service
class EntryService {

    private static final String NOTE = "note";

    private final Logbook logbook;
    private final LogWording logWording;
    private final Photos photos;
    private final PictureReader pictures;
    private final Quota quota;
    private final Riders riders;
    private final Wording wording;
    private final ProblemWording problemWording;
    private final TransactionTemplate transaction;

    EntryService(
            Logbook logbook,
            LogWording logWording,
            Photos photos,
            PictureReader pictures,
            Quota quota,
            Riders riders,
            Wording wording,
            ProblemWording problemWording,
            TransactionTemplate transaction) {
        this.logbook = logbook;
        this.logWording = logWording;
        this.photos = photos;
        this.pictures = pictures;
        this.quota = quota;
        this.riders = riders;
        this.wording = wording;
        this.problemWording = problemWording;
        this.transaction = transaction;
    }

    /** What came of it: the page again, or the entry as it is called now. */
    record Outcome(EntryPage again, UUID entry) {}

    /**
     * @param id of any state of the entry
     * @param removed a picture that was just taken away, or null
     */
    @Transactional(readOnly = true)
    EntryPage page(UUID id, UUID removed) {
        return page(logbook.chain(id), removed, null);
    }

    private EntryPage page(List<LogRow> chain, UUID removed, FormView typed) {
        Rider rider = riders.self();
        LogRow head = chain.get(chain.size() - 1);
        String note = head.note() == null ? "" : head.note();
        return new EntryPage(
                head.id(),
                logWording.line(head, rider),
                facts(head, rider),
                states(chain, rider),
                head.subject().wheelId(),
                head.subject().bikeId(),
                logbook.detailOf(head) instanceof Ridden ridden ? ridden.track() : null,
                photos.of(chain.stream().map(LogRow::id).toList()),
                typed == null ? new FormView(Map.of(NOTE, note), Map.of()) : typed,
                removed,
                UUID.randomUUID());
    }

    private List<EntryPage.Fact> facts(LogRow row, Rider rider) {
        List<EntryPage.Fact> facts = new ArrayList<>();
        add(facts, "when", moment(row.happenedAt(), rider));
        add(facts, "written", row.happenedAt().equals(row.writtenAt()) ? null : moment(row.writtenAt(), rider));
        add(facts, "bike", row.names().bike());
        add(
                facts,
                "wheel",
                row.names().position() == null
                        ? null
                        : wording.text("position." + row.names().position()));
        add(facts, "wheelset", row.names().wheelset());
        add(facts, "tire", row.names().tire());
        add(facts, "part", row.names().part());
        add(facts, "gauge", row.names().gauge());
        add(
                facts,
                "temperature",
                row.temperatureC() == null ? null : QuantityText.text(row.temperatureC(), rider.temperatureUnit()));
        add(facts, "source", wording.of("source", row.source()));
        add(facts, "zone", row.zone().equals(rider.zone()) ? null : row.zone());
        return facts;
    }

    private void add(List<EntryPage.Fact> facts, String name, String value) {
        if (value != null) {
            facts.add(new EntryPage.Fact(wording.text("entry.fact." + name), value));
        }
    }

    private static String moment(Instant then, Rider rider) {
        return DateText.date(then, rider.zoneId()) + ", " + DateText.time(then, rider.zoneId());
    }

    private List<EntryPage.State> states(List<LogRow> chain, Rider rider) {
        List<EntryPage.State> states = new ArrayList<>();
        LogRow before = null;
        for (LogRow row : chain) {
            LogLine line = logWording.line(row, rider);
            states.add(new EntryPage.State(
                    moment(row.writtenAt(), rider),
                    line.what(),
                    line.note(),
                    wording.text(how(before, row)),
                    row.struck()));
            before = row;
        }
        return states;
    }

    private static String how(LogRow before, LogRow row) {
        if (before == null) {
            return "entry.how.written";
        }
        if (row.struck()) {
            return "entry.how.struck";
        }
        return before.struck() ? "entry.how.put-back" : "entry.how.corrected";
    }

    /** Keeps the rider's own words on the entry as it is now. */
    @Transactional
    Outcome note(UUID id, Map<String, String> typed) {
        FormReader reader = new FormReader(typed);
        String note = reader.prose(NOTE, LogEntry.NOTE).orElse("");
        if (!reader.problems().isEmpty()) {
            FormView form = new FormView(
                    typed, problemWording.messages(reader.problems().list()));
            return new Outcome(page(logbook.chain(id), null, form), null);
        }
        return new Outcome(null, logbook.note(id, note));
    }

    /** The picture is read before a transaction begins: it may have to wait for its turn. */
    Outcome addPhoto(UUID id, UUID photo, MultipartFile file) {
        try {
            quota.file(Photos.FIELD, file == null ? 0 : file.getSize());
            Picture picture = pictures.read(file, Photos.FIELD);
            transaction.executeWithoutResult(status -> photos.add(
                    photo, id, logbook.chain(id).stream().map(LogRow::id).toList(), picture));
            return new Outcome(null, id);
        } catch (InvalidInputException invalid) {
            return new Outcome(again(id, problemWording.messages(invalid.problems())), null);
        }
    }

    /** The page once more, with what is said by the field of the photo. */
    EntryPage again(UUID id, Map<String, String> said) {
        return transaction.execute(status -> {
            List<LogRow> chain = logbook.chain(id);
            LogRow head = chain.get(chain.size() - 1);
            return page(chain, null, new FormView(Map.of(NOTE, head.note() == null ? "" : head.note()), said));
        });
    }

    /** Others' pictures are being read; it is to be sent again. */
    EntryPage busy(UUID id) {
        return again(id, Map.of(Photos.FIELD, problemWording.message(Problem.of(Photos.FIELD, "busy"))));
    }
}
