package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPlace;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.fault.NotThereException;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.logbook.LogEntry;
import org.stratopneum.web.logbook.LogKind;
import org.stratopneum.web.logbook.LogOutcome;
import org.stratopneum.web.logbook.LogOutcomes;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.LogSubject;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.shelf.Shelf;
import org.stratopneum.web.shelf.ShelfItem;
import org.stratopneum.web.shelf.ShelfKind;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** Says what is left in a tire, and writes down dips, sounds, punctures and fillings. */
@Service
class SealantDesk {

    private static final int ENTRIES = 200;
    private static final int SHOWN = 12;

    private final Garage garage;
    private final Riders riders;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final Storage storage;
    private final Shelf shelf;
    private final Wording wording;
    private final SealantWording said;
    private final ProblemWording problemWording;

    SealantDesk(
            Garage garage,
            Riders riders,
            Logbook logbook,
            LogOutcomes outcomes,
            Storage storage,
            Shelf shelf,
            Wording wording,
            SealantWording said,
            ProblemWording problemWording) {
        this.garage = garage;
        this.riders = riders;
        this.logbook = logbook;
        this.outcomes = outcomes;
        this.storage = storage;
        this.shelf = shelf;
        this.wording = wording;
        this.said = said;
        this.problemWording = problemWording;
    }

    /** A wheel with its bike, and what can be said of its liquid: empty where it has none to speak of. */
    private record Asked(Rider rider, BikeStanding bike, WheelStanding wheel, Optional<WheelSealant> liquid) {

        boolean dippable() {
            return liquid.filter(found -> !found.tire().fitted().insert()).isPresent();
        }
    }

    private Asked ask(UUID wheelId) {
        WheelPlace place = garage.place(wheelId);
        BikeStanding bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelStanding wheel = bike.wheel(place.position()).orElseThrow();
        Optional<WheelSealant> liquid =
                wheel.fits() && !wheel.tubed() ? Optional.of(new WheelSealant(wheel)) : Optional.empty();
        return new Asked(riders.self(), bike, wheel, liquid);
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    SealantPage page(UUID wheelId, List<UUID> written, List<UUID> struck) {
        Asked asked = ask(wheelId);
        return page(asked, null, null, outcomes.of(written, struck, asked.rider()));
    }

    /** @param dips what was typed for a dip, {@code filling} for a filling, each null for a fresh form */
    private SealantPage page(Asked asked, FormView dips, FormView filling, LogOutcome outcome) {
        Rider rider = asked.rider();
        List<LogRow> rows = logbook.ofWheel(asked.wheel().wheelId(), LogKind.SEALANT, ENTRIES);
        List<ShelfItem> bottles = shelf.available().stream()
                .filter(item -> item.kind() == ShelfKind.SEALANT)
                .toList();
        Standing standing =
                asked.liquid().map(liquid -> standing(asked, liquid, rows)).orElse(null);
        return new SealantPage(
                asked.wheel().wheelId(),
                asked.bike().id(),
                asked.bike().name(),
                wording.of("position", asked.wheel().position()),
                asked.liquid().isPresent() ? null : said.none(asked.wheel()),
                standing == null ? null : standing.left,
                standing == null ? List.of() : said.dose(asked.liquid().orElseThrow(), rider),
                asked.dippable(),
                dips == null ? new FormView(Map.of(), Map.of()) : dips,
                filling == null ? usual(standing, bottles, rider) : filling,
                rider.units(),
                bottles.stream()
                        .map(item -> new SealantPage.Bottle(item.id(), said.bottle(item, rider)))
                        .toList(),
                rows.stream().limit(SHOWN).map(row -> said.entry(row, rider)).toList(),
                outcome);
    }

    /** What is left in words, what would bring it back, and the bottle of what is inside. */
    private record Standing(SealantPage.Left left, double topUpMl, UUID bottle) {}

    private Standing standing(Asked asked, WheelSealant liquid, List<LogRow> rows) {
        Rider rider = asked.rider();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        SealantRecord record = record(liquid, rows, rider);
        Storage.Air air = storage.of(asked.bike().home(), today, rider);
        Optional<SealantForecast> now = liquid.on(today, record, air.climate());
        return new Standing(
                now.map(found -> said.left(found, liquid, record, air, today, rider))
                        .orElse(null),
                liquid.topUpMl(now.map(found -> found.volumeMl().p50()).orElse(0.0)),
                record.bottle());
    }

    private SealantRecord record(WheelSealant liquid, List<LogRow> rows, Rider rider) {
        return SealantRecord.of(liquid.tire(), liquid.pool(), liquid.dose().minimumMl(), rows, logbook, rider.zoneId());
    }

    private Optional<ShelfItem> inside(SealantRecord record) {
        return Optional.ofNullable(record.bottle()).flatMap(shelf::item);
    }

    /** Filled with what brings it back to a dose, from the bottle that was used before. */
    private static FormView usual(Standing standing, List<ShelfItem> bottles, Rider rider) {
        if (standing == null) {
            return new FormView(Map.of(), Map.of());
        }
        String bottle = bottles.stream()
                .map(ShelfItem::id)
                .filter(id -> standing.bottle == null || id.equals(standing.bottle))
                .findFirst()
                .map(UUID::toString)
                .orElse("");
        return new FormView(
                Map.of(
                        "volume",
                        standing.topUpMl > 0 ? QuantityText.typed(standing.topUpMl, rider.volumeUnit()) : "",
                        "bottle",
                        bottle),
                Map.of());
    }

    /** What came of writing something down: the page again, or the entry. */
    record Outcome(SealantPage again, UUID entry) {}

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    Outcome dip(UUID wheelId, UUID entry, Map<String, String> typed) {
        Asked asked = ask(wheelId);
        if (!asked.dippable()) {
            throw new NotThereException();
        }
        FormReader reader = new FormReader(typed);
        Optional<Instant> at = reader.moment("at", asked.rider().zoneId(), logbook.now());
        Optional<List<Double>> depths = DipText.read(
                reader,
                "depths",
                asked.rider().lengthUnit(),
                asked.liquid().orElseThrow().pool().depths());
        if (depths.isEmpty() || !reader.problems().isEmpty()) {
            return new Outcome(page(asked, view(typed, reader), null, null), null);
        }
        write(asked, entry, at, new LogDetail.SealantDipped(depths.get()), null);
        return new Outcome(null, entry);
    }

    private FormView view(Map<String, String> typed, FormReader reader) {
        return new FormView(typed, problemWording.messages(reader.problems().list()));
    }

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    void heard(UUID wheelId, UUID entry, LogDetail seen) {
        Asked asked = ask(wheelId);
        asked.liquid().orElseThrow(NotThereException::new);
        write(asked, entry, Optional.empty(), seen, null);
    }

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    Outcome fill(UUID wheelId, UUID entry, Map<String, String> typed) {
        Asked asked = ask(wheelId);
        WheelSealant liquid = asked.liquid().orElseThrow(NotThereException::new);
        Rider rider = asked.rider();
        FormReader reader = new FormReader(typed);
        Optional<Instant> at = reader.moment("filledAt", rider.zoneId(), logbook.now());
        Optional<Double> ml = reader.requiredQuantity("volume", Measured.SEALANT.range(), rider.volumeUnit(), null);
        boolean renewed = reader.ticked("renewed");
        Optional<ShelfItem> bottle = shelf.available().stream()
                .filter(item ->
                        item.kind() == ShelfKind.SEALANT && item.id().toString().equals(reader.text("bottle")))
                .findFirst();
        if (!reader.isBlank("bottle") && bottle.isEmpty()) {
            reader.fault("bottle", "unknown-value");
        }
        List<LogRow> rows = logbook.ofWheel(wheelId, LogKind.SEALANT, ENTRIES);
        ShelfItem inside = inside(record(liquid, rows, rider)).orElse(null);
        bottle.ifPresent(chosen -> FillingRules.check(
                reader,
                chosen,
                inside,
                renewed,
                reader.ticked("known"),
                LocalDate.ofInstant(logbook.now(), rider.zoneId())));
        if (ml.isEmpty() || !reader.problems().isEmpty()) {
            return new Outcome(page(asked, null, view(typed, reader), null), null);
        }
        write(
                asked,
                entry,
                at,
                new LogDetail.SealantAdded(ml.get(), renewed ? true : null),
                bottle.map(ShelfItem::id).orElse(null));
        return new Outcome(null, entry);
    }

    private void write(Asked asked, UUID entry, Optional<Instant> at, LogDetail detail, UUID bottle) {
        Instant now = logbook.now();
        LogSubject subject = LogSubject.wheel(
                asked.bike().id(),
                asked.wheel().wheelId(),
                asked.wheel().tire().orElseThrow().id());
        logbook.write(LogEntry.of(
                entry,
                at.orElse(now),
                now,
                asked.rider().zone(),
                bottle == null ? subject : subject.with(bottle),
                detail));
    }
}
