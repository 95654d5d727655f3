package org.stratopneum.web.parts.needs;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.fit.ValveLength;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** Says what valve and what tube a wheel wants, and what has to be looked at to know it. */
@Component
class ValveWording {

    private final Wording wording;

    ValveWording(Wording wording) {
        this.wording = wording;
    }

    List<String> valve(WheelState wheel, Units units) {
        ValveHole hole = wheel.rim().valveHole();
        boolean insert = wheel.tire().filter(tire -> tire.fitted().insert()).isPresent();
        List<String> said = new ArrayList<>();
        said.add(length(wheel.rim().depthMm(), units));
        said.add(hole(hole, units));
        if (wheel.tubed()) {
            return said;
        }
        said.add(
                hole.seat() == null
                        ? wording.text("needs.valve.base-unknown")
                        : wording.text("needs.valve.base", wording.of("base", hole.seat())));
        if (hole.offCentre()) {
            said.add(wording.text("verdict.valve-hole-off-centre.fix"));
        }
        said.add(wording.text("needs.valve.core"));
        if (insert) {
            said.add(wording.text("verdict.valve-not-for-insert.fix"));
        }
        return said;
    }

    private String length(Double depth, Units units) {
        return depth == null
                ? wording.text("needs.valve.no-depth")
                : wording.text(
                        "needs.valve.long",
                        QuantityText.size(ValveLength.leastMm(depth), units.length()),
                        QuantityText.size(ValveLength.comfortableMm(depth), units.length()));
    }

    private String hole(ValveHole hole, Units units) {
        return hole.madeFor()
                .map(kind ->
                        wording.text("needs.valve.hole." + kind, QuantityText.size(hole.diameterMm(), units.length())))
                .orElseGet(() -> wording.text("needs.valve.hole-unknown"));
    }
}
