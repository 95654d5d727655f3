package org.stratopneum.bench.season.hut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.stratopneum.bench.season.truth.Dealt;
import org.stratopneum.bench.season.truth.Figure;
import org.stratopneum.core.quantity.PressureUnit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class DemoYearTest {

    private static final HutJournal JOURNAL = new HutJournal(Dealt.by(1));
    private static final Map<Figure, Double> COUNTED = DemoYear.pass(DemoYear.SEED, JOURNAL);
    private static final List<JsonNode> LINES =
            JOURNAL.lines().stream().map(new JsonMapper()::readTree).toList();

    private static List<JsonNode> of(String kind, int wheel) {
        return LINES.stream()
                .filter(line -> line.path("kind").asString().equals(kind)
                        && line.path("wheel").asInt() == wheel)
                .toList();
    }

    /** What the application ships is this run, and nobody has touched it. */
    @Test
    void theFileOfTheDemoIsTheRun() throws IOException {
        assertThat(Files.readAllLines(Path.of("../web/src/main/resources/demo/year.jsonl")))
                .as("./stratopneum bench demo writes it")
                .isEqualTo(DemoYear.of(DemoYear.SEED));
    }

    /** The only stop beside the trail is that of the script, and it ends with a ride. */
    @Test
    void whatBefallsTheWheelsIsWhatTheScriptSays() {
        assertThat(COUNTED.get(Figure.FLATS)).isEqualTo(1);
        assertThat(COUNTED.get(Figure.WALKED) + COUNTED.get(Figure.LIMPED)).isZero();
        assertThat(COUNTED.get(Figure.OVER_LIMIT)).isZero();
        assertThat(of("PUNCTURE_SEALED", 605))
                .extracting(line -> line.path("daysAgo").asInt())
                .contains(44);
        assertThat(of("PUNCTURE_SEALED", 602))
                .extracting(line -> line.path("daysAgo").asInt())
                .contains(17);
    }

    /** All lies in the past, in order; nothing is read of a wheel that is not in its bike. */
    @Test
    void theLinesAreAYear() {
        assertThat(LINES).extracting(line -> line.path("daysAgo").asInt()).allMatch(day -> day >= 1 && day <= 365);
        assertThat(LINES)
                .isSortedAccordingTo(
                        Comparator.comparingInt(line -> -line.path("daysAgo").asInt()));
        assertThat(of("PRESSURE_READ", 607))
                .filteredOn(line -> line.path("daysAgo").asInt() < 365)
                .isNotEmpty()
                .allMatch(line -> line.path("daysAgo").asInt() >= 256
                        && line.path("daysAgo").asInt() <= 331);
    }

    /** Since the lever job the rear loses 5.2 % a day, as its readings show it. */
    @Test
    void theLeveredWheelLosesWhatItShould() {
        double set = 0;
        int at = 0;
        double fell = 0;
        double days = 0;
        for (JsonNode line : of("PRESSURE_READ", 601)) {
            if (line.path("daysAgo").asInt() > 11) {
                continue;
            }
            double psi = PressureUnit.PSI.fromKpa(
                    line.path("detail").path("gaugeKpa").asDouble());
            if (line.path("detail").path("afterInflation").asBoolean()) {
                set = psi;
                at = line.path("daysAgo").asInt();
            } else {
                fell += Math.log(set / psi);
                days += at - line.path("daysAgo").asInt();
            }
        }
        assertThat(days).isGreaterThan(8);
        assertThat(1 - Math.exp(-fell / days)).isCloseTo(0.055, within(0.015));
    }
}
