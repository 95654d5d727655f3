package org.stratopneum.web.api.calculators;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(RunningApplication.class)
class CalculatorsTest {

    private static final String MOUNTAIN = """
            {"system": {"riderKg": 76, "gearKg": 4, "bikeKg": 11}, "posture": "MOUNTAIN",
             "front": {"tire": {"nominalWidthMm": 60, "beadSeatDiameterMm": 622, "measuringRimWidthMm": 30, "rimInternalWidthMm": 30},
                       "setup": {"kind": "TUBELESS"}},
             "rear": {"tire": {"nominalWidthMm": 60, "beadSeatDiameterMm": 622, "measuringRimWidthMm": 30, "rimInternalWidthMm": 30},
                      "setup": {"kind": "TUBELESS"}},
             "ground": [{"kind": "CROSS_COUNTRY", "share": 1}]}
            """;

    private final Site site;

    CalculatorsTest(Site site) {
        this.site = site;
    }

    /** The docs/handbook's worked values (page 1). */
    @ParameterizedTest
    @CsvSource({"28, 19, 21, 28.84, 24.30, 587.4, 1.189, 1372", "60, 30, 35, 61.84, 56.41, 2874.7, 6.100, 3389"})
    void sectionAnswersTheWorkedValues(
            double nominal,
            double measuringRim,
            double rim,
            double width,
            double height,
            double area,
            double volume,
            double surface) {
        JsonNode answer = ok("/tire/section", """
                {"tire": {"nominalWidthMm": %s, "beadSeatDiameterMm": 622, "measuringRimWidthMm": %s,
                          "rimInternalWidthMm": %s, "measuredWidthMm": null}}
                """.formatted(nominal, measuringRim, rim));
        assertThat(answer.get("inflatedWidthMm").asDouble()).isCloseTo(width, within(0.006));
        assertThat(answer.get("heightMm").asDouble()).isCloseTo(height, within(0.006));
        assertThat(answer.get("sectionAreaMm2").asDouble()).isCloseTo(area, within(0.06));
        assertThat(answer.get("airVolumeL").asDouble()).isCloseTo(volume, within(0.0006));
        assertThat(answer.get("innerSurfaceCm2").asDouble()).isCloseTo(surface, within(0.6));
    }

    /** docs/handbook, page 4: 1.80 bar at 22 C reads 1.54 bar at -5 C. */
    @Test
    void carryAnswersTheCheckValue() {
        JsonNode answer = ok("/air/carry", """
                {"gaugeKpa": 180, "from": {"temperatureC": 22, "heightM": 0}, "to": {"temperatureC": -5, "heightM": 0}}
                """);
        assertThat(answer.get("gaugeKpa").asDouble()).isCloseTo(154, within(0.5));
    }

    @Test
    void aResultBelowTheSurroundingAirIsAFaultThatSaysSo() {
        Site.Answer answer = site.calculate("/air/carry", """
                {"gaugeKpa": 1, "from": {"temperatureC": 30, "heightM": 0}, "to": {"temperatureC": -20, "heightM": 0}}
                """);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(codes(answer)).containsExactly("below-ambient");
        assertThat(answer.json().get("errors").get(0).get("message").asString()).contains("softer than the air");
    }

    /** docs/handbook, page 3, worked value: 19.1 front and 21.4 rear psi. */
    @Test
    void adviceAnswersTheWorkedValue() {
        JsonNode answer = ok("/pressure/advice", MOUNTAIN);
        assertThat(answer.get("front").get("gaugeKpa").asDouble() / 6.894757).isCloseTo(19.1, within(0.05));
        assertThat(answer.get("rear").get("gaugeKpa").asDouble() / 6.894757).isCloseTo(21.4, within(0.05));
        JsonNode rear = answer.get("rear");
        assertThat(rear.get("ceilingKpa").asDouble() / 6.894757)
                .as("usual for 60 mm")
                .isCloseTo(43.3, within(0.05));
        assertThat(rear.get("loadKg").asDouble()).isCloseTo(91 * 0.52, within(1e-9));
        assertThat(rear.get("steps").get(0).get("code").asString()).isEqualTo("base");
        assertThat(rear.get("steps").get(0).get("name").asString()).isEqualTo("Base pressure");
        assertThat(rear.get("verdicts")).hasSize(1);
        assertThat(rear.get("verdicts").get(0).get("code").asString()).isEqualTo("usual-ceiling");
        assertThat(rear.get("verdicts").get(0).get("level").asString()).isEqualTo("FINE");
    }

    @Test
    void whatIsHeldComesWithAVerdictAndItsRemedy() {
        JsonNode rear = ok("/pressure/advice", MOUNTAIN.replace("\"TUBELESS\"}", "\"TUBELESS\", \"tireMaxKpa\": 130}"))
                .get("rear");
        assertThat(rear.get("gaugeKpa").asDouble()).isEqualTo(130);
        assertThat(rear.get("chainKpa").asDouble()).isGreaterThan(130);
        JsonNode verdict = rear.get("verdicts").get(0);
        assertThat(verdict.get("level").asString()).isEqualTo("WARNS");
        assertThat(verdict.get("code").asString()).isEqualTo("above-ceiling");
        assertThat(verdict.get("message").asString()).contains("1.30 bar (18.9 psi)");
        assertThat(verdict.get("fix").asString()).contains("mm wide");
    }

    @Test
    void cargoPostureBringsItsDropAndItsMinimum() {
        JsonNode rear =
                ok("/pressure/advice", MOUNTAIN.replace("MOUNTAIN", "CARGO")).get("rear");
        assertThat(rear.get("floorKpa").asDouble()).isCloseTo(30 * 6.894757, within(0.01));
        assertThat(rear.get("steps").get(1).get("factor").asDouble()).isLessThan(1);
    }

    @Test
    void everyFaultIsListedAtOnceWithFieldLimitAndUnit() {
        Site.Answer answer = site.calculate("/pressure/advice", """
                {"system": {"riderKg": -3, "gearKg": "four", "bikeKg": null}, "posture": "LYING", "shareFront": 0.4,
                 "front": {"tire": {"nominalWidthMm": 500, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 30},
                           "setup": {"kind": "TUBELESS", "insert": 1}},
                 "rear": {"tire": {"nominalWidthMm": 25, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 60},
                          "setup": {}},
                 "ground": [{"kind": "ROCK", "share": 0.4}, {"kind": "LAVA", "share": 0.6}],
                 "drop": 0.13, "wet": "yes", "colour": "red"}
                """);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.response().headers().firstValue("Content-Type")).contains("application/problem+json");
        assertThat(fields(answer))
                .containsExactlyInAnyOrder(
                        "system.riderKg",
                        "system.gearKg",
                        "system.bikeKg",
                        "posture",
                        "shareFront",
                        "front.tire.nominalWidthMm",
                        "front.setup.insert",
                        "rear.tire.rimInternalWidthMm",
                        "rear.setup.kind",
                        "ground[1].kind",
                        "drop",
                        "wet",
                        "colour");
        JsonNode width = errors(answer).stream()
                .filter(error -> error.get("field").asString().equals("front.tire.nominalWidthMm"))
                .findFirst()
                .orElseThrow();
        assertThat(width.get("code").asString()).isEqualTo("above-maximum");
        assertThat(width.get("limit").asDouble()).isEqualTo(130);
        assertThat(width.get("unit").asString()).isEqualTo("mm");
        assertThat(width.get("message").asString()).isEqualTo("must be at most 130 mm, was 500 mm");
    }

    @Test
    void sharesThatAreNotTheWholeRideAreAFaultOfTheGround() {
        Site.Answer answer = site.calculate("/pressure/advice", MOUNTAIN.replace("\"share\": 1", "\"share\": 0.9"));
        assertThat(fields(answer)).containsExactly("ground");
        assertThat(codes(answer)).containsExactly("shares-not-one");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "riders",
                "{",
                "{\"tire\": {}} trailing",
                "{\"tire\": {}, \"tire\": {}}",
                "{\"tire\": {\"nominalWidthMm\": NaN}}",
                "{'tire': 1}"
            })
    void whatIsNotJsonIsOneFaultOnTheWhole(String body) {
        Site.Answer answer = site.calculate("/tire/section", body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(fields(answer)).containsExactly("$");
        assertThat(codes(answer)).containsExactly("not-json");
    }

    @ParameterizedTest
    @ValueSource(strings = {"[]", "3", "\"tire\"", "null", "true"})
    void whatIsNotAnObjectIsOneFaultToo(String body) {
        Site.Answer answer = site.calculate("/tire/section", body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(fields(answer)).containsExactly("$");
    }

    @Test
    void missingFieldsAreNamedOneByOne() {
        assertThat(fields(site.calculate("/air/carry", "{}"))).containsExactly("gaugeKpa", "from", "to");
        assertThat(fields(site.calculate("/tire/section", "{\"tire\": {}}")))
                .containsExactly("tire.nominalWidthMm", "tire.beadSeatDiameterMm", "tire.rimInternalWidthMm");
    }

    @Test
    void hugeBodiesDepthsAndNumbersAreRefusedCalmly() {
        assertThat(codes(site.calculate("/tire/section", "[" + " ".repeat(300_000) + "]")))
                .containsExactly("too-large");
        assertThat(site.calculate("/tire/section", "[".repeat(5000)).status()).isEqualTo(400);
        assertThat(site.calculate("/air/carry", "{\"gaugeKpa\": 1e999}").status())
                .isEqualTo(400);
        assertThat(site.calculate("/air/carry", "{\"gaugeKpa\": 1" + "0".repeat(900) + "}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void otherMethodsAndTypesAreAnsweredAsProblemsToo() {
        Map<Integer, HttpResponse<String>> answers = Map.of(
                405, site.get("/api/v1/calc/tire/section"),
                415, site.post("/api/v1/calc/tire/section", "a=b", "Content-Type", "text/plain"),
                404, site.post("/api/v1/calc/nothing", "{}", "Content-Type", "application/json"));
        answers.forEach((status, answer) -> {
            assertThat(answer.statusCode()).isEqualTo(status);
            assertThat(answer.headers().firstValue("Content-Type")).contains("application/problem+json");
            assertThat(JsonMapper.shared().readTree(answer.body()).get("status").asInt())
                    .isEqualTo(status);
        });
    }

    /** Whatever is put in place of a value, the answer is an advice or a list of faults, never a failure of ours. */
    @Test
    void noInputMakesTheServerFail() {
        Random random = new Random(7);
        List<String> values = List.of(
                "null", "true", "-1", "0", "1e-300", "1e300", "\"ROCK\"", "\"\"", "[]", "{}", "[[1]]", "0.5", "45");
        String[] parts = MOUNTAIN.split("(?<=: )");
        for (int i = 0; i < 400; i++) {
            String[] mutated = parts.clone();
            int at = 1 + random.nextInt(parts.length - 1);
            String value = values.get(random.nextInt(values.size()));
            mutated[at] = mutated[at].replaceFirst("^(\"[A-Z_]+\"|[0-9.]+)", value);
            Site.Answer answer = site.calculate("/pressure/advice", String.join("", mutated));
            assertThat(answer.status()).as(String.join("", mutated)).isIn(200, 400);
            if (answer.status() == 400) {
                assertThat(errors(answer)).isNotEmpty();
            }
        }
    }

    private JsonNode ok(String path, String body) {
        Site.Answer answer = site.calculate(path, body);
        assertThat(answer.status()).as(answer.response().body()).isEqualTo(200);
        return answer.json();
    }

    private static List<JsonNode> errors(Site.Answer answer) {
        return StreamSupport.stream(answer.json().get("errors").spliterator(), false)
                .toList();
    }

    private static List<String> fields(Site.Answer answer) {
        return errors(answer).stream()
                .map(error -> error.get("field").asString())
                .toList();
    }

    private static List<String> codes(Site.Answer answer) {
        return errors(answer).stream()
                .map(error -> error.get("code").asString())
                .toList();
    }
}
