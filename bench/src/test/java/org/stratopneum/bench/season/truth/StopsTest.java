package org.stratopneum.bench.season.truth;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.stratopneum.bench.season.riders.Beside;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.trailside.End;

/** The same stops, as most end them and by the ladder. */
class StopsTest {

    private static final int STOPS = 2000;

    private static Trail stop(Home home, long seed) {
        Random random = Dealt.by(seed);
        RealWheel wheel = home.real(home.wheels().get(0));
        wheel.pour(random.nextBoolean() ? 90 : 0);
        RealWheel.Open.Kind kind = RealWheel.Open.Kind.values()[random.nextInt(10) < 8 ? 0 : 1 + random.nextInt(2)];
        RealWheel.Open open = new RealWheel.Open(
                kind,
                kind == RealWheel.Open.Kind.HOLE ? -1.3 * Math.log(1 - random.nextDouble()) + 0.5 : 0,
                random.nextInt(8) == 0,
                random.nextInt(3) == 0);
        return new Trail(wheel, open, Dealt.by(seed + 1), Dealt.by(seed + 2));
    }

    /** Nobody is left on foot by the ladder who would have ridden by habit, on the whole; and riding on means that it is shut. */
    @Test
    void theLadderBringsMoreRidersHome() {
        Home home = new DealtHome(3);
        Map<End, Integer> habit = new EnumMap<>(End.class);
        Map<End, Integer> ladder = new EnumMap<>(End.class);
        for (long seed = 0; seed < STOPS; seed++) {
            habit.merge(Beside.byHabit(stop(home, seed)), 1, Integer::sum);
            Trail told = stop(home, seed);
            End end = Beside.byLadder(told, home.wheels().get(0), GaugePressure.kpa(180));
            ladder.merge(end, 1, Integer::sum);
            if (end == End.RIDE) {
                assertThat(told.isShut()).as("stop " + seed).isTrue();
            }
        }
        assertThat(ladder.get(End.WALK)).isLessThan(habit.get(End.WALK));
    }
}
