package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.util.Objects;
import org.stratopneum.core.check.Range;

/** Something that happened to the liquid in a tire, or that was seen of it. */
public sealed interface SealantEvent {

    LocalDate on();

    /** How the liquid that is followed came into the tire. */
    sealed interface Start extends SealantEvent {}

    /** What became less of it, beside drying. */
    sealed interface Loss extends SealantEvent {

        /** About so much went: the middle of a wide guess (ml). */
        double medianMl();
    }

    /** What somebody saw or heard of it. */
    sealed interface Seen extends SealantEvent {}

    /**
     * Fresh sealant went in.
     *
     * @param ml how much
     * @param renewed whether what was in there came out first
     * @param anotherProduct whether it is another one than what was in there: how fast that dries is not known yet
     */
    record Filled(LocalDate on, double ml, boolean renewed, boolean anotherProduct) implements Start {
        public Filled {
            Objects.requireNonNull(on, "on");
        }

        public Filled(LocalDate on, double ml, boolean renewed) {
            this(on, ml, renewed, false);
        }
    }

    /**
     * The tire came with sealant in it, of unknown amount: anything from none to a generous dose.
     *
     * @param filledAbout when it may have been filled
     */
    record Found(LocalDate on, LocalDate filledAbout) implements Start {

        /** Where nobody knows when it was filled, it is taken to have been so long before (months; our judgement). */
        public static final int USUAL_MONTHS = 3;

        public Found {
            Objects.requireNonNull(on, "on");
            Objects.requireNonNull(filledAbout, "filledAbout");
        }

        public Found(LocalDate on) {
            this(on, on.minusMonths(USUAL_MONTHS));
        }
    }

    /** A puncture that closed by itself took some with it. */
    record Spent(LocalDate on, double medianMl) implements Loss {

        /** What a sealed puncture spends (ml; rule of thumb). */
        public static final double USUAL_ML = 10;

        public Spent {
            Objects.requireNonNull(on, "on");
        }
    }

    /** Somebody saw some go: a burp, or a spill at the bench. */
    record Lost(LocalDate on, double medianMl) implements Loss {

        /** What a rider may say of it. */
        public static final Range ML = Range.above(0, 500, "ml");

        public Lost {
            Objects.requireNonNull(on, "on");
        }
    }

    /** A stick was dipped: how far up it is wet (mm). */
    record Dipped(LocalDate on, double depthMm) implements Seen {
        public Dipped {
            Objects.requireNonNull(on, "on");
        }
    }

    /** It sounded, or looked, like something between two volumes (ml); weak evidence with soft ends. */
    record Heard(LocalDate on, double fromMl, double toMl) implements Seen {

        /** What sounds say of a volume, by the least that works (ratios; our judgement). */
        private static final double SLOSHES_FROM = 0.6;

        private static final double SLOSHES_TO = 6;
        private static final double RATTLES_TO = 0.4;

        public Heard {
            Objects.requireNonNull(on, "on");
        }

        /** A clear slosh: some liquid. */
        public static Heard slosh(LocalDate on, double minimumMl) {
            return new Heard(on, SLOSHES_FROM * minimumMl, SLOSHES_TO * minimumMl);
        }

        /** Silence: little or none. */
        public static Heard silence(LocalDate on, double minimumMl) {
            return new Heard(on, 0, SLOSHES_FROM * minimumMl);
        }

        /** A rattle: dried lumps. */
        public static Heard rattle(LocalDate on, double minimumMl) {
            return new Heard(on, 0, RATTLES_TO * minimumMl);
        }
    }

    /** The tire was opened, and there was nothing liquid in it. */
    record LookedDry(LocalDate on) implements Seen {
        public LookedDry {
            Objects.requireNonNull(on, "on");
        }
    }
}
