package org.stratopneum.core.job;

/** What can hurt somebody at a step; each has its words. Makers' limits and local rules win over all of them. */
public enum Caution {
    /** Never above the lower of what tire and rim say; face and fingers away. */
    CEILING,
    /** Never above 500 kPa on a hookless rim, whatever the tire says. */
    HOOKLESS_LIMIT,
    COMPRESSOR,
    CRACKED_RIM,
    CASING_CUT,
    CO2,
    ALCOHOL,
    SEALANT,
    /** Air shut into the rim can burst it. */
    RIM_CAVITY,
    PIERCING,
    LEVERS,
    /** Something is cut through with a saw or pliers. */
    CUTTING,
    ROTATING,
    ROTOR,
    E_BIKE,
    BEFORE_RIDING
}
