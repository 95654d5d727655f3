package org.stratopneum.web.jobs;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Begins job cards: asks how the job is to be done, looks whether it may be done, and keeps the card. */
@Service
class CardStartService {

    private static final String BOTH = "both";

    private final CardMapper mapper;
    private final CardReader reader;
    private final CardOffer offer;
    private final CardSealant sealant;
    private final Shelf shelf;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final FitWording fits;
    private final ProblemWording problemWording;

    CardStartService(
            CardMapper mapper,
            CardReader reader,
            CardOffer offer,
            CardSealant sealant,
            Shelf shelf,
            Riders riders,
            Logbook logbook,
            Wording wording,
            FitWording fits,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.reader = reader;
        this.offer = offer;
        this.sealant = sealant;
        this.shelf = shelf;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.fits = fits;
        this.problemWording = problemWording;
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    NewCardPage page(UUID wheelId, Job job) {
        return offer.untouched(offer.stand(wheelId, job), job, reader.usual(), riders.self());
    }

    /** What came of beginning: the card, or the page again. */
    record Outcome(UUID card, NewCardPage again) {}

    /**
     * @param newId what the card is kept under; the same id again changes nothing
     * @throws NotThereException when this rider has no such wheel
     */
    @Transactional
    Outcome begin(UUID wheelId, Job job, UUID newId, Map<String, String> typed) {
        Rider rider = riders.self();
        CardOffer.Stand stand = offer.stand(wheelId, job);
        FormReader form = new FormReader(typed);
        List<WheelState> wheels = form.ticked(BOTH) ? stand.pair() : List.of(stand.wheel());
        Optional<CardChoices> choices = new CardForm(job, rider.units()).read(form);
        Map<UUID, UUID> tires = tires(job, stand, wheels, form);
        List<ShelfItem> stock = shelf.available();
        choices.ifPresent(found -> {
            check(found, stock, stand.wheel(), form);
            ShelfItem bottle = item(stock, found.from().sealant());
            if (bottle != null && job.names(Amount.TOP_UP)) {
                List<UUID> ids = wheels.stream().map(WheelState::wheelId).toList();
                sealant.check(stand.bike(), ids, bottle, form, rider);
            }
        });
        if (!form.problems().isEmpty()) {
            FormView view =
                    new FormView(typed, problemWording.messages(form.problems().list()));
            return new Outcome(null, offer.page(stand, job, view, List.of(), stock, rider));
        }
        List<NewCardPage.Blocked> blocked = new ArrayList<>();
        List<CardMapper.WheelRow> rows = new ArrayList<>();
        for (WheelState wheel : wheels) {
            UUID tire = tires.get(wheel.wheelId());
            CardCase setUp = reader.setUp(job, choices.orElseThrow(), wheel, tire, stand.bike());
            if (setUp.blocked() && job.asked().contains(Condition.BLOCKED)) {
                blocked.add(blocked(wheel, setUp, rider));
            }
            ShelfItem bottle = item(stock, choices.orElseThrow().from().sealant());
            String holding = reader.write(setUp.holding(bottle));
            rows.add(new CardMapper.WheelRow(newId, wheel.wheelId(), wheel.position(), null, tire, holding));
        }
        if (!blocked.isEmpty()) {
            return new Outcome(null, offer.page(stand, job, new FormView(typed, Map.of()), blocked, stock, rider));
        }
        keep(newId, job, stand, choices.orElseThrow(), rows);
        return new Outcome(newId, null);
    }

    private void keep(UUID id, Job job, CardOffer.Stand stand, CardChoices choices, List<CardMapper.WheelRow> rows) {
        if (mapper.insert(id, job, stand.bike().id(), reader.write(choices), logbook.now()) == 1) {
            rows.forEach(row -> mapper.insertWheel(row.cardId(), row.wheelId(), row.tireId(), row.holding()));
        }
    }

    private NewCardPage.Blocked blocked(WheelState wheel, CardCase setUp, Rider rider) {
        FitText text = setUp.fit()
                .map(check -> fits.of(check, rider.units()))
                .orElseGet(() -> new FitText(List.of(), List.of(), ""));
        return new NewCardPage.Blocked(wording.of("position", wheel.position()), text);
    }

    /** For each wheel the tire that goes on, or that is on; a fault where one has to go on and there is none. */
    private Map<UUID, UUID> tires(Job job, CardOffer.Stand stand, List<WheelState> wheels, FormReader form) {
        Map<UUID, UUID> tires = new TreeMap<>();
        for (WheelState wheel : wheels) {
            String field = CardOffer.field(wheel);
            Optional<UUID> chosen = job.mounts() ? CardForm.id(form, field) : Optional.empty();
            boolean known = chosen.isEmpty()
                    || stand.tiresFor(wheel).stream().anyMatch(tire -> tire.id().equals(chosen.get()));
            if (!known) {
                form.fault(field, "not-on-the-shelf");
            }
            chosen.or(() -> wheel.tire().map(WheelState.Tire::id))
                    .ifPresentOrElse(tire -> tires.put(wheel.wheelId(), tire), () -> {
                        if (job.mounts()) {
                            form.fault(field, Problem.MISSING);
                        }
                    });
        }
        long different = tires.values().stream().distinct().count();
        if (different < tires.size()) {
            form.fault(CardOffer.field(wheels.get(wheels.size() - 1)), "same-tire-twice");
        }
        return tires;
    }

    /** What is taken has to lie on the shelf, and a start that counts spokes has to know them. */
    private static void check(CardChoices choices, List<ShelfItem> stock, WheelState wheel, FormReader form) {
        CardChoices.FromShelf from = choices.from();
        lies(stock, from.sealant(), ShelfKind.SEALANT, "sealant", form);
        lies(stock, from.tape(), ShelfKind.TAPE, "tape", form);
        lies(stock, from.valve(), ShelfKind.VALVE, "valve", form);
        lies(stock, from.tube(), ShelfKind.TUBE, "tube", form);
        lies(stock, from.insert(), ShelfKind.INSERT, "insertItem", form);
        if (choices.tapeStart() == TapeStart.THREE_HOLES && wheel.rim().spokes() == null) {
            form.fault("tapeStart", "spokes-missing");
        }
    }

    private static void lies(List<ShelfItem> stock, UUID id, ShelfKind kind, String field, FormReader form) {
        boolean lies = id == null || stock.stream().anyMatch(item -> item.id().equals(id) && item.kind() == kind);
        if (!lies) {
            form.fault(field, "not-on-the-shelf");
        }
    }

    private static ShelfItem item(List<ShelfItem> stock, UUID id) {
        return stock.stream().filter(item -> item.id().equals(id)).findFirst().orElse(null);
    }
}
