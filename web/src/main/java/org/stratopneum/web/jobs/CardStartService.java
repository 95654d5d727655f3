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
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.TargetSetup;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import tools.jackson.databind.node.ObjectNode;

/** Begins job cards: asks how the job is to be done, looks whether it may be done, and keeps the card. */
@Service
class CardStartService {

    private static final String BOTH = "both";

    private final CardMapper mapper;
    private final CardReader reader;
    private final CardOffer offer;
    private final CardSealant sealant;
    private final Bench bench;
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
            Bench bench,
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
        this.bench = bench;
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
        CardOffer.Stand stand = offer.stand(wheelId, job);
        List<ShelfItem> stock = shelf.available();
        return offer.untouched(stand, job, bench.of(stand.wheel(), stock), stock, riders.self());
    }

    /** What came of beginning: the card, or the page again. */
    record Outcome(UUID card, NewCardPage again) {}

    /** A card that is being begun. */
    private record Beginning(
            UUID id,
            Job job,
            CardOffer.Stand stand,
            List<WheelState> wheels,
            Bench.Usual usual,
            List<ShelfItem> stock,
            Rider rider) {}

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
        List<ShelfItem> stock = shelf.available();
        Beginning beginning = new Beginning(newId, job, stand, wheels, bench.of(stand.wheel(), stock), stock, rider);
        ObjectNode said = bench.nothing();
        new CardForm(job, rider.units()).read(form, said);
        Map<UUID, UUID> tires = tires(job, stand, wheels, form);
        List<Planned> planned = form.problems().isEmpty() ? planned(beginning, said, tires) : List.of();
        check(beginning, planned, form);
        if (!form.problems().isEmpty()) {
            FormView view =
                    new FormView(typed, problemWording.messages(form.problems().list()));
            return new Outcome(null, again(beginning, view, List.of()));
        }
        List<NewCardPage.Blocked> blocked = planned.stream()
                .map(each -> blocked(beginning, each))
                .flatMap(Optional::stream)
                .toList();
        if (!blocked.isEmpty()) {
            return new Outcome(null, again(beginning, new FormView(typed, Map.of()), blocked));
        }
        keep(beginning, planned, said);
        return new Outcome(newId, null);
    }

    private NewCardPage again(Beginning beginning, FormView view, List<NewCardPage.Blocked> blocked) {
        return offer.page(
                beginning.stand,
                beginning.job,
                view,
                beginning.usual.known(),
                blocked,
                beginning.stock,
                beginning.rider);
    }

    /** A wheel with what the card is done with on it. */
    private record Planned(WheelState wheel, UUID tire, CardChoices choices, CardCase setUp) {}

    private List<Planned> planned(Beginning beginning, ObjectNode said, Map<UUID, UUID> tires) {
        List<Planned> planned = new ArrayList<>();
        CardChoices all = bench.with(beginning.usual.choices(), said);
        Double tapeMm = reader.tapeMm(beginning.job, all);
        for (WheelState wheel : beginning.wheels) {
            boolean asked = wheel.wheelId().equals(beginning.stand.wheel().wheelId());
            CardChoices choices = all;
            if (!asked) {
                // what the other wheel is known to have differs from what was said of this one
                choices = bench.with(choices, bench.ofWheel(wheel));
            }
            UUID tire = tires.get(wheel.wheelId());
            CardCase setUp = reader.setUp(beginning.job, choices, wheel, tire, beginning.stand.bike(), tapeMm);
            planned.add(new Planned(wheel, tire, choices, setUp));
        }
        return planned;
    }

    private void keep(Beginning beginning, List<Planned> planned, ObjectNode said) {
        UUID bike = beginning.stand.bike().id();
        Planned asked = planned.stream()
                .filter(each ->
                        each.wheel().wheelId().equals(beginning.stand.wheel().wheelId()))
                .findFirst()
                .orElseThrow();
        String choices = bench.write(asked.choices());
        if (mapper.insert(beginning.id, beginning.job, bike, choices, logbook.now()) == 1) {
            ShelfItem bottle = item(beginning.stock, asked.choices().from().sealant());
            for (Planned each : planned) {
                boolean sealedBefore =
                        beginning.job.asked().contains(Condition.NEVER_SEALED) && sealant.everIn(each.wheel());
                String holding = reader.write(each.setUp().holding(bottle, sealedBefore));
                mapper.insertWheel(beginning.id, each.wheel().wheelId(), each.tire(), holding);
            }
            boolean stays = planned.stream().noneMatch(each -> each.setUp().otherValve());
            bench.keep(bike, List.of(asked.wheel().wheelId()), said, stays);
        }
    }

    /** What blocks is mended by changing something: the card is not begun, and it is said what would do instead. */
    private Optional<NewCardPage.Blocked> blocked(Beginning beginning, Planned planned) {
        if (!beginning.job.asked().contains(Condition.BLOCKED)) {
            return Optional.empty();
        }
        List<Verdict> against = reader.against(beginning.stand.bike(), planned.setUp());
        if (!planned.setUp().blocked() && !TargetSetup.blocks(against)) {
            return Optional.empty();
        }
        boolean tubeInstead =
                planned.setUp().becomesTubeless() && planned.wheel().tubed();
        return Optional.of(new NewCardPage.Blocked(
                wording.of("position", planned.wheel().position()),
                fits.of(against, List.of(), beginning.rider.units()),
                tubeInstead ? planned.wheel().wheelId() : null));
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

    /** What is taken has to lie on the shelf, and tape has to go with the bed. */
    private void check(Beginning beginning, List<Planned> planned, FormReader form) {
        lies(beginning.stock, form, ShelfKind.SEALANT, "sealant");
        lies(beginning.stock, form, ShelfKind.TAPE, "tape");
        lies(beginning.stock, form, ShelfKind.VALVE, "valve");
        lies(beginning.stock, form, ShelfKind.TUBE, "tube");
        lies(beginning.stock, form, ShelfKind.INSERT, "insertItem");
        for (Planned each : planned) {
            if (each.setUp().needsSpokes() && !form.isFaulty("tapeStart")) {
                form.fault("tapeStart", "spokes-missing");
            }
            if (new CardForm(beginning.job, beginning.rider.units()).tapes() && !form.isFaulty("tape")) {
                each.setUp()
                        .tapeFit()
                        .filter(fit -> fit == TapePlan.Fit.TOO_NARROW || fit == TapePlan.Fit.TOO_WIDE)
                        .ifPresent(fit ->
                                form.fault("tape", fit == TapePlan.Fit.TOO_WIDE ? "tape-too-wide" : "tape-too-narrow"));
            }
        }
        ShelfItem bottle = planned.isEmpty()
                ? null
                : item(beginning.stock, planned.get(0).choices().from().sealant());
        if (bottle != null && beginning.job.names(Amount.TOP_UP)) {
            List<UUID> ids = beginning.wheels.stream().map(WheelState::wheelId).toList();
            sealant.check(beginning.stand.bike(), ids, bottle, form, beginning.rider);
        }
    }

    private static void lies(List<ShelfItem> stock, FormReader form, ShelfKind kind, String field) {
        if (form.isBlank(field) || form.isFaulty(field)) {
            return;
        }
        boolean lies =
                stock.stream().anyMatch(item -> item.id().toString().equals(form.text(field)) && item.kind() == kind);
        if (!lies) {
            form.fault(field, "not-on-the-shelf");
        }
    }

    private static ShelfItem item(List<ShelfItem> stock, UUID id) {
        return stock.stream().filter(item -> item.id().equals(id)).findFirst().orElse(null);
    }
}
