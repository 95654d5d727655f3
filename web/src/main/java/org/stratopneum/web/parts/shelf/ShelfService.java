package org.stratopneum.web.parts.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Puts things on the shelf, changes, doubles, retires and restores them. */
@Service
class ShelfService {

    private static final int PLACES = 100;

    private final ShelfMapper mapper;
    private final Riders riders;
    private final Logbook logbook;
    private final LogWording logWording;
    private final Wording wording;
    private final ProblemWording problemWording;

    ShelfService(
            ShelfMapper mapper,
            Riders riders,
            Logbook logbook,
            LogWording logWording,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.riders = riders;
        this.logbook = logbook;
        this.logWording = logWording;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What came of keeping something: nothing to say, or the page again. */
    record Outcome<P>(P again, boolean conflict) {
        static <P> Outcome<P> kept() {
            return new Outcome<>(null, false);
        }
    }

    ShelfPage.One blank(ShelfKind kind) {
        Map<String, String> usual = Map.of("amount", kind.inPieces() ? "1" : "", "removableCore", "on");
        return one(null, kind, new FormView(usual, Map.of()), 0);
    }

    /** @throws NotThereException when this rider has no such thing */
    @Transactional(readOnly = true)
    ShelfPage.One one(UUID id) {
        ShelfItem item = item(id);
        Rider rider = riders.self();
        return one(item, item.kind(), new FormView(new ShelfForm(rider.units()).texts(item), Map.of()), item.version());
    }

    private ShelfPage.One one(ShelfItem item, ShelfKind kind, FormView form, int version) {
        Rider rider = riders.self();
        return new ShelfPage.One(
                item == null ? null : item.id(),
                kind,
                item == null ? wording.text("shelf.new." + kind.name()) : item.name(),
                form,
                rider.units(),
                item == null ? List.of() : been(logbook.ofPart(item.id(), PLACES), rider),
                version);
    }

    private List<ShelfPage.Been> been(List<LogRow> rows, Rider rider) {
        return rows.stream()
                .filter(row -> !row.struck())
                .map(row -> {
                    LogLine line = logWording.line(row, rider);
                    return new ShelfPage.Been(
                            DateText.date(row.happenedAt(), rider.zoneId()),
                            (line.bike() + " " + line.where()).strip(),
                            line.what());
                })
                .toList();
    }

    private ShelfItem item(UUID id) {
        return mapper.item(id).orElseThrow(NotThereException::new);
    }

    @Transactional
    Outcome<ShelfPage.One> add(UUID newId, ShelfKind kind, Map<String, String> typed) {
        FormReader reader = new FormReader(typed);
        Optional<ShelfItem> item = new ShelfForm(riders.self().units()).read(reader, kind, newId, 0, null);
        if (item.isEmpty()) {
            return new Outcome<>(one(null, kind, view(typed, reader), 0), false);
        }
        mapper.insert(item.get());
        return Outcome.kept();
    }

    @Transactional
    Outcome<ShelfPage.One> change(UUID id, Map<String, String> typed, int version) {
        ShelfItem kept = item(id);
        FormReader reader = new FormReader(typed);
        Optional<ShelfItem> item = new ShelfForm(riders.self().units()).read(reader, kept.kind(), id, version, kept);
        if (item.isEmpty()) {
            return new Outcome<>(one(kept, kept.kind(), view(typed, reader), version), false);
        }
        if (mapper.update(item.get()) == 0) {
            return new Outcome<>(one(kept, kept.kind(), new FormView(typed, Map.of()), kept.version()), true);
        }
        return Outcome.kept();
    }

    private FormView view(Map<String, String> typed, FormReader reader) {
        return new FormView(typed, problemWording.messages(reader.problems().list()));
    }

    /** Another one of the same, untouched; sealant of it is not opened. */
    @Transactional
    UUID duplicate(UUID id) {
        UUID copy = UUID.randomUUID();
        mapper.insert(item(id).again(copy));
        return copy;
    }

    @Transactional
    void retire(UUID id, boolean retire) {
        found(mapper.retire(id, retire ? today() : null));
    }

    private static void found(int rows) {
        if (rows == 0) {
            throw new NotThereException();
        }
    }

    private LocalDate today() {
        return LocalDate.ofInstant(logbook.now(), riders.self().zoneId());
    }
}
