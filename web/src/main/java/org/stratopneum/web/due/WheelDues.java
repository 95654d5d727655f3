package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.agenda.PreventionLooks;
import org.stratopneum.core.agenda.WheelPressure;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.web.fleet.bikes.AirLosses;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.LossNow;
import org.stratopneum.web.fleet.bikes.PressureNow;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.care.Care;
import org.stratopneum.web.fleet.care.CareStatus;
import org.stratopneum.web.fleet.kept.KeptResults;
import org.stratopneum.web.jobs.OpenCards;
import org.stratopneum.web.log.LogDetail.CareDone;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantDues;
import org.stratopneum.web.sealant.SealantState;

/** All that is due on wheels: by their pressure, their sealant, the care they are given, and the cards open on them. */
@Service
public class WheelDues {

    private final OpenCards openCards;
    private final SealantDues sealantDues;
    private final Care care;
    private final AirLosses airLosses;
    private final KeptResults results;

    WheelDues(OpenCards openCards, SealantDues sealantDues, Care care, AirLosses airLosses, KeptResults results) {
        this.results = results;
        this.airLosses = airLosses;
        this.openCards = openCards;
        this.sealantDues = sealantDues;
        this.care = care;
    }

    /** The name of what is due, the same for as long as it is the same matter. */
    static String key(DueItem item) {
        return item.wheelId() + "-" + item.reason();
    }

    /**
     * What was asked once for all wheels.
     *
     * @param cards the open job cards
     * @param sealant the liquid in the tires, by wheel
     * @param tubes the sealant in tubes, by wheel
     * @param losses the air that they lose, by wheel
     * @param marks what was put off and skipped, by matter
     */
    public record Known(
            List<OpenCards.OpenCard> cards,
            Map<UUID, SealantState> sealant,
            Map<UUID, DueItem> tubes,
            Map<UUID, LossNow> losses,
            CareStatus cared,
            Map<String, Mark> marks,
            Rider rider,
            Instant now) {

        public LocalDate today() {
            return LocalDate.ofInstant(now, rider.zoneId());
        }

        /**
         * What is due, without what was skipped, and later where it was put off.
         *
         * @param window where the pressure of the wheel should lie, or null where that cannot be told
         */
        public List<DueItem> of(WheelState wheel, PressureWindow window) {
            return all(wheel, window).stream()
                    .map(item -> {
                        Mark mark = marks.get(key(item));
                        return mark == null ? Optional.of(item) : mark.on(item);
                    })
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** The same, whatever was put off or skipped. */
        List<DueItem> all(WheelState wheel, PressureWindow window) {
            List<DueItem> items = new ArrayList<>();
            // two cards that wait for the same are one matter
            cards.stream()
                    .filter(card -> card.wheelId().equals(wheel.wheelId()))
                    .map(card -> card.due(rider.zoneId(), now))
                    .collect(Collectors.toMap(
                            DueItem::reason,
                            Function.identity(),
                            BinaryOperator.minBy(Comparator.comparing(DueItem::due)),
                            TreeMap::new))
                    .values()
                    .forEach(items::add);
            wheel.tire().ifPresent(tire -> {
                items.addAll(PressureLooks.of(state(wheel, tire, window)));
                prevention(wheel, tire).ifPresent(items::add);
            });
            leak(wheel.wheelId()).ifPresent(items::add);
            SealantState liquid = sealant.get(wheel.wheelId());
            if (liquid != null) {
                items.addAll(liquid.due());
            }
            if (tubes.containsKey(wheel.wheelId())) {
                items.add(tubes.get(wheel.wheelId()));
            }
            return items;
        }

        /** That the leak of a wheel is to be looked for. */
        public Optional<DueItem> leak(UUID wheelId) {
            return Optional.ofNullable(losses.get(wheelId)).flatMap(loss -> loss.due(wheelId, rider));
        }

        /** What a wheel holds now; empty without a reading. */
        public Optional<PressureNow> pressure(WheelState wheel) {
            return PressureNow.of(wheel, losses.get(wheel.wheelId()), now);
        }

        private Optional<DueItem> prevention(WheelState wheel, WheelState.Tire tire) {
            Integer every = cared.how(wheel.wheelId()).lookEveryDays();
            if (every == null) {
                return Optional.empty();
            }
            LocalDate fitted = LocalDate.ofInstant(tire.since(), rider.zoneId());
            LocalDate looked = cared.lastDone(wheel.wheelId(), CareDone.Care.PREVENTION_LOOK, rider);
            LocalDate last = looked == null || looked.isBefore(fitted) ? fitted : looked;
            return Optional.of(PreventionLooks.next(wheel.wheelId(), last, every));
        }

        private WheelPressure state(WheelState wheel, WheelState.Tire tire, PressureWindow window) {
            Optional<WheelState.Reading> reading = wheel.lastReading();
            return new WheelPressure(
                    wheel.wheelId(),
                    tire.fitted().setup(),
                    LocalDate.ofInstant(tire.since(), rider.zoneId()),
                    reading.map(found -> LocalDate.ofInstant(found.at(), rider.zoneId()))
                            .orElse(null),
                    reading.map(found -> PressureLooks.judged(
                                    found.pressure(), pressure(wheel).map(PressureNow::likely), window))
                            .orElse(null),
                    window);
        }
    }

    @Transactional(readOnly = true)
    Known known(List<BikeState> bikes, Map<String, Mark> marks, Rider rider, Instant now) {
        CareStatus cared = care.all();
        Supplier<KeptResults.Kept> kept = SingletonSupplier.of(results::all);
        SealantDues.InTires sealant = sealantDues.all(bikes, () -> cared, kept, rider, now);
        return new Known(
                openCards.all(),
                sealant.liquid(),
                sealant.tubes(),
                airLosses.now(bikes, kept, rider, now),
                cared,
                marks,
                rider,
                now);
    }
}
