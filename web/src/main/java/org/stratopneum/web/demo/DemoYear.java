package org.stratopneum.web.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSubject;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A year of the demo rider's log: fittings, readings, rides, dips, fillings and leaks, as one run of the simulated season
 * wrote them down ({@code ./stratopneum bench demo} makes the file).
 */
@Component
class DemoYear {

    private static final ClassPathResource LINES = new ClassPathResource("demo/year.jsonl");

    private final JsonMapper json;

    DemoYear(JsonMapper json) {
        this.json = json;
    }

    /** An entry of the run; what it is about by the numbers of {@link DemoLogWriter#id}, null where it is not about that. */
    private record Line(
            int daysAgo,
            LocalTime at,
            LogKind kind,
            Integer bike,
            Integer wheelset,
            Integer wheel,
            Integer tire,
            Integer gauge,
            Integer place,
            Integer part,
            Double celsius,
            JsonNode detail) {

        private LogSubject subject() {
            return new LogSubject(id(bike), id(wheelset), id(wheel), id(tire), id(gauge), id(place), id(part));
        }

        private static UUID id(Integer number) {
            return number == null ? null : DemoLogWriter.id(number);
        }
    }

    void write(DemoLogWriter pen) {
        try {
            LINES.getContentAsString(StandardCharsets.UTF_8)
                    .lines()
                    .map(text -> json.readValue(text, Line.class))
                    .forEach(line -> pen.write(
                            pen.at(line.daysAgo, line.at),
                            line.subject(),
                            json.treeToValue(line.detail, line.kind.detail()),
                            line.celsius));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
