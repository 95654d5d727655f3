package org.stratopneum.core.trailside;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.stratopneum.core.diagnosis.AirSystem;

/**
 * All ways that a stop may go from here: every answer to every rung, by pump and by gas. A way on which something is
 * missing after all ({@link Rung#LACKS}) is not among them.
 *
 * @param rungs what may be come to, in the order of the ladder
 * @param ends how it may end
 * @param chores what may be left to do
 */
public record Ways(List<Rung> rungs, Set<End> ends, Set<Chore> chores) {

    private record Seen(Situation at, boolean gas, boolean used) {}

    public static Ways from(Situation start) {
        Set<String> codes = new HashSet<>();
        Set<End> ends = EnumSet.noneOf(End.class);
        Set<Chore> chores = EnumSet.noneOf(Chore.class);
        Set<Seen> seen = new HashSet<>();
        Deque<Seen> open = new ArrayDeque<>();
        open.push(new Seen(start, false, false));
        while (!open.isEmpty()) {
            Seen now = open.pop();
            if (!seen.add(now)) {
                continue;
            }
            Rung rung = Ladder.next(now.at());
            codes.add(rung.code());
            for (Situation.By by : ways(now.at(), rung)) {
                boolean gas = now.gas() || rung.air() != null && by == Situation.By.GAS;
                boolean used = now.used() || rung.uses() != null || gas;
                for (Rung.Reply reply : rung.replies()) {
                    Situation after = now.at().after(rung, reply, by);
                    Ladder.ending(reply, after)
                            .ifPresentOrElse(
                                    end -> {
                                        ends.add(end);
                                        chores.addAll(Chore.of(
                                                start.system() == AirSystem.TUBELESS, after.noted(), gas, used, end));
                                    },
                                    () -> open.push(new Seen(after, gas, used)));
                }
            }
        }
        return new Ways(
                Ladder.RUNGS.stream()
                        .filter(rung -> codes.contains(rung.code()))
                        .toList(),
                ends,
                chores);
    }

    private static List<Situation.By> ways(Situation at, Rung rung) {
        if (rung.air() == null) {
            return List.of(Situation.By.PUMP);
        }
        return List.of(Situation.By.values()).stream()
                .filter(by -> at.can(rung, by))
                .toList();
    }
}
