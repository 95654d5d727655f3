package org.stratopneum.core.tire;

import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * What bead seat diameters the inch and French names of tires stand for. Decimal and fractional inches are different
 * systems: 26 x 1.75 and 26 x 1 3/4 do not swap. All values from memory of ISO 5775 and of what is printed on tires.
 */
final class InchSizes {

    private InchSizes() {}

    /** Bead seat diameter (mm) of wheels named in decimal inches; two where the name alone does not tell. */
    private static final Map<String, List<Integer>> DECIMAL = Map.ofEntries(
            Map.entry("32", List.of(686)),
            Map.entry("29", List.of(622)),
            Map.entry("28", List.of(622)),
            Map.entry("27.5", List.of(584)),
            Map.entry("27", List.of(584, 630)),
            Map.entry("26", List.of(559)),
            Map.entry("24", List.of(507)),
            Map.entry("22", List.of(457)),
            Map.entry("20", List.of(406)),
            Map.entry("18", List.of(355)),
            Map.entry("16", List.of(305)),
            Map.entry("14", List.of(254)),
            Map.entry("12.5", List.of(203)),
            Map.entry("12", List.of(203)));

    private record Fractional(String wheel, double inches, int widthMm, int beadSeatDiameterMm) {}

    private static final List<Fractional> FRACTIONAL = List.of(
            new Fractional("28", 1.125, 28, 622),
            new Fractional("28", 1.25, 32, 622),
            new Fractional("28", 1.375, 37, 642),
            new Fractional("28", 1.5, 40, 635),
            new Fractional("28", 1.625, 44, 622),
            new Fractional("28", 1.75, 47, 622),
            new Fractional("27", 1, 25, 630),
            new Fractional("27", 1.125, 28, 630),
            new Fractional("27", 1.25, 32, 630),
            new Fractional("27", 1.375, 35, 630),
            new Fractional("26", 1, 23, 571),
            new Fractional("26", 1.125, 28, 571),
            new Fractional("26", 1.25, 32, 597),
            new Fractional("26", 1.375, 37, 590),
            new Fractional("26", 1.375, 37, 597),
            new Fractional("26", 1.5, 40, 584),
            new Fractional("26", 1.75, 47, 571),
            new Fractional("24", 1, 25, 520),
            new Fractional("24", 1.125, 28, 520),
            new Fractional("24", 1.375, 37, 540),
            new Fractional("24", 1.375, 37, 547),
            new Fractional("20", 1.125, 28, 451),
            new Fractional("20", 1.375, 37, 451),
            new Fractional("20", 1.375, 37, 438),
            new Fractional("20", 1.75, 47, 419),
            new Fractional("18", 1.375, 37, 400),
            new Fractional("17", 1.25, 32, 369),
            new Fractional("16", 1.25, 32, 349),
            new Fractional("16", 1.375, 37, 349),
            new Fractional("14", 1.375, 37, 288),
            new Fractional("12.5", 1.75, 47, 203),
            new Fractional("12.5", 2.25, 57, 203));

    /** Bead seat diameter (mm) of the French names; the letter once told the width, now only the rim. */
    private static final Map<String, Integer> FRENCH = Map.ofEntries(
            Map.entry("700a", 642),
            Map.entry("700b", 635),
            Map.entry("700c", 622),
            Map.entry("700d", 587),
            Map.entry("650a", 590),
            Map.entry("650b", 584),
            Map.entry("650c", 571),
            Map.entry("600a", 541),
            Map.entry("550a", 490),
            Map.entry("500a", 440),
            Map.entry("450a", 390),
            Map.entry("400a", 340));

    /** Nobody prints the letter any more where one rim has won (common practice, no source). */
    private static final String USUAL_700 = "c";

    static List<Integer> decimal(String wheel) {
        return DECIMAL.getOrDefault(wheel, List.of());
    }

    /**
     * Sizes called {@code wheel} x {@code rim}, or {@code wheel} x {@code rim} x {@code width}; where the fraction is not
     * known, all that the wheel's name can mean.
     *
     * @param width the tire's own width where a third number is given (in), else the same as {@code rim}
     */
    static List<TireSize> fractional(String wheel, double rim, double width) {
        List<Fractional> ofWheel =
                FRACTIONAL.stream().filter(row -> row.wheel().equals(wheel)).toList();
        List<Fractional> exact =
                ofWheel.stream().filter(row -> row.inches() == rim).toList();
        return (exact.isEmpty() ? ofWheel : exact)
                .stream()
                        .map(row -> new TireSize(
                                rim == width && !exact.isEmpty() ? row.widthMm() : usualWidthMm(width),
                                row.beadSeatDiameterMm()))
                        .distinct()
                        .sorted(Comparator.comparingDouble(TireSize::beadSeatDiameterMm))
                        .toList();
    }

    /** Nominal width that goes by a fraction of an inch (mm): as printed on such tires, else rounded. */
    private static double usualWidthMm(double inches) {
        return FRACTIONAL.stream()
                .filter(row -> row.inches() == inches)
                .mapToDouble(Fractional::widthMm)
                .max()
                .orElseGet(() -> Math.round(inches * 25.4));
    }

    /** @param letter a, b, c or d, or empty where it was not given */
    static List<Integer> french(String diameter, String letter) {
        if (!letter.isEmpty()) {
            Integer known = FRENCH.get(diameter + letter);
            return known == null ? List.of() : List.of(known);
        }
        if (FRENCH.containsKey(diameter + USUAL_700) && diameter.equals("700")) {
            return List.of(FRENCH.get(diameter + USUAL_700));
        }
        return FRENCH.entrySet().stream()
                .filter(entry -> entry.getKey().startsWith(diameter))
                .map(Map.Entry::getValue)
                .sorted(Comparator.reverseOrder())
                .toList();
    }
}
