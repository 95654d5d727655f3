package org.stratopneum.web.pressure.ridden;

import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.dialling.RideNote;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.rider.Rider;

/** Reads what a rider says of a ride. */
final class RiddenForm {

    private static final Range HOURS = Range.above(0, Ridden.MINUTES.maximum() / 60, "h");

    private RiddenForm() {}

    /**
     * What was said.
     *
     * @param at when the ride began, or null for now
     * @param distanceM how far (m), or null; {@code climbM} how much up (m), or null; {@code minutes}, or null
     */
    record Said(Instant at, Double distanceM, Double climbM, Double minutes, Map<WheelPosition, WheelNote> notes) {}

    /** Reads everything but the ground; faults go to the reader, and then there is nothing. */
    static Optional<Said> read(
            FormReader reader, BikeState bike, Rider rider, Optional<BikeAdvice> anybody, Instant now) {
        PressureUnit unit = rider.pressureUnit();
        Optional<Instant> at = reader.moment("at", rider.zoneId(), now);
        Optional<Double> distance = distance(reader, rider.units().distance());
        Optional<Double> climb = reader.number("climb", Ridden.CLIMB_M);
        Optional<Double> hours = reader.number("hours", HOURS);
        Map<WheelPosition, WheelNote> notes = new EnumMap<>(WheelPosition.class);
        for (WheelPosition position : WheelPosition.values()) {
            if (bike.wheel(position).isPresent()) {
                GaugePressure chain =
                        anybody.map(advice -> chain(advice, position)).orElse(null);
                note(reader.part(prefix(position)), bike, unit, chain).ifPresent(note -> notes.put(position, note));
            }
        }
        return reader.problems().isEmpty()
                ? Optional.of(new Said(
                        at.orElse(null),
                        distance.orElse(null),
                        climb.orElse(null),
                        hours.map(found -> 60 * found).orElse(null),
                        notes))
                : Optional.empty();
    }

    static GaugePressure chain(BikeAdvice advice, WheelPosition position) {
        return (position == WheelPosition.REAR ? advice.rear() : advice.front()).chainPressure();
    }

    private static Optional<Double> distance(FormReader reader, RiderUnit unit) {
        Range km = Range.above(0, Ridden.DISTANCE_M.maximum() / 1000, "km");
        return reader.quantity("distance", km, unit, null).map(found -> 1000 * found);
    }

    private static Optional<WheelNote> note(FormReader reader, BikeState bike, PressureUnit unit, GaugePressure chain) {
        Optional<Double> start = reader.quantity("start", GaugePressure.TIRE_KPA, unit, null);
        Optional<Feel> feel = reader.choice("feel", Feel.class);
        boolean burp = reader.ticked("burp");
        boolean strike = reader.ticked("strike");
        if (feel.filter(found -> found == Feel.TOO_HARD).isPresent() && (burp || strike)) {
            reader.fault("feel", "hard-and-burp");
        }
        if ((feel.isPresent() || burp || strike) && reader.isBlank("start")) {
            reader.fault("start", "start-for-note");
        }
        if (start.isPresent() && chain != null) {
            double reference = bike.hand()
                    .fit()
                    .toReference(GaugePressure.kpa(start.get()))
                    .kpa();
            if (!RideNote.LOG_RATIO.contains(Math.log(reference / chain.kpa()))) {
                reader.add(
                        new Problem("start", "far-from-recommended", unit.fromKpa(chain.kpa()), null, unit.symbol()));
            }
        }
        return start.isEmpty() && feel.isEmpty() && !burp && !strike
                ? Optional.empty()
                : Optional.of(new WheelNote(
                        start.orElse(null), chain == null ? null : chain.kpa(), feel.orElse(null), burp, strike));
    }

    /** The answers that are asked for; a burp and a strike are ticked. */
    static List<Feel> feels() {
        return List.of(Feel.TOO_SOFT, Feel.RIGHT, Feel.TOO_HARD);
    }

    /** What the fields of a wheel begin with. */
    static String prefix(WheelPosition position) {
        return position == WheelPosition.REAR ? "rear-" : "front-";
    }
}
