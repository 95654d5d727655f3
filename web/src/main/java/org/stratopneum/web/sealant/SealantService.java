package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.care.Care;
import org.stratopneum.web.fleet.care.CareForm;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Says what is left in a tire, and writes down dips, sounds, punctures, fillings, and how it is looked after. */
@Service
class SealantService {

    private final WheelHeads heads;
    private final Riders riders;
    private final Care care;
    private final Logbook logbook;
    private final LogOutcomes outcomes;
    private final Shelf shelf;
    private final SealantPages pages;
    private final ProblemWording problemWording;

    SealantService(
            WheelHeads heads,
            Riders riders,
            Care care,
            Logbook logbook,
            LogOutcomes outcomes,
            Shelf shelf,
            SealantPages pages,
            ProblemWording problemWording) {
        this.heads = heads;
        this.riders = riders;
        this.care = care;
        this.logbook = logbook;
        this.outcomes = outcomes;
        this.shelf = shelf;
        this.pages = pages;
        this.problemWording = problemWording;
    }

    /** Older sealant than this is none any more (our judgement). */
    private static final int MOST_YEARS = 10;

    private SealantAsked ask(UUID wheelId) {
        Rider rider = riders.self();
        return SealantAsked.of(rider, heads.of(wheelId, rider), care.of(wheelId));
    }

    /** Of a wheel with liquid to speak of. */
    private SealantAsked askLiquid(UUID wheelId) {
        SealantAsked asked = ask(wheelId);
        if (asked.liquid().isEmpty()) {
            throw new NotThereException();
        }
        return asked;
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    SealantPage page(UUID wheelId, List<UUID> written, List<UUID> struck) {
        SealantAsked asked = ask(wheelId);
        return pages.page(asked, SealantPages.Typed.NOTHING, outcomes.of(written, struck, asked.rider()));
    }

    /** What came of writing something down: the page again, or the entry. */
    record Outcome(SealantPage again, UUID entry) {}

    private Outcome again(SealantAsked asked, SealantPages.Typed typed) {
        return new Outcome(pages.page(asked, typed, null), null);
    }

    private FormView view(FormReader reader) {
        return new FormView(
                reader.typed(), problemWording.messages(reader.problems().list()));
    }

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    Outcome dip(UUID wheelId, UUID entry, Map<String, String> typed) {
        SealantAsked asked = ask(wheelId);
        if (!asked.dippable()) {
            throw new NotThereException();
        }
        WheelSealant liquid = asked.liquid().orElseThrow();
        FormReader reader = new FormReader(typed);
        Optional<Instant> at = reader.moment("at", asked.rider().zoneId(), logbook.now());
        notBeforeTheFilling(asked, liquid, at, reader);
        Optional<List<Double>> depths = DipText.read(
                reader, "depths", asked.rider().lengthUnit(), liquid.pool().depths());
        if (depths.isEmpty() || !reader.problems().isEmpty()) {
            return again(asked, SealantPages.Typed.dips(view(reader)));
        }
        write(asked, entry, at, new LogDetail.SealantDipped(depths.get()), null);
        return new Outcome(null, entry);
    }

    private void notBeforeTheFilling(SealantAsked asked, WheelSealant liquid, Optional<Instant> at, FormReader reader) {
        if (at.isEmpty()) {
            return;
        }
        LocalDate on = LocalDate.ofInstant(at.get(), asked.rider().zoneId());
        pages.record(liquid, pages.rows(asked.wheel().wheelId()), asked.rider()).events().stream()
                .findFirst()
                .filter(first -> on.isBefore(first.on()))
                .ifPresent(first -> reader.fault("at", "before-filling-of", first.on()));
    }

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    void heard(UUID wheelId, UUID entry, LogDetail seen) {
        SealantAsked asked = askLiquid(wheelId);
        write(asked, entry, Optional.empty(), seen, null);
    }

    /**
     * The tire came with sealant in it.
     *
     * @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of
     */
    @Transactional
    Outcome found(UUID wheelId, UUID entry, Map<String, String> typed) {
        SealantAsked asked = askLiquid(wheelId);
        FormReader reader = new FormReader(typed);
        LocalDate today = LocalDate.ofInstant(logbook.now(), asked.rider().zoneId());
        Optional<LocalDate> filledOn = reader.day("filledOn", today.minusYears(MOST_YEARS), today);
        if (!reader.problems().isEmpty()) {
            return again(asked, SealantPages.Typed.found(view(reader)));
        }
        write(asked, entry, Optional.empty(), new LogDetail.SealantFound(filledOn.orElse(null)), null);
        return new Outcome(null, entry);
    }

    /**
     * What the rider says of a dip that does not fit.
     *
     * @throws NotThereException when this rider has no such wheel, or nothing is asked of it on that day
     */
    @Transactional
    Outcome explain(UUID wheelId, UUID entry, Map<String, String> typed) {
        SealantAsked asked = ask(wheelId);
        WheelSealant liquid = asked.liquid().orElseThrow(NotThereException::new);
        FormReader reader = new FormReader(typed);
        LocalDate on = reader.day("on").orElseThrow(NotThereException::new);
        Optional<LogDetail.DipExplained.Reason> reason = reader.choice("reason", LogDetail.DipExplained.Reason.class);
        if (reader.isBlank("reason")) {
            reader.fault("reason", Problem.MISSING);
        }
        Optional<Double> ml =
                reader.quantity("lost", SealantEvent.Lost.ML, asked.rider().volumeUnit(), null);
        if (reason.filter(LogDetail.DipExplained.Reason.SPILLED::equals).isPresent() && reader.isBlank("lost")) {
            reader.fault("lost", Problem.MISSING);
        }
        if (reason.isEmpty() || !reader.problems().isEmpty()) {
            return again(asked, SealantPages.Typed.answer(view(reader)));
        }
        boolean dipped = pages.record(liquid, pages.rows(wheelId), asked.rider()).events().stream()
                .anyMatch(event ->
                        event instanceof SealantEvent.Dipped && event.on().equals(on));
        if (!dipped) {
            throw new NotThereException();
        }
        boolean spilled = reason.get() == LogDetail.DipExplained.Reason.SPILLED;
        write(
                asked,
                entry,
                Optional.empty(),
                new LogDetail.DipExplained(on, reason.get(), spilled ? ml.orElse(null) : null),
                null);
        return new Outcome(null, entry);
    }

    /**
     * The latest dips were read wrongly: they are struck.
     *
     * @return entries that strike them
     * @throws NotThereException when this rider has no such wheel, or nothing was dipped there
     */
    @Transactional
    List<UUID> strikeDips(UUID wheelId) {
        SealantAsked asked = ask(wheelId);
        WheelSealant liquid = asked.liquid().orElseThrow(NotThereException::new);
        List<UUID> dips =
                pages.record(liquid, pages.rows(wheelId), asked.rider()).dips();
        if (dips.isEmpty()) {
            throw new NotThereException();
        }
        return logbook.strike(dips);
    }

    /**
     * Somebody saw some go.
     *
     * @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of
     */
    @Transactional
    Outcome lost(UUID wheelId, UUID entry, Map<String, String> typed) {
        SealantAsked asked = askLiquid(wheelId);
        FormReader reader = new FormReader(typed);
        Optional<Double> ml = reader.requiredQuantity(
                "spilled", SealantEvent.Lost.ML, asked.rider().volumeUnit(), null);
        if (ml.isEmpty()) {
            return again(asked, SealantPages.Typed.dips(view(reader)));
        }
        write(asked, entry, Optional.empty(), new LogDetail.SealantLost(ml.get()), null);
        return new Outcome(null, entry);
    }

    /** @throws NotThereException when this rider has no such wheel, or it has no liquid to speak of */
    @Transactional
    Outcome fill(UUID wheelId, UUID entry, Map<String, String> typed) {
        SealantAsked asked = ask(wheelId);
        WheelSealant liquid = asked.liquid().orElseThrow(NotThereException::new);
        Rider rider = asked.rider();
        FormReader reader = new FormReader(typed);
        Optional<Instant> at = reader.moment("filledAt", rider.zoneId(), logbook.now());
        at.ifPresent(moment -> notBeforeTheTire(liquid, moment, rider.zoneId(), reader));
        Optional<Double> ml = reader.requiredQuantity("volume", Measured.SEALANT.range(), rider.volumeUnit(), null);
        boolean renewed = reader.ticked("renewed");
        Optional<ShelfItem> bottle = pages.bottles().stream()
                .filter(item -> item.id().toString().equals(reader.text("bottle")))
                .findFirst();
        if (!reader.isBlank("bottle") && bottle.isEmpty()) {
            reader.fault("bottle", "unknown-value");
        }
        ShelfItem inside = Optional.ofNullable(
                        pages.record(liquid, pages.rows(wheelId), rider).bottle())
                .flatMap(shelf::item)
                .orElse(null);
        bottle.ifPresent(chosen -> FillingRules.check(
                reader,
                "bottle",
                chosen,
                inside,
                new FillingRules.Said(renewed, reader.ticked("known")),
                LocalDate.ofInstant(logbook.now(), rider.zoneId())));
        if (ml.isEmpty() || !reader.problems().isEmpty()) {
            return again(asked, SealantPages.Typed.filling(view(reader)));
        }
        write(
                asked,
                entry,
                at,
                new LogDetail.SealantAdded(ml.get(), renewed ? true : null),
                bottle.map(ShelfItem::id).orElse(null));
        return new Outcome(null, entry);
    }

    /** What went into the tire that was on before is not put into this one. */
    private static void notBeforeTheTire(WheelSealant liquid, Instant at, ZoneId zone, FormReader reader) {
        LocalDate since = LocalDate.ofInstant(liquid.tire().since(), zone);
        if (LocalDate.ofInstant(at, zone).isBefore(since)) {
            reader.fault("filledAt", "before-tire-of", since);
        }
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional
    Outcome keep(UUID wheelId, int version, Map<String, String> typed) {
        SealantAsked asked = ask(wheelId);
        FormReader reader = new FormReader(typed);
        Rider rider = asked.rider();
        Optional<WheelCare> chosen = CareForm.read(
                reader, asked.care(), version, rider.units(), LocalDate.ofInstant(logbook.now(), rider.zoneId()));
        if (chosen.isEmpty()) {
            return again(asked, SealantPages.Typed.care(view(reader), false));
        }
        if (!care.keep(chosen.get())) {
            return again(asked, SealantPages.Typed.care(view(reader), true));
        }
        return new Outcome(null, null);
    }

    private void write(SealantAsked asked, UUID entry, Optional<Instant> at, LogDetail detail, UUID bottle) {
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
