package org.stratopneum.web.jobs;

import java.util.UUID;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.job.SeatingSchool;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DoseSchool;

/**
 * How a rider wants a job done.
 *
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
        boolean newTire,
        boolean insert,
        boolean coreRemovable,
        boolean injector,
        boolean wet,
        boolean twoTurns,
        TapeStart tapeStart,
        Double chamberL,
        Double chamberKpa,
        boolean compressor,
        Double cartridgeG,
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

    /** What is usual where a rider has never begun a card. */
    static final CardChoices USUAL = new CardChoices(
            false,
            true,
            false,
            false,
            true,
            true,
            false,
            false,
            TapeStart.OPPOSITE,
            null,
            null,
            false,
            null,
            false,
            true,
            SeatingSchool.USUAL,
            DoseSchool.STANDARD,
            null,
            SetupKind.BUTYL_TUBE,
            FromShelf.NOTHING);
}
