package org.stratopneum.core.job;

/** Quantities that a step names; they follow from the set-up. */
public enum Amount {
    /** To seat the beads with: by the rider's school, never above the ceiling (GaugePressure). */
    SEATING,
    /** The most that these parts may get (GaugePressure). */
    CEILING,
    /** Sealant that goes in (Double, ml). */
    DOSE,
    /** Sealant that goes in over what is left (Double, ml). */
    TOP_UP,
    /** Tape for this bed (Length). */
    TAPE_WIDTH,
    TAPE_LENGTH,
    /** What the chamber is charged to, and what it leaves in the tire (GaugePressure). */
    CHAMBER_CHARGE,
    CHAMBER_LEAVES,
    /** How much two passes of a narrow tape lie over each other (Length). */
    TAPE_OVERLAP,
    /** Times that the tape goes round (Integer). */
    TAPE_TURNS,
    /** Sealant that goes into the tube (Double, ml). */
    TUBE_DOSE,
    /** What a cartridge likely gives (GaugePressure). */
    CARTRIDGE_GIVES,
    /** What the advice says to ride with (GaugePressure). */
    RIDING,
    /** Between which pressures the advice sees it on target (GaugePressure). */
    TARGET_LOW,
    TARGET_HIGH
}
