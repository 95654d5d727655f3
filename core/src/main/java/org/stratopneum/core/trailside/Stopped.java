package org.stratopneum.core.trailside;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A stop as it was told afterwards.
 *
 * @param noted what the answers have told
 */
public record Stopped(Set<Fact> noted) {

    public static final String UNKNOWN_RUNG = "unknown-value";

    /** The last answer does not end so. */
    public static final String OTHER_END = "other-end";

    /** Nobody takes more steps than this. */
    private static final int MOST = 4 * Ladder.RUNGS.size();

    /**
     * What a rider said of a rung.
     *
     * @param reply a reply of the rung, or {@link Rung#LACKS}
     * @param by with what air went in, or null where none did
     */
    public record Said(String rung, String reply, Situation.By by) {}

    public Stopped {
        noted = Set.copyOf(noted);
    }

    /**
     * @param end how it is said to have ended; walking is always possible
     * @throws InvalidInputException where a rung or a reply is not one of the ladder, or the last reply ends otherwise
     */
    public static Stopped of(List<Said> told, End end) {
        Problems problems = new Problems();
        Set<Fact> noted = EnumSet.noneOf(Fact.class);
        End possible = null;
        if (told.size() > MOST) {
            problems.add(new Problem("said", Problem.ABOVE_MAXIMUM, (double) MOST, (double) told.size(), ""));
        }
        for (int i = 0; i < told.size(); i++) {
            Said said = told.get(i);
            Optional<Rung> rung = Ladder.rung(said.rung());
            if (rung.isEmpty()) {
                problems.add(Problem.of("said[" + i + "].rung", UNKNOWN_RUNG));
                continue;
            }
            if (Rung.LACKS.equals(said.reply()) && rung.get().canLack()) {
                continue;
            }
            Optional<Rung.Reply> reply = rung.get().replies().stream()
                    .filter(one -> one.code().equals(said.reply()))
                    .findFirst();
            if (reply.isEmpty()) {
                problems.add(Problem.of("said[" + i + "].reply", UNKNOWN_RUNG));
                continue;
            }
            noted.addAll(reply.get().notes());
            if (rung.get().air() != null && said.by() == Situation.By.GAS) {
                noted.add(Fact.GAS_IN);
                noted.add(Fact.BAG_USED);
            }
            if (rung.get().uses() != null) {
                noted.add(Fact.BAG_USED);
            }
            possible = reply.get().end();
        }
        if (end != End.WALK && (possible == null || end.compareTo(possible) < 0)) {
            problems.add(Problem.of("end", OTHER_END));
        }
        problems.throwIfAny();
        return new Stopped(noted);
    }

    /** Whether the tire of the wheel has a tube in it now. */
    public boolean tubeIn() {
        return noted.contains(Fact.BEADS_ON);
    }

    /** Whether the liquid closed a hole, or tried to, and stayed in the tire. */
    public boolean spentLiquid() {
        return (noted.contains(Fact.CLOSED) || noted.contains(Fact.OPEN)) && !tubeIn();
    }

    /** What is left to do on such a wheel. */
    public List<Chore> chores(AirSystem system, boolean liveSealant, End end) {
        Bag nothing = new Bag(Map.of(), null, List.of(), true);
        return Chore.of(
                new Situation(
                        system,
                        null,
                        CutSize.NOT_SEEN,
                        liveSealant,
                        null,
                        nothing,
                        GaugePressure.ZERO,
                        noted,
                        Set.of()),
                end);
    }
}
