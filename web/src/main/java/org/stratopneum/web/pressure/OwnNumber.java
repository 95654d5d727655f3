package org.stratopneum.web.pressure;

import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.LearnedPressure;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;

/** Says how far a rider's own number lies from what is told. */
@Component
public class OwnNumber {

    private final Wording wording;

    OwnNumber(Wording wording) {
        this.wording = wording;
    }

    /**
     * @param told what is told, or null
     * @return null where the rider has no number of their own
     */
    public String said(LearnedPressure dialled, GaugePressure told, PressureUnit unit) {
        if (dialled.ownKpa() == null) {
            return null;
        }
        GaugePressure own = GaugePressure.kpa(dialled.ownKpa());
        if (told == null) {
            return wording.text("own.number", PressureText.both(own, unit));
        }
        double off = own.in(unit) - told.in(unit);
        String by = PressureText.number(Math.abs(off), unit) + " " + unit.symbol();
        String key = Math.abs(off) < unit.resolution() / 2 ? "own.same" : off > 0 ? "own.above" : "own.below";
        return wording.text(key, PressureText.both(own, unit), by);
    }
}
