package org.stratopneum.bench.season.riders;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import org.stratopneum.bench.season.riders.Shed.Felt;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.End;

/** What people do without an application. */
public final class Habits {

    /** What a chart by weight and width says for a rider of 75 kg (mm, psi; as such charts go, value from memory). */
    private static final double[][] CHART = {
        {25, 88}, {28, 74}, {32, 60}, {35, 50}, {40, 40}, {45, 34}, {50, 28}, {57, 24}, {61, 22}, {66, 20}, {75, 14}
    };

    private static final double USUAL_LOAD_KG = 45;

    /** A wheel that wants so much air again so soon is looked at (ratio, days). */
    private static final double MUCH = 0.2;

    private static final int SOON_DAYS = 4;

    private Habits() {}

    /** Thumb, and when it feels soft; sealant once it comes to mind. */
    public static Rider thumb(Random random) {
        return new Thumb(random);
    }

    /** A chart before each ride, sealant every three months: when it comes to mind, or with a reminder and a note. */
    public static Rider chart(boolean reminder, Random random) {
        return new Chart(reminder, random);
    }

    static double chartKpa(Wheel wheel) {
        double width = wheel.tire().nominalWidthMm();
        int row = 1;
        while (row < CHART.length - 1 && CHART[row][0] < width) {
            row++;
        }
        double part = (width - CHART[row - 1][0]) / (CHART[row][0] - CHART[row - 1][0]);
        double psi = CHART[row - 1][1] + Math.max(0, Math.min(1, part)) * (CHART[row][1] - CHART[row - 1][1]);
        double kpa = PressureUnit.PSI.toKpa(psi * (0.4 + 0.6 * wheel.loadKg() / USUAL_LOAD_KG));
        return Math.min(wheel.mostKpa(), kpa);
    }

    /** What both do: they search once a wheel wants much air again and again, and pour when the time has come. */
    private abstract static class Habit implements Rider {

        final Random random;
        private final Map<Wheel, LocalDate> pumped = new HashMap<>();
        private final Map<Wheel, Integer> soon = new HashMap<>();
        private final Map<Wheel, LocalDate> pour = new HashMap<>();

        Habit(Random random) {
            this.random = random;
        }

        abstract LocalDate nextPour(LocalDate after);

        abstract double usualPourMl(Wheel wheel);

        abstract Shed.Order order();

        /** At a wheel that is ridden today. */
        abstract void looks(Shed shed, Wheel wheel);

        @Override
        public void before(Shed shed, Ride ride) {
            shed.wheels().stream().filter(wheel -> wheel.bike() == ride.bike()).forEach(wheel -> looks(shed, wheel));
        }

        @Override
        public void fitted(Shed shed, Wheel wheel) {
            pour.put(wheel, nextPour(shed.today()));
        }

        @Override
        public void removed(Shed shed, Wheel wheel) {
            pour.remove(wheel);
        }

        void pumpTo(Shed shed, Wheel wheel, double kpa, double missing) {
            LocalDate last = pumped.put(wheel, shed.today());
            boolean again = last != null && ChronoUnit.DAYS.between(last, shed.today()) <= SOON_DAYS && missing > MUCH;
            soon.merge(wheel, again ? 1 : 0, (before, now) -> again ? before + now : 0);
            shed.pump(wheel, kpa);
        }

        @Override
        public void evening(Shed shed) {
            for (Wheel wheel : shed.wheels()) {
                if (soon.getOrDefault(wheel, 0) >= 2) {
                    shed.search(wheel, order());
                    soon.put(wheel, 0);
                }
                if (!shed.today().isBefore(pour.get(wheel))) {
                    shed.pour(wheel, usualPourMl(wheel));
                    pour.put(wheel, nextPour(shed.today()));
                }
            }
        }

        @Override
        public End stops(Wheel wheel, Roadside stop) {
            return Beside.byHabit(stop);
        }

        @Override
        public void after(Shed shed, Ride ride, Map<Wheel, Felt> felt, Iterable<Wheel> flat) {
            // after a hole that did not close they pour in more
            flat.forEach(wheel -> shed.pour(wheel, usualPourMl(wheel)));
        }
    }

    private static final class Thumb extends Habit {

        private static final double FEELS_SOFT = 0.8;

        private final Map<Wheel, Double> likes = new HashMap<>();

        Thumb(Random random) {
            super(random);
        }

        @Override
        LocalDate nextPour(LocalDate after) {
            return after.plusDays(120 + random.nextInt(150));
        }

        @Override
        double usualPourMl(Wheel wheel) {
            return wheel.tire().nominalWidthMm() < 45 ? 40 : 80;
        }

        @Override
        Shed.Order order() {
            return Shed.Order.ANY;
        }

        @Override
        void looks(Shed shed, Wheel wheel) {
            double likes = this.likes.computeIfAbsent(
                    wheel, own -> Math.min(own.mostKpa(), chartKpa(own) * Math.exp(0.2 * random.nextGaussian())));
            double feels = shed.thumb(wheel);
            if (feels < FEELS_SOFT * likes) {
                pumpTo(shed, wheel, likes, 1 - feels / likes);
            }
        }
    }

    private static final class Chart extends Habit {

        private static final int MONTHS = 3;

        /** A gauge shows less than that it is off (kPa). */
        private static final double NEAR_KPA = 5;

        private final boolean reminder;

        Chart(boolean reminder, Random random) {
            super(random);
            this.reminder = reminder;
        }

        @Override
        LocalDate nextPour(LocalDate after) {
            return after.plusMonths(MONTHS)
                    .plusDays(reminder ? random.nextInt(5) : (int) (-25 * Math.log(1 - random.nextDouble())));
        }

        @Override
        double usualPourMl(Wheel wheel) {
            return wheel.tire().nominalWidthMm() < 36 ? 30 : wheel.tire().nominalWidthMm() < 50 ? 50 : 80;
        }

        @Override
        Shed.Order order() {
            return Shed.Order.TRADE;
        }

        @Override
        void looks(Shed shed, Wheel wheel) {
            double wanted = chartKpa(wheel);
            double read = shed.read(wheel);
            if (Math.abs(read - wanted) > NEAR_KPA) {
                pumpTo(shed, wheel, wanted, 1 - read / wanted);
            }
        }
    }
}
