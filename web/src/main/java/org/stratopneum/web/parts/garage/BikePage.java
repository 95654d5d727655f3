package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.platform.wording.FitText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.pressure.AdviceView;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * A bike or a pair of wheels being entered.
 *
 * @param bikeId the bike that it is about, or null for a new one
 * @param bikeName its name, or null
 * @param form what was typed, and what is wrong with it
 * @param sizes what the sizes that were typed may mean
 * @param advice what to set as far as typed, or null
 * @param fits whether tires and rims go together, or null while they are not whole
 * @param assumed what was taken for granted of a new bike
 * @param share what weighing the wheels told, in words, or null
 * @param apart that the bike keeps another mass of its rider than others have, in words, or null
 */
public record BikePage(
        UUID bikeId,
        String bikeName,
        FormView form,
        RideForm ride,
        Units units,
        Sizes sizes,
        AdviceView advice,
        Fits fits,
        List<Assumed> assumed,
        String share,
        String apart,
        int version) {

    /** What riders ride most; the rest stands under mixed terrain. */
    private static final List<Ground> MOST_RIDDEN = List.of(
            Ground.SMOOTH_PAVEMENT,
            Ground.FINE_GRAVEL,
            Ground.COARSE_GRAVEL,
            Ground.FOREST_TRACK,
            Ground.CROSS_COUNTRY,
            Ground.ROCK);

    /** What is seldom asked of a bike. */
    private static final List<String> SELDOM_OF_BIKE = List.of(
            "posture",
            "drop",
            "wet",
            "ground2",
            "ground3",
            "share2",
            "share3",
            "gear",
            "luggageRear",
            "luggageFront",
            "riderName",
            "weighedRear",
            "weighedFront",
            "openingRear",
            "openingFront",
            "since",
            "wheelset");

    private static final List<String> SELDOM_OF_WHEEL = List.of("tubeless", "hooklessOk", "tireMin", "found");

    private static final List<String> SELDOM = List.of(
            "measured",
            "insert",
            "tire",
            "measuringRim",
            "maxLoad",
            "tireBought",
            "tirePrice",
            "arrow",
            "rim",
            "rimMax",
            "bed",
            "rimDepth",
            "valveHole",
            "valveSeat",
            "valveOffCentre",
            "spokes",
            "rimBought",
            "rimPrice");

    /** What the typed size of each wheel may mean. */
    public record Sizes(List<TireSize> rear, List<TireSize> front) {
        public List<TireSize> of(String wheel) {
            return BikeForm.REAR.equals(wheel) ? rear : front;
        }
    }

    /** Something that was taken for granted, and the field that says otherwise. */
    public record Assumed(String field, String text) {}

    /** Whether tire and rim of each wheel go together; the front is null where it is the same as the rear. */
    public record Fits(FitText rear, FitText front) {}

    /** The same page for a bike that is kept. */
    BikePage of(UUID id, String name, int rowVersion) {
        return new BikePage(id, name, form, ride, units, sizes, advice, fits, assumed, share, apart, rowVersion);
    }

    /** The same page with what the scale told, and what the bike keeps of its rider. */
    BikePage with(String scale, String keeps) {
        return new BikePage(bikeId, bikeName, form, ride, units, sizes, advice, fits, assumed, scale, keeps, version);
    }

    /** Whether something is typed, or wrong, in what is seldom asked about a wheel. */
    public boolean hasMore(String wheel) {
        return any(SELDOM.stream().map(field -> wheel + field));
    }

    /** The same of the whole bike. */
    public boolean hasMore() {
        return Stream.of(BikeForm.REAR, BikeForm.FRONT)
                        .anyMatch(wheel ->
                                hasMore(wheel) || any(SELDOM_OF_WHEEL.stream().map(field -> wheel + field)))
                || any(SELDOM_OF_BIKE.stream());
    }

    private boolean any(Stream<String> fields) {
        return fields.anyMatch(field -> form.ticked(field) || form.error(field) != null);
    }

    /** The grounds to choose from at a glance, with the chosen one where that is another. */
    public List<Ground> mostGrounds() {
        return Stream.concat(
                        MOST_RIDDEN.stream(),
                        Stream.of(Ground.values())
                                .filter(ground -> ground.name().equals(form.text("ground1"))))
                .distinct()
                .toList();
    }

    /** A unit that may be chosen for a field of units. */
    public record UnitChoice(String code, String symbol) {}

    public List<UnitChoice> unitsOf(String field) {
        if ("pressureUnit".equals(field)) {
            return Stream.of(PressureUnit.values())
                    .map(unit -> new UnitChoice(unit.name(), unit.symbol()))
                    .toList();
        }
        RiderUnit.Kind kind = "massUnit".equals(field) ? RiderUnit.Kind.MASS : RiderUnit.Kind.LENGTH;
        return kind.units().stream()
                .map(unit -> new UnitChoice(unit.name(), unit.symbol()))
                .toList();
    }

    public List<Posture> postures() {
        return List.of(Posture.values());
    }

    public List<SetupKind> setups() {
        return List.of(SetupKind.values());
    }

    public List<Casing> casings() {
        return List.of(Casing.values());
    }

    public List<ValveBase> seats() {
        return List.of(ValveBase.values());
    }

    public List<RimBed> beds() {
        return List.of(RimBed.values());
    }

    /** The faults as the ride's fragment wants them. */
    public Map<String, String> errors() {
        return form.errors();
    }
}
