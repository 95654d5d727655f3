package org.stratopneum.web.pressure.livegauge;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.function.Consumer;

/** A connection to a digital gauge: its lines come in, words go out. */
final class GaugeLink implements AutoCloseable {

    private static final int PATIENCE_MS = 2000;

    /** A gauge that shows nothing for so long is gone. */
    private static final int SILENCE_MS = 30_000;

    private final Socket socket;
    private final Writer out;

    /** @throws IOException when nothing answers there */
    GaugeLink(InetSocketAddress address) throws IOException {
        socket = new Socket();
        try {
            socket.connect(address, PATIENCE_MS);
            socket.setSoTimeout(SILENCE_MS);
            out = new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8);
        } catch (IOException exception) {
            socket.close();
            throw exception;
        }
    }

    /** Reads until the gauge or this link is closed. */
    void listen(GaugeLine line, Clock clock, Consumer<String> shown) {
        try {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            StringBuilder text = new StringBuilder();
            for (int letter = in.read(); letter >= 0; letter = in.read()) {
                if (letter == '\n') {
                    line.read(text.toString(), clock.instant()).ifPresent(shown);
                    text.setLength(0);
                } else if (text.length() <= GaugeLine.LONGEST) {
                    text.append((char) letter);
                }
            }
        } catch (IOException exception) {
            // the gauge is gone, or the page is
            close();
        }
    }

    synchronized void say(String word) {
        try {
            out.write(word + "\n");
            out.flush();
        } catch (IOException exception) {
            close();
        }
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException exception) {
            // closed already
        }
    }
}
