package org.stratopneum.core.leak;

import java.util.List;

/** How a loss of air is called. */
public enum LeakClass {
    /** It is just what this kind of set-up loses. */
    NORMAL,
    /** Look when it is convenient. */
    SLOW,
    /** Find it before riding. */
    LEAK,
    /** Do not ride. */
    FAST,
    /** The readings do not tell yet. */
    UNSURE;

    /** Those that a loss can be, mildest first. */
    public static final List<LeakClass> NAMED = List.of(NORMAL, SLOW, LEAK, FAST);
}
