package org.stratopneum.web.jobs;

import java.util.UUID;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.TapeMaterial;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.job.SeatingSchool;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DoseSchool;

/**
 * How a job is done: what the bike and the wheel have, how the rider wants it, and what is for this one card only. Cards,
 * riders, bikes and wheels keep parts of it under these names.
 *
 * @param valve the valve that the wheel has when the job is done
 * @param hub what holds the wheel, or null where nobody said
 * @param chamberL volume of the charge chamber (l), or null without one
 * @param chamberKpa what it is charged to (kPa gauge), or null without one
 * @param cartridgeG carbon dioxide in a cartridge (g), or null without one
 * @param topUpMl what goes in over what is left (ml), or null where nobody said
 * @param tubeKind what the tube is made of
 * @param from what is taken from the shelf
 */
record CardChoices(
        boolean eBike,
        boolean disc,
        ValveKind valve,
        boolean coreRemovable,
        Hub hub,
        boolean newTire,
        boolean insert,
        boolean injector,
        boolean gloves,
        boolean wet,
        boolean twoTurns,
        TapeStart tapeStart,
        TapeMaterial tapeMaterial,
        Double chamberL,
        Double chamberKpa,
        boolean compressor,
        Double cartridgeG,
        boolean soapFirst,
        boolean coreFirst,
        boolean ring,
        boolean overnight,
        SeatingSchool school,
        DoseSchool dose,
        Double topUpMl,
        SetupKind tubeKind,
        FromShelf from) {

    /** Things of the shelf, each null where none is named. */
    record FromShelf(UUID sealant, UUID tape, UUID valve, UUID tube, UUID insert) {
        static final FromShelf NOTHING = new FromShelf(null, null, null, null, null);
    }

    /** What is usual where nobody was ever asked. */
    static final CardChoices USUAL = new CardChoices(
            false,
            true,
            ValveKind.PRESTA,
            true,
            null,
            false,
            false,
            true,
            false,
            false,
            false,
            TapeStart.OPPOSITE,
            TapeMaterial.RIM_MAKERS,
            null,
            null,
            false,
            null,
            false,
            false,
            false,
            true,
            SeatingSchool.USUAL,
            DoseSchool.STANDARD,
            null,
            SetupKind.BUTYL_TUBE,
            FromShelf.NOTHING);
}
