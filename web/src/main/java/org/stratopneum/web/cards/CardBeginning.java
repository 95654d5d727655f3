package org.stratopneum.web.cards;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.BillOfMaterials;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveLength;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.bikes.Garage;
import org.stratopneum.web.bikes.WheelPlace;
import org.stratopneum.web.bikes.WheelPosition;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.fault.NotThereException;
import org.stratopneum.web.garage.SparePart;
import org.stratopneum.web.garage.SpareParts;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.shelf.Shelf;
import org.stratopneum.web.shelf.ShelfItem;
import org.stratopneum.web.shelf.ShelfKind;
import org.stratopneum.web.shelf.ShelfWording;
import org.stratopneum.web.wording.FitText;
import org.stratopneum.web.wording.FitWording;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.Units;
import org.stratopneum.web.wording.Wording;

/** Begins job cards: asks how the job is to be done, looks whether it may be done, and keeps the card. */
@Service
class CardBeginning {

    private static final String BOTH = "both";

    private final CardMapper mapper;
    private final CardReader reader;
    private final Garage garage;
    private final SpareParts spares;
    private final Shelf shelf;
    private final ShelfWording shelfWording;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final FitWording fits;
    private final ProblemWording problemWording;

    CardBeginning(
            CardMapper mapper,
            CardReader reader,
            Garage garage,
            SpareParts spares,
            Shelf shelf,
            ShelfWording shelfWording,
            Riders riders,
            Logbook logbook,
            Wording wording,
            FitWording fits,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.reader = reader;
        this.garage = garage;
        this.spares = spares;
        this.shelf = shelf;
        this.shelfWording = shelfWording;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.fits = fits;
        this.problemWording = problemWording;
    }

    /** The pair that a card is begun on; {@code wheel} is the one that it was asked for. */
    private record Stand(
            WheelPlace place, BikeStanding bike, WheelStanding wheel, List<WheelStanding> pair, List<SparePart> tires) {
        boolean hasOther() {
            return pair.size() > 1;
        }

        /** Tires that could go on a wheel now: on no other, not retired, and of its bead seat. */
        List<SparePart> tiresFor(WheelStanding wanted) {
            return tires.stream()
                    .filter(tire -> tire.retiredOn() == null
                            && tire.beadSeatDiameterMm() == wanted.rim().beadSeatDiameterMm())
                    .toList();
        }
    }

    private Stand stand(UUID wheelId, Job job) {
        WheelPlace place = garage.place(wheelId);
        BikeStanding bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        List<WheelStanding> pair = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).ifPresent(pair::add);
        }
        WheelStanding wheel = bike.wheel(place.position()).orElseThrow();
        return new Stand(place, bike, wheel, pair, job.mounts() ? spares.tires() : List.of());
    }

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    NewCardPage page(UUID wheelId, Job job) {
        Rider rider = riders.self();
        Stand stand = stand(wheelId, job);
        CardForm form = new CardForm(job, rider.units());
        Map<String, String> texts = new TreeMap<>(form.texts(reader.usual()));
        boolean inside =
                stand.wheel().tire().filter(tire -> tire.fitted().insert()).isPresent();
        texts.put("insert", inside == (job == Job.INSERT) ? "" : "on");
        List<ShelfItem> stock = shelf.available();
        usualOf(stand.wheel(), job, stock)
                .forEach((field, item) -> texts.put(field, item.id().toString()));
        return page(stand, job, new FormView(texts, Map.of()), List.of(), stock, rider);
    }

    /** What of the shelf suits the wheel best, by the field that it is chosen in. */
    private Map<String, ShelfItem> usualOf(WheelStanding wheel, Job job, List<ShelfItem> stock) {
        LocalDate today = LocalDate.ofInstant(logbook.now(), riders.self().zoneId());
        boolean tube = job.goal() == Job.Goal.TUBE;
        Map<String, ShelfItem> usual = new TreeMap<>();
        List<ShelfItem> bottles = stock.stream()
                .filter(item -> item.family() != null && (item.family() == SealantFamily.FIBRE) == tube)
                .filter(item -> !item.pastBestBefore(today))
                .toList();
        suiting(new BillOfMaterials.Need(Article.SEALANT, 0, null), bottles)
                .ifPresent(item -> usual.put("sealant", item));
        double tapeMm = TapePlan.middleMm(wheel.rim().internalWidthMm());
        suiting(new BillOfMaterials.Need(Article.TAPE, 0, tapeMm), stock).ifPresent(item -> usual.put("tape", item));
        Double depth = wheel.rim().depthMm();
        suiting(
                        new BillOfMaterials.Need(
                                Article.VALVE, 1, depth == null ? null : ValveLength.comfortableMm(depth)),
                        stock)
                .ifPresent(item -> usual.put("valve", item));
        wheel.tireSize()
                .flatMap(size -> suiting(
                        new BillOfMaterials.Need(Article.TUBE, 1, size.nominalWidthMm()),
                        stock.stream()
                                .filter(item -> Double.valueOf(size.beadSeatDiameterMm())
                                        .equals(item.bsdMm()))
                                .toList()))
                .ifPresent(item -> usual.put("tube", item));
        return usual;
    }

    private static Optional<ShelfItem> suiting(BillOfMaterials.Need need, List<ShelfItem> stock) {
        return Shelf.serving(need, stock).stream().findFirst();
    }

    private NewCardPage page(
            Stand stand,
            Job job,
            FormView form,
            List<NewCardPage.Blocked> blocked,
            List<ShelfItem> stock,
            Rider rider) {
        CardForm asked = new CardForm(job, rider.units());
        return new NewCardPage(
                stand.wheel().wheelId(),
                wording.of("position", stand.wheel().position()),
                stand.place().bikeName(),
                job,
                asked,
                form,
                rider.units(),
                stand.hasOther(),
                asked.mounts()
                        ? stand.pair().stream()
                                .map(wheel -> tires(wheel, stand))
                                .toList()
                        : List.of(),
                new NewCardPage.Shelf(
                        choices(stock, ShelfKind.SEALANT, rider.units()),
                        choices(stock, ShelfKind.TAPE, rider.units()),
                        choices(stock, ShelfKind.VALVE, rider.units()),
                        choices(stock, ShelfKind.TUBE, rider.units()),
                        choices(stock, ShelfKind.INSERT, rider.units())),
                blocked);
    }

    private NewCardPage.Wheel tires(WheelStanding wheel, Stand stand) {
        return new NewCardPage.Wheel(
                field(wheel),
                wording.of("position", wheel.position()),
                wheel.tire().map(WheelStanding.Tire::name).orElse(null),
                !wheel.wheelId().equals(stand.wheel().wheelId()),
                stand.tiresFor(wheel).stream().map(CardBeginning::choice).toList());
    }

    private static NewCardPage.Choice choice(SparePart tire) {
        return new NewCardPage.Choice(tire.id(), tire.name() + ", " + tire.facts());
    }

    private static String field(WheelStanding wheel) {
        return "tire-" + wheel.wheelId();
    }

    private List<NewCardPage.Choice> choices(List<ShelfItem> stock, ShelfKind kind, Units units) {
        return stock.stream()
                .filter(item -> item.kind() == kind)
                .map(item -> new NewCardPage.Choice(
                        item.id(),
                        item.name() + ", " + shelfWording.facts(item, units) + ", " + shelfWording.left(item, units)))
                .toList();
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
        Stand stand = stand(wheelId, job);
        FormReader form = new FormReader(typed);
        List<WheelStanding> wheels = form.ticked(BOTH) ? stand.pair() : List.of(stand.wheel());
        Optional<CardChoices> choices = new CardForm(job, rider.units()).read(form);
        Map<UUID, UUID> tires = tires(job, stand, wheels, form);
        List<ShelfItem> stock = shelf.available();
        choices.ifPresent(found -> check(found, stock, stand.wheel(), form));
        if (!form.problems().isEmpty()) {
            FormView view =
                    new FormView(typed, problemWording.messages(form.problems().list()));
            return new Outcome(null, page(stand, job, view, List.of(), stock, rider));
        }
        List<NewCardPage.Blocked> blocked = new ArrayList<>();
        List<CardMapper.WheelRow> rows = new ArrayList<>();
        for (WheelStanding wheel : wheels) {
            UUID tire = tires.get(wheel.wheelId());
            CardCase setUp = reader.setUp(job, choices.orElseThrow(), wheel, tire, stand.bike());
            if (setUp.blocked() && job.asked().contains(Condition.BLOCKED)) {
                blocked.add(blocked(wheel, setUp, rider));
            }
            ShelfItem sealant = item(stock, choices.orElseThrow().from().sealant());
            String holding = reader.write(setUp.holding(sealant));
            rows.add(new CardMapper.WheelRow(newId, wheel.wheelId(), wheel.position(), null, tire, holding));
        }
        if (!blocked.isEmpty()) {
            return new Outcome(null, page(stand, job, new FormView(typed, Map.of()), blocked, stock, rider));
        }
        keep(newId, job, stand, choices.orElseThrow(), rows);
        return new Outcome(newId, null);
    }

    private void keep(UUID id, Job job, Stand stand, CardChoices choices, List<CardMapper.WheelRow> rows) {
        if (mapper.insert(id, job, stand.bike().id(), reader.write(choices), logbook.now()) == 1) {
            rows.forEach(row -> mapper.insertWheel(row.cardId(), row.wheelId(), row.tireId(), row.holding()));
        }
    }

    private NewCardPage.Blocked blocked(WheelStanding wheel, CardCase setUp, Rider rider) {
        FitText text = setUp.fit()
                .map(check -> fits.of(check, rider.units()))
                .orElseGet(() -> new FitText(List.of(), List.of(), ""));
        return new NewCardPage.Blocked(wording.of("position", wheel.position()), text);
    }

    /** For each wheel the tire that goes on, or that is on; a fault where one has to go on and there is none. */
    private Map<UUID, UUID> tires(Job job, Stand stand, List<WheelStanding> wheels, FormReader form) {
        Map<UUID, UUID> tires = new TreeMap<>();
        for (WheelStanding wheel : wheels) {
            String field = field(wheel);
            Optional<UUID> chosen = job.mounts() ? CardForm.id(form, field) : Optional.empty();
            boolean known = chosen.isEmpty()
                    || stand.tiresFor(wheel).stream().anyMatch(tire -> tire.id().equals(chosen.get()));
            if (!known) {
                form.fault(field, "not-on-the-shelf");
            }
            chosen.or(() -> wheel.tire().map(WheelStanding.Tire::id))
                    .ifPresentOrElse(tire -> tires.put(wheel.wheelId(), tire), () -> {
                        if (job.mounts()) {
                            form.fault(field, Problem.MISSING);
                        }
                    });
        }
        long different = tires.values().stream().distinct().count();
        if (different < tires.size()) {
            form.fault(field(wheels.get(wheels.size() - 1)), "same-tire-twice");
        }
        return tires;
    }

    /** What is taken has to lie on the shelf, and a start that counts spokes has to know them. */
    private static void check(CardChoices choices, List<ShelfItem> stock, WheelStanding wheel, FormReader form) {
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
