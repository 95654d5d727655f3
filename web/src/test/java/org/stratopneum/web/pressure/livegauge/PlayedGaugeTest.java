package org.stratopneum.web.pressure.livegauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.quantity.PressureUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A gauge that a script plays: lines over a local port, as docs/stand-ins.md describes them. */
class PlayedGaugeTest {

    private static final Instant START = Instant.parse("2026-03-02T07:00:00Z");
    private static final JsonMapper JSON = JsonMapper.shared();

    private final GaugeLine line = new GaugeLine(JSON, PressureUnit.PSI, 400);

    private JsonNode shown(String text, double second) {
        return line.read(text, START.plusMillis(Math.round(1000 * second)))
                .map(JSON::readTree)
                .orElse(null);
    }

    /** 1 psi is 6.894757 kPa (published conversion factor). */
    @Test
    void aLineIsShownInBothUnitsAndComesToRest() {
        JsonNode moving = shown("{\"kpa\":151.685}", 0);
        assertThat(moving.get("number").asString()).isEqualTo("22.0");
        assertThat(moving.get("beside").asString()).isEqualTo("1.52 bar");
        assertThat(moving.get("settledKpa").isNull()).isTrue();
        shown("{\"kpa\":151.7}", 1);
        JsonNode rests = shown("{\"kpa\":151.6, \"battery\":0.4}", 2.1);
        assertThat(rests.get("settledKpa").asDouble()).isBetween(151.5, 151.8);
    }

    @Test
    void aboveWhatTireAndRimAllowItSaysSo() {
        assertThat(shown("{\"kpa\":399.9}", 0).get("tooMuch").asBoolean()).isFalse();
        assertThat(shown("{\"kpa\":400.1}", 1).get("tooMuch").asBoolean()).isTrue();
    }

    @Test
    void whatIsNoReadingIsPassedOver() {
        for (String nonsense : List.of(
                "", "22 psi", "{\"kpa\":\"22\"}", "{\"kpa\":-3}", "{\"kpa\":1e9}", "[1]", "null", "x".repeat(500))) {
            assertThat(shown(nonsense, 0)).as(nonsense).isNull();
        }
    }

    @Test
    void aScriptPlaysAGaugeAndHearsWhatIsDone() throws IOException {
        try (ServerSocket script = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            CompletableFuture<String> heard = CompletableFuture.supplyAsync(() -> play(script));
            List<String> shown = new CopyOnWriteArrayList<>();
            Clock clock = Clock.fixed(START, ZoneOffset.UTC);
            try (GaugeLink link =
                    new GaugeLink(new InetSocketAddress(InetAddress.getLoopbackAddress(), script.getLocalPort()))) {
                link.say("pump");
                link.listen(line, clock, shown::add);
            }
            assertThat(heard.join()).isEqualTo("pump");
            assertThat(shown).hasSize(2);
            assertThat(shown.get(1)).contains("\"number\":\"23.0\"");
        }
    }

    private static String play(ServerSocket script) {
        try (Socket page = script.accept()) {
            String heard = new String(page.getInputStream().readNBytes(5), StandardCharsets.UTF_8).strip();
            page.getOutputStream()
                    .write("{\"kpa\":151.7}\nwhat is this\n{\"kpa\":158.6}\n".getBytes(StandardCharsets.UTF_8));
            return heard;
        } catch (IOException exception) {
            throw new IllegalStateException(exception);
        }
    }
}
