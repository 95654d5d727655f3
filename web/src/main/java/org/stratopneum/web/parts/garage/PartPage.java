package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * A rim or a tire being changed, or a tire going on a wheel.
 *
 * @param id of the part, or of the wheel
 * @param title name of the part, or of the bike
 * @param position of the wheel, or null for a part
 * @param meant what the size that was typed may mean
 * @param shelf tires that could go on; empty where none is chosen
 * @param asksCasing whether it is asked whether its casing really is light
 * @param been where the part has been, newest first
 * @param back the wheel that the page leads back to, or null
 */
record PartPage(
        UUID id,
        String title,
        WheelPosition position,
        FormView form,
        Units units,
        List<TireSize> meant,
        List<SpareTire> shelf,
        boolean asksCasing,
        List<Been> been,
        UUID back,
        int version) {

    /** One that lies in stock. */
    public record SpareTire(UUID id, String name, String size) {}

    /** From when on it was where, or came off. */
    public record Been(String when, String where, String what) {}

    public List<SetupKind> setups() {
        return List.of(SetupKind.values());
    }

    public List<Casing> casings() {
        return List.of(Casing.values());
    }

    public List<ValveBase> seats() {
        return List.of(ValveBase.values());
    }

    public List<RimBed> beds() {
        return List.of(RimBed.values());
    }
}
