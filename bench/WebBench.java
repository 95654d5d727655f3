import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;

/**
 * Asks a running Stratopneum for the pages of a rider's day, mixed, at a steady rate, and says how long the answers took.
 * Requests leave by the clock, whether or not the ones before have been answered, and each is timed from the moment when
 * it was due, so that a stumbling server cannot hide behind a waiting client. The largest style sheet is asked for among
 * them: it says what this machine takes for an answer that needs no work at the time.
 *
 * <p>Usage: java WebBench.java ADDRESS REQUESTS_PER_SECOND SECONDS [ADDRESS_OF_FIGURES]. Ends with 1 where a goal is missed.
 */
final class WebBench {

    /** Pages that a rider reads, within so long, 95 of 100 (ms). */
    private static final double PAGE_MS = 60;

    /** And within so many times what the style sheet took. */
    private static final double TIMES_STATIC = 3;

    /** No answer takes longer (ms). */
    private static final double LONGEST_MS = 300;

    /** A reading, from the button to the page that says that it is saved (ms). */
    private static final double WRITE_MS = 100;

    private static final int WARM_UP = 3000;
    private static final int HANDS = 4;

    private static final Pattern FORM = Pattern.compile("action=\"(/bikes/[^\"]+/readings)\".*?</form>", Pattern.DOTALL);
    private static final Pattern TOLD = Pattern.compile("name=\"told(Rear|Front)\" value=\"([\\d.]+)\"");
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern WHEEL = Pattern.compile("href=\"(/wheels/[0-9a-f-]{36})\"");
    private static final Pattern STYLES = Pattern.compile("href=\"(/assets/[^\"]+\\.css)\"");

    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final Random random = new Random(20);
    private final String address;
    private final List<String> wheels = new ArrayList<>();
    private final List<Bike> bikes = new ArrayList<>();
    private final Map<String, Integer> bytes = new ConcurrentHashMap<>();
    private String token;
    private String styles;

    /** A bike that pressures are written for, with what is recommended. */
    private record Bike(String action, double rear, double front) {}

    /** What is asked for: its name, how often among 200, and whether a goal is set for it. */
    private enum Kind {
        HOME(80, true),
        WRITE(30, false),
        TODO(20, true),
        MONTH(10, true),
        WHEEL(10, true),
        SEALANT(10, true),
        AIR_LOSS(10, true),
        HISTORY(10, true),
        LOG(20, false),
        STATIC(20, false);

        private final int share;
        private final boolean judged;

        Kind(int share, boolean judged) {
            this.share = share;
            this.judged = judged;
        }

        String said() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }

    private WebBench(String address) {
        this.address = address;
    }

    public static void main(String[] arguments) {
        WebBench bench = new WebBench(arguments[0]);
        bench.look();
        bench.warmUp();
        double perSecond = Double.parseDouble(arguments[1]);
        Map<Kind, double[]> times = bench.measure(perSecond, Integer.parseInt(arguments[2]));
        Map<Kind, Double> statements = arguments.length > 3 ? bench.statements(arguments[3]) : Map.of();
        System.exit(bench.tell(times, statements) ? 0 : 1);
    }

    /** What there is to ask for. */
    private void look() {
        String home = ask("/").join();
        String garage = ask("/garage").join();
        Matcher wheel = WHEEL.matcher(garage + home);
        while (wheel.find()) {
            if (!wheels.contains(wheel.group(1))) {
                wheels.add(wheel.group(1));
            }
        }
        Matcher form = FORM.matcher(home);
        while (form.find()) {
            Map<String, Double> told = new TreeMap<>();
            Matcher value = TOLD.matcher(form.group());
            while (value.find()) {
                told.put(value.group(1), Double.valueOf(value.group(2)));
            }
            if (told.size() == 2) {
                bikes.add(new Bike(form.group(1), told.get("Rear"), told.get("Front")));
            }
        }
        token = first(TOKEN, home);
        styles = first(STYLES, home);
        System.out.printf("%d wheels, %d bikes%n", wheels.size(), bikes.size());
    }

    private static String first(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        if (!found.find()) {
            throw new IllegalStateException("the home page has no " + pattern);
        }
        return found.group(1);
    }

    /** As fast as a few hands can, until the code that runs is the code that stays. */
    private void warmUp() {
        List<Kind> mix = mix(WARM_UP);
        for (int i = 0; i < mix.size(); i += HANDS) {
            CompletableFuture.allOf(mix.subList(i, Math.min(mix.size(), i + HANDS)).stream()
                            .map(kind -> request(kind).get())
                            .toArray(CompletableFuture[]::new))
                    .join();
        }
    }

    private List<Kind> mix(int count) {
        List<Kind> all = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            all.addAll(Collections.nCopies(kind.share, kind));
        }
        List<Kind> mix = new ArrayList<>();
        while (mix.size() < count) {
            Collections.shuffle(all, random);
            mix.addAll(all);
        }
        return mix.subList(0, count);
    }

    private Map<Kind, double[]> measure(double perSecond, int seconds) {
        Map<Kind, List<CompletableFuture<Double>>> asked = new LinkedHashMap<>();
        long pause = (long) (TimeUnit.SECONDS.toNanos(1) / perSecond);
        long start = System.nanoTime();
        List<Kind> mix = mix((int) (perSecond * seconds));
        for (int i = 0; i < mix.size(); i++) {
            long due = start + i * pause;
            for (long left = due - System.nanoTime(); left > 0; left = due - System.nanoTime()) {
                LockSupport.parkNanos(left);
            }
            asked.computeIfAbsent(mix.get(i), kind -> new ArrayList<>())
                    .add(request(mix.get(i)).get().thenApply(answer -> (System.nanoTime() - due) / 1e6));
        }
        Map<Kind, double[]> times = new TreeMap<>();
        asked.forEach((kind, answers) -> times.put(
                kind,
                answers.stream().mapToDouble(CompletableFuture::join).sorted().toArray()));
        return times;
    }

    private Supplier<CompletableFuture<String>> request(Kind kind) {
        String wheel = wheels.get(random.nextInt(wheels.size()));
        return switch (kind) {
            case HOME -> () -> ask("/");
            case TODO -> () -> ask("/todo");
            case MONTH -> () -> ask("/todo/month");
            case WHEEL -> () -> ask(wheel);
            case SEALANT -> () -> ask(wheel + "/sealant");
            case AIR_LOSS -> () -> ask(wheel + "/leaks");
            case HISTORY -> () -> ask(wheel + "/history");
            case LOG -> () -> ask("/log");
            case STATIC -> () -> ask(styles);
            case WRITE -> {
                Bike bike = bikes.get(random.nextInt(bikes.size()));
                double off = random.nextInt(5) / 2.0 - 1;
                yield () -> write(bike, off).thenApply(page -> {
                    if (!page.contains("Saved")) {
                        throw new IllegalStateException("a reading was not saved");
                    }
                    return page;
                });
            }
        };
    }

    private CompletableFuture<String> write(Bike bike, double off) {
        Map<String, String> fields = Map.of(
                "_csrf", token,
                "unit", "PSI",
                "state", "FOUND",
                "rearEntry", UUID.randomUUID().toString(),
                "frontEntry", UUID.randomUUID().toString(),
                "rear", String.valueOf(bike.rear + off),
                "front", String.valueOf(bike.front + off));
        StringBuilder form = new StringBuilder();
        fields.forEach((name, value) -> form.append(form.isEmpty() ? "" : "&")
                .append(name)
                .append('=')
                .append(URLEncoder.encode(value, StandardCharsets.UTF_8)));
        return send(HttpRequest.newBuilder(URI.create(address + bike.action))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form.toString())));
    }

    private CompletableFuture<String> ask(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)));
    }

    private CompletableFuture<String> send(HttpRequest.Builder request) {
        request.header("Accept", "text/html, */*").header("Accept-Encoding", "gzip").timeout(Duration.ofSeconds(30));
        return client.sendAsync(request.build(), HttpResponse.BodyHandlers.ofByteArray())
                .thenApply(answer -> {
                    if (answer.statusCode() != 200) {
                        throw new IllegalStateException(answer.uri() + " answered " + answer.statusCode());
                    }
                    return text(answer);
                });
    }

    private String text(HttpResponse<byte[]> answer) {
        boolean zipped = answer.headers().firstValue("Content-Encoding").isPresent();
        bytes.put(answer.request().uri().getPath(), answer.body().length);
        try (GZIPInputStream in = zipped ? new GZIPInputStream(new ByteArrayInputStream(answer.body())) : null) {
            return new String(zipped ? in.readAllBytes() : answer.body(), StandardCharsets.UTF_8);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    /** How many statements each page takes, by the server's own count, asked alone. */
    private Map<Kind, Double> statements(String figures) {
        Map<Kind, Double> counted = new TreeMap<>();
        for (Kind kind : Kind.values()) {
            request(kind).get().join();
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(200));
            double before = statementsSoFar(figures);
            request(kind).get().join();
            counted.put(kind, statementsSoFar(figures) - before);
        }
        return counted;
    }

    private double statementsSoFar(String figures) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(figures + "/actuator/prometheus")).build();
        return client.sendAsync(request, HttpResponse.BodyHandlers.ofString())
                .join()
                .body()
                .lines()
                .filter(line -> line.startsWith("stratopneum_statements_seconds_count"))
                .mapToDouble(line -> Double.parseDouble(line.substring(line.lastIndexOf(' ') + 1)))
                .sum();
    }

    /** @return whether all goals were met */
    private boolean tell(Map<Kind, double[]> times, Map<Kind, Double> statements) {
        double fixed = percentile(times.get(Kind.STATIC), 95);
        System.out.printf(
                Locale.ROOT,
                "%-9s %6s %8s %8s %8s %8s %8s %6s %6s%n",
                "page", "asked", "median", "p95", "longest", "x static", "kB", "SQL", "");
        boolean met = true;
        for (Map.Entry<Kind, double[]> entry : times.entrySet()) {
            Kind kind = entry.getKey();
            double[] ms = entry.getValue();
            double p95 = percentile(ms, 95);
            double longest = ms[ms.length - 1];
            List<String> missed = new ArrayList<>();
            if (kind.judged && p95 > PAGE_MS) {
                missed.add("p95 over " + PAGE_MS + " ms");
            }
            if (kind.judged && p95 > TIMES_STATIC * fixed) {
                missed.add("over " + TIMES_STATIC + " x static");
            }
            if (kind == Kind.WRITE && p95 > WRITE_MS) {
                missed.add("p95 over " + WRITE_MS + " ms");
            }
            if (longest > LONGEST_MS) {
                missed.add("longest over " + LONGEST_MS + " ms");
            }
            met &= missed.isEmpty();
            System.out.printf(
                    Locale.ROOT,
                    "%-9s %6d %8.1f %8.1f %8.1f %8.1f %8.1f %6s %s%n",
                    kind.said(),
                    ms.length,
                    percentile(ms, 50),
                    p95,
                    longest,
                    p95 / fixed,
                    kilobytes(kind),
                    statements.containsKey(kind) ? String.format("%.0f", statements.get(kind)) : "?",
                    String.join(", ", missed));
        }
        System.out.println(met ? "all goals met" : "goals missed");
        return met;
    }

    /** Of the page as it goes over the wire; of wheels, the largest. */
    private double kilobytes(Kind kind) {
        String end =
                switch (kind) {
                    case HOME, WRITE -> "/";
                    case TODO -> "/todo";
                    case MONTH -> "/todo/month";
                    case SEALANT -> "/sealant";
                    case AIR_LOSS -> "/leaks";
                    case HISTORY -> "/history";
                    case LOG -> "/log";
                    case STATIC -> styles;
                    case WHEEL -> "";
                };
        return bytes.entrySet().stream()
                        .filter(one -> switch (kind) {
                            case WHEEL -> wheels.contains(one.getKey());
                            case HOME, WRITE, TODO, MONTH, LOG, STATIC -> one.getKey().equals(end);
                            default -> one.getKey().endsWith(end);
                        })
                        .mapToInt(Map.Entry::getValue)
                        .max()
                        .orElse(0)
                / 1000.0;
    }

    /** The smallest time that at least {@code percent} of all stay within (nearest rank). */
    private static double percentile(double[] sorted, double percent) {
        return sorted[(int) Math.ceil(percent / 100 * sorted.length) - 1];
    }
}
