package org.stratopneum.core.trailside;

import java.util.List;
import org.stratopneum.core.job.Caution;

/**
 * One step of the ladder. It is come to once at most.
 *
 * @param code its name, in kebab-case
 * @param when facts that must all hold; "!" before a name means that it must not
 * @param uses what it takes out of the bag, or null
 * @param air how much air it puts in, or null
 * @param gasOnly whether only gas does it
 * @param seconds how long to wait, or 0
 * @param cautions to be shown with it
 * @param replies what a rider may say of it, the best first
 */
public record Rung(
        String code,
        List<String> when,
        KitItem uses,
        AirGoal air,
        boolean gasOnly,
        int seconds,
        List<Caution> cautions,
        List<Reply> replies) {

    /**
     * What a rider says of a rung.
     *
     * @param notes facts that hold from then on
     * @param end how it ends, or null where it goes on
     * @param airGone whether what was in the tire is out again
     */
    public record Reply(String code, List<Fact> notes, End end, boolean airGone) {

        static Reply note(String code, Fact... notes) {
            return new Reply(code, List.of(notes), null, false);
        }

        static Reply lost(String code, Fact... notes) {
            return new Reply(code, List.of(notes), null, true);
        }

        static Reply end(String code, End end) {
            return new Reply(code, List.of(), end, false);
        }
    }

    /** Not there after all, whatever the list of the kit says. */
    public static final String LACKS = "lacks";

    static Rung when(String... facts) {
        return new Rung("", List.of(facts), null, null, false, 0, List.of(), List.of());
    }

    Rung tell(String name, Reply... said) {
        return new Rung(name, when, uses, air, gasOnly, seconds, cautions, List.of(said));
    }

    Rung uses(KitItem item) {
        return new Rung(code, when, item, air, gasOnly, seconds, cautions, replies);
    }

    Rung air(AirGoal goal) {
        return new Rung(code, when, uses, goal, gasOnly, seconds, cautions, replies);
    }

    Rung byGas(AirGoal goal) {
        return new Rung(code, when, uses, goal, true, seconds, cautions, replies);
    }

    Rung waits(int time) {
        return new Rung(code, when, uses, air, gasOnly, time, cautions, replies);
    }

    Rung cautions(Caution... shown) {
        return new Rung(code, when, uses, air, gasOnly, seconds, List.of(shown), replies);
    }

    /** @throws IllegalArgumentException where it has no such reply */
    public Reply reply(String said) {
        return replies.stream()
                .filter(reply -> reply.code().equals(said))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(code + " has no reply " + said));
    }

    /** Whether something may be missing for it after all. */
    public boolean canLack() {
        return uses != null || air != null;
    }

    boolean applies(Situation situation) {
        return !situation.done().contains(code) && when.stream().allMatch(fact -> Fact.holds(fact, situation));
    }
}
