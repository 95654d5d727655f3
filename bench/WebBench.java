import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/**
 * Asks a running Stratopneum for pages at a steady rate and says how long the answers took. Requests leave by the clock,
 * whether or not the ones before have been answered, and each is timed from the moment when it was due, so that a
 * stumbling server cannot hide behind a waiting client.
 *
 * <p>Usage: java WebBench.java ADDRESS REQUESTS_PER_SECOND SECONDS PATH...
 */
final class WebBench {

    private static final int WARM_UP_REQUESTS = 400;

    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final String address;

    private WebBench(String address) {
        this.address = address;
    }

    public static void main(String[] arguments) {
        WebBench bench = new WebBench(arguments[0]);
        double perSecond = Double.parseDouble(arguments[1]);
        int seconds = Integer.parseInt(arguments[2]);
        System.out.printf(
                Locale.ROOT,
                "%s requests a second for %d s each, after %d to warm up%n",
                arguments[1],
                seconds,
                WARM_UP_REQUESTS);
        for (String path : Arrays.copyOfRange(arguments, 3, arguments.length)) {
            bench.measure(path, perSecond, seconds);
        }
    }

    private void measure(String path, double perSecond, int seconds) {
        for (int i = 0; i < WARM_UP_REQUESTS; i++) {
            ask(path, System.nanoTime()).join();
        }
        long pause = (long) (TimeUnit.SECONDS.toNanos(1) / perSecond);
        long start = System.nanoTime();
        List<CompletableFuture<Long>> answers = new ArrayList<>();
        for (int i = 0; i < perSecond * seconds; i++) {
            long due = start + i * pause;
            for (long left = due - System.nanoTime(); left > 0; left = due - System.nanoTime()) {
                LockSupport.parkNanos(left);
            }
            answers.add(ask(path, due));
        }
        double[] ms = answers.stream()
                .mapToDouble(answer -> answer.join() / 1e6)
                .sorted()
                .toArray();
        System.out.printf(
                Locale.ROOT,
                "%-12s %d answers: median %.1f ms, p95 %.1f ms, p99 %.1f ms, longest %.1f ms%n",
                path,
                ms.length,
                percentile(ms, 50),
                percentile(ms, 95),
                percentile(ms, 99),
                ms[ms.length - 1]);
    }

    /** The smallest time that at least {@code percent} of all stay within (nearest rank). */
    private static double percentile(double[] sorted, double percent) {
        return sorted[(int) Math.ceil(percent / 100 * sorted.length) - 1];
    }

    private CompletableFuture<Long> ask(String path, long due) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/html")
                .header("Accept-Encoding", "gzip")
                .timeout(Duration.ofSeconds(30))
                .build();
        return client.sendAsync(request, HttpResponse.BodyHandlers.ofByteArray()).thenApply(answer -> {
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(path + " answered " + answer.statusCode());
            }
            return System.nanoTime() - due;
        });
    }
}
