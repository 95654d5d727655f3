package org.stratopneum.core.job;

/** What a job's way depends on: facts of the set-up, and choices of the rider. */
public enum Condition {
    /** Something makes the set-up that the job leads to unsafe or impossible. */
    BLOCKED,
    /** The rear wheel, with chain and sprockets. */
    REAR,
    E_BIKE,
    DISC,
    HOOKLESS,
    /** A tire is on the wheel now. */
    TIRE_ON,
    /** There is liquid in it now. */
    LIQUID_INSIDE,
    NEW_TIRE,
    /** An insert goes in, or stays in. */
    INSERT,
    /** An insert is in it now. */
    INSERT_INSIDE,
    CORE_REMOVABLE,
    /** The valve hole lies beside the middle of the bed. */
    HOLE_OFF_CENTRE,
    /** Sealant goes through the valve; else it is poured past the bead. */
    INJECTOR,
    /** Sealant goes in before the tire is closed; else after it has seated. */
    WET,
    /** The rim seals without tape. */
    BED_SEALED,
    TWO_TURNS,
    TAPE_OPPOSITE,
    TAPE_THREE_HOLES,
    CHAMBER,
    COMPRESSOR,
    CARTRIDGE,
    /** The ring under the valve's nut is fitted. */
    O_RING,
    /** The wheel stands overnight before it is ridden; else it is ridden at once. */
    OVERNIGHT,
    /** Thick fibre sealant, for wide utility tubes. */
    FIBRE,
    /** The wide valve, with its pin in the middle. */
    SCHRADER
}
