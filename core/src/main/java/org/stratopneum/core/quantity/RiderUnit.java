package org.stratopneum.core.quantity;

import java.util.List;
import java.util.stream.Stream;
import javax.measure.Quantity;
import javax.measure.Unit;
import tech.units.indriya.unit.Units;

/** Units that a rider chooses between for everything but pressure, each beside the one that the core reckons with. */
public enum RiderUnit implements QuantityUnit {
    KG(Kind.MASS, Units.KILOGRAM, Units.KILOGRAM, "kg", 1),
    LB(Kind.MASS, NonSiUnits.POUND, Units.KILOGRAM, "lb", 1),
    MM(Kind.LENGTH, NonSiUnits.MILLIMETRE, NonSiUnits.MILLIMETRE, "mm", 1),
    IN(Kind.LENGTH, NonSiUnits.INCH, NonSiUnits.MILLIMETRE, "in", 2),
    ML(Kind.VOLUME, NonSiUnits.MILLILITRE, NonSiUnits.MILLILITRE, "ml", 0),
    FL_OZ(Kind.VOLUME, NonSiUnits.FLUID_OUNCE, NonSiUnits.MILLILITRE, "fl oz", 1),
    CELSIUS(Kind.TEMPERATURE, Units.CELSIUS, Units.CELSIUS, "°C", 0),
    FAHRENHEIT(Kind.TEMPERATURE, NonSiUnits.FAHRENHEIT, Units.CELSIUS, "°F", 0),
    KM(Kind.DISTANCE, NonSiUnits.KILOMETRE, NonSiUnits.KILOMETRE, "km", 0),
    MI(Kind.DISTANCE, NonSiUnits.MILE, NonSiUnits.KILOMETRE, "mi", 0);

    /** What is measured; the core reckons in kg, mm, ml, degrees Celsius and km. */
    public enum Kind {
        MASS,
        LENGTH,
        VOLUME,
        TEMPERATURE,
        DISTANCE;

        public List<RiderUnit> units() {
            return Stream.of(RiderUnit.values())
                    .filter(unit -> unit.kind == this)
                    .toList();
        }
    }

    private final Kind kind;
    private final Conversion toCore;
    private final Conversion fromCore;
    private final String symbol;
    private final int decimals;

    <Q extends Quantity<Q>> RiderUnit(Kind kind, Unit<Q> unit, Unit<Q> core, String symbol, int decimals) {
        this.kind = kind;
        this.toCore = Conversion.of(unit.getConverterTo(core));
        this.fromCore = Conversion.of(core.getConverterTo(unit));
        this.symbol = symbol;
        this.decimals = decimals;
    }

    public Kind kind() {
        return kind;
    }

    @Override
    public double toCore(double value) {
        return toCore.of(value);
    }

    @Override
    public double fromCore(double value) {
        return fromCore.of(value);
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
