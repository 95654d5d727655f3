import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How long it takes to bring many readings in and to take them out, beside PostgreSQL's own COPY of the same rows into
 * a table with the same columns, checks and indexes; and how long the log is looked through then. Run by ./stratopneum
 * bench exchange on a database of its own, as the demo rider.
 */
class ExchangeBench {

    private static final HttpClient CLIENT =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private static final String COLUMNS = "owner, id, kind, happened_at, written_at, zone, bike_id, wheelset_id, wheel_id,"
            + " tire_id, gauge_id, place_id, part_id, temperature_c, detail, detail_version, source, source_reference,"
            + " supersedes, struck, note, words";
    private static final int TURNS = 5;
    private static String site;
    private static String psql;
    private static String owner;

    public static void main(String[] arguments) throws Exception {
        site = arguments[0];
        psql = arguments[1];
        owner = arguments[2];
        int rows = Integer.parseInt(arguments[3]);
        Path folder = Files.createTempDirectory("exchange");
        String table = table(rows);
        say("%,d readings, %.1f MB as a table", rows, table.length() / 1e6);

        String sent = location(upload(table));
        understand(sent);
        double checked = press(sent, "check");
        double in = press(sent, "bring-in");
        Path copy = folder.resolve("rows.copy");
        sql("\\copy (select " + COLUMNS + " from log_entry where source = 'IMPORT') to '" + copy + "'");
        sql("create table copied (like log_entry including all)");
        double copyIn = sql("\\copy copied (" + COLUMNS + ") from '" + copy + "'");
        say("in:      checked %.1f s, brought in %.1f s, COPY %.1f s, ratio of both %.1f (wanted at most 6)",
                checked, in, copyIn, (checked + in) / copyIn);

        sql("analyze log_entry");
        // by turns, since a machine has better and worse moments
        List<List<Double>> out = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        for (int i = 0; i < TURNS; i++) {
            out.get(0).add(get("/exchange/table.csv?sort=readings"));
            out.get(1).add(get("/exchange/garage.json"));
            out.get(2).add(sql("\\copy (select " + COLUMNS + " from log_entry where kind = 'PRESSURE_READ') to '" + copy + "'"));
        }
        double copyOut = median(out.get(2));
        say("out:     table %.1f s, archive %.1f s, COPY %.2f s, ratios %.1f and %.1f (wanted at most 4; medians of %d)",
                median(out.get(0)), median(out.get(1)), copyOut, median(out.get(0)) / copyOut,
                median(out.get(1)) / copyOut, TURNS);

        say("server's first page of %,d entries, median and 95 %% of 30:", rows);
        for (String page : List.of("/log", "/log?words=read", "/log?words=thorn", "/log?words=nowhere", "/log?topic=HOLES",
                "/log?words=rear+pass&topic=READINGS&since=2024-03-01&until=2024-09-01")) {
            List<Double> times = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                double time = get(page);
                if (i >= 10) {
                    times.add(1000 * time);
                }
            }
            Collections.sort(times);
            say("  %-75s %5.0f ms %5.0f ms", page, times.get(times.size() / 2), times.get(times.size() * 95 / 100));
        }
        Files.deleteIfExists(copy);
        Files.delete(folder);
    }

    private static String table(int rows) {
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
        return table.toString();
    }

    private static HttpResponse<String> upload(String table) throws IOException, InterruptedException {
        String line = "--piece\r\nContent-Disposition: form-data; name=";
        String body = line + "\"_csrf\"\r\n\r\n" + token() + "\r\n" + line + "\"newId\"\r\n\r\n" + UUID.randomUUID() + "\r\n"
                + line + "\"file\"; filename=\"bench.csv\"\r\nContent-Type: text/csv\r\n\r\n" + table + "\r\n--piece--\r\n";
        return CLIENT.send(
                HttpRequest.newBuilder(URI.create(site + "/imports"))
                        .header("Content-Type", "multipart/form-data; boundary=piece")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElseThrow(() -> new IllegalStateException(answer.body()));
    }

    private static void understand(String sent) throws IOException, InterruptedException {
        post(sent, "version=2&heading=on&decimal=POINT&separator=COMMA&encoding=UTF_8&order=YMD&unit4=PSI&column0=DATE"
                + "&column1=TIME&column2=BIKE&column3=WHEEL&column4=PRESSURE&column5=STATE&column6=NOTE");
    }

    private static double press(String sent, String button) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        post(sent + "/" + button, "");
        String page = text(sent);
        while (page.contains("data-busy=\"true\"")) {
            Thread.sleep(50);
            page = text(sent);
        }
        if (!page.contains(button.equals("check") ? "id=\"checked\"" : "id=\"done\"")) {
            throw new IllegalStateException(page.replaceAll("<[^>]+>", " ").replaceAll("\\s+", " "));
        }
        return since(begun);
    }

    private static void post(String path, String fields) throws IOException, InterruptedException {
        HttpResponse<String> answer = CLIENT.send(
                HttpRequest.newBuilder(URI.create(site + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(fields + "&_csrf=" + token()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 302) {
            throw new IllegalStateException(path + " answered " + answer.statusCode());
        }
    }

    private static String token() throws IOException, InterruptedException {
        Matcher found = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(text("/exchange"));
        if (!found.find()) {
            throw new IllegalStateException("no form");
        }
        return found.group(1);
    }

    private static String text(String path) throws IOException, InterruptedException {
        return CLIENT.send(HttpRequest.newBuilder(URI.create(site + path)).build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8)).body();
    }

    private static double get(String path) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        HttpResponse<Void> answer = CLIENT.send(
                HttpRequest.newBuilder(URI.create(site + path)).build(), HttpResponse.BodyHandlers.discarding());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + " answered " + answer.statusCode());
        }
        return since(begun);
    }

    private static double sql(String command) throws IOException, InterruptedException {
        long begun = System.nanoTime();
        int exit = new ProcessBuilder(psql, "-q", "-v", "ON_ERROR_STOP=1", "-c", command, owner).inheritIO().start().waitFor();
        if (exit != 0) {
            throw new IllegalStateException(command);
        }
        return since(begun);
    }

    private static double median(List<Double> times) {
        return times.stream().sorted().toList().get(times.size() / 2);
    }

    private static double since(long begun) {
        return (System.nanoTime() - begun) / 1e9;
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
