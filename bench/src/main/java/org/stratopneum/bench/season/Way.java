package org.stratopneum.bench.season;

import java.util.Random;
import java.util.function.Function;
import org.stratopneum.bench.season.riders.Habits;
import org.stratopneum.bench.season.riders.Obedience;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.WithApplication;
import org.stratopneum.bench.season.truth.Dealt;

/** The ways to look after wheels that are held against each other. */
enum Way {
    THUMB("thumb", Habits::thumb),
    CHART("chart", random -> Habits.chart(false, random)),
    REMINDER("chart + note", random -> Habits.chart(true, random)),
    PERFECT("app, perfect", random -> new WithApplication(Obedience.PERFECT, false, random)),
    USUAL("app, usual", random -> new WithApplication(Obedience.USUAL, false, random)),
    SLOPPY("app, sloppy", random -> new WithApplication(Obedience.SLOPPY, false, random)),
    APART("app, usual, apart", random -> new WithApplication(Obedience.USUAL, true, random));

    private final String said;
    private final Function<Random, Rider> rider;

    Way(String said, Function<Random, Rider> rider) {
        this.said = said;
        this.rider = rider;
    }

    boolean followsTheApplication() {
        return compareTo(PERFECT) >= 0;
    }

    String said() {
        return said;
    }

    Rider rider(long seed) {
        return rider.apply(Dealt.by(seed * 101 + ordinal()));
    }
}
