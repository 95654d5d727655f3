package org.stratopneum.core.fit;

import org.stratopneum.core.check.Level;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.UsualMinimum;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;

/** Tire and rim: bead seats, widths, hooks, and whether both hold air without a tube. */
final class RimChecks {

    /** How wide a rim may be, by the tire's nominal width (common practice; makers' tables win; ratios). */
    private enum Widths {
        NARROW_TIRE(0.45, 0.75),
        WIDE_TIRE(0.40, 0.65);

        private static final double FROM_HERE_WIDE_MM = 35;

        /** So much outside warns, more blocks (ratio). */
        private static final double MARGIN = 0.05;

        private final double least;
        private final double most;

        Widths(double least, double most) {
            this.least = least;
            this.most = most;
        }

        static Widths of(double nominalWidthMm) {
            return nominalWidthMm < FROM_HERE_WIDE_MM ? NARROW_TIRE : WIDE_TIRE;
        }
    }

    private static final double HOOKLESS_LEAST_MM = Ceiling.HOOKLESS_LEAST_TIRE_MM;

    /** The widest hookless rim for the narrowest two tires (standard, from memory; mm). */
    private static final double WIDEST_FOR_28_MM = 23;

    private static final double WIDEST_FOR_29_MM = 25;

    /** A ratio that stands exactly on its limit counts as inside. */
    private static final double SLACK = 1e-9;

    private RimChecks() {}

    static void check(FitCase parts, FitCheck.Gathering gathering) {
        beadSeats(parts, gathering);
        widths(parts, gathering);
        if (parts.rim().hookless() == null) {
            gathering.unchecked(FitCheck.Unchecked.RIM_EDGE);
        } else if (parts.rim().hookless()) {
            hookless(parts, gathering);
        }
        if (parts.tubeless()) {
            tubelessTire(parts, gathering);
            tubelessRim(parts, gathering);
        }
    }

    private static void beadSeats(FitCase parts, FitCheck.Gathering gathering) {
        double tire = parts.tire().beadSeatDiameterMm();
        double rim = parts.rim().beadSeatDiameterMm();
        gathering.add(
                tire == rim ? Level.FINE : Level.BLOCKS,
                tire == rim ? FitCode.BEAD_SEATS_MATCH : FitCode.BEAD_SEATS_DIFFER,
                Length.mm(tire),
                Length.mm(rim));
    }

    private static void widths(FitCase parts, FitCheck.Gathering gathering) {
        double tire = parts.tire().nominalWidthMm();
        double rim = parts.rim().internalWidthMm();
        double ratio = rim / tire;
        Widths widths = Widths.of(tire);
        double outside = Math.max(widths.least - ratio, ratio - widths.most);
        String code =
                outside <= SLACK ? FitCode.WIDTHS_MATCH : ratio < widths.least ? FitCode.RIM_NARROW : FitCode.RIM_WIDE;
        gathering.add(
                levelOf(outside),
                code,
                ratio,
                Length.mm(rim),
                Length.mm(tire),
                Length.mm(widths.least * tire),
                Length.mm(widths.most * tire));
    }

    private static Level levelOf(double outside) {
        if (outside <= SLACK) {
            return Level.FINE;
        }
        return outside <= Widths.MARGIN + SLACK ? Level.WARNS : Level.BLOCKS;
    }

    private static void hookless(FitCase parts, FitCheck.Gathering gathering) {
        double tire = parts.tire().nominalWidthMm();
        double rim = parts.rim().internalWidthMm();
        Boolean allowed = parts.marks().hooklessAllowed();
        if (allowed == null) {
            gathering.unchecked(FitCheck.Unchecked.HOOKLESS_MARK);
        } else if (!allowed) {
            gathering.add(Level.BLOCKS, FitCode.HOOKLESS_NOT_ALLOWED);
        }
        Double widest = widestHookless(tire);
        if (tire < HOOKLESS_LEAST_MM) {
            gathering.add(Level.BLOCKS, FitCode.HOOKLESS_TOO_NARROW, Length.mm(tire), Length.mm(HOOKLESS_LEAST_MM));
        } else if (widest != null && rim > widest) {
            gathering.add(
                    Level.BLOCKS, FitCode.HOOKLESS_RIM_TOO_WIDE, Length.mm(tire), Length.mm(rim), Length.mm(widest));
        } else if (Boolean.TRUE.equals(allowed)) {
            gathering.add(Level.FINE, FitCode.HOOKLESS_ALLOWED, Ceiling.HOOKLESS);
        }
    }

    /** Widest hookless rim for a narrow tire (mm), or null where the standard names none. */
    private static Double widestHookless(double tireMm) {
        if (tireMm < HOOKLESS_LEAST_MM + 1) {
            return WIDEST_FOR_28_MM;
        }
        return tireMm < HOOKLESS_LEAST_MM + 2 ? WIDEST_FOR_29_MM : null;
    }

    private static void tubelessTire(FitCase parts, FitCheck.Gathering gathering) {
        GaugePressure wanted = UsualMinimum.tubeless(parts.tire().section().inflatedWidth());
        if (parts.marks().tubeless() == null) {
            gathering.unchecked(FitCheck.Unchecked.TUBELESS_MARK);
        } else if (parts.marks().tubeless()) {
            gathering.add(Level.FINE, FitCode.TUBELESS_MARKED);
        } else if (Boolean.TRUE.equals(parts.rim().hookless())) {
            gathering.add(Level.BLOCKS, FitCode.TUBELESS_NOT_MARKED_HOOKLESS);
        } else if (wanted.isAbove(Ceiling.UNMARKED_TUBELESS)) {
            gathering.add(Level.BLOCKS, FitCode.TUBELESS_NOT_MARKED_NARROW, wanted, Ceiling.UNMARKED_TUBELESS);
        } else {
            gathering.add(Level.WARNS, FitCode.TUBELESS_NOT_MARKED, Ceiling.UNMARKED_TUBELESS);
        }
    }

    private static void tubelessRim(FitCase parts, FitCheck.Gathering gathering) {
        if (parts.rim().bed() == null) {
            gathering.unchecked(FitCheck.Unchecked.RIM_BED);
            return;
        }
        switch (parts.rim().bed()) {
            case SEALED, TAPED -> gathering.add(Level.FINE, FitCode.RIM_BED_READY);
            case UNTAPED -> gathering.add(Level.BLOCKS, FitCode.RIM_BED_UNTAPED);
            case NOT_MADE_FOR_IT -> gathering.add(Level.WARNS_STRONGLY, FitCode.RIM_NOT_MADE_TUBELESS);
        }
    }
}
