package org.stratopneum.web.wheel;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** Says which limits a wheel has, and where each comes from. */
@Component
class LimitWording {

    private final Wording wording;

    LimitWording(Wording wording) {
        this.wording = wording;
    }

    /** @param advice the advice for the usual ride, or null while it cannot be told */
    List<WheelPage.Limit> of(WheelState wheel, WheelAdvice advice, Units units) {
        List<WheelPage.Limit> limits = new ArrayList<>();
        Double tireMax = wheel.tire().map(WheelState.Tire::maxKpa).orElse(null);
        Double tireMin = wheel.tire().map(WheelState.Tire::minKpa).orElse(null);
        GaugePressure ceiling = wheel.ceiling().map(Ceiling::pressure).orElse(null);
        if (wheel.tire().isPresent()) {
            limits.add(printed("most", "tire", tireMax, ceiling, units));
        }
        wheel.ceiling()
                .filter(Ceiling::usual)
                .ifPresent(usual ->
                        limits.add(printed("most", "usual", usual.pressure().kpa(), ceiling, units)));
        limits.add(printed("most", "rim", wheel.rim().maxKpa(), ceiling, units));
        if (wheel.setup().filter(Setup::hookless).isPresent()) {
            String source = wheel.rim().isHookless() ? "hookless" : "edge-unknown";
            limits.add(printed("most", source, Ceiling.HOOKLESS.kpa(), ceiling, units));
        }
        if (wheel.setup().filter(Setup::seeps).isPresent()) {
            limits.add(printed("most", "seeps", Ceiling.UNMARKED_TUBELESS.kpa(), ceiling, units));
        }
        GaugePressure floor = advice == null ? null : advice.limits().floor();
        if (tireMin != null) {
            limits.add(printed("least", "tire", tireMin, floor, units));
        } else if (advice != null && advice.limits().tireMinimum().kpa() > 0) {
            limits.add(printed("least", "usual", advice.limits().tireMinimum().kpa(), floor, units));
        }
        if (advice != null) {
            limits.add(printed("least", "strike", advice.limits().strikeFloor().kpa(), floor, units));
        }
        return limits;
    }

    private WheelPage.Limit printed(String name, String source, Double kpa, GaugePressure deciding, Units units) {
        String value = kpa == null
                ? wording.text("wheel.limit.not-entered")
                : PressureText.both(GaugePressure.kpa(kpa), units.pressure());
        return new WheelPage.Limit(
                wording.text("wheel.limit." + name),
                value,
                wording.text("wheel.limit." + name + "." + source),
                kpa != null && deciding != null && deciding.kpa() == kpa);
    }
}
