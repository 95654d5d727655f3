package org.stratopneum.core.quantity;

import javax.measure.Unit;
import javax.measure.quantity.Pressure;

/** The pressure units found on gauges, each with the step that its gauges can show. */
public enum PressureUnit implements QuantityUnit {
    PSI(NonSiUnits.PSI, "psi", 0.5, 1),
    BAR(NonSiUnits.BAR, "bar", 0.05, 2),
    KPA(NonSiUnits.KILOPASCAL, "kPa", 5, 0);

    private final Conversion toKpa;
    private final Conversion fromKpa;
    private final String symbol;
    private final double resolution;
    private final int decimals;

    PressureUnit(Unit<Pressure> unit, String symbol, double resolution, int decimals) {
        this.toKpa = Conversion.of(unit.getConverterTo(NonSiUnits.KILOPASCAL));
        this.fromKpa = Conversion.of(NonSiUnits.KILOPASCAL.getConverterTo(unit));
        this.symbol = symbol;
        this.resolution = resolution;
        this.decimals = decimals;
    }

    /** @return {@code value} of this unit (kPa) */
    public double toKpa(double value) {
        return toKpa.of(value);
    }

    /** @return {@code kpa} (this unit) */
    public double fromKpa(double kpa) {
        return fromKpa.of(kpa);
    }

    /** @return the step of a usual gauge in this unit: 0.5 psi, 0.05 bar, 5 kPa (common practice) */
    public double resolution() {
        return resolution;
    }

    @Override
    public double toCore(double value) {
        return toKpa(value);
    }

    @Override
    public double fromCore(double value) {
        return fromKpa(value);
    }

    @Override
    public String symbol() {
        return symbol;
    }

    @Override
    public int decimals() {
        return decimals;
    }
}
