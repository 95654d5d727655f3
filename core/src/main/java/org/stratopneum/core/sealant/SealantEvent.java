package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.util.Objects;
import org.stratopneum.core.tire.LiquidPool;

/** Something that happened to the liquid in a tire, or that was seen of it, in the order of the days. */
public sealed interface SealantEvent {

    LocalDate on();

    /** Fresh sealant went in (ml); with {@code renewed} what was in there came out first. */
    record Filled(LocalDate on, double ml, boolean renewed) implements SealantEvent {
        public Filled {
            Objects.requireNonNull(on, "on");
        }
    }

    /** A puncture that closed by itself took some with it: an unknown amount about a median (ml). */
    record Spent(LocalDate on, double medianMl) implements SealantEvent {

        /** What a sealed puncture spends (ml; rule of thumb). */
        public static final double USUAL_ML = 10;

        public Spent {
            Objects.requireNonNull(on, "on");
        }
    }

    /**
     * A stick was dipped.
     *
     * @param ml what the depth says (ml)
     * @param sigmaMl how far off that may be: one standard deviation (ml)
     */
    record Dipped(LocalDate on, double ml, double sigmaMl) implements SealantEvent {

        /** No dip is better than this (ml), and no depth is read better than this (mm). */
        public static final double LEAST_SIGMA_ML = 4;

        public static final double DEPTH_SIGMA_MM = 1.5;

        public Dipped {
            Objects.requireNonNull(on, "on");
        }

        /** A depth as volume with its doubt; the tilt of the stick is shared, so that averaging dips does not lessen it. */
        public static Dipped of(LocalDate on, double depthMm, LiquidPool pool) {
            return new Dipped(
                    on, pool.volumeMl(depthMm), Math.max(LEAST_SIGMA_ML, DEPTH_SIGMA_MM * pool.mlPerMm(depthMm)));
        }
    }

    /** It sounded, or looked, like something between two volumes (ml); weak evidence with soft ends. */
    record Heard(LocalDate on, double fromMl, double toMl) implements SealantEvent {
        public Heard {
            Objects.requireNonNull(on, "on");
        }
    }
}
