import java.io.IOException;
import java.io.OutputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What becomes of entries while the application and its database are killed by turns, while the disk of the database is
 * full, and whether anybody of a crowd sees a fault. Run by ./stratopneum bench chaos on databases of its own; it asks
 * this machine only, and stops by itself. Exit code 1 where an acknowledged entry is lost or stands twice, or where
 * anything was answered that is neither done nor a plain "later" (503).
 */
class ChaosBench {

    private static final Duration PATIENCE = Duration.ofSeconds(90);
    private static final String FORM = "application/x-www-form-urlencoded";

    private static String launcher;
    private static String settings;
    private static String psql;
    private static String owner;
    private static String site;
    private static Application application;

    public static void main(String[] arguments) throws Exception {
        String what = arguments[0];
        launcher = arguments[1];
        settings = arguments[2];
        psql = arguments[3];
        owner = arguments[4];
        site = "http://127.0.0.1:" + arguments[5];
        double amount = Double.parseDouble(arguments[6]);
        application = new Application(Path.of(arguments[7]), Arrays.asList(arguments).subList(8, arguments.length));
        application.start();
        boolean fine;
        try {
            fine = switch (what) {
                case "kills" -> kills((int) amount);
                case "disk" -> fullDisk();
                case "crowd" -> crowd(Duration.ofSeconds((long) (60 * amount)));
                default -> throw new IllegalArgumentException(what);
            };
        } finally {
            application.kill();
        }
        System.exit(fine ? 0 : 1);
    }

    /** The process that is killed and started again. */
    private static final class Application {
        private final Path log;
        private final List<String> command;
        private Process process;

        Application(Path log, List<String> command) {
            this.log = log;
            this.command = command;
        }

        void start() throws IOException, InterruptedException {
            process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
                    .start();
            Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
            HttpClient client = HttpClient.newHttpClient();
            long end = System.nanoTime() + PATIENCE.toNanos();
            while (status(client, "/actuator/health") != 200) {
                if (System.nanoTime() > end) {
                    throw new IllegalStateException("the application does not answer; its log is " + log);
                }
                Thread.sleep(100);
            }
        }

        void kill() throws InterruptedException {
            process.destroyForcibly().waitFor();
        }
    }

    private static int status(HttpClient client, String path) throws InterruptedException {
        try {
            return client.send(
                            HttpRequest.newBuilder(URI.create(site + path)).timeout(PATIENCE).build(),
                            HttpResponse.BodyHandlers.discarding())
                    .statusCode();
        } catch (IOException away) {
            return 0;
        }
    }

    /** Somebody with an account, a bike, and a token for a script. */
    private static final class Rider {
        final HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        final HttpClient script = HttpClient.newHttpClient();
        final String bike = UUID.randomUUID().toString();
        String wheel;
        String token;

        /** The token that this session's forms carry. */
        private String form;

        Rider() throws IOException, InterruptedException {
            must(post("/sign-up", "name", "Rider " + bike.substring(0, 13), "password", "lichen on the north wall", "unit", "PSI"));
            form = null;
            must(post("/bikes", "asked", "1", "id", bike, "name", "Plover", "posture", "MOUNTAIN", "same", "on",
                    "pressureUnit", "PSI", "lengthUnit", "MM", "massUnit", "KG", "rear-size", "29x2.25",
                    "rear-rimWidth", "30", "rear-setup", "TUBELESS", "rear-tubeless", "on", "front-setup", "TUBELESS",
                    "ground1", "CROSS_COUNTRY", "share1", "100", "drop", "BALANCED", "rider", "70", "bike", "13"));
            wheel = found("/wheels/([0-9a-f-]{36})", get("/garage").body());
            token = found("id=\"fresh\">([^<]+)<",
                    post("/tokens", "newId", UUID.randomUUID().toString(), "name", "Script", "read", "on", "append", "on").body());
        }

        private static void must(HttpResponse<String> answer) {
            if (answer.statusCode() != 302) {
                throw new IllegalStateException(answer.uri() + " answered " + answer.statusCode() + answer.body());
            }
        }

        HttpResponse<String> get(String path) throws IOException, InterruptedException {
            return client.send(
                    HttpRequest.newBuilder(URI.create(site + path)).timeout(PATIENCE).build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        HttpResponse<String> post(String path, String... pairs) throws IOException, InterruptedException {
            if (form == null) {
                form = found("name=\"_csrf\" value=\"([^\"]+)\"", get("/sign-in").body());
            }
            StringBuilder body = new StringBuilder("_csrf=").append(encoded(form));
            for (int i = 0; i < pairs.length; i += 2) {
                body.append('&').append(pairs[i]).append('=').append(encoded(pairs[i + 1]));
            }
            return client.send(
                    HttpRequest.newBuilder(URI.create(site + path))
                            .timeout(PATIENCE)
                            .header("Content-Type", FORM)
                            .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        /** Writes a reading as a script does. @return the status; 0 where no answer came */
        int append(UUID id, String note) throws InterruptedException {
            String entry = "{\"id\": \"" + id + "\", \"kind\": \"PRESSURE_READ\", \"wheelId\": \"" + wheel
                    + "\", \"note\": \"" + note + "\", \"detail\": {\"gaugeKpa\": 152, \"readIn\": \"PSI\", \"afterInflation\": true}}";
            try {
                return script.send(
                                HttpRequest.newBuilder(URI.create(site + "/api/v1/log"))
                                        .timeout(PATIENCE)
                                        .header("Authorization", "Bearer " + token)
                                        .header("Content-Type", "application/json")
                                        .POST(HttpRequest.BodyPublishers.ofString(entry))
                                        .build(),
                                HttpResponse.BodyHandlers.discarding())
                        .statusCode();
            } catch (IOException away) {
                return 0;
            }
        }
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private static String found(String pattern, String page) {
        Matcher matcher = Pattern.compile(pattern).matcher(page);
        if (!matcher.find()) {
            throw new IllegalStateException("no " + pattern + " in " + page.substring(0, Math.min(2000, page.length())));
        }
        return matcher.group(1);
    }

    /** Threads that append, each entry until it is acknowledged. */
    private static final class Writers {
        private final Rider rider = new Rider();
        private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
        private final Map<Integer, AtomicInteger> answers = new ConcurrentSkipListMap<>();
        private final AtomicLong last = new AtomicLong();
        private final List<Thread> threads = new ArrayList<>();
        private volatile boolean stop;

        Writers(int many, String note) throws IOException, InterruptedException {
            for (int i = 0; i < many; i++) {
                Thread thread = new Thread(() -> write(note), "writer");
                threads.add(thread);
                thread.start();
            }
        }

        private void write(String note) {
            try {
                while (!stop) {
                    UUID id = UUID.randomUUID();
                    int status = 0;
                    while (!stop && status != 201 && status != 200) {
                        status = rider.append(id, note);
                        answers.computeIfAbsent(status, key -> new AtomicInteger()).incrementAndGet();
                        if (status == 201 || status == 200) {
                            acknowledged.add(id.toString());
                            last.set(System.nanoTime());
                        } else {
                            Thread.sleep(50);
                        }
                    }
                }
            } catch (InterruptedException interrupted) {
                Thread.currentThread().interrupt();
            }
        }

        int refused(int status) {
            AtomicInteger count = answers.get(status);
            return count == null ? 0 : count.get();
        }

        /** Waits until something is acknowledged again; how long that takes from {@code begun} (s). */
        double back(long begun) throws InterruptedException {
            long asked = System.nanoTime();
            while (last.get() < asked) {
                if (System.nanoTime() - begun > PATIENCE.toNanos()) {
                    throw new IllegalStateException("nothing is acknowledged any more");
                }
                Thread.sleep(20);
            }
            return (last.get() - begun) / 1e9;
        }

        boolean end() throws IOException, InterruptedException {
            stop = true;
            for (Thread thread : threads) {
                thread.join();
            }
            Map<String, Integer> there = new HashMap<>();
            for (String id : sql("select id from log_entry").split("\\s+")) {
                there.merge(id, 1, Integer::sum);
            }
            long lost = acknowledged.stream().filter(id -> !there.containsKey(id)).count();
            long twice = acknowledged.stream().filter(id -> there.getOrDefault(id, 0) > 1).count();
            Map<Integer, Integer> odd = new TreeMap<>();
            answers.forEach((status, count) -> {
                if (!Set.of(0, 200, 201, 503).contains(status)) {
                    odd.put(status, count.get());
                }
            });
            say("  %,d acknowledged, %d lost, %d twice; answers by status (0: none came): %s",
                    acknowledged.size(), lost, twice, answers);
            return lost == 0 && twice == 0 && odd.isEmpty() && !acknowledged.isEmpty();
        }
    }

    private static boolean kills(int many) throws Exception {
        say("%d kills of application and database by turns, four writers:", many);
        Writers writers = new Writers(4, "a note");
        Random random = new Random(1);
        Map<String, List<Double>> back = new LinkedHashMap<>();
        for (int i = 0; i < many; i++) {
            Thread.sleep(500 + random.nextInt(2500));
            boolean whole = i % 2 == 0;
            long begun = System.nanoTime();
            if (whole) {
                application.kill();
                application.start();
            } else {
                launcher("kill");
                launcher("again");
            }
            back.computeIfAbsent(whole ? "application" : "database", key -> new ArrayList<>()).add(writers.back(begun));
        }
        boolean fine = writers.end();
        back.forEach((who, times) -> {
            Collections.sort(times);
            say("  back after %.1f s in the middle, %.1f s at most (%s)",
                    times.get(times.size() / 2), times.get(times.size() - 1), who);
        });
        return fine;
    }

    private static void launcher(String word) throws IOException, InterruptedException {
        int exit = new ProcessBuilder(launcher, "test-database", word, settings)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        if (exit != 0) {
            throw new IllegalStateException("the database could not be told: " + word);
        }
    }

    /** Fills the disk that the settings lie on, and gives the room back. */
    private static boolean fullDisk() throws Exception {
        say("A disk that is full:");
        Writers writers = new Writers(4, "x".repeat(1900));
        Thread.sleep(3000);
        Path filler = Path.of(settings).resolveSibling("filler");
        fill(filler);
        long end = System.nanoTime() + 3 * PATIENCE.toNanos();
        while (writers.refused(503) < 200) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("it never was full");
            }
            fill(filler);
            Thread.sleep(500);
        }
        Map<Integer, Integer> pages = new TreeMap<>();
        for (int i = 0; i < 20; i++) {
            pages.merge(status(writers.rider.client, i % 2 == 0 ? "/" : "/log"), 1, Integer::sum);
        }
        say("  pages meanwhile, by status: %s", pages);
        Files.delete(filler);
        long begun = System.nanoTime();
        launcher("again");
        say("  back %.1f s after there was room", writers.back(begun));
        return writers.end() && Set.of(200, 503).containsAll(pages.keySet());
    }

    private static void fill(Path filler) {
        try (OutputStream out = Files.newOutputStream(filler, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND)) {
            for (int i = 0; i < 4096; i++) {
                out.write(new byte[1 << 18]);
            }
        } catch (IOException full) {
            // that was the aim
        }
    }

    private static boolean crowd(Duration lasts) throws Exception {
        int many = 200;
        List<Rider> riders = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            riders.add(new Rider());
        }
        say("%d riders for %.1f minutes, each asks every 10 s in the mean:", many, lasts.toSeconds() / 60.0);
        long end = System.nanoTime() + lasts.toNanos();
        List<Double> times = Collections.synchronizedList(new ArrayList<>());
        Map<Integer, AtomicInteger> answers = new ConcurrentSkipListMap<>();
        List<Thread> threads = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Rider rider = riders.get(i);
            Random random = new Random(i);
            Thread thread = new Thread(() -> ride(rider, random, end, times, answers), "rider");
            threads.add(thread);
            thread.start();
        }
        for (Thread thread : threads) {
            thread.join();
        }
        Collections.sort(times);
        say("  %,d answers, by status %s; %.0f ms in the middle, %.0f ms for 95 %%",
                times.size(), answers, times.get(times.size() / 2), times.get(times.size() * 95 / 100));
        return Set.of(200, 302).containsAll(answers.keySet());
    }

    /** As riders do: looks at the bikes, writes a reading, looks at what is due, a wheel, the log. */
    private static void ride(
            Rider rider, Random random, long end, List<Double> times, Map<Integer, AtomicInteger> answers) {
        try {
            // they do not all come in the second after a start
            Thread.sleep(random.nextInt((int) Math.min(20_000, (end - System.nanoTime()) / 4_000_000)));
            while (System.nanoTime() < end) {
                Thread.sleep((long) (-10_000 * Math.log(1 - random.nextDouble())));
                int what = random.nextInt(100);
                long begun = System.nanoTime();
                int status;
                try {
                    status = what < 15
                            ? rider.post("/bikes/" + rider.bike + "/readings", "rear", "21.5", "unit", "PSI",
                                            "rearEntry", UUID.randomUUID().toString())
                                    .statusCode()
                            : rider.get(what < 55 ? "/" : what < 70 ? "/todo" : what < 90 ? "/wheels/" + rider.wheel : "/log")
                                    .statusCode();
                } catch (IOException none) {
                    status = 0;
                }
                times.add((System.nanoTime() - begun) / 1e6);
                answers.computeIfAbsent(status, key -> new AtomicInteger()).incrementAndGet();
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    private static String sql(String command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(psql, "-At", "-v", "ON_ERROR_STOP=1", "-c", command, owner)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IllegalStateException(command);
        }
        return out.strip();
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
