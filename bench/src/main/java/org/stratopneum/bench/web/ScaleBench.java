package org.stratopneum.bench.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;

/**
 * What the pages take among more and more riders, each with a copy of the demo's bikes and year: the day's mix of riders
 * all over the table, then readings written while one of them brings a table in, then what the database needs to stay in
 * order. The cost must not grow with how many others there are.
 *
 * <p>Usage: ScaleBench ADDRESS PSQL DATABASE MANY_RIDERS_SQL PROCESS RIDERS...; the database as its
 * superuser, who may copy rows unchecked. Ends with 1 where a goal is missed.
 */
public final class ScaleBench {

    /** How many of the riders ask; spread over all. */
    private static final int ASKING = 50;

    private static final double PER_SECOND = 20;
    private static final int SECONDS = 60;
    private static final double READINGS_PER_SECOND = 50;
    private static final int ROWS = 100_000;

    /** The largest table to the smallest, by the middle of what a page took. */
    private static final double FLAT = 1.3;

    private static final int MOST_MB = 400;
    private static final double GB = 1e9;

    private final Copies copies;
    private final Sql sql;
    private final String process;

    /** What came of one size. */
    private record Size(
            int riders,
            double entries,
            double gigabytes,
            Map<Day.Kind, Load.Measured> day,
            Times readings,
            int faults,
            double importS,
            int memoryMb,
            double vacuumS,
            double indexGb) {}

    private ScaleBench(Copies copies, Sql sql, String process) {
        this.copies = copies;
        this.sql = sql;
        this.process = process;
    }

    public static void main(String[] arguments) throws IOException {
        Sql sql = new Sql(arguments[1], arguments[2]);
        ScaleBench bench = new ScaleBench(new Copies(arguments[0], sql, arguments[3]), sql, arguments[4]);
        List<Size> sizes = new ArrayList<>();
        for (String riders : List.of(arguments).subList(5, arguments.length)) {
            sizes.add(bench.size(Integer.parseInt(riders)));
        }
        System.exit(tell(sizes) ? 0 : 1);
    }

    private Size size(int wanted) throws IOException {
        long begun = System.nanoTime();
        copies.upTo(wanted);
        say("%,d riders: copied within %.0f s", wanted, (System.nanoTime() - begun) / 1e9);
        List<Day> days = new ArrayList<>();
        Browser last = null;
        for (int i = 1; i <= ASKING; i++) {
            last = copies.browser(i * (wanted - 1) / ASKING);
            days.add(new Day(last, i));
        }
        Load load = new Load(days);
        load.warmUp(WebBench.WARM_UP);
        Map<Day.Kind, Load.Measured> day = load.day(PER_SECOND, SECONDS);
        ImportedTable table = new ImportedTable(last, ROWS);
        CompletableFuture<Double> imported = CompletableFuture.supplyAsync(() -> {
            String page = table.send();
            return table.check(page) + table.bringIn(page);
        });
        Load.Measured readings = load.readings(READINGS_PER_SECOND, SECONDS);
        Size size = new Size(
                wanted,
                sql.number("select count(*) from log_entry"),
                sql.number("select pg_database_size(current_database())") / GB,
                day,
                readings.times(),
                readings.faults().size()
                        + day.values().stream()
                                .mapToInt(kind -> kind.faults().size())
                                .sum(),
                imported.join(),
                memory(),
                sql.seconds("vacuum (analyze) log_entry"),
                sql.number("select pg_indexes_size('log_entry')") / GB);
        say(
                "  %,.0f entries, %.1f GB, %.1f GB of it indexes of the log; p95 home %.0f ms, readings %.0f ms; import %.0f s;"
                        + " %d MB; vacuum %.1f s",
                size.entries,
                size.gigabytes,
                size.indexGb,
                day.get(Day.Kind.HOME).times().p95(),
                readings.times().p95(),
                size.importS,
                size.memoryMb,
                size.vacuumS);
        return size;
    }

    private int memory() throws IOException {
        return Files.readAllLines(Path.of("/proc", process, "status")).stream()
                .filter(line -> line.startsWith("VmRSS:"))
                .mapToInt(line -> Integer.parseInt(line.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElseThrow();
    }

    /** @return whether all goals were met */
    private static boolean tell(List<Size> sizes) {
        boolean met = true;
        say("%n%-10s%s", "median/p95", each(sizes, "%,d riders", Size::riders));
        for (Day.Kind kind : Day.Kind.values()) {
            double growth = of(sizes.get(sizes.size() - 1), kind).median()
                    / of(sizes.get(0), kind).median();
            boolean flat = growth <= FLAT;
            met &= flat;
            say(
                    "%-10s%s   x %.2f %s",
                    kind.said(),
                    each(
                            sizes,
                            "%s",
                            size -> String.format(
                                    Locale.ROOT,
                                    "%.1f / %.1f",
                                    of(size, kind).median(),
                                    of(size, kind).p95())),
                    growth,
                    flat ? "" : "over " + FLAT);
        }
        say(
                "%-10s%s",
                "readings",
                each(
                        sizes,
                        "%s",
                        size -> String.format(
                                Locale.ROOT, "%.1f / %.1f", size.readings.median(), size.readings.p95())));
        say("%-10s%s", "import, s", each(sizes, "%.0f", Size::importS));
        say("%-10s%s", "entries", each(sizes, "%,.0f", Size::entries));
        say("%-10s%s", "GB", each(sizes, "%.2f", Size::gigabytes));
        say("%-10s%s", "indexes", each(sizes, "%.2f", Size::indexGb));
        say("%-10s%s", "vacuum, s", each(sizes, "%.1f", Size::vacuumS));
        say("%-10s%s", "MB", each(sizes, "%d", Size::memoryMb));
        say("%-10s%s", "faults", each(sizes, "%d", Size::faults));
        met &= sizes.stream().allMatch(size -> size.faults == 0);
        if (sizes.stream().anyMatch(size -> size.memoryMb > MOST_MB)) {
            say("over %d MB", MOST_MB);
            met = false;
        }
        say(met ? "all goals met" : "goals missed");
        return met;
    }

    private static Times of(Size size, Day.Kind kind) {
        return size.day.get(kind).times();
    }

    private static String each(List<Size> sizes, String format, Function<Size, Object> value) {
        StringBuilder line = new StringBuilder();
        sizes.forEach(size ->
                line.append(String.format(Locale.ROOT, "%18s", String.format(Locale.ROOT, format, value.apply(size)))));
        return line.toString();
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
