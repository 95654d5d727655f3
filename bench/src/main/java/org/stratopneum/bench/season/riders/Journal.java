package org.stratopneum.bench.season.riders;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.dialling.Feel;

/** What somebody writes down of their wheels, day by day (kPa, C, ml, mm). */
public interface Journal {

    /** Of those who keep it in mind. */
    Journal NONE = new Journal() {};

    default void fitted(LocalDate on, Wheel wheel, double ml) {}

    default void removed(LocalDate on, Wheel wheel) {}

    /** Before anything was pumped. */
    default void read(Instant at, Wheel wheel, double kpa, double celsius) {}

    /** @param told what is recommended, to which it was pumped or let out */
    default void set(Instant at, Wheel wheel, double told, double celsius) {}

    default void dipped(LocalDate on, Wheel wheel, double mm) {}

    /** A hole closed by itself. */
    default void sealed(LocalDate on, Wheel wheel) {}

    default void filled(LocalDate on, Wheel wheel, double ml) {}

    default void found(LocalDate on, Wheel wheel, Cause cause) {}

    /**
     * How a wheel felt on a ride.
     *
     * @param startKpa as it was read last
     * @param chainKpa what the advice was without a factor of the rider's own
     * @param burst whether what is said of burps and strikes was a burp
     */
    record Note(double startKpa, double chainKpa, Feel said, boolean burst) {}

    /** @param notes of the wheels of which something was said */
    default void rode(LocalDate on, Ride ride, Map<Wheel, Note> notes) {}
}
