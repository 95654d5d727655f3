package org.stratopneum.core.job;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** A piece of a job's script. */
public sealed interface Part
        permits Part.Sequence, Part.When, Part.Block, Part.Foot, Part.Leave, Part.Reached, Part.End, Step {

    /** Nothing more to do here. */
    @SuppressWarnings("ClassInitializationDeadlock") // a record without initialization of its own
    Part NOTHING = new Sequence(List.of());

    /** One after the other. */
    record Sequence(List<Part> parts) implements Part {
        public Sequence {
            parts = List.copyOf(parts);
        }
    }

    /** {@code then} where the condition holds, else {@code otherwise}. */
    record When(Condition condition, Part then, Part otherwise) implements Part {
        public When {
            Objects.requireNonNull(condition, "condition");
            Objects.requireNonNull(then, "then");
            Objects.requireNonNull(otherwise, "otherwise");
        }
    }

    /** Something that can be left before its end, such as a ladder once the bead is up. */
    record Block(String name, Part body) implements Part {
        public Block {
            Objects.requireNonNull(name, "name");
            Objects.requireNonNull(body, "body");
        }
    }

    /** Where a block ends; only the walk makes it. */
    record Foot(String name) implements Part {}

    /** Goes on behind the block of this name. */
    record Leave(String name) implements Part {}

    /** All before it is done and may be written into the log. */
    record Reached(Milestone milestone) implements Part {
        public Reached {
            Objects.requireNonNull(milestone, "milestone");
        }
    }

    /** The job ends here, whatever comes behind. */
    record End(Ending ending) implements Part {
        public End {
            Objects.requireNonNull(ending, "ending");
        }
    }

    static Part all(Part... parts) {
        return new Sequence(List.of(parts));
    }

    static Part when(Condition condition, Part... parts) {
        return new When(condition, all(parts), NOTHING);
    }

    static Part unless(Condition condition, Part... parts) {
        return new When(condition, NOTHING, all(parts));
    }

    static Part either(Condition condition, Part then, Part otherwise) {
        return new When(condition, then, otherwise);
    }

    static Part block(String name, Part... parts) {
        return new Block(name, all(parts));
    }

    static Part leave(String name) {
        return new Leave(name);
    }

    static Part reached(Milestone milestone) {
        return new Reached(milestone);
    }

    static Part end(Ending ending) {
        return new End(ending);
    }

    /** The parts right below this one, whatever is answered and holds. */
    default Stream<Part> below() {
        if (this instanceof Sequence sequence) {
            return sequence.parts().stream();
        }
        if (this instanceof When when) {
            return Stream.of(when.then(), when.otherwise());
        }
        if (this instanceof Block block) {
            return Stream.of(block.body());
        }
        return this instanceof Step step ? step.task().branches() : Stream.empty();
    }

    /** This part and all below it. */
    default Stream<Part> tree() {
        return Stream.concat(Stream.of(this), below().flatMap(Part::tree));
    }

    /** The same with {@code prefix} before the id of every step, so that a part can come twice in a job. */
    default Part under(String prefix) {
        if (this instanceof Sequence sequence) {
            return new Sequence(
                    sequence.parts().stream().map(part -> part.under(prefix)).toList());
        }
        if (this instanceof When when) {
            return new When(
                    when.condition(),
                    when.then().under(prefix),
                    when.otherwise().under(prefix));
        }
        if (this instanceof Block block) {
            return new Block(prefix + block.name(), block.body().under(prefix));
        }
        if (this instanceof Leave leave) {
            return new Leave(prefix + leave.name());
        }
        return this instanceof Step step ? step.renamed(prefix) : this;
    }
}
