package org.stratopneum.core.trailside;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * All ways that a stop may go from here: every answer to every rung, by pump and by gas. A way on which something is
 * missing after all ({@link Rung#LACKS}) is not among them.
 *
 * @param rungs what may be come to, in the order of the ladder
 * @param ends how it may end
 * @param chores what may be left to do
 */
public record Ways(List<Rung> rungs, Set<End> ends, Set<Chore> chores) {

    public static Ways from(Situation start) {
        Set<String> codes = new HashSet<>();
        Set<End> ends = EnumSet.noneOf(End.class);
        Set<Chore> chores = EnumSet.noneOf(Chore.class);
        Set<Situation> seen = new HashSet<>();
        Deque<Situation> open = new ArrayDeque<>();
        open.push(start);
        while (!open.isEmpty()) {
            Situation now = open.pop();
            if (!seen.add(now)) {
                continue;
            }
            Rung rung = Ladder.next(now);
            codes.add(rung.code());
            for (Situation.By by : ways(now, rung)) {
                for (Rung.Reply reply : rung.replies()) {
                    Situation after = now.after(rung, reply, by);
                    Ladder.ending(reply, after)
                            .ifPresentOrElse(
                                    end -> {
                                        ends.add(end);
                                        chores.addAll(Chore.of(after, end));
                                    },
                                    () -> open.push(after));
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
