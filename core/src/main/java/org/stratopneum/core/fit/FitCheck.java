package org.stratopneum.core.fit;

import java.util.ArrayList;
import java.util.List;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;

/**
 * What speaks for and against a set-up, every check once (common practice where nothing else is said). It leaves out the
 * makers' own lists of pairs, which win, and everything that must be seen: cracks, wear, bends.
 *
 * @param verdicts in the order of the checks, the fine ones among them
 * @param unchecked what could not be looked at because something was not given
 * @param ceiling the most that these parts may get; unchecked where it is only usual for the width
 */
public record FitCheck(List<Verdict> verdicts, List<Unchecked> unchecked, Ceiling ceiling) {

    /** Checks that need what was not given. */
    public enum Unchecked {
        RIM_EDGE,
        TUBELESS_MARK,
        HOOKLESS_MARK,
        RIM_BED,
        VALVE_LENGTH,
        VALVE_HOLE,
        VALVE_BASE,
        VALVE_CORE,
        VALVE_SIDE_HOLES,
        TUBE,
        CLEARANCE,
        LOAD,
        CEILING
    }

    /** Room beside a tire (common practice; mm). */
    private static final double LEAST_CLEARANCE_MM = 4;

    private static final double CLEARANCE_IN_MUD_MM = 6;

    public FitCheck {
        verdicts = List.copyOf(verdicts);
        unchecked = List.copyOf(unchecked);
    }

    public static FitCheck of(FitCase parts) {
        Gathering gathering = new Gathering();
        RimChecks.check(parts, gathering);
        ValveChecks.check(parts, gathering);
        TubeChecks.check(parts, gathering);
        clearance(parts, gathering);
        load(parts, gathering);
        Ceiling ceiling = Ceiling.of(
                parts.marks().maxKpa(),
                parts.rim().maxKpa(),
                Ceiling.hooklessCounts(parts.rim().hookless(), parts.tire().nominalWidthMm()),
                parts.tubeless() && Boolean.FALSE.equals(parts.marks().tubeless()),
                parts.tire().section().inflatedWidth());
        if (ceiling.usual()) {
            gathering.unchecked(Unchecked.CEILING);
        }
        return new FitCheck(gathering.verdicts, gathering.unchecked, ceiling);
    }

    /** What the checks find. */
    static final class Gathering {
        private final List<Verdict> verdicts = new ArrayList<>();
        private final List<Unchecked> unchecked = new ArrayList<>();

        void add(Level level, String code, Object... details) {
            verdicts.add(Verdict.of(level, code, details));
        }

        void unchecked(Unchecked check) {
            unchecked.add(check);
        }
    }

    private static void clearance(FitCase parts, Gathering gathering) {
        if (parts.clearanceMm() == null) {
            gathering.unchecked(Unchecked.CLEARANCE);
            return;
        }
        double room = parts.clearanceMm();
        if (room < 0) {
            gathering.add(Level.BLOCKS, FitCode.CLEARANCE_NONE, Length.mm(-room), Length.mm(LEAST_CLEARANCE_MM));
            return;
        }
        Object[] details = {Length.mm(room), Length.mm(CLEARANCE_IN_MUD_MM), Length.mm(LEAST_CLEARANCE_MM)};
        if (room < LEAST_CLEARANCE_MM) {
            gathering.add(Level.BLOCKS, FitCode.CLEARANCE_TOO_SMALL, details);
        } else if (room < CLEARANCE_IN_MUD_MM) {
            gathering.add(Level.WARNS, FitCode.CLEARANCE_DRY_ONLY, details);
        } else {
            gathering.add(Level.FINE, FitCode.CLEARANCE_ENOUGH, details);
        }
    }

    private static void load(FitCase parts, Gathering gathering) {
        Double most = parts.marks().maxLoadKg();
        if (parts.load() == null || most == null) {
            gathering.unchecked(Unchecked.LOAD);
            return;
        }
        boolean carried = parts.load().kg() <= most;
        gathering.add(
                carried ? Level.FINE : Level.BLOCKS,
                carried ? FitCode.LOAD_CARRIED : FitCode.LOAD_TOO_MUCH,
                parts.load(),
                Mass.kg(most));
    }

    /** How much stands against it in all. */
    public Level worst() {
        return verdicts.stream().map(Verdict::level).max(Level::compareTo).orElse(Level.FINE);
    }
}
