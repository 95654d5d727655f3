package org.stratopneum.web.pressure.ridden;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.pressure.ride.RideForm;
import org.stratopneum.web.rider.Rider;

/** Fills the form of a ride with what is known of it already. */
final class RiddenTexts {

    /** A reading older than this says nothing of the pressure at a start. */
    private static final Duration FRESH = Duration.ofDays(2);

    private final Map<String, String> typed;
    private final Rider rider;

    RiddenTexts(Map<String, String> typed, Rider rider) {
        this.typed = typed;
        this.rider = rider;
    }

    /** What was last read stands in the fields of the start. */
    void started(BikeState bike, Instant now) {
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position)
                    .flatMap(wheel -> wheel.lastReading())
                    .filter(reading -> reading.at().isAfter(now.minus(FRESH)))
                    .ifPresent(reading -> typed.put(
                            RiddenForm.prefix(position) + "start",
                            PressureText.number(bike.hand().fit().toShown(reading.pressure()), rider.pressureUnit())));
        }
    }

    /** The entry that is put right stands in the form. */
    void kept(LogRow row, Ridden ridden) {
        typed.put("at", local(row.happenedAt()));
        if (ridden.distanceM() != null) {
            typed.put(
                    "distance",
                    QuantityText.typed(ridden.distanceM() / 1000, rider.units().distance()));
        }
        typed.put("climb", ridden.climbM() == null ? "" : Numbers.upTo(ridden.climbM(), 0));
        typed.put("hours", ridden.minutes() == null ? "" : Numbers.upTo(ridden.minutes() / 60, 2));
        typed.put(
                "place",
                row.subject().placeId() == null ? "" : row.subject().placeId().toString());
        typed.put("track", ridden.track() == null ? "" : ridden.track().toString());
        typed.put("asked", "1");
        if (ridden.wet()) {
            typed.put("wet", "on");
        }
        int number = 1;
        for (Map.Entry<Ground, Double> ground : ridden.ground().entrySet()) {
            typed.put("ground" + number, ground.getKey().name());
            typed.put("share" + number, Numbers.upTo(100 * ground.getValue(), 1));
            number++;
        }
        for (; number <= RideForm.GROUNDS; number++) {
            typed.put("ground" + number, "");
            typed.put("share" + number, "");
        }
        kept("rear-", ridden.rear());
        kept("front-", ridden.front());
    }

    private void kept(String prefix, WheelNote note) {
        if (note != null) {
            typed.put(prefix + "start", QuantityText.typed(note.startKpa(), rider.pressureUnit()));
            typed.put(prefix + "feel", note.feel() == null ? "" : note.feel().name());
            typed.put(prefix + "burp", note.burp() ? "on" : "");
            typed.put(prefix + "strike", note.strike() ? "on" : "");
        }
    }

    private String local(Instant at) {
        return LocalDateTime.ofInstant(at, rider.zoneId())
                .truncatedTo(ChronoUnit.MINUTES)
                .toString();
    }

    /** What a recorded file says, and where it starts, stands in the form. */
    void recorded(KeptTrack track, Optional<Place> place) {
        typed.put(
                "distance",
                QuantityText.typed(track.distanceM() / 1000, rider.units().distance()));
        if (track.climbM() != null) {
            typed.put("climb", Numbers.upTo(track.climbM(), 0));
        }
        if (track.startedAt() != null) {
            typed.put("at", local(track.startedAt()));
            double hours = Duration.between(track.startedAt(), track.endedAt()).toMinutes() / 60.0;
            typed.put("hours", hours > 0 ? Numbers.upTo(hours, 2) : "");
        }
        place.ifPresent(found -> typed.put("place", found.id().toString()));
    }
}
