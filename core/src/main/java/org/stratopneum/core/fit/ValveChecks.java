package org.stratopneum.core.fit;

import org.stratopneum.core.check.Level;
import org.stratopneum.core.quantity.Length;

/** Valve and rim: length, hole, and whether sealant can go in through the stem. */
final class ValveChecks {

    private ValveChecks() {}

    static void check(FitCase parts, FitCheck.Gathering gathering) {
        length(parts, gathering);
        hole(parts, gathering);
        // a tube brings a valve of its own that nothing has to seal
        if (parts.tubeless()) {
            base(parts, gathering);
            place(parts, gathering);
            core(parts, gathering);
            sideHoles(parts, gathering);
        }
    }

    private static void length(FitCase parts, FitCheck.Gathering gathering) {
        Double depth = parts.rim().depthMm();
        Double length = parts.valve() == null ? null : parts.valve().lengthMm();
        if (depth == null || length == null) {
            gathering.unchecked(FitCheck.Unchecked.VALVE_LENGTH);
            return;
        }
        Object[] details = {Length.mm(length), Length.mm(depth), Length.mm(ValveLength.comfortableMm(depth))};
        if (length < ValveLength.leastMm(depth)) {
            gathering.add(Level.BLOCKS, FitCode.VALVE_TOO_SHORT, details);
        } else if (length < ValveLength.comfortableMm(depth)) {
            gathering.add(Level.WARNS, FitCode.VALVE_JUST_LONG_ENOUGH, details);
        } else {
            gathering.add(Level.FINE, FitCode.VALVE_LONG_ENOUGH, details);
        }
    }

    private static void hole(FitCase parts, FitCheck.Gathering gathering) {
        Double hole = parts.rim().valveHole().diameterMm();
        ValveKind kind = parts.valve() == null ? null : parts.valve().kind();
        if (hole == null || kind == null) {
            gathering.unchecked(FitCheck.Unchecked.VALVE_HOLE);
            return;
        }
        boolean wideHole = parts.rim()
                .valveHole()
                .madeFor()
                .filter(ValveKind.SCHRADER::equals)
                .isPresent();
        if (kind == ValveKind.SCHRADER && !wideHole) {
            gathering.add(Level.BLOCKS, FitCode.VALVE_TOO_WIDE, Length.mm(hole));
        } else if (kind == ValveKind.PRESTA && wideHole) {
            gathering.add(Level.WARNS, FitCode.VALVE_NEEDS_SLEEVE, Length.mm(hole));
        } else {
            gathering.add(Level.FINE, FitCode.VALVE_FITS_HOLE, Length.mm(hole));
        }
    }

    /** A base of another shape than the bed leaves a gap that no nut closes. */
    private static void base(FitCase parts, FitCheck.Gathering gathering) {
        ValveBase seat = parts.rim().valveHole().seat();
        ValveBase base = parts.valve() == null ? null : parts.valve().base();
        if (seat == null || base == null) {
            gathering.unchecked(FitCheck.Unchecked.VALVE_BASE);
        } else if (seat == base) {
            gathering.add(Level.FINE, FitCode.VALVE_BASE_MATCHES, base);
        } else {
            gathering.add(Level.BLOCKS, FitCode.VALVE_BASE_DIFFERS, base, seat);
        }
    }

    private static void place(FitCase parts, FitCheck.Gathering gathering) {
        if (parts.rim().valveHole().offCentre()) {
            gathering.add(Level.WARNS, FitCode.VALVE_HOLE_OFF_CENTRE);
        }
    }

    /** An insert presses on the mouth of the stem: air and sealant then come in at the side. */
    private static void sideHoles(FitCase parts, FitCheck.Gathering gathering) {
        if (!parts.insert()) {
            return;
        }
        Boolean holes = parts.valve() == null ? null : parts.valve().sideHoles();
        if (holes == null) {
            gathering.unchecked(FitCheck.Unchecked.VALVE_SIDE_HOLES);
        } else if (holes) {
            gathering.add(Level.FINE, FitCode.VALVE_FOR_INSERT);
        } else {
            gathering.add(Level.WARNS, FitCode.VALVE_NOT_FOR_INSERT);
        }
    }

    /** Only sealant wants a core that comes out; a plain tube does without. */
    private static void core(FitCase parts, FitCheck.Gathering gathering) {
        Boolean removable = parts.valve() == null ? null : parts.valve().removableCore();
        if (removable == null) {
            gathering.unchecked(FitCheck.Unchecked.VALVE_CORE);
        } else if (removable) {
            gathering.add(Level.FINE, FitCode.CORE_REMOVABLE);
        } else {
            gathering.add(Level.WARNS, FitCode.CORE_FIXED);
        }
    }
}
