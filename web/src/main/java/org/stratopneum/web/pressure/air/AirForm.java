package org.stratopneum.web.pressure.air;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.air.StandardAtmosphere;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads what is in the tire, what is wanted, and what is at hand; all of it stands in the address. */
final class AirForm {

    private static final Range HEIGHT = StandardAtmosphere.HEIGHT_M;

    /** What a head has left of a cartridge that was used before (%). */
    private static final Range LEFT = Range.closed(1, 100, "%");

    private final FormReader reader;
    private final Units units;

    private AirForm(FormReader reader, Units units) {
        this.reader = reader;
        this.units = units;
    }

    /** @param told what is told for the wheel, or null */
    static AirForm of(Map<String, String> parameters, GaugePressure told, Units units) {
        Map<String, String> typed = new TreeMap<>(parameters);
        typed.putIfAbsent("from", "0");
        typed.putIfAbsent("target", told == null ? "" : QuantityText.typed(told.kpa(), units.pressure()));
        typed.putIfAbsent("temperature", QuantityText.typed(20.0, units.temperature()));
        typed.putIfAbsent("height", "0");
        typed.putIfAbsent("cartridges", "1");
        typed.putIfAbsent("left", "100");
        return new AirForm(new FormReader(typed), units);
    }

    FormReader reader() {
        return reader;
    }

    /**
     * What was typed.
     *
     * @param target what is wanted, or null
     * @param pump the pump, or null
     * @param gas cartridges, or null
     * @param chamber a charge chamber, or null
     */
    record Asked(
            GaugePressure from, GaugePressure target, Surroundings there, HandPump pump, Gas gas, Chamber chamber) {}

    /** Cartridges of {@code grams} (g), so many of them, each with {@code left} in it (ratio). */
    record Gas(double grams, int count, double left) {
        double total() {
            return grams * count * left;
        }
    }

    /** A chamber of {@code litres} (l) with what it is charged to. */
    record Chamber(double litres, GaugePressure charge) {}

    /** @param ceiling the most that tire and rim allow, or empty; empty with faults in the reader */
    Optional<Asked> read(Optional<GaugePressure> ceiling) {
        Optional<Double> from = reader.requiredQuantity("from", GaugePressure.TIRE_KPA, units.pressure(), null);
        Optional<Double> target = reader.quantity("target", GaugePressure.TIRE_KPA, units.pressure(), null);
        Optional<Double> celsius =
                reader.requiredQuantity("temperature", Temperature.CELSIUS, units.temperature(), null);
        Optional<Double> height = reader.requiredNumber("height", HEIGHT);
        ceiling.ifPresent(most -> target.filter(kpa -> kpa > most.kpa() + 1e-9)
                .ifPresent(kpa -> reader.add(new Problem(
                        "target",
                        "above-the-limit",
                        units.pressure().fromCore(most.kpa()),
                        units.pressure().fromCore(kpa),
                        units.pressure().symbol()))));
        HandPump pump = pump();
        Gas gas = gas();
        Chamber chamber = chamber();
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Asked(
                GaugePressure.kpa(from.orElseThrow()),
                target.map(GaugePressure::kpa).orElse(null),
                Surroundings.of(celsius.orElseThrow(), height.orElseThrow()),
                pump,
                gas,
                chamber));
    }

    private HandPump pump() {
        Optional<Double> stroke = reader.quantity("stroke", HandPump.STROKE_ML, units.volume(), null);
        Optional<Double> most = reader.quantity("pumpMost", HandPump.MOST_KPA, units.pressure(), null);
        together("stroke", stroke, "pumpMost", most);
        return stroke.isPresent() && most.isPresent()
                ? new HandPump(stroke.get(), GaugePressure.kpa(most.get()))
                : null;
    }

    private Gas gas() {
        Optional<Double> grams = reader.number("cartridgeG", Cartridge.MASS_G);
        Optional<Integer> count = reader.requiredWhole("cartridges", Cartridge.COUNT);
        Optional<Double> left = reader.requiredNumber("left", LEFT);
        return grams.isPresent() && count.isPresent() && left.isPresent()
                ? new Gas(grams.get(), count.get(), left.get() / 100)
                : null;
    }

    private Chamber chamber() {
        Optional<Double> litres = reader.number("chamberL", ChargeChamber.CHAMBER_L);
        Optional<Double> charge = reader.quantity("chamberCharge", GaugePressure.READING_KPA, units.pressure(), null);
        together("chamberL", litres, "chamberCharge", charge);
        return litres.isPresent() && charge.isPresent()
                ? new Chamber(litres.get(), GaugePressure.kpa(charge.get()))
                : null;
    }

    /** Two fields that mean something only together. */
    private void together(String one, Optional<Double> first, String other, Optional<Double> second) {
        if (first.isPresent() && reader.isBlank(other)) {
            reader.fault(other, Problem.MISSING);
        }
        if (second.isPresent() && reader.isBlank(one)) {
            reader.fault(one, Problem.MISSING);
        }
    }
}
