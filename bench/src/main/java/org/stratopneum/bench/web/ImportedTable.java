package org.stratopneum.bench.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** A table of readings of the demo's bikes, and how it is brought in. */
final class ImportedTable {

    private static final long LOOK_MS = 50;

    private final Browser browser;
    private final String text;

    /** @param browser of somebody with the demo's bikes */
    ImportedTable(Browser browser, int rows) {
        this.browser = browser;
        StringBuilder table = new StringBuilder("date,time,bike,wheel,pressure psi,state,note\n");
        for (int i = 0; i < rows; i++) {
            table.append(String.format(
                    Locale.ROOT,
                    "%d-%02d-%02d,%02d:%02d:%02d,%s,%s,%.1f,%s,%s\n",
                    2020 + i % 6,
                    1 + i / 6 % 12,
                    1 + i / 72 % 28,
                    i / 2016 % 24,
                    i % 60,
                    i / 60 % 60,
                    List.of("Skylark", "Heron", "Sledge").get(i % 3),
                    i % 2 == 0 ? "rear" : "front",
                    15 + i % 50 / 2.0,
                    i % 4 == 0 ? "set" : "found",
                    i % 10 == 0 ? "over the pass" : ""));
        }
        text = table.toString();
    }

    double megabytes() {
        return text.length() / 1e6;
    }

    /** @return its page, once it is sent and understood */
    String send() {
        String page = browser.upload(
                        "/imports", Map.of("newId", UUID.randomUUID().toString()), "bench.csv", text)
                .join()
                .location();
        Map<String, String> fields = new LinkedHashMap<>(Map.of(
                "version",
                "2",
                "heading",
                "on",
                "decimal",
                "POINT",
                "separator",
                "COMMA",
                "encoding",
                "UTF_8",
                "order",
                "YMD",
                "unit4",
                "PSI"));
        List<String> columns = List.of("DATE", "TIME", "BIKE", "WHEEL", "PRESSURE", "STATE", "NOTE");
        for (int i = 0; i < columns.size(); i++) {
            fields.put("column" + i, columns.get(i));
        }
        browser.post(page, fields).join();
        return page;
    }

    /** @return how long it took to look through the table (s) */
    double check(String page) {
        return press(page, "check", "id=\"checked\"");
    }

    /** @return how long it took to write the readings (s) */
    double bringIn(String page) {
        return press(page, "bring-in", "id=\"done\"");
    }

    private double press(String page, String button, String sign) {
        long begun = System.nanoTime();
        browser.post(page + "/" + button, Map.of()).join();
        String shown = browser.get(page).join().text();
        while (shown.contains("data-busy=\"true\"")) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(LOOK_MS));
            shown = browser.get(page).join().text();
        }
        if (!shown.contains(sign)) {
            throw new IllegalStateException(shown.replaceAll("<[^>]+>", " ").replaceAll("\\s+", " "));
        }
        return (System.nanoTime() - begun) / 1e9;
    }
}
