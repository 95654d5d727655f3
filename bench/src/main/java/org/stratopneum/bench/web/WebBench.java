package org.stratopneum.bench.web;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Asks a running application for the pages of the demo rider's day, mixed, at a steady rate, and says how long the answers
 * took. The largest style sheet is asked for among them.
 *
 * <p>Usage: WebBench ADDRESS REQUESTS_PER_SECOND SECONDS [ADDRESS_OF_FIGURES]. Ends with 1 where a goal is missed.
 */
public final class WebBench {

    /** Pages that a rider reads, within so long, 95 of 100 (ms). */
    private static final double PAGE_MS = 60;

    /** And within so many times what the style sheet took. */
    private static final double TIMES_STATIC = 3;

    /** No answer takes longer (ms). */
    private static final double LONGEST_MS = 300;

    /** A reading, from the button to the page that says that it is saved (ms). */
    private static final double WRITE_MS = 100;

    static final int WARM_UP = 3000;

    private WebBench() {}

    public static void main(String[] arguments) {
        Day day = new Day(new Browser(arguments[0]), 20);
        System.out.printf("%d wheels, %d bikes%n", day.wheels(), day.bikes());
        Load load = new Load(List.of(day));
        load.warmUp(WARM_UP);
        Map<Day.Kind, Load.Measured> measured =
                load.day(Double.parseDouble(arguments[1]), Integer.parseInt(arguments[2]));
        Map<Day.Kind, Double> statements = arguments.length > 3 ? statements(day, new Figures(arguments[3])) : Map.of();
        System.exit(tell(measured, statements) ? 0 : 1);
    }

    /** How many statements each page takes, by the server's own count, asked alone. */
    private static Map<Day.Kind, Double> statements(Day day, Figures figures) {
        Map<Day.Kind, Double> counted = new EnumMap<>(Day.Kind.class);
        for (Day.Kind kind : Day.Kind.values()) {
            day.request(kind).get().join();
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
            double before = figures.statements();
            day.request(kind).get().join();
            counted.put(kind, figures.statements() - before);
        }
        return counted;
    }

    /** @return whether all goals were met */
    private static boolean tell(Map<Day.Kind, Load.Measured> measured, Map<Day.Kind, Double> statements) {
        double fixed = measured.get(Day.Kind.STATIC).times().p95();
        System.out.printf(
                Locale.ROOT,
                "%-9s %6s %8s %8s %8s %8s %8s %6s%n",
                "page",
                "asked",
                "median",
                "p95",
                "longest",
                "x static",
                "kB",
                "SQL");
        boolean met = true;
        for (Map.Entry<Day.Kind, Load.Measured> entry : measured.entrySet()) {
            Day.Kind kind = entry.getKey();
            Times times = entry.getValue().times();
            List<String> missed = missed(kind, times, fixed);
            if (!entry.getValue().faults().isEmpty()) {
                missed.add(entry.getValue().faults().size() + " faults");
            }
            met &= missed.isEmpty();
            System.out.printf(
                    Locale.ROOT,
                    "%-9s %6d %8.1f %8.1f %8.1f %8.1f %8.1f %6s %s%n",
                    kind.said(),
                    times.count(),
                    times.median(),
                    times.p95(),
                    times.longest(),
                    times.p95() / fixed,
                    entry.getValue().bytes() / 1000.0,
                    statements.containsKey(kind) ? String.format(Locale.ROOT, "%.0f", statements.get(kind)) : "?",
                    String.join(", ", missed));
        }
        System.out.println(met ? "all goals met" : "goals missed");
        return met;
    }

    private static List<String> missed(Day.Kind kind, Times times, double fixed) {
        List<String> missed = new ArrayList<>();
        if (kind.judged() && times.p95() > PAGE_MS) {
            missed.add("p95 over " + PAGE_MS + " ms");
        }
        if (kind.judged() && times.p95() > TIMES_STATIC * fixed) {
            missed.add("over " + TIMES_STATIC + " x static");
        }
        if (kind == Day.Kind.WRITE && times.p95() > WRITE_MS) {
            missed.add("p95 over " + WRITE_MS + " ms");
        }
        if (times.longest() > LONGEST_MS) {
            missed.add("longest over " + LONGEST_MS + " ms");
        }
        return missed;
    }
}
