package org.stratopneum.core.pressure;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.tire.TireOnRim;

/**
 * The recommended pressures of many riders in one table, to be read by eye. Its main method writes
 * docs/handbook/pressure-table.md anew.
 */
final class PressureTable {

    static final Path FILE = Path.of("..", "docs", "handbook", "pressure-table.md");

    static final List<TireOnRim> TIRES = List.of(
            new TireOnRim(25, 622, null, 17, null),
            new TireOnRim(28, 622, null, 21, null),
            new TireOnRim(32, 622, null, 21, null),
            new TireOnRim(35, 349, null, 21, null),
            new TireOnRim(40, 622, null, 25, null),
            new TireOnRim(47, 584, null, 25, null),
            new TireOnRim(50, 622, null, 25, null),
            new TireOnRim(57, 622, null, 30, null),
            new TireOnRim(61, 584, null, 30, null),
            new TireOnRim(62, 406, null, 30, null),
            new TireOnRim(66, 622, null, 35, null),
            new TireOnRim(100, 559, null, 75, null));

    private static final List<Double> RIDERS_KG = List.of(45.0, 60.0, 75.0, 90.0, 110.0, 130.0);

    private static final List<Ground> GROUNDS = List.of(
            Ground.SMOOTH_PAVEMENT,
            Ground.FINE_GRAVEL,
            Ground.FOREST_TRACK,
            Ground.CROSS_COUNTRY,
            Ground.ROCK,
            Ground.SAND_SNOW);

    private static final String HEAD = """
            # The recommendation in a table

            Rear / front in psi, to half a psi: tubeless, standard casing, dry, nothing printed on tire or rim, the
            usual drop of the posture, rider as said with 3 kg of gear and a bike of 13 kg. A dash: this tire cannot carry this load
            on this ground, or nothing satisfies ground and ceiling. `PressureTable` in the tests of core writes it, and a test holds
            it to the models.
            """;

    private PressureTable() {}

    public static void main(String... none) throws IOException {
        Files.writeString(FILE, text());
    }

    static BikeAdvice advise(TireOnRim tire, double kg, Posture posture, GroundMix ground) {
        BikeCase.Wheel wheel = new BikeCase.Wheel(tire, Setup.of(SetupKind.TUBELESS), 1);
        SystemMass mass = new SystemMass(kg, 3, 13, 0, 0, 0);
        return BikeAdvice.of(
                new BikeCase(mass, LoadShare.of(posture), wheel, wheel, posture.usualDrop(), ground, false));
    }

    static String text() {
        StringBuilder text = new StringBuilder(HEAD);
        for (Posture posture : Posture.values()) {
            for (Ground ground : GROUNDS) {
                text.append("\n## ")
                        .append(words(posture))
                        .append(", ")
                        .append(words(ground))
                        .append("\n\n| tire |");
                RIDERS_KG.forEach(kg -> text.append(String.format(Locale.ROOT, " %.0f kg |", kg)));
                text.append("\n|---|").append("---|".repeat(RIDERS_KG.size())).append('\n');
                for (TireOnRim tire : TIRES) {
                    text.append(String.format(
                            Locale.ROOT, "| %.0f-%.0f |", tire.nominalWidthMm(), tire.beadSeatDiameterMm()));
                    text.append(RIDERS_KG.stream()
                            .map(kg -> cell(advise(tire, kg, posture, GroundMix.only(ground))))
                            .collect(Collectors.joining(" | ", " ", " |\n")));
                }
            }
        }
        return text.toString();
    }

    private static String cell(BikeAdvice advice) {
        return psi(advice.rear()) + " / " + psi(advice.front());
    }

    private static String psi(WheelAdvice wheel) {
        return wheel.blocked()
                ? "-"
                : String.format(
                        Locale.ROOT, "%.1f", GaugeStep.nearest(wheel.pressure(), wheel.limits(), PressureUnit.PSI));
    }

    private static String words(Enum<?> name) {
        return name.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
