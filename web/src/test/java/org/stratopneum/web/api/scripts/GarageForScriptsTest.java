package org.stratopneum.web.api.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.util.HtmlUtils;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JsonSchemas;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Script;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Bikes, wheels, what is due and what to set, by token; and the examples that script authors are shown. */
@ExtendWith(RunningApplication.class)
class GarageForScriptsTest {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Pattern EXAMPLE = Pattern.compile("(?s)<pre[^>]* id=\"(\\w+)\"[^>]*>(.*?)</pre>");

    private final Site site;
    private final Guest guest;
    private final JsonNode document;

    GarageForScriptsTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
        document = JSON.readTree(site.get("/api/v1/openapi.json").body());
    }

    @BeforeEach
    void bike() {
        TypedBike.enter(guest, "since", "2025-01-01");
    }

    private JsonNode asked(Script script, String path, String schema) {
        HttpResponse<String> answer = script.get(path);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        JsonNode json = JSON.readTree(answer.body());
        assertThat(JsonSchemas.faults(document, document.at("/components/schemas/" + schema), json))
                .as(path)
                .isEmpty();
        return json;
    }

    @Test
    void aScriptFindsWhatItNeedsToAddress() {
        Script script = Script.of(site, guest, "garage", "due");
        JsonNode bike = asked(script, "/api/v1/bikes", "ScriptBikes").at("/bikes/0");
        assertThat(bike.get("name").asString()).isEqualTo("Plover");
        JsonNode wheels = asked(script, "/api/v1/wheels", "ScriptWheels");
        assertThat(wheels.at("/units/pressure").asString()).isIn("PSI", "BAR", "KPA");
        assertThat(wheels.get("wheels")).hasSize(2);
        JsonNode rear = wheels.at("/wheels/0");
        assertThat(rear.get("id").asString()).isEqualTo(bike.get("rear").asString());
        assertThat(rear.get("name").asString()).isEqualTo("Plover rear");
        assertThat(rear.at("/tire/nominalWidthMm").asInt()).isEqualTo(57);
        assertThat(rear.get("mounted").asBoolean()).isTrue();
        JsonNode dues = asked(script, "/api/v1/due", "ScriptDues");
        assertThat(dues.get("due").findValuesAsString("wheelId"))
                .contains(rear.get("id").asString());
    }

    /** The advice stands between floor and ceiling, is what the page recommends, and lies within its own range. */
    @Test
    void whatToSetIsWhatThePageSays() {
        Script script = Script.of(site, guest, "garage");
        String wheel = guest.ids("/garage", "/wheels/").get(0);
        JsonNode advice = asked(script, "/api/v1/wheels/" + wheel + "/advice", "ScriptAdvice");
        double kpa = advice.get("gaugeKpa").asDouble();
        assertThat(kpa)
                .isBetween(
                        advice.get("floorKpa").asDouble(),
                        advice.get("ceilingKpa").asDouble())
                .isBetween(
                        advice.get("lowKpa").asDouble(), advice.get("highKpa").asDouble());
        String set = advice.at("/set/unit").asString().equals("BAR")
                ? "%.2f".formatted(advice.at("/set/value").asDouble())
                : "%.1f".formatted(advice.at("/set/value").asDouble());
        assertThat(guest.get("/wheels/" + wheel).body() + guest.get("/").body()).contains(set);

        assertThat(script.get("/api/v1/wheels/" + UUID.randomUUID() + "/advice").statusCode())
                .isEqualTo(404);
        HttpResponse<String> faulty = script.get("/api/v1/wheels/7/advice");
        assertThat(faulty.statusCode()).isEqualTo(400);
        Guest other = Guest.withAccount(site);
        assertThat(Script.of(site, other, "garage")
                        .get("/api/v1/wheels/" + wheel + "/advice")
                        .statusCode())
                .isEqualTo(404);
    }

    /** RFC 9457: whatever is refused says what was asked for; the names of scopes are apart. */
    @Test
    void eachScopeOpensItsOwnAndRefusalsSayWhatWasAsked() {
        Map<String, String> doors = Map.of("read", "/api/v1/log", "garage", "/api/v1/bikes", "due", "/api/v1/due");
        doors.forEach((scope, own) -> {
            Script script = Script.of(site, guest, scope);
            doors.values().forEach(path -> {
                HttpResponse<String> answer = script.get(path);
                assertThat(answer.statusCode()).as(scope + " " + path).isEqualTo(path.equals(own) ? 200 : 403);
                if (answer.statusCode() == 403) {
                    assertThat(answer.headers().firstValue("Content-Type")).contains("application/problem+json");
                    assertThat(JSON.readTree(answer.body()).get("instance").asString())
                            .isEqualTo(path);
                }
            });
        });
        Script script = Script.of(site, guest, "garage");
        HttpResponse<String> unknown = script.get("/api/v1/wheels?bike=1");
        assertThat(unknown.statusCode()).isEqualTo(400);
        assertThat(JSON.readTree(unknown.body()).at("/errors/0/code").asString())
                .isEqualTo("unknown-parameter");
        for (String path : List.of("/api/v1/nothing", "/api/v1/calc/nothing", "/api/v1/wheels/x/nothing")) {
            HttpResponse<String> nothing = script.get(path);
            assertThat(nothing.statusCode()).as(path).isIn(401, 403, 404);
            assertThat(nothing.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
            assertThat(JSON.readTree(nothing.body()).get("instance").asString()).isEqualTo(path);
        }
    }

    /** The headers of the IETF's draft on rate limits; 429 by RFC 6585. */
    @Test
    void aTokenAsksSoOftenAndNoMore() {
        Script script = Script.of(site, guest, "garage");
        HttpResponse<String> first = script.get("/api/v1/bikes");
        assertThat(first.headers().firstValue("RateLimit-Policy")).contains("\"token\";q=300;w=60");
        assertThat(first.headers().firstValue("RateLimit").orElseThrow()).startsWith("\"token\";r=299;t=");
        HttpResponse<String> last = first;
        for (int i = 0; i < 1000 && last.statusCode() == 200; i++) {
            last = script.get("/api/v1/bikes?x=" + i).statusCode() == 429 ? script.get("/api/v1/bikes") : first;
        }
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(Integer.parseInt(last.headers().firstValue("Retry-After").orElseThrow()))
                .isBetween(1, 60);
        assertThat(JSON.readTree(last.body()).get("instance").asString()).isEqualTo("/api/v1/bikes");
        assertThat(Script.of(site, guest, "garage").get("/api/v1/bikes").statusCode())
                .as("another token")
                .isEqualTo(200);
    }

    /** The examples of the page do what they say, run as they stand with a token. */
    @Test
    void theExamplesRun() throws IOException, InterruptedException {
        String page = guest.get("/scripts").body();
        String token = Script.of(site, guest, "read", "append", "garage", "due")
                .authorization()
                .substring("Bearer ".length());
        Matcher example = EXAMPLE.matcher(page);
        int run = 0;
        while (example.find()) {
            String text = HtmlUtils.htmlUnescape(example.group(2));
            boolean shell = example.group(1).equals("shell");
            String said = said(
                    shell
                            ? List.of("bash", "-e", "-c", text.replace("TOKEN=...", "TOKEN=" + token))
                            : List.of("python3", "-c", text),
                    token);
            assertThat(said).as(text).contains(shell ? "\"NEW\"" : "'NEW'");
            run++;
        }
        assertThat(run).isEqualTo(2);
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(2);
    }

    private static String said(List<String> command, String token) throws IOException, InterruptedException {
        Path out = Files.createTempFile("example", ".out");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(out.toFile());
        builder.environment().put("STRATOPNEUM_TOKEN", token);
        Process process = builder.start();
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        String said = Files.readString(out, StandardCharsets.UTF_8);
        Files.delete(out);
        assertThat(process.exitValue()).as(said).isZero();
        return said;
    }
}
