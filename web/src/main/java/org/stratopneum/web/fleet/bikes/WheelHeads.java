package org.stratopneum.web.fleet.bikes;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;

/** Says what stands over the pages of a wheel. */
@Component
public class WheelHeads {

    private static final double PERCENT = 100;
    private static final int MOST_REMEMBERED = 300;

    private final Garage garage;
    private final AirLosses airLosses;
    private final Wording wording;
    private final Clock clock;
    private final RiderMemory.Of<UUID, WheelPlace> places;
    private final RiderMemory.Of<UUID, Known> remembered;

    WheelHeads(Garage garage, AirLosses airLosses, Wording wording, Clock clock, RiderMemory memory) {
        this.clock = clock;
        places = memory.of("PLACE", MOST_REMEMBERED);
        remembered = memory.of("WHEEL", MOST_REMEMBERED);
        this.garage = garage;
        this.airLosses = airLosses;
        this.wording = wording;
    }

    /** A wheel with its bike, its place and its head, asked for at once. */
    public record Known(WheelHead head, WheelPlace place, BikeState bike, WheelState wheel, Optional<WheelLoss> loss) {}

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    public Known of(UUID id, Rider rider) {
        WheelPlace place = places.get(RiderChanges::butReadings, id, "", () -> garage.place(id));
        List<UUID> wheels =
                Stream.of(id, place.otherWheel()).filter(Objects::nonNull).toList();
        return remembered.get(
                changes -> changes.ofWheels(wheels),
                id,
                clock.instant().truncatedTo(ChronoUnit.HOURS),
                () -> known(id, place, rider));
    }

    private Known known(UUID id, WheelPlace place, Rider rider) {
        BikeState bike = garage.bikeOn(place.bikeId(), place.wheelsetId());
        WheelState wheel = bike.wheel(place.position()).orElseThrow();
        Optional<WheelLoss> loss = airLosses.of(bike, place.position());
        return new Known(of(id, place, wheel, loss, rider), place, bike, wheel, loss);
    }

    private WheelHead of(UUID id, WheelPlace place, WheelState wheel, Optional<WheelLoss> loss, Rider rider) {
        Optional<WheelState.Tire> tire = wheel.tire();
        WheelState.Rim rim = wheel.rim();
        return new WheelHead(
                place.bikeId(),
                place.bikeName(),
                place.mounted() ? null : place.wheelsetName(),
                id,
                place.position(),
                place.otherWheel(),
                tire.map(WheelState.Tire::id).orElse(null),
                tire.map(fitted ->
                                fitted.name().equals(wheel.size()) ? wheel.size() : wheel.size() + " " + fitted.name())
                        .orElse(null),
                rim.id(),
                Stream.of(
                                QuantityText.size(rim.internalWidthMm(), rider.lengthUnit()),
                                wording.rimEdge(rim.hookless()),
                                wording.of("bed", rim.bed()))
                        .filter(text -> !text.isEmpty())
                        .collect(Collectors.joining(", ")),
                tire.map(fitted -> wording.text(wheel.tubed() ? "wheel.tube-since" : "wheel.tubeless-since"))
                        .orElse(null),
                tire.map(fitted -> DateText.date(fitted.since(), rider.zoneId()))
                        .orElse(null),
                loss.filter(found -> found.due(rider).isPresent())
                        .flatMap(found -> found.loss().rate())
                        .map(rate -> wording.text("wheel.loss", Numbers.fixed(PERCENT * rate.lossPerDay(), 0)))
                        .orElse(null),
                wheel.tubed());
    }
}
