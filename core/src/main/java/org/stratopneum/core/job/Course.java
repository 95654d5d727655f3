package org.stratopneum.core.job;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** What of a script lies ahead, unfolded one piece at a time. */
final class Course {

    private final Deque<Part> ahead;
    private final Facts facts;

    Course(List<Part> ahead, Facts facts) {
        this.ahead = new ArrayDeque<>(ahead);
        this.facts = facts;
    }

    /** Goes on with {@code part} before all else that lies ahead. */
    void follow(Part part) {
        ahead.push(part);
    }

    /** The next step, milestone or end; empty behind the last. */
    Optional<Part> next() {
        while (!ahead.isEmpty()) {
            Part part = ahead.pop();
            if (part instanceof Step || part instanceof Part.Reached || part instanceof Part.End) {
                return Optional.of(part);
            }
            unfold(part);
        }
        return Optional.empty();
    }

    private void unfold(Part part) {
        if (part instanceof Part.Sequence sequence) {
            for (int i = sequence.parts().size() - 1; i >= 0; i--) {
                ahead.push(sequence.parts().get(i));
            }
        } else if (part instanceof Part.When when) {
            ahead.push(facts.holds(when.condition()) ? when.then() : when.otherwise());
        } else if (part instanceof Part.Block block) {
            ahead.push(new Part.Foot(block.name()));
            ahead.push(block.body());
        } else if (part instanceof Part.Leave leave) {
            leave(new Part.Foot(leave.name()));
        }
    }

    private void leave(Part.Foot foot) {
        while (!foot.equals(ahead.poll())) {
            if (ahead.isEmpty()) {
                throw new IllegalStateException("no block " + foot.name() + " to leave");
            }
        }
    }

    List<Part> rest() {
        return List.copyOf(ahead);
    }
}
