package org.stratopneum.bench.season.riders;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.tire.TireOnRim;

/** A shed with bikes, as somebody sees it who has a gauge, a stick and a thumb; each look and each work takes its minutes. */
public interface Shed {

    /**
     * A wheel as its owner knows it.
     *
     * @param bike number of the bike, from 0
     * @param loadKg what stands on it, as the owner believes
     * @param usual the ride that it is set for
     */
    record Wheel(
            UUID id,
            int bike,
            boolean rear,
            TireOnRim tire,
            Setup setup,
            double loadKg,
            org.stratopneum.core.pressure.Ride usual) {

        /** The lower of what is printed on tire and rim (kPa). */
        public double mostKpa() {
            return Stream.of(setup.tireMaxKpa(), setup.rimMaxKpa())
                    .filter(Objects::nonNull)
                    .mapToDouble(Double::doubleValue)
                    .min()
                    .orElseThrow();
        }

        boolean isTubeless() {
            return setup.kind() == SetupKind.TUBELESS;
        }
    }

    /** A ride of a day: which bike, how far, on what. */
    record Ride(int bike, double km, Ground ground) {}

    /** In which order somebody looks for a leak. */
    enum Order {
        ANY,
        TRADE,
        FINDER
    }

    /** How a wheel felt on the ride. */
    enum Felt {
        SOFT(Feel.TOO_SOFT),
        RIGHT(Feel.RIGHT),
        HARD(Feel.TOO_HARD),
        /** The rim struck. */
        STRUCK(Feel.BURP_OR_STRIKE),
        /** Air burst out at the bead. */
        BURST(Feel.BURP_OR_STRIKE);

        private final Feel said;

        Felt(Feel said) {
            this.said = said;
        }

        Feel said() {
            return said;
        }
    }

    LocalDate today();

    /** How warm the wheels are, as a thermometer shows it (C). */
    double celsius();

    /** The air where the wheels stand: past days as a weather service knows them, days to come as they usually are. */
    DryingClimate air();

    List<Wheel> wheels();

    /** What the gauge shows (kPa). */
    double read(Wheel wheel);

    /** Pumps or lets out until the gauge shows so much (kPa). */
    void pump(Wheel wheel, double kpa);

    /** What a thumb takes it for (kPa). */
    double thumb(Wheel wheel);

    /** How deep the stick comes out wet (mm). */
    double dip(Wheel wheel);

    /** Sealant goes in, over what is left (ml). */
    void pour(Wheel wheel, double ml);

    /**
     * Looks for a leak, and mends what is found.
     *
     * @return what it was, {@link Cause#NORMAL} where there was none
     */
    Cause search(Wheel wheel, Order order);
}
