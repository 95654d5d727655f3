package org.stratopneum.web.fleet.gauges;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.drawing.ResidualDrawing;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A gauge, to be entered, changed, or compared.
 *
 * @param reference name of the reference, or null where there is none
 * @param role REFERENCE, COMPARED, or ALONE where there is nothing to compare with
 * @param said what the pairs say of it, empty without pairs
 * @param shows what it shows where the reference shows round numbers
 * @param residuals drawn, or null
 */
record GaugePage(
        UUID id,
        String title,
        FormView form,
        int version,
        boolean inHand,
        String role,
        String reference,
        FormView pairForm,
        String unit,
        String referenceUnit,
        List<String> said,
        List<Shows> shows,
        List<Pair> pairs,
        ResidualDrawing residuals) {

    public List<PressureUnit> gaugeUnits() {
        return List.of(PressureUnit.values());
    }

    public boolean is(String name) {
        return role.equals(name);
    }

    /** The reference's reading with what this gauge shows then. */
    public record Shows(String reference, String shown) {}

    /**
     * A pair.
     *
     * @param off how far it lies from the fit, or empty where it does not count
     */
    public record Pair(UUID id, String when, String shown, String reference, String off, boolean struck) {}
}
