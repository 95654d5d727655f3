package org.stratopneum.core.trailside;

/** What the ladder takes out of the bag. */
public enum KitItem {
    PLUG,
    TUBE,
    BOOT,
    PATCH,
    CORE,
    PUMP,
    /** Cartridges of carbon dioxide, full or part-used. */
    GAS
}
