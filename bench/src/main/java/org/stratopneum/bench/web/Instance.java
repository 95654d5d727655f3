package org.stratopneum.bench.web;

import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;

/** One process of the application among several. */
final class Instance {

    private static final int OK = 200;
    private static final long PATIENCE_MS = 90_000;
    private static final long LOOK_MS = 100;

    private final List<String> command;
    private final File log;
    private final int port;
    private final int watch;
    private Process process;

    /**
     * @param command what starts it, but for its ports
     * @param log where what it says is added
     */
    Instance(List<String> command, File log, int port, int watch) {
        this.command = new ArrayList<>(command);
        this.command.add("--server.port=" + port);
        this.command.add("--stratopneum.watch.port=" + watch);
        this.log = log;
        this.port = port;
        this.watch = watch;
    }

    int port() {
        return port;
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    Figures figures() {
        return new Figures("http://127.0.0.1:" + watch);
    }

    /** Returns once it is ready. */
    void start() throws IOException {
        process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log))
                .start();
        long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(PATIENCE_MS);
        while (!isReady()) {
            if (!process.isAlive() || System.nanoTime() > end) {
                throw new IllegalStateException("an instance did not start; its log is " + log);
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(LOOK_MS));
        }
    }

    /** Tells it to stop, and waits until it has. */
    void stop() throws InterruptedException {
        if (process != null) {
            process.destroy();
            process.waitFor();
        }
    }

    private boolean isReady() {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + "/actuator/health/readiness"))
                .build();
        return HttpClient.newHttpClient()
                .sendAsync(request, HttpResponse.BodyHandlers.discarding())
                .handle((answer, fault) -> answer != null && answer.statusCode() == OK)
                .join();
    }
}
