package org.stratopneum.bench.season;

import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.LongStream;
import javax.xml.stream.XMLStreamException;
import org.stratopneum.bench.season.truth.DealtHome;
import org.stratopneum.bench.season.truth.Figure;
import org.stratopneum.bench.season.truth.Home;

/**
 * Lets riders pass a year in each way, and prints what it came to. Usage: SeasonBench RIDERS FIRST_SEED [FILE], the file
 * for a drawing of it (SVG). Ends with 1 where less came of it than is wanted.
 */
public final class SeasonBench {

    private SeasonBench() {}

    public static void main(String[] arguments) throws IOException, XMLStreamException {
        int riders = Integer.parseInt(arguments[0]);
        long first = Long.parseLong(arguments[1]);
        long begun = System.nanoTime();
        List<Map<Way, Map<Figure, Double>>> years = LongStream.range(first, first + riders)
                .parallel()
                .mapToObj(SeasonBench::years)
                .toList();
        System.out.printf(Locale.ROOT, "%-32s", riders + " riders, seeds from " + first);
        for (Way way : Way.values()) {
            System.out.printf(Locale.ROOT, " %22s", way.said());
        }
        System.out.println();
        for (Figure figure : Figure.values()) {
            System.out.printf(Locale.ROOT, "%-32s", figure.said());
            for (Way way : Way.values()) {
                Spread spread = Spread.of(years, way, List.of(figure));
                System.out.printf(Locale.ROOT, " %9.1f (%4.0f .. %4.0f)", spread.mean(), spread.low(), spread.high());
            }
            System.out.println();
        }
        System.out.printf(Locale.ROOT, "%.0f s%n", (System.nanoTime() - begun) / 1e9);
        if (arguments.length > 2) {
            SeasonPlot.write(Path.of(arguments[2]), years);
        }
        boolean met = true;
        for (Comparison comparison : Comparison.ALL) {
            met &= comparison.tell(years);
        }
        System.exit(met ? 0 : 1);
    }

    private static Map<Way, Map<Figure, Double>> years(long seed) {
        Home home = new DealtHome(seed);
        Map<Way, Map<Figure, Double>> years = new EnumMap<>(Way.class);
        for (Way way : Way.values()) {
            years.put(way, way.year(home, seed));
        }
        return years;
    }
}
