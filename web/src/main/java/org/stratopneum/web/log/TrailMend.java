package org.stratopneum.web.log;

import java.util.List;
import java.util.Objects;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.CutSize;
import org.stratopneum.core.trailside.End;
import org.stratopneum.core.trailside.Stopped;
import org.stratopneum.core.trailside.Where;

/**
 * A stop beside the trail, as it was told.
 *
 * @param where where the air came out, or null where nobody said
 * @param said answer by answer
 * @param left what it left in the bag
 */
public record TrailMend(
        AirSystem system,
        Where where,
        CutSize size,
        boolean liveSealant,
        End end,
        List<Stopped.Said> said,
        BagLeft left)
        implements LogDetail {

    /** What is in a bag afterwards. */
    public record BagLeft(int plugs, int tubes, int boots, int patches, int cores, List<Charge> charges) {

        public BagLeft {
            charges = List.copyOf(charges);
            Problems problems = new Problems();
            problems.check("left.PLUG", (double) plugs, Bag.COUNT);
            problems.check("left.TUBE", (double) tubes, Bag.COUNT);
            problems.check("left.BOOT", (double) boots, Bag.COUNT);
            problems.check("left.PATCH", (double) patches, Bag.COUNT);
            problems.check("left.CORE", (double) cores, Bag.COUNT);
            problems.check("left.GAS", (double) charges.size(), Bag.COUNT);
            problems.throwIfAny();
        }
    }

    public TrailMend {
        Objects.requireNonNull(system, "system");
        Objects.requireNonNull(size, "size");
        Objects.requireNonNull(end, "end");
        Objects.requireNonNull(left, "left");
        said = List.copyOf(said);
    }

    /** What it comes to. @throws org.stratopneum.core.check.InvalidInputException where the ladder knows no such way */
    public Stopped stopped() {
        return Stopped.of(said, end);
    }

    @Override
    public LogKind kind() {
        return LogKind.TRAIL_MEND;
    }
}
