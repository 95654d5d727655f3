package org.stratopneum.core.sealant;

/** What a sealant is made of, as far as mixing and drying go. */
public enum SealantFamily {
    LATEX_AMMONIA,
    LATEX_LOW_AMMONIA,
    SYNTHETIC,
    /** Thick, with fibres, for tubes. */
    FIBRE
}
