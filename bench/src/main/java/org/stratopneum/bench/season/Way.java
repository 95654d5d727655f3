package org.stratopneum.bench.season;

import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import org.stratopneum.bench.season.riders.Habits;
import org.stratopneum.bench.season.riders.Obedience;
import org.stratopneum.bench.season.riders.Rider;
import org.stratopneum.bench.season.riders.WithApplication;
import org.stratopneum.bench.season.truth.Dealt;
import org.stratopneum.bench.season.truth.Figure;
import org.stratopneum.bench.season.truth.Home;
import org.stratopneum.bench.season.truth.Year;

/** The ways to look after wheels that are held against each other. */
enum Way {
    THUMB("thumb", Habits::thumb),
    CHART("chart", random -> Habits.chart(false, random)),
    REMINDER("chart + note", random -> Habits.chart(true, random)),
    PERFECT("app, perfect", random -> new WithApplication(Obedience.PERFECT, false, random)),
    USUAL("app, usual", random -> new WithApplication(Obedience.USUAL, false, random)),
    SLOPPY("app, sloppy", random -> new WithApplication(Obedience.SLOPPY, false, random)),
    APART("app, usual, apart", random -> new WithApplication(Obedience.USUAL, true, random)),
    /** Nobody can: how little it takes at best. */
    KNOWING("who knows all", null);

    private final String said;
    private final Function<Random, Rider> rider;

    Way(String said, Function<Random, Rider> rider) {
        this.said = said;
        this.rider = rider;
    }

    boolean followsTheApplication() {
        return compareTo(PERFECT) >= 0 && this != KNOWING;
    }

    String said() {
        return said;
    }

    /** What a year at a home comes to. */
    Map<Figure, Double> year(Home home, long seed) {
        return rider == null ? Year.ofWhoKnows(home) : Year.of(home, rider.apply(Dealt.by(seed * 101 + ordinal())));
    }
}
