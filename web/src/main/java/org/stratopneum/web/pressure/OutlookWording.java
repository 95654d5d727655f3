package org.stratopneum.web.pressure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.CarriedPressure;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.leak.LossPace;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says what a wheel holds now and later, with its doubt. */
@Component
public class OutlookWording {

    private static final double REFERENCE_C = 20;

    private final Wording wording;
    private final WindowWording windows;
    private final Logbook logbook;

    OutlookWording(Wording wording, WindowWording windows, Logbook logbook) {
        this.wording = wording;
        this.windows = windows;
        this.logbook = logbook;
    }

    /** What is said, and on which side of the window the wheel will be. */
    record Said(List<String> lines, WindowWording.Side side) {
        static final Said NOTHING = new Said(List.of(), WindowWording.Side.NONE);
    }

    /** Now where it stands, and at the ride, where that is. */
    Said atTheRide(Optional<PressureOutlook> known, Trip trip, double homeM, PressureWindow window, Rider rider) {
        if (known.isEmpty()) {
            return Said.NOTHING;
        }
        PressureUnit unit = rider.pressureUnit();
        PressureOutlook outlook = known.get();
        Surroundings there = trip.there().surroundings();
        Surroundings from = at20(homeM);
        List<String> lines = new ArrayList<>();
        Optional<PressureOutlook.Expected> then = outlook.expectedAt(trip.at());
        if (then.isEmpty()) {
            Optional<GaugePressure> kept = CarriedPressure.carryIfHeld(outlook.lastAt20(), from, there);
            kept.ifPresent(found -> lines.add(wording.text("outlook.no-loss", PressureText.text(found, unit))));
            lines.add(wording.text("outlook.no-rate"));
            return new Said(lines, WindowWording.Side.NONE);
        }
        outlook.expectedAt(logbook.now())
                .flatMap(now -> span(now, from, trip.here().surroundings(), unit))
                .ifPresent(span -> lines.add(wording.text("outlook.now", span)));
        span(then.get(), from, there, unit).ifPresent(span -> lines.add(wording.text("outlook.then", span)));
        Optional.ofNullable(outlook.pace()).ifPresent(pace -> lines.add(rate(pace)));
        Optional<GaugePressure> likely = CarriedPressure.carryIfHeld(then.get().likely(), from, there);
        return new Said(lines, likely.map(found -> windows.side(window, found)).orElse(WindowWording.Side.NONE));
    }

    /** "now about 18.5 psi (17.5 to 19.5), if it is at 20 C", and the rate; empty where nothing tells a rate. */
    public List<String> now(PressureOutlook outlook, Rider rider) {
        Instant now = logbook.now();
        Surroundings same = at20(0);
        return outlook.expectedAt(now)
                .flatMap(expected -> span(expected, same, same, rider.pressureUnit()))
                .map(span -> List.of(wording.text("outlook.now-at-20", span), rate(outlook.pace())))
                .orElse(List.of());
    }

    /** "19.5 psi (18.4 to 20.6)". */
    private Optional<String> span(
            PressureOutlook.Expected expected, Surroundings from, Surroundings to, PressureUnit unit) {
        Optional<GaugePressure> likely = CarriedPressure.carryIfHeld(expected.likely(), from, to);
        Optional<GaugePressure> low = CarriedPressure.carryIfHeld(expected.low(), from, to);
        Optional<GaugePressure> high = CarriedPressure.carryIfHeld(expected.high(), from, to);
        if (likely.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(wording.text(
                "outlook.span",
                PressureText.text(likely.get(), unit),
                low.map(found -> PressureText.number(found, unit)).orElse("0"),
                PressureText.number(high.get(), unit)));
    }

    private String rate(LossPace rate) {
        return wording.text(
                "outlook.rate",
                percent(rate.lossPerDay()),
                percent(rate.lowLossPerDay()),
                percent(rate.highLossPerDay()));
    }

    private static String percent(double ratio) {
        return Numbers.fixed(100 * ratio, 1);
    }

    /** The temperature at which outlooks are told. */
    private static Surroundings at20(double heightM) {
        return Surroundings.of(REFERENCE_C, heightM);
    }
}
