package org.stratopneum.core.check;

/** How much stands against a combination, mildest first. */
public enum Level {
    FINE,
    WARNS,
    WARNS_STRONGLY,
    BLOCKS
}
