package org.stratopneum.web.pressure.ridden;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.track.GreatCircle;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says what a recorded ride tells. */
@Component
class TrackWording {

    /** A ride that starts so near to a place starts there (m). */
    private static final double NEAR_M = 2000;

    private final Wording wording;

    TrackWording(Wording wording) {
        this.wording = wording;
    }

    /** The place that it starts from, among those that are known. */
    static Optional<Place> near(KeptTrack track, List<Place> known) {
        return known.stream()
                .filter(place -> place.latitudeDeg() != null && distance(track, place) <= NEAR_M)
                .min((one, other) -> Double.compare(distance(track, one), distance(track, other)));
    }

    private static double distance(KeptTrack track, Place place) {
        return GreatCircle.metres(track.latitudeDeg(), track.longitudeDeg(), place.latitudeDeg(), place.longitudeDeg());
    }

    RiddenPage.FromTrack said(KeptTrack track, List<Place> known, Rider rider) {
        List<String> said = new ArrayList<>();
        said.add(wording.text(
                "ridden.track.points",
                track.points(),
                QuantityText.text(track.distanceM() / 1000, rider.units().distance())));
        if (track.climbM() != null) {
            said.add(wording.text(
                    "ridden.track.climb", Numbers.fixed(track.climbM(), 0), Numbers.fixed(track.highestM(), 0)));
        }
        if (track.startedAt() != null) {
            said.add(wording.text("ridden.track.time", DateText.moment(track.startedAt(), rider.zoneId())));
        }
        if (track.temperatureC() != null) {
            said.add(wording.text(
                    "ridden.track.temperature",
                    QuantityText.text(track.temperatureC(), rider.units().temperature())));
        }
        Optional<Place> near = near(track, known);
        said.add(near.map(place -> wording.text("ridden.track.from", place.name()))
                .orElse(wording.text(
                        "ridden.track.at",
                        Numbers.fixed(track.latitudeDeg(), 4),
                        Numbers.fixed(track.longitudeDeg(), 4))));
        String newPlace = near.isPresent()
                ? null
                : UriComponentsBuilder.fromPath("/places/new")
                        .queryParam("height", track.startM() == null ? "" : Numbers.plain(track.startM(), 0))
                        .queryParam("latitude", Numbers.plain(track.latitudeDeg(), 5))
                        .queryParam("longitude", Numbers.plain(track.longitudeDeg(), 5))
                        .toUriString();
        return new RiddenPage.FromTrack(track.id(), track.name(), said, newPlace);
    }
}
