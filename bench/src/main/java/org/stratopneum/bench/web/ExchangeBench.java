package org.stratopneum.bench.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How long it takes to bring many readings in and to take them out, beside PostgreSQL's own COPY of the same rows into
 * a table with the same columns, checks and indexes; and how long the log is looked through then. Run by ./stratopneum
 * bench exchange on a database of its own, as the demo rider.
 *
 * <p>Usage: ExchangeBench ADDRESS PSQL DATABASE ROWS
 */
public final class ExchangeBench {

    private static final String COLUMNS =
            "owner, id, kind, happened_at, written_at, zone, bike_id, wheelset_id, wheel_id,"
                    + " tire_id, gauge_id, place_id, part_id, temperature_c, detail, detail_version, source, source_reference,"
                    + " supersedes, struck, note, words";
    private static final int TURNS = 5;
    private static final int ASKED = 40;
    private static final int TO_WARM_UP = 10;

    private ExchangeBench() {}

    public static void main(String[] arguments) throws IOException {
        Browser browser = new Browser(arguments[0]);
        Sql sql = new Sql(arguments[1], arguments[2]);
        int rows = Integer.parseInt(arguments[3]);
        ImportedTable table = new ImportedTable(browser, rows);
        say("%,d readings, %.1f MB as a table", rows, table.megabytes());
        Path copy = Files.createTempFile("rows", ".copy");

        String page = table.send();
        double checked = table.check(page);
        double in = table.bringIn(page);
        sql.ask("-c", "\\copy (select " + COLUMNS + " from log_entry where source = 'IMPORT') to '" + copy + "'");
        sql.ask("-c", "create table copied (like log_entry including all)");
        double copyIn = sql.seconds("\\copy copied (" + COLUMNS + ") from '" + copy + "'");
        say(
                "in:      checked %.1f s, brought in %.1f s, COPY %.1f s, ratio of both %.1f (wanted at most 6)",
                checked, in, copyIn, (checked + in) / copyIn);

        sql.ask("-c", "analyze log_entry");
        // by turns, since a machine has better and worse moments
        List<Double> tables = new ArrayList<>();
        List<Double> archives = new ArrayList<>();
        List<Double> copies = new ArrayList<>();
        for (int i = 0; i < TURNS; i++) {
            tables.add(seconds(() -> browser.discard("/exchange/table.csv?sort=readings")));
            archives.add(seconds(() -> browser.discard("/exchange/garage.json")));
            copies.add(sql.seconds(
                    "\\copy (select " + COLUMNS + " from log_entry where kind = 'PRESSURE_READ') to '" + copy + "'"));
        }
        double copyOut = Times.of(copies).median();
        say(
                "out:     table %.1f s, archive %.1f s, COPY %.2f s, ratios %.1f and %.1f (wanted at most 4; medians of %d)",
                Times.of(tables).median(),
                Times.of(archives).median(),
                copyOut,
                Times.of(tables).median() / copyOut,
                Times.of(archives).median() / copyOut,
                TURNS);

        say("server's first page of %,d entries, median and 95 %% of %d:", rows, ASKED - TO_WARM_UP);
        for (String words : List.of(
                "/log",
                "/log?words=read",
                "/log?words=thorn",
                "/log?words=nowhere",
                "/log?topic=HOLES",
                "/log?words=rear+pass&topic=READINGS&since=2024-03-01&until=2024-09-01")) {
            List<Double> times = new ArrayList<>();
            for (int i = 0; i < ASKED; i++) {
                times.add(1000 * seconds(() -> browser.discard(words)));
            }
            Times measured = Times.of(times.subList(TO_WARM_UP, ASKED));
            say("  %-75s %5.0f ms %5.0f ms", words, measured.median(), measured.p95());
        }
        Files.delete(copy);
    }

    private static double seconds(Runnable work) {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e9;
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
