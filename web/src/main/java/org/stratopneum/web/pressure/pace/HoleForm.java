package org.stratopneum.web.pressure.pace;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.air.HoleSize;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.FormReader;

/** Reads how fast a tire went down; all of it stands in the address. */
final class HoleForm {

    private static final double SECONDS_PER_MINUTE = 60;
    private static final double REFERENCE_C = 20;

    private static final Range MINUTES = Range.closed(0.01, HoleSize.SECONDS.maximum() / SECONDS_PER_MINUTE, "min");

    private final FormReader reader;
    private final Double diameterMm;

    private HoleForm(FormReader reader, Double diameterMm) {
        this.reader = reader;
        this.diameterMm = diameterMm;
    }

    FormReader reader() {
        return reader;
    }

    /** Diameter of one round hole that does this (mm); empty while nothing, or something faulty, was typed. */
    Optional<Double> diameterMm() {
        return Optional.ofNullable(diameterMm);
    }

    /** @param litres air in the tire (l), {@code heightM} where it was (m) */
    static HoleForm of(Map<String, String> parameters, double litres, double heightM, PressureUnit unit) {
        FormReader form = new FormReader(new TreeMap<>(parameters));
        if (form.isBlank("holeFrom") && form.isBlank("holeTo") && form.isBlank("holeMinutes")) {
            return new HoleForm(form, null);
        }
        Optional<Double> from = form.requiredQuantity("holeFrom", GaugePressure.TIRE_KPA, unit, null);
        Optional<Double> to = form.requiredQuantity("holeTo", GaugePressure.TIRE_KPA, unit, null);
        Optional<Double> minutes = form.requiredNumber("holeMinutes", MINUTES);
        if (from.isEmpty() || to.isEmpty() || minutes.isEmpty()) {
            return new HoleForm(form, null);
        }
        try {
            return new HoleForm(
                    form,
                    HoleSize.diameterMm(
                            litres,
                            GaugePressure.kpa(from.get()),
                            GaugePressure.kpa(to.get()),
                            minutes.get() * SECONDS_PER_MINUTE,
                            Surroundings.of(REFERENCE_C, heightM)));
        } catch (InvalidInputException notFalling) {
            form.add(new Problem(
                    "holeTo", HoleSize.NOT_FALLING, unit.fromKpa(from.get()), unit.fromKpa(to.get()), unit.symbol()));
            return new HoleForm(form, null);
        }
    }
}
