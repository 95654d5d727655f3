package org.stratopneum.core.quantity;

import javax.measure.Unit;
import javax.measure.UnitConverter;
import javax.measure.quantity.Pressure;

/** The pressure units found on gauges, each with the step that its gauges can show. */
public enum PressureUnit {
    PSI(NonSiUnits.PSI, 0.5),
    BAR(NonSiUnits.BAR, 0.05),
    KPA(NonSiUnits.KILOPASCAL, 5);

    private final UnitConverter toKpa;
    private final UnitConverter fromKpa;
    private final double resolution;

    PressureUnit(Unit<Pressure> unit, double resolution) {
        this.toKpa = unit.getConverterTo(NonSiUnits.KILOPASCAL);
        this.fromKpa = NonSiUnits.KILOPASCAL.getConverterTo(unit);
        this.resolution = resolution;
    }

    /** @return {@code value} of this unit (kPa) */
    public double toKpa(double value) {
        return toKpa.convert(value);
    }

    /** @return {@code kpa} (this unit) */
    public double fromKpa(double kpa) {
        return fromKpa.convert(kpa);
    }

    /** @return the step of a usual gauge in this unit: 0.5 psi, 0.05 bar, 5 kPa (common practice) */
    public double resolution() {
        return resolution;
    }
}
