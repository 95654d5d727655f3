package org.stratopneum.bench.season;

import java.util.Random;
import java.util.function.Function;
import org.stratopneum.bench.season.riders.Habits;
import org.stratopneum.bench.season.riders.Obedience;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.WithApplication;

/** The ways to look after wheels that are held against each other. */
enum Way {
    THUMB("thumb", Habits::thumb),
    CHART("chart", random -> Habits.chart(false, random)),
    REMINDER("chart + note", random -> Habits.chart(true, random)),
    PERFECT("app, perfect", random -> new WithApplication(Obedience.PERFECT, random)),
    USUAL("app, usual", random -> new WithApplication(Obedience.USUAL, random)),
    SLOPPY("app, sloppy", random -> new WithApplication(Obedience.SLOPPY, random));

    private final String said;
    private final Function<Random, Rider> rider;

    Way(String said, Function<Random, Rider> rider) {
        this.said = said;
        this.rider = rider;
    }

    String said() {
        return said;
    }

    Rider rider(long seed) {
        return rider.apply(new Random(seed * 101 + ordinal()));
    }
}
