package org.stratopneum.core.pressure;

import java.util.Arrays;
import java.util.Optional;

/** The schools of tire drop: how much of its section height a tire gives up under the load. */
public enum DropSchool {
    FIRM(0.12),
    BALANCED(0.15),
    GRIP(0.18),
    FLOAT(0.20);

    private static final double SAME = 1e-9;

    private final double drop;

    DropSchool(double drop) {
        this.drop = drop;
    }

    /** @return drop as a share of the section height (ratio) */
    public double drop() {
        return drop;
    }

    /** @param drop share of the section height (ratio) */
    public static Optional<DropSchool> of(double drop) {
        return Arrays.stream(values())
                .filter(school -> Math.abs(school.drop - drop) < SAME)
                .findFirst();
    }
}
