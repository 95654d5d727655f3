package org.stratopneum.core.trailside;

import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.Cartridge.Delivery;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.AbsolutePressure;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;

/**
 * By the equations of {@link Cartridge} and {@link HandPump}.
 *
 * @param tireL air volume of the tire (l)
 * @param ambient pressure of the air that is pumped
 */
record ExactAir(double tireL, AbsolutePressure ambient) implements AirLaw {

    /** Gas that has warmed up (C; assumption). */
    private static final Temperature WARM = Temperature.celsius(20);

    private Cartridge fromEmpty() {
        return new Cartridge(tireL, WARM, GaugePressure.ZERO);
    }

    @Override
    public double gasKpa(double grams) {
        return fromEmpty().after(grams, Delivery.BEST).kpa();
    }

    @Override
    public double gramsFor(double kpa) {
        return fromEmpty().gramsFor(GaugePressure.kpa(Math.max(0, kpa)));
    }

    @Override
    public double strokes(HandPump pump, GaugePressure start, GaugePressure to) {
        return pump.strokes(tireL, start, to, ambient);
    }
}
