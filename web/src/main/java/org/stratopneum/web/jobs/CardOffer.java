package org.stratopneum.web.jobs;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.BillOfMaterials;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.ValveLength;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.garage.SparePart;
import org.stratopneum.web.parts.garage.SpareParts;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.parts.shelf.ShelfWording;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantState;

/** What a job on a wheel can be done with: the tires, what the shelf has, and what of it suits best. */
@Component
class CardOffer {

    private final Garage garage;
    private final SpareParts spares;
    private final CardSealant sealant;
    private final ShelfWording shelfWording;
    private final Logbook logbook;
    private final Wording wording;

    CardOffer(
            Garage garage,
            SpareParts spares,
            CardSealant sealant,
            ShelfWording shelfWording,
            Logbook logbook,
            Wording wording) {
        this.garage = garage;
        this.spares = spares;
        this.sealant = sealant;
        this.shelfWording = shelfWording;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** The pair that a card is begun on; {@code wheel} is the one that it was asked for. */
    record Stand(WheelPlace place, BikeState bike, WheelState wheel, List<WheelState> pair, List<SparePart> tires) {
        boolean hasOther() {
            return pair.size() > 1;
        }

        /** Tires that could go on a wheel now: on no other, not retired, and of its bead seat. */
        List<SparePart> tiresFor(WheelState wanted) {
            return tires.stream()
                    .filter(tire -> tire.retiredOn() == null
                            && tire.beadSeatDiameterMm() == wanted.rim().beadSeatDiameterMm())
                    .toList();
        }
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    Stand stand(UUID wheelId, Job job) {
        WheelPlace place = garage.place(wheelId);
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        List<WheelState> pair = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).ifPresent(pair::add);
        }
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        return new Stand(place, bike, wheel, pair, job.mounts() ? spares.tires() : List.of());
    }

    /** The form as it stands before anybody touched it. */
    NewCardPage untouched(Stand stand, Job job, Bench.Usual usual, List<ShelfItem> stock, Rider rider) {
        CardForm form = new CardForm(job, rider.units());
        Map<String, String> texts = new TreeMap<>(form.texts(usual.choices()));
        boolean inside =
                stand.wheel().tire().filter(tire -> tire.fitted().insert()).isPresent();
        texts.put("insert", inside == (job == Job.INSERT) ? "" : "on");
        texts.put("newTire", "");
        if (form.topsUp()) {
            topUp(stand, rider, texts);
        }
        usualOf(stand.wheel(), job, stock, LocalDate.ofInstant(logbook.now(), rider.zoneId()))
                .forEach((field, item) -> texts.putIfAbsent(field, item.id().toString()));
        return page(stand, job, new FormView(texts, Map.of()), usual.known(), List.of(), stock, rider);
    }

    /** What brings the wheel back to a full filling, from the bottle that is in it already. */
    private void topUp(Stand stand, Rider rider, Map<String, String> texts) {
        SealantState state = sealant.of(stand.bike(), rider).get(stand.wheel().wheelId());
        if (state != null) {
            texts.put("topUp", QuantityText.typed(state.topUpMl(), rider.volumeUnit()));
            if (state.bottle() != null) {
                texts.put("sealant", state.bottle().toString());
            }
        }
    }

    /** What of the shelf suits the wheel best, by the field that it is chosen in. */
    private static Map<String, ShelfItem> usualOf(WheelState wheel, Job job, List<ShelfItem> stock, LocalDate today) {
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

    NewCardPage page(
            Stand stand,
            Job job,
            FormView form,
            Set<String> known,
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
                known,
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

    private NewCardPage.Wheel tires(WheelState wheel, Stand stand) {
        return new NewCardPage.Wheel(
                field(wheel),
                wording.of("position", wheel.position()),
                wheel.tire().map(WheelState.Tire::name).orElse(null),
                !wheel.wheelId().equals(stand.wheel().wheelId()),
                stand.tiresFor(wheel).stream().map(CardOffer::choice).toList());
    }

    private static NewCardPage.Choice choice(SparePart tire) {
        return new NewCardPage.Choice(tire.id(), tire.name() + ", " + tire.facts());
    }

    static String field(WheelState wheel) {
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
}
