package org.stratopneum.bench.season.hut;

import java.util.Random;
import org.stratopneum.bench.season.riders.Obedience;
import org.stratopneum.bench.season.riders.Shed;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.bench.season.riders.WithApplication;
import org.stratopneum.bench.season.truth.Climate;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.sealant.Schedule;

/**
 * The demo's rider: does as the application says as usual, but for the last fortnight, which she leaves to who looks at the
 * demo, and what its script has her do.
 */
final class Ilse extends WithApplication {

    private static final int LEAVES_FROM = Climate.DAYS - 14;
    private static final GaugePressure SEATED = GaugePressure.psi(40);
    private static final int SLEDGE_MONTHS = 4;

    private final HutJournal journal;
    private int day;

    Ilse(HutJournal journal, Random random) {
        super(Obedience.USUAL, false, journal, random);
        this.journal = journal;
    }

    @Override
    protected Schedule schedule(Wheel wheel) {
        return HutWheel.of(wheel).pair == HutWheel.Pair.SUMMER
                ? new Schedule.EveryMonths(SLEDGE_MONTHS)
                : super.schedule(wheel);
    }

    @Override
    public void fitted(Shed shed, Wheel wheel) {
        super.fitted(shed, wheel);
        switch (HutWheel.of(wheel)) {
            case SKYLARK_REAR_LEVERED -> {
                shed.pump(wheel, SEATED.kpa());
                journal.holdStarted(shed.today(), wheel, SEATED.kpa(), shed.celsius());
            }
            // two nights of holding air first
            case SLEDGE_REAR -> {}
            default -> sets(shed, wheel);
        }
    }

    /** Since the lever job she reads both wheels of that bike before each ride. */
    @Override
    public void before(Shed shed, Shed.Ride ride) {
        if (day > HutWheel.LEVER_JOB && ride.bike() == HutWheel.Pair.SKYLARK.ordinal()) {
            checks(shed, HutWheel.SKYLARK_REAR_LEVERED.seen);
            checks(shed, HutWheel.SKYLARK_FRONT.seen);
        } else {
            super.before(shed, ride);
        }
    }

    @Override
    public void evening(Shed shed) {
        if (day == 2) {
            sets(shed, HutWheel.SLEDGE_REAR.seen);
        }
        if (day == HutHome.THORN) {
            sealed(shed, HutWheel.SKYLARK_FRONT.seen);
        }
        if (day == HutWheel.LEVER_JOB + 1) {
            Wheel levered = HutWheel.SKYLARK_REAR_LEVERED.seen;
            journal.holdEnded(shed.today(), levered, shed.read(levered), shed.celsius());
            sets(shed, levered);
        }
        if (day == HutHome.WINTER_IN) {
            journal.mounted(shed.today(), HutWheel.Pair.WINTER);
        }
        if (day == HutHome.SUMMER_IN) {
            journal.mounted(shed.today(), HutWheel.Pair.SUMMER);
        }
        if (day == Climate.DAYS - 1) {
            looks(shed, HutWheel.SKYLARK_REAR_LEVERED.seen);
            looks(shed, HutWheel.SKYLARK_FRONT.seen);
        }
        if (day < LEAVES_FROM) {
            super.evening(shed);
        }
        day++;
    }
}
