package org.stratopneum.web.due.today;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.due.DueEntries;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.PressureNow;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.WheelDial;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantState;

/** Turns what is known of a wheel into its dial and its state. */
@Component
class Dials {

    /** A film that no longer flows (mm). */
    private static final double DRY_MM = 1.2;

    private final BikeAdvisor advisor;
    private final WindowWording windows;
    private final Wording wording;

    Dials(BikeAdvisor advisor, WindowWording windows, Wording wording) {
        this.advisor = advisor;
        this.windows = windows;
        this.wording = wording;
    }

    /** The state of a wheel: code of its shape, and its word. */
    record State(String code, String word) {}

    /** What may be set on a bike on its usual ride. */
    Optional<AdvisedPressures> settable(BikeState bike, Rider rider) {
        return advisor.adviseUsual(bike).flatMap(found -> AdvisedPressures.settable(found, rider.pressureUnit()));
    }

    /** @param advice what is recommended, or null while that is not known */
    State state(WheelState wheel, WheelAdvice advice, Optional<PressureNow> now) {
        if (now.isEmpty()) {
            return new State("none", wording.text("side.NONE"));
        }
        WindowWording.Side side = windows.side(
                wheel, advice == null ? null : advice.window(), now.get().likely());
        return new State(side.code(), side.word());
    }

    /** Whether the sealant of a wheel is too little to seal. */
    boolean dry(WheelState wheel, DueEntries.All all) {
        SealantState sealant = all.known().sealant().get(wheel.wheelId());
        return sealant != null && sealant.volumeMl().p50() < sealant.leastMl();
    }

    /** Whether what is in a wheel is known well enough: there is a tube, or the band is narrower than half of a filling. */
    static boolean sealantKnown(WheelState wheel, DueEntries.All all) {
        SealantState sealant = all.known().sealant().get(wheel.wheelId());
        return wheel.tubed() || sealant != null && isKnown(sealant);
    }

    private static boolean isKnown(SealantState sealant) {
        var volume = sealant.volumeMl();
        return volume.p90() - volume.p10() < sealant.fullMl() / 2;
    }

    /** Empty without a tire that goes with its rim. */
    Optional<WheelDial> of(WheelState wheel, WheelAdvice advice, DueEntries.All all) {
        return wheel.tireOnRim().map(TireOnRim::section).map(section -> dial(section, wheel, advice, all));
    }

    private WheelDial dial(TireSection section, WheelState wheel, WheelAdvice advice, DueEntries.All all) {
        PressureUnit unit = all.rider().pressureUnit();
        boolean told = advice != null && !advice.blocked() && advice.window() != null;
        Optional<PressureNow> now = all.known().pressure(wheel);
        State state = state(wheel, advice, now);
        double target = told ? AdvisedPressures.rounded(advice, unit) : 0;
        return new WheelDial(
                section,
                told ? target : null,
                told ? PressureText.number(target, unit) : "",
                told ? advice.window().low().in(unit) : 0,
                told ? advice.window().high().in(unit) : 0,
                told ? advice.limits().floor().in(unit) : 0,
                told ? advice.limits().ceiling().pressure().in(unit) : 0,
                now.map(found -> new WheelDial.Needle(
                                found.likely().in(unit),
                                found.low().in(unit),
                                found.high().in(unit),
                                state.code()))
                        .orElse(null),
                liquid(section, wheel, all.known().sealant().get(wheel.wheelId()), all.rider()));
    }

    private WheelDial.Liquid liquid(TireSection section, WheelState wheel, SealantState sealant, Rider rider) {
        if (wheel.tubed()) {
            return new WheelDial.Liquid(true, null, 0, 0, wording.text("today.tube"), false);
        }
        if (sealant == null) {
            return new WheelDial.Liquid(false, null, 0, 0, wording.text("today.no-sealant"), false);
        }
        double ml = sealant.volumeMl().p50();
        double depth = LiquidPool.tabled(section).mm(ml);
        boolean dry = depth < DRY_MM;
        return new WheelDial.Liquid(
                false,
                ml,
                depth,
                sealant.leastMl(),
                dry ? wording.text("today.dry") : level(sealant, rider.volumeUnit()),
                dry || ml < sealant.leastMl());
    }

    /** One figure, or both ends of the 80 % band where that is wider than half of a filling: nobody knows then. */
    private static String level(SealantState sealant, RiderUnit unit) {
        var volume = sealant.volumeMl();
        return (isKnown(sealant)
                        ? whole(volume.p50(), unit)
                        : whole(volume.p10(), unit) + "-" + whole(volume.p90(), unit))
                + " "
                + unit.symbol();
    }

    private static String whole(double ml, RiderUnit unit) {
        return Numbers.fixed(unit.fromCore(ml), 0);
    }
}
