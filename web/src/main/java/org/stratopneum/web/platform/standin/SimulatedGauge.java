package org.stratopneum.web.platform.standin;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.BindException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * A made-up digital gauge behind a port of this machine: ten lines a second of what it shows, each a JSON object, and one
 * word a line of what is done at the valve. docs/stand-ins.md describes the stream; any script can take its place.
 */
@Component
public class SimulatedGauge implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(SimulatedGauge.class);

    private static final int MOST_AT_ONCE = 8;
    private static final long STEP_MS = 100;
    private static final long SEED = 60_411;

    /** "tire LITRES KPA": what it is put on. */
    private static final Pattern TIRE = Pattern.compile("tire (\\d{1,2}(?:\\.\\d{1,4})?) (\\d{1,4}(?:\\.\\d{1,4})?)");

    private static final double USUAL_LITRES = 4;
    private static final double USUAL_KPA = 140;

    private final int port;
    private final boolean on;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private ServerSocket server;
    private ExecutorService threads;

    SimulatedGauge(
            @Value("${stratopneum.gauge.port:8781}") int port, @Value("${stratopneum.stand-ins:true}") boolean on) {
        this.port = port;
        this.on = on;
    }

    @Override
    public boolean isAutoStartup() {
        return on;
    }

    @Override
    public void start() {
        threads = Executors.newCachedThreadPool(task -> {
            Thread thread = new Thread(task, "simulated-gauge");
            thread.setDaemon(true);
            return thread;
        });
        try {
            server = bound();
        } catch (IOException exception) {
            LOG.warn("No gauge is simulated: {}", exception.getMessage());
            return;
        }
        threads.execute(this::accept);
    }

    private ServerSocket bound() throws IOException {
        try {
            return new ServerSocket(port, MOST_AT_ONCE, InetAddress.getLoopbackAddress());
        } catch (BindException taken) {
            // another program listens there; what it shows is no gauge of ours
            LOG.info("The gauge is simulated on another port than {}: {}", port, taken.getMessage());
            return new ServerSocket(0, MOST_AT_ONCE, InetAddress.getLoopbackAddress());
        }
    }

    /** Where it listens; empty where it does not. */
    public OptionalInt port() {
        return server == null ? OptionalInt.empty() : OptionalInt.of(server.getLocalPort());
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                if (open.size() >= MOST_AT_ONCE) {
                    socket.close();
                } else {
                    open.add(socket);
                    threads.execute(() -> play(socket));
                }
            } catch (IOException exception) {
                LOG.debug("The simulated gauge was closed: {}", exception.getMessage());
            }
        }
    }

    private void play(Socket socket) {
        try (socket) {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            Writer out = new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8);
            SimulatedTire tire = new SimulatedTire(USUAL_LITRES, USUAL_KPA, SEED);
            while (!socket.isClosed()) {
                while (in.ready()) {
                    tire = after(in.readLine(), tire);
                }
                out.write(String.format(Locale.ROOT, "{\"kpa\":%.1f}%n", tire.after(STEP_MS / 1000.0)));
                out.flush();
                Thread.sleep(STEP_MS);
            }
        } catch (IOException exception) {
            LOG.debug("Somebody let go of the simulated gauge: {}", exception.getMessage());
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
        } finally {
            open.remove(socket);
        }
    }

    /** Words that it does not know change nothing. */
    private static SimulatedTire after(String line, SimulatedTire tire) {
        Matcher put = TIRE.matcher(line == null ? "" : line);
        if (put.matches() && Double.parseDouble(put.group(1)) > 0) {
            return new SimulatedTire(Double.parseDouble(put.group(1)), Double.parseDouble(put.group(2)), SEED);
        }
        for (SimulatedTire.Hand hand : SimulatedTire.Hand.values()) {
            if (hand.name().equalsIgnoreCase(line)) {
                tire.hand(hand);
            }
        }
        return tire;
    }

    @Override
    public void stop() {
        try {
            if (server != null) {
                server.close();
            }
            for (Socket socket : open) {
                socket.close();
            }
        } catch (IOException exception) {
            LOG.debug("The simulated gauge was closed: {}", exception.getMessage());
        }
        threads.shutdownNow();
        threads = null;
    }

    @Override
    public boolean isRunning() {
        return threads != null;
    }
}
