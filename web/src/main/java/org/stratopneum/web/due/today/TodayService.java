package org.stratopneum.web.due.today;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.due.OpenWork;
import org.stratopneum.web.due.WheelDues;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.HandGauge;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.jobs.OpenCards;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogOutcomes;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.drawing.WheelDrawing;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.GroundText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.OwnNumber;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Gathers the first page: the usual advice of every bike beside its last readings. */
@Service
class TodayService {

    private final Garage garage;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Logbook logbook;
    private final Wording wording;
    private final WindowWording windows;
    private final LogOutcomes outcomes;
    private final ShedTrips trips;
    private final WheelDues wheelDues;
    private final OwnNumber ownNumber;
    private final List<OpenWork> openWork;

    TodayService(
            Garage garage,
            Riders riders,
            BikeAdvisor advisor,
            Logbook logbook,
            Wording wording,
            WindowWording windows,
            LogOutcomes outcomes,
            ShedTrips trips,
            WheelDues wheelDues,
            OwnNumber ownNumber,
            List<OpenWork> openWork) {
        this.openWork = openWork;
        this.ownNumber = ownNumber;
        this.wheelDues = wheelDues;
        this.windows = windows;
        this.outcomes = outcomes;
        this.trips = trips;
        this.garage = garage;
        this.riders = riders;
        this.advisor = advisor;
        this.logbook = logbook;
        this.wording = wording;
    }

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just struck through, or null
     */
    @Transactional(readOnly = true)
    TodayPage page(List<UUID> written, List<UUID> struck) {
        Rider rider = riders.self();
        Instant now = logbook.now();
        LogOutcome outcome = outcomes.of(written, struck, rider);
        List<BikeState> bikes = garage.bikes();
        WheelDues.Known dues = wheelDues.known(bikes, rider, now);
        List<OpenCards.OpenCard> open = dues.cards();
        List<BikeCard> cards = bikes.stream()
                .map(bike -> card(
                        bike, dues, rider, now, outcome != null && bike.id().equals(outcome.bikeId()) ? outcome : null))
                .toList();
        return new TodayPage(
                cards,
                shed(cards),
                Stream.concat(open.stream().map(card -> said(card, rider, now)), begun(bikes, rider))
                        .toList());
    }

    private TodayPage.Open said(OpenCards.OpenCard card, Rider rider, Instant now) {
        boolean waits = card.waitsUntil() != null && now.isBefore(card.waitsUntil());
        return new TodayPage.Open(
                "/cards/" + card.card() + "?wheel=" + card.wheelId(),
                wording.of("job", card.job()),
                card.bike() + " " + wording.of("position", card.position()),
                waits
                        ? wording.text("card.waits", DateText.moment(card.waitsUntil(), rider.zoneId()))
                        : wording.text("today.card.open"));
    }

    /** What was begun on wheels that are in a bike. */
    private Stream<TodayPage.Open> begun(List<BikeState> bikes, Rider rider) {
        return openWork.stream()
                .flatMap(work -> work.begun().stream())
                .flatMap(begun -> bikes.stream()
                        .flatMap(bike -> bike.wheel(begun.wheelId()).stream()
                                .map(wheel -> new TodayPage.Open(
                                        begun.path(),
                                        wording.text(begun.message()),
                                        bike.name() + " " + wording.of("position", wheel.position()),
                                        wording.text("agenda.since", DateText.date(begun.since(), rider.zoneId()))))));
    }

    private String shed(List<BikeCard> cards) {
        return cards.stream()
                .flatMap(card -> card.wheels().stream()
                        .filter(wheel -> wheel.trip() != null && wheel.trip().now())
                        .map(wheel -> card.name() + " " + wording.of("position", wheel.position())))
                .collect(Collectors.joining(", "));
    }

    private BikeCard card(BikeState bike, WheelDues.Known dues, Rider rider, Instant now, LogOutcome outcome) {
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        Optional<AdvisedPressures> told = advice.map(found -> AdvisedPressures.of(found, rider.pressureUnit()));
        List<BikeCard.WheelCard> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position)
                    .ifPresent(wheel -> wheels.add(wheelCard(wheel, bike.hand(), advice, told, dues, rider, now)));
        }
        return new BikeCard(
                bike.id(),
                bike.name(),
                bike.wheelsetName(),
                GroundText.shares(bike.ground(), wording),
                advice.map(found -> systemOf(found, rider)).orElse(""),
                wheels,
                bike.rollable() ? writeOf(advice, rider.pressureUnit()) : null,
                outcome);
    }

    private static String systemOf(BikeAdvice advice, Rider rider) {
        double kg = advice.rear().wheel().load().kg()
                + advice.front().wheel().load().kg();
        return Numbers.fixed(rider.massUnit().fromCore(kg), 0) + " "
                + rider.massUnit().symbol();
    }

    private static BikeCard.Write writeOf(Optional<BikeAdvice> advice, PressureUnit unit) {
        Optional<AdvisedPressures> told = advice.flatMap(found -> AdvisedPressures.settable(found, unit));
        return new BikeCard.Write(
                UUID.randomUUID(),
                UUID.randomUUID(),
                unit.name(),
                unit.symbol(),
                told.map(found -> PressureText.number(found.rear(), unit)).orElse(null),
                told.map(found -> PressureText.number(found.front(), unit)).orElse(null));
    }

    private BikeCard.WheelCard wheelCard(
            WheelState wheel,
            HandGauge hand,
            Optional<BikeAdvice> advice,
            Optional<AdvisedPressures> bothTold,
            WheelDues.Known dues,
            Rider rider,
            Instant now) {
        PressureUnit unit = rider.pressureUnit();
        Optional<WheelAdvice> own =
                advice.map(found -> wheel.position() == WheelPosition.REAR ? found.rear() : found.front());
        Optional<GaugePressure> told = bothTold.map(found -> found.pressure(wheel.position()));
        Optional<PressureWindow> window = own.map(WheelAdvice::window);
        Optional<GaugePressure> read = wheel.lastReading().map(reading -> reading.pressure());
        WindowWording.Side side =
                read.map(found -> windows.side(window.orElse(null), found)).orElse(WindowWording.Side.NONE);
        return new BikeCard.WheelCard(
                wheel.wheelId(),
                wheel.position(),
                wheel.tireOnRim().map(TireOnRim::section).map(WheelDrawing::of).orElse(null),
                wheel.size(),
                wheel.tire().map(WheelState.Tire::name).orElse(""),
                told.map(found -> PressureText.number(found, unit)).orElse(null),
                PressureText.name(unit),
                told.map(found -> PressureText.text(found, PressureText.beside(unit)))
                        .orElse(""),
                told.flatMap(hand::shows)
                        .map(shown -> wording.text("gauge.on", hand.name(), PressureText.text(shown, unit)))
                        .orElse(null),
                ownNumber.said(wheel.dialled(), told.orElse(null), unit),
                window.map(found -> windows.range(found, unit)).orElse(""),
                read.map(found -> PressureText.text(found, unit)).orElse(null),
                wheel.lastReading()
                        .map(reading -> DateText.of(reading.at(), now, rider.zoneId(), wording))
                        .orElse(""),
                side.word(),
                side.code(),
                trips.of(wheel, window.orElse(null), dues).orElse(null),
                own.map(WheelAdvice::blocked).orElse(false),
                wheel.tire().isPresent() && !wheel.fits());
    }
}
