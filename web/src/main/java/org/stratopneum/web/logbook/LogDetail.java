package org.stratopneum.web.logbook;

import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;

/** What an entry says beyond who, when and where; one record for each kind of entry. */
public sealed interface LogDetail {

    LogKind kind();

    /** Version of the record's fields, raised when they change their meaning. */
    default int version() {
        return 1;
    }

    /**
     * What a gauge showed.
     *
     * @param gaugeKpa the reading, as read (kPa gauge)
     * @param readIn the unit that was read
     * @param afterInflation whether this is the first reading after pumping or letting out
     * @param toldKpa what the advice said at that moment (kPa gauge), or null where nobody asked
     */
    record PressureRead(double gaugeKpa, PressureUnit readIn, boolean afterInflation, Double toldKpa)
            implements LogDetail {
        public PressureRead {
            Problems problems = new Problems();
            problems.check("gaugeKpa", gaugeKpa, GaugePressure.TIRE_KPA);
            problems.checkIfPresent("toldKpa", toldKpa, GaugePressure.TIRE_KPA);
            problems.throwIfAny();
        }

        public GaugePressure pressure() {
            return GaugePressure.kpa(gaugeKpa);
        }

        @Override
        public LogKind kind() {
            return LogKind.PRESSURE_READ;
        }
    }

    /**
     * A tire was put on a wheel.
     *
     * @param setup what holds the air
     * @param insert whether a foam insert went in
     * @param measuredWidthMm width measured on this rim (mm), or null
     */
    record TireFitted(SetupKind setup, boolean insert, Double measuredWidthMm) implements LogDetail {
        public TireFitted {
            Problems problems = new Problems();
            problems.checkIfPresent("measuredWidthMm", measuredWidthMm, TireOnRim.MEASURED_WIDTH_MM);
            problems.throwIfAny();
        }

        @Override
        public LogKind kind() {
            return LogKind.TIRE_FITTED;
        }
    }

    /** A tire was taken off a wheel. */
    record TireRemoved() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.TIRE_REMOVED;
        }
    }

    /** A wheelset was put into the bike; the one before stands in the shed from then on. */
    record WheelsetMounted() implements LogDetail {
        @Override
        public LogKind kind() {
            return LogKind.WHEELSET_MOUNTED;
        }
    }
}
