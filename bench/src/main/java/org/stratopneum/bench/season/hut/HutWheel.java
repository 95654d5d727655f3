package org.stratopneum.bench.season.hut;

import java.util.UUID;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.bench.season.truth.Climate;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.tire.TireOnRim;

/** A tire on a wheel of the demo, from one evening to another (days from the first). */
enum HutWheel {
    SKYLARK_REAR_OLD(Pair.SKYLARK, true, 601, 709, Sort.LICHEN, 0, HutWheel.NEW_TIRES),
    SKYLARK_FRONT_OLD(Pair.SKYLARK, false, 602, 710, Sort.LICHEN, 0, HutWheel.NEW_TIRES),
    SKYLARK_REAR(Pair.SKYLARK, true, 601, 701, Sort.LICHEN, HutWheel.NEW_TIRES, HutWheel.LEVER_JOB),
    SKYLARK_FRONT(Pair.SKYLARK, false, 602, 702, Sort.LICHEN, HutWheel.NEW_TIRES, Climate.DAYS),
    HERON_REAR(Pair.HERON, true, 603, 703, Sort.MULE_REAR, 0, Climate.DAYS),
    HERON_FRONT(Pair.HERON, false, 604, 704, Sort.MULE_FRONT, 0, Climate.DAYS),
    SLEDGE_REAR(Pair.SUMMER, true, 605, 705, Sort.PEBBLE, 0, Climate.DAYS),
    SLEDGE_FRONT(Pair.SUMMER, false, 606, 706, Sort.PEBBLE, 0, Climate.DAYS),
    SLEDGE_REAR_WINTER(Pair.WINTER, true, 607, 707, Sort.FROST, 0, Climate.DAYS),
    SLEDGE_FRONT_WINTER(Pair.WINTER, false, 608, 708, Sort.FROST, 0, Climate.DAYS),
    /** The same tire put on again with a lever. */
    SKYLARK_REAR_LEVERED(Pair.SKYLARK, true, 601, 701, Sort.LICHEN, HutWheel.LEVER_JOB, Climate.DAYS);

    static final int NEW_TIRES = Climate.DAYS - 96;
    static final int LEVER_JOB = Climate.DAYS - 12;

    /** Two wheels that are in a bike together. */
    enum Pair {
        SKYLARK(HutBike.SKYLARK, 401),
        HERON(HutBike.HERON, 402),
        SUMMER(HutBike.SLEDGE, 403),
        WINTER(HutBike.SLEDGE, 404);

        final HutBike bike;
        final int number;

        Pair(HutBike bike, int number) {
            this.bike = bike;
            this.number = number;
        }
    }

    private enum Sort {
        LICHEN(57, 622, 30, SetupKind.TUBELESS, Casing.STANDARD, false, 350, null, 400),
        MULE_REAR(62, 406, 30, SetupKind.BUTYL_TUBE, Casing.HEAVY, false, 450, 200.0, 500),
        MULE_FRONT(55, 507, 30, SetupKind.BUTYL_TUBE, Casing.HEAVY, false, 450, 200.0, 500),
        PEBBLE(42, 622, 25, SetupKind.TUBELESS, Casing.LIGHT, true, 400, null, 500),
        FROST(35, 622, 21, SetupKind.BUTYL_TUBE, Casing.STANDARD, false, 550, 250.0, 600);

        private final TireOnRim tire;
        private final Setup setup;

        Sort(
                double mm,
                double beadSeatMm,
                double rimMm,
                SetupKind kind,
                Casing casing,
                boolean hookless,
                double tireMostKpa,
                Double tireLeastKpa,
                double rimMostKpa) {
            tire = new TireOnRim(mm, beadSeatMm, null, rimMm, null);
            setup = new Setup(
                    kind, false, casing, hookless, tireMostKpa, tireLeastKpa, rimMostKpa, kind == SetupKind.TUBELESS);
        }
    }

    final Pair pair;
    final int wheel;
    final int tire;
    final int from;
    final int until;
    final Shed.Wheel seen;

    HutWheel(Pair pair, boolean rear, int wheel, int tire, Sort sort, int from, int until) {
        this.pair = pair;
        this.wheel = wheel;
        this.tire = tire;
        this.from = from;
        this.until = until;
        seen = new Shed.Wheel(
                new UUID(wheel, ordinal()),
                pair.ordinal(),
                rear,
                sort.tire,
                sort.setup,
                pair.bike.loadKg(rear),
                pair.bike.usual());
    }

    static HutWheel of(Shed.Wheel seen) {
        return values()[(int) seen.id().getLeastSignificantBits()];
    }
}
