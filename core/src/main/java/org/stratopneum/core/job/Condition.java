package org.stratopneum.core.job;

/** What a job's way depends on: facts of the bike and the wheel, and choices of the rider. */
public enum Condition {
    /** Something makes the set-up that the job leads to unsafe or impossible. */
    BLOCKED,
    /** The rear wheel, with chain and sprockets. */
    REAR,
    E_BIKE,
    /** Brakes at the hub; else at the rim, where they have to be opened. */
    DISC,
    /** What holds the wheel in the bike; where none of the five holds, nobody said. */
    QUICK_RELEASE,
    THRU_AXLE,
    NUTTED,
    GEAR_HUB,
    HUB_MOTOR,
    HOOKLESS,
    /** A tire is on the wheel now. */
    TIRE_ON,
    /** The tire that is on is the one that the job leads to. */
    SAME_TIRE,
    /** A tube is in it now. */
    TUBED,
    /** There is liquid in it now. */
    LIQUID_INSIDE,
    /** The tire that goes on never held sealant. */
    NEVER_SEALED,
    NEW_TIRE,
    /** An insert goes in, or stays in. */
    INSERT,
    /** An insert is in it now. */
    INSERT_INSIDE,
    /** The valve is known to have holes at its side, which an insert does not close. */
    SIDE_HOLES,
    /** Another valve than the one that is on goes in with the job. */
    OTHER_VALVE,
    CORE_REMOVABLE,
    /** The wide valve, with its pin in the middle. */
    SCHRADER,
    /** The valve whose core lies loose under a nut. Where neither holds, the valve is a Presta. */
    DUNLOP,
    /** The valve hole lies beside the middle of the bed. */
    HOLE_OFF_CENTRE,
    /** Sealant goes through the valve; else it is poured past the bead. */
    INJECTOR,
    GLOVES,
    /** Sealant goes in before the tire is closed; else after it has seated. */
    WET,
    /** The rim seals without tape. */
    BED_SEALED,
    /** The bed was taped for tubeless. */
    BED_TAPED,
    /** The tape is narrower than the bed: two passes, one offset to each side. */
    NARROW_TAPE,
    TWO_TURNS,
    TAPE_OPPOSITE,
    TAPE_THREE_HOLES,
    CHAMBER,
    COMPRESSOR,
    CARTRIDGE,
    /** Beads are always wetted with soapy water before they are seated. */
    SOAP_FIRST,
    /** The core is taken out before the first stroke. */
    CORE_FIRST,
    /** The ring under the valve's nut is fitted. */
    O_RING,
    /** The wheel stands overnight before it is ridden; else it is ridden at once. */
    OVERNIGHT,
    /** Thick fibre sealant, for wide utility tubes. */
    FIBRE
}
