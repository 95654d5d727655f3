package org.stratopneum.core.dialling;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * What the wheels of one rider have in common: taste ~ N(0, 0.08), a bike lies about it by N(0, 0.07), and the first theta
 * of a wheel about that by N(0, 0.055); together the N(0, 0.12) of a wheel alone (model; starting values are our judgement).
 * One exact pass over the tree, on the grid. It leaves out that tastes drift, and that some riders want every bike otherwise:
 * such a bike stands alone.
 */
public final class Taste {

    private static final double TASTE_SIGMA = 0.08;
    private static final double[] BIKE = ThetaGrid.kernel(0.07);
    private static final double[] WHEEL = ThetaGrid.kernel(0.055);

    private Taste() {}

    /** How well each first theta of a wheel explains all that was said of it. */
    public static final class Heard {

        private static final Heard NOTHING = new Heard(null);

        private final double[] likelihood;

        private Heard(double[] likelihood) {
            this.likelihood = likelihood;
        }

        /** Followed back from the last note to the first. */
        public static Heard of(List<RideNote> notes) {
            return notes.isEmpty() ? NOTHING : new Heard(PersonalFactor.likelihoodOfFirst(notes));
        }

        private boolean isNothing() {
            return likelihood == null;
        }

        /** What it says of where the bike lies. */
        private double[] ofBike() {
            return ThetaGrid.spread(likelihood, WHEEL);
        }
    }

    /**
     * What is believed of a wheel before any note of its own.
     *
     * @param beside the other wheels of its bike
     * @param elsewhere the wheels of each other bike of the rider
     */
    public static PersonalFactor start(List<Heard> beside, List<List<Heard>> elsewhere) {
        boolean nothing = Stream.concat(beside.stream(), elsewhere.stream().flatMap(List::stream))
                .allMatch(Heard::isNothing);
        if (nothing) {
            return PersonalFactor.PRIOR;
        }
        double[] taste = ThetaGrid.normal(TASTE_SIGMA);
        for (List<Heard> bike : elsewhere) {
            if (bike.stream().anyMatch(wheel -> !wheel.isNothing())) {
                taste = ThetaGrid.product(taste, ThetaGrid.spread(ofBike(bike), BIKE));
            }
        }
        double[] bike = ThetaGrid.product(ThetaGrid.spread(taste, BIKE), ofBike(beside));
        return PersonalFactor.startingFrom(ThetaGrid.spread(bike, WHEEL));
    }

    private static double[] ofBike(List<Heard> wheels) {
        double[] all = new double[ThetaGrid.STEPS + 1];
        Arrays.fill(all, 1);
        for (Heard wheel : wheels) {
            if (!wheel.isNothing()) {
                all = ThetaGrid.product(all, wheel.ofBike());
            }
        }
        return all;
    }
}
