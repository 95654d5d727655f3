package org.stratopneum.web.pressure;

import java.util.List;
import java.util.Locale;
import org.stratopneum.core.check.Level;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.drawing.ChainDrawing;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.drawing.SteelRule;

/**
 * What is recommended for one wheel, in words.
 *
 * @param told what is recommended, {@code toldBeside} in the other unit, {@code toldOnGauge} as the gauge in hand shows it
 * @param own the rider's own setting and how far it is from that, or null
 * @param window the target range, or null where nothing may be set
 * @param reading where its last reading lies, or null without one
 * @param ruleSaid what the rule shows, for those who hear the page
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
        List<Step> steps,
        ChainDrawing chain,
        SteelRule rule,
        String ruleSaid,
        SectionDrawing section) {

    /** The last reading: number, age, and the state of what is in the wheel now. */
    public record LastReading(String number, String age, String side, String sideCode) {}

    /** Strike index at a pressure. */
    public record Strike(String pressure, String index, boolean told) {}

    /** A step on the way to what is recommended. */
    public record Step(String name, String why, String factor, String level) {}

    /** A verdict in words. */
    public record Said(Level level, String message, String fix) {
        public String css() {
            return level.name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
