package org.stratopneum.bench.season.riders;

import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.core.trailside.UsualAir;

/** What riders do beside the trail with a flat wheel. */
public final class Beside {

    private static final String HOLDS = "holds";

    private Beside() {}

    /** As most do: air in and see; where that does not hold, a plug; then a tube; then on foot. */
    public static End byHabit(Roadside stop) {
        if (stop.tries("air-and-watch").equals(HOLDS)) {
            return End.RIDE;
        }
        boolean found = stop.tries("find-hole").startsWith("in-");
        if (found && !stop.tries("plug-in").equals(Rung.LACKS)) {
            if (stop.tries("plug-air").equals(HOLDS)) {
                return End.RIDE;
            }
            if (!stop.tries("plug-second").equals(Rung.LACKS)
                    && stop.tries("plug-second-air").equals(HOLDS)) {
                return End.RIDE;
            }
        }
        if (!stop.tries("tube-in").equals(Rung.LACKS) && stop.tries("tube-air").equals(HOLDS)) {
            return End.RIDE;
        }
        return stop.tries("pump-on").equals(HOLDS) ? End.LIMP : End.WALK;
    }

    /** As the application says, rung by rung. */
    public static End byLadder(Roadside stop, Shed.Wheel wheel, GaugePressure recommended) {
        GaugePressure most = GaugePressure.kpa(wheel.mostKpa());
        GaugePressure usual = recommended.isAbove(most) ? most : recommended;
        Situation now = Situation.begin(
                AirSystem.TUBELESS,
                stop.where(),
                stop.size(),
                stop.sloshes(),
                UsualAir.of(wheel.tire(), usual, most),
                stop.bag(),
                GaugePressure.ZERO);
        while (true) {
            Rung rung = Ladder.next(now);
            String said = stop.tries(rung.code());
            if (said.equals(Rung.LACKS)) {
                now = now.lacking(rung);
                continue;
            }
            Rung.Reply reply = rung.reply(said);
            Situation.By by = now.can(rung, now.usualBy(rung)) ? now.usualBy(rung) : Situation.By.PUMP;
            now = now.after(rung, reply, by);
            End end = Ladder.ending(reply, now).orElse(null);
            if (end != null) {
                return end;
            }
        }
    }
}
