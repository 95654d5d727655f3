package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.Units;

/** What the numbers of a column measure, with the units that they may be in. */
enum Quantity {
    PRESSURE(List.of(PressureUnit.values()), Units::pressure),
    MASS(RiderUnit.Kind.MASS.units(), Units::mass),
    LENGTH(RiderUnit.Kind.LENGTH.units(), Units::length),
    VOLUME(RiderUnit.Kind.VOLUME.units(), Units::volume),
    DISTANCE(RiderUnit.Kind.DISTANCE.units(), Units::distance),
    TEMPERATURE(RiderUnit.Kind.TEMPERATURE.units(), Units::temperature);

    private final List<? extends QuantityUnit> units;
    private final Function<Units, QuantityUnit> own;

    Quantity(List<? extends QuantityUnit> units, Function<Units, QuantityUnit> own) {
        this.units = units;
        this.own = own;
    }

    List<? extends QuantityUnit> units() {
        return units;
    }

    /** The one that a rider reads. */
    QuantityUnit of(Units rider) {
        return own.apply(rider);
    }

    /** The unit of that name. */
    Optional<QuantityUnit> read(String name) {
        return units.stream()
                .filter(unit -> name(unit).equals(name))
                .<QuantityUnit>map(unit -> unit)
                .findFirst();
    }

    /** The unit that a heading names last: "depth in mm" is in mm. */
    Optional<QuantityUnit> named(String heading) {
        String spaced = " " + String.join(" ", words(heading)) + " ";
        QuantityUnit found = null;
        int last = -1;
        for (QuantityUnit unit : units) {
            for (String word : TableWords.of("unit", (Enum<?>) unit)) {
                int at = spaced.lastIndexOf(" " + word + " ");
                if (at > last) {
                    last = at;
                    found = unit;
                }
            }
        }
        return Optional.ofNullable(found);
    }

    static List<String> words(String heading) {
        return Arrays.asList(heading.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"));
    }

    static String name(QuantityUnit unit) {
        return ((Enum<?>) unit).name();
    }
}
