package org.stratopneum.web.pressure;

import java.util.Locale;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;

/** Puts a window, and where a reading lies to it, into words. */
@Component
public class WindowWording {

    /** Where a reading lies: as a word, and as the code that its shape goes by. */
    public record Side(String word, String code) {

        /** There is no window, or no reading. */
        public static final Side NONE = new Side("", "none");
    }

    private final Wording wording;

    WindowWording(Wording wording) {
        this.wording = wording;
    }

    /** "19.2 to 26.1 psi". */
    public String range(PressureWindow window, PressureUnit unit) {
        return wording.text(
                "window.range", PressureText.number(window.low(), unit), PressureText.text(window.high(), unit));
    }

    /** The same, and over the limit where it is above the most that may be in the wheel. */
    public Side side(WheelState wheel, PressureWindow window, GaugePressure pressure) {
        return wheel.ceiling().filter(most -> pressure.isAbove(most.pressure())).isPresent()
                ? new Side(wording.text("side.OVER"), "blocks")
                : side(window, pressure);
    }

    /** @param window the window, or null where there is none */
    public Side side(PressureWindow window, GaugePressure reading) {
        if (window == null) {
            return Side.NONE;
        }
        PressureWindow.Side side = window.sideOf(reading);
        return new Side(wording.of("side", side), side.name().toLowerCase(Locale.ROOT));
    }
}
