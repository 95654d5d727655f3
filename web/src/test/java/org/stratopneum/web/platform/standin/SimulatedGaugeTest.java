package org.stratopneum.web.platform.standin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;
import tools.jackson.databind.json.JsonMapper;

/** The simulated gauge: it moves as gauges move, and speaks the lines of docs/stand-ins.md. */
@ResourceLock("demo garage")
class SimulatedGaugeTest {

    private static double after(SimulatedTire tire, double seconds) {
        double shown = 0;
        for (double at = 0; at < seconds; at += 0.1) {
            shown = tire.after(0.1);
        }
        return shown;
    }

    @Test
    void atRestItShowsWhatIsInTheTire() {
        assertThat(after(new SimulatedTire(4, 150, 1), 3)).isCloseTo(150, within(1.0));
    }

    /** Ten strokes of 0.3 l of outside air into 4 l: about 71 kPa more (Boyle), and warm air shows a little more at first. */
    @Test
    void strokesRaiseItAndItCoolsAfterwards() {
        SimulatedTire tire = new SimulatedTire(4, 150, 1);
        tire.hand(SimulatedTire.Hand.PUMP);
        double warm = after(tire, 9.05);
        tire.hand(SimulatedTire.Hand.REST);
        double cooled = after(tire, 40);
        assertThat(cooled).isCloseTo(150 + 10 * 95 * 0.3 / 4, within(2.0));
        assertThat(warm).isGreaterThan(cooled);
    }

    @Test
    void bledItFallsTowardsNothingAndNeverBelow() {
        SimulatedTire tire = new SimulatedTire(2, 150, 1);
        tire.hand(SimulatedTire.Hand.BLEED);
        double later = after(tire, 5);
        assertThat(later).isLessThan(120);
        assertThat(after(tire, 300)).isBetween(0.0, 1.0);
    }

    @Test
    void aLargeTireTakesMoreStrokes() {
        SimulatedTire small = new SimulatedTire(1, 100, 1);
        SimulatedTire large = new SimulatedTire(8, 100, 1);
        small.hand(SimulatedTire.Hand.PUMP);
        large.hand(SimulatedTire.Hand.PUMP);
        assertThat(after(small, 5)).isGreaterThan(after(large, 5) + 50);
    }

    @Test
    void itSpeaksLinesOverItsPortAndDoesWhatItIsTold() throws IOException {
        SimulatedGauge gauge = new SimulatedGauge(0, true);
        gauge.start();
        try (Socket socket =
                new Socket(InetAddress.getLoopbackAddress(), gauge.port().orElseThrow())) {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            socket.getOutputStream().write("tire 2.5 300.0\nsing a song\npump\n".getBytes(StandardCharsets.UTF_8));
            double last = 0;
            for (int i = 0; i < 30; i++) {
                last = JsonMapper.shared().readTree(in.readLine()).get("kpa").asDouble();
            }
            assertThat(last).as("300 kPa and some strokes").isBetween(305.0, 400.0);
        } finally {
            gauge.stop();
        }
        assertThat(gauge.isRunning()).isFalse();
    }

    @Test
    void whoeverElseListensOnItsPortIsNotTakenForIt() throws IOException {
        try (ServerSocket other = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            SimulatedGauge gauge = new SimulatedGauge(other.getLocalPort(), true);
            gauge.start();
            assertThat(gauge.port().orElseThrow()).as("a gauge of its own").isNotEqualTo(other.getLocalPort());
            gauge.stop();
        }
    }
}
