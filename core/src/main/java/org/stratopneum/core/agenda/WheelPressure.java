package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A wheel as far as its pressure makes things due.
 *
 * @param fitted day on which the tire went on
 * @param lastRead day of the last reading since, or null
 * @param reading that reading, or null
 * @param window where the pressure should lie, or null where that cannot be told
 */
public record WheelPressure(
        UUID wheelId,
        SetupKind kind,
        LocalDate fitted,
        LocalDate lastRead,
        GaugePressure reading,
        PressureWindow window) {

    public WheelPressure {
        Objects.requireNonNull(wheelId, "wheelId");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(fitted, "fitted");
        if ((lastRead == null) != (reading == null)) {
            throw new IllegalArgumentException("a reading has a day, and a day a reading");
        }
    }
}
