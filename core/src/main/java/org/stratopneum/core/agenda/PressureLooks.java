package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * When the gauge should see a wheel next. A reading outside the window is due at once; inside it, the look is due on the
 * day by which a wheel that loses as much as is still normal for its kind would have left the window (p falls
 * exponentially, model). It leaves out temperature, height, and that most wheels lose less: who counts on that rides
 * softer (docs/season.md).
 */
public final class PressureLooks {

    /** The first fortnight of a tubeless set-up: check before each ride (common practice; days). */
    public static final int SETTLING_DAYS = 14;

    /** Nobody trusts a reading for longer (our judgement; days). */
    private static final long LONGEST_DAYS = 30;

    private PressureLooks() {}

    /**
     * What is normal to lose in a day (ratio): settled tubeless up to 2.5 %, butyl and TPU up to 1.5 %, latex up to 12 %
     * (common practice).
     */
    static double normalLossPerDay(SetupKind kind) {
        return switch (kind) {
            case TUBELESS -> 0.025;
            case BUTYL_TUBE, TPU_TUBE -> 0.015;
            case LATEX_TUBE -> 0.12;
        };
    }

    /**
     * What a wheel is judged by: what was read, or what is in it by now where that has left the window below.
     *
     * @param likely what is in it by now, where that can be told
     * @param window or null
     */
    public static GaugePressure judged(GaugePressure read, Optional<GaugePressure> likely, PressureWindow window) {
        return likely.filter(now -> window != null && now.isBelow(window.low()) && now.isBelow(read))
                .orElse(read);
    }

    /** What the wheel's pressure makes due, one thing at most; nothing while there is no window to judge by. */
    public static List<DueItem> of(WheelPressure wheel) {
        if (wheel.window() == null) {
            return List.of();
        }
        if (wheel.reading() == null) {
            return List.of(new DueItem(wheel.wheelId(), DueReason.FIRST_READING, wheel.fitted()));
        }
        PressureWindow.Side side = wheel.window().sideOf(wheel.reading());
        if (side != PressureWindow.Side.INSIDE) {
            DueReason reason = side == PressureWindow.Side.BELOW ? DueReason.BELOW_WINDOW : DueReason.ABOVE_WINDOW;
            return List.of(new DueItem(wheel.wheelId(), reason, wheel.lastRead()));
        }
        return List.of(nextLook(wheel));
    }

    private static DueItem nextLook(WheelPressure wheel) {
        LocalDate settled = wheel.fitted().plusDays(SETTLING_DAYS);
        if (wheel.kind() == SetupKind.TUBELESS && wheel.lastRead().isBefore(settled)) {
            return new DueItem(
                    wheel.wheelId(), DueReason.SETTLING, wheel.lastRead().plusDays(1));
        }
        return new DueItem(
                wheel.wheelId(), DueReason.PRESSURE_LOOK, wheel.lastRead().plusDays(daysInside(wheel)));
    }

    /** Whole days until the lower end, at least one. */
    private static long daysInside(WheelPressure wheel) {
        double low = wheel.window().low().kpa();
        if (low <= 0) {
            return LONGEST_DAYS;
        }
        double lossPerDay = -Math.log1p(-normalLossPerDay(wheel.kind()));
        double days = Math.log(wheel.reading().kpa() / low) / lossPerDay;
        return Math.max(1, Math.min(LONGEST_DAYS, (long) days));
    }
}
