package org.stratopneum.web.pressure;

import java.util.List;
import java.util.Locale;
import org.stratopneum.core.check.Level;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.drawing.PressureScale;
import org.stratopneum.web.platform.drawing.SectionDrawing;

/**
 * One wheel on the pressure page, in words.
 *
 * @param own the rider's own number and how far it is from what is told, or null
 */
public record WheelPanel(
        WheelPosition position,
        String tire,
        String size,
        String told,
        String unit,
        String toldBeside,
        String toldOnGauge,
        String own,
        boolean blocked,
        String window,
        LastReading reading,
        String load,
        String floor,
        String ceiling,
        List<Strike> strikes,
        List<Said> verdicts,
        PressureScale scale,
        SectionDrawing section) {

    /** The last reading: number, age, and on which side of the window it lies. */
    public record LastReading(String number, String age, String side, String sideCode) {}

    /** Strike index at a pressure. */
    public record Strike(String pressure, String index, boolean told) {}

    /** A verdict in words. */
    public record Said(Level level, String message, String fix) {
        public String css() {
            return level.name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
