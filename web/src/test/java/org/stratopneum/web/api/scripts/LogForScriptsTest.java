package org.stratopneum.web.api.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JsonSchemas;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Script;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The log by token, over HTTP. */
@ExtendWith(RunningApplication.class)
class LogForScriptsTest {

    private static final String LOG = "/api/v1/log";
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Site site;
    private final Guest guest;
    private Script script;
    private String wheel;
    private String bike;

    LogForScriptsTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void token() {
        TypedBike.enter(guest, "since", "2026-03-01");
        wheel = guest.ids("/garage", "/wheels/").get(0);
        bike = guest.ids("/garage", "/bikes/").get(0);
        script = Script.of(site, guest, "read", "append");
    }

    @Test
    void aReadingIsWrittenOnceHoweverOftenItIsSent() {
        String reading = reading(UUID.randomUUID(), 152);
        assertThat(script.post(LOG, reading).statusCode()).isEqualTo(201);
        HttpResponse<String> again = script.post(LOG, reading);
        assertThat(again.statusCode()).isEqualTo(200);
        assertThat(again.body()).contains("REPEATED");
        assertThat(guest.get("/log?topic=READINGS").body()).containsOnlyOnce(">22.0 psi</a>");

        HttpResponse<String> other = script.post(LOG, reading.replace("152", "153"));
        assertThat(other.statusCode()).isEqualTo(409);
        assertThat(JSON.readTree(other.body()).at("/errors/0/code").asString()).isEqualTo("id-taken");
    }

    @Test
    void aListIsWrittenWholeOrNotAtAll() {
        UUID taken = UUID.randomUUID();
        script.post(LOG, reading(taken, 152));
        String list = "[" + reading(UUID.randomUUID(), 160) + "," + reading(taken, 161) + "]";
        HttpResponse<String> conflict = script.post(LOG, list);
        assertThat(conflict.statusCode()).isEqualTo(409);
        assertThat(JSON.readTree(conflict.body()).at("/errors/0/field").asString())
                .isEqualTo("[1].id");
        assertThat(guest.get("/log?topic=READINGS").body()).doesNotContain("1.60 bar");
        String fine = "[" + reading(UUID.randomUUID(), 160) + "," + reading(taken, 152) + "]";
        assertThat(script.post(LOG, fine).statusCode()).isEqualTo(201);
        assertThat(script.post(LOG, fine).statusCode()).isEqualTo(200);
    }

    @Test
    void everyKindIsWrittenAndReadBackByTheDocument() {
        JsonNode document = JSON.readTree(site.get("/api/v1/openapi.json").body());
        List<String> details = List.of(
                "\"kind\": \"SEALANT_ADDED\", \"detail\": {\"volumeMl\": 60, \"renewed\": true}",
                "\"kind\": \"SEALANT_DIPPED\", \"note\": \"after the pass\", \"detail\": {\"depthsMm\": [3, 5.5, 6]}",
                "\"kind\": \"SEALANT_HEARD\", \"detail\": {\"sound\": \"SLOSHES\"}",
                "\"kind\": \"PUNCTURE_SEALED\"",
                "\"kind\": \"CARE_DONE\", \"detail\": {\"care\": \"CORE_SERVICE\"}",
                "\"kind\": \"TREAD_MEASURED\", \"detail\": {\"middleMm\": 3.1, \"flanks\": \"SCUFFED\"}",
                "\"kind\": \"RIDDEN\", \"bikeId\": \"" + bike
                        + "\", \"detail\": {\"distanceM\": 31000, \"ground\": [{\"kind\": \"FOREST_TRACK\", \"share\": 1}]}");
        List<String> sent = new ArrayList<>();
        for (String detail : details) {
            String entry = "{\"id\": \"" + UUID.randomUUID() + "\", \"happenedAt\": \"2026-06-01T10:00:00+02:00\", "
                    + (detail.contains("RIDDEN") ? "" : "\"wheelId\": \"" + wheel + "\", ") + detail + "}";
            assertThat(JsonSchemas.faults(
                            document, document.at("/components/schemas/NewLogEntry"), JSON.readTree(entry)))
                    .isEmpty();
            sent.add(entry);
        }
        HttpResponse<String> written = script.post(LOG, sent.toString());
        assertThat(written.statusCode()).as(written.body()).isEqualTo(201);
        assertThat(JsonSchemas.faults(
                        document, document.at("/components/schemas/LogWritten"), JSON.readTree(written.body())))
                .isEmpty();

        List<JsonNode> entries = all(3);
        for (JsonNode entry : entries) {
            assertThat(JsonSchemas.faults(document, document.at("/components/schemas/LogEntry"), entry))
                    .isEmpty();
        }
        JsonNode dipped = entries.stream()
                .filter(entry -> entry.get("kind").asString().equals("SEALANT_DIPPED"))
                .findFirst()
                .orElseThrow();
        assertThat(dipped.at("/detail/depthsMm/1").doubleValue()).isEqualTo(5.5);
        assertThat(dipped.get("note").asString()).isEqualTo("after the pass");
        assertThat(dipped.get("source").asString()).isEqualTo("GAUGE");
        assertThat(dipped.get("tireId").isNull())
                .as("the tire that was on that day")
                .isFalse();
        assertThat(dipped.get("bikeId").asString()).isEqualTo(bike);
    }

    @Test
    void pagesBySequenceMissNothingAndShowWhatWasStruck() {
        for (int i = 0; i < 7; i++) {
            script.post(LOG, reading(UUID.randomUUID(), 150 + i));
        }
        String entry = guest.ids("/log?topic=READINGS", "/log/").get(0);
        guest.post("/log/strike", Map.of("entry", entry));
        List<JsonNode> entries = all(4);
        assertThat(entries).hasSize(3 + 7 + 1);
        assertThat(entries).extracting(one -> one.get("sequence").longValue()).isSorted();
        JsonNode strike = entries.get(entries.size() - 1);
        assertThat(strike.get("struck").booleanValue()).isTrue();
        assertThat(strike.get("supersedes").asString()).isEqualTo(entry);
    }

    @Test
    void everyFaultIsToldByItsField() {
        String faulty = "[{\"id\": \"7\", \"kind\": \"PRESSURE_READ\", \"wheelId\": \"" + UUID.randomUUID()
                + "\", \"detail\": {\"gaugeKpa\": 5000, \"gauge\": 1}}, {\"kind\": \"TIRE_FITTED\"}, 7,"
                + " {\"id\": \"" + UUID.randomUUID() + "\", \"kind\": \"PRESSURE_READ\", \"wheelId\": \"" + wheel
                + "\", \"happenedAt\": \"2090-01-01T00:00:00Z\", \"note\": \"" + "x".repeat(2001) + "\"}]";
        HttpResponse<String> answer = script.post(LOG, faulty);
        assertThat(answer.statusCode()).isEqualTo(400);
        List<String> errors = new ArrayList<>();
        JSON.readTree(answer.body())
                .get("errors")
                .forEach(error -> errors.add(
                        error.get("field").asString() + " " + error.get("code").asString()));
        assertThat(errors)
                .containsExactlyInAnyOrder(
                        "[0].id not-an-id",
                        "[0].wheelId no-such-wheel",
                        "[0].detail.gaugeKpa above-maximum",
                        "[0].detail.gauge unknown-field",
                        "[1].id missing",
                        "[1].kind unknown-value",
                        "[1].wheelId missing",
                        "[2] wrong-type",
                        "[3].happenedAt in-the-future",
                        "[3].note too-long",
                        "[3].detail missing");
        assertThat(script.post(LOG, "[]").statusCode()).isEqualTo(400);
        assertThat(script.post(LOG, "no json").statusCode()).isEqualTo(400);
        assertThat(script.get(LOG + "?limit=0").statusCode()).isEqualTo(400);
        assertThat(script.get(LOG + "?after=x").statusCode()).isEqualTo(400);
    }

    /** RFC 3339 has any number of digits behind the second; what is kept has six, and the same again is the same. */
    @Test
    void aTimeOfNineDigitsIsTheSameEachTime() {
        String entry = reading(UUID.randomUUID(), 152)
                .replace("\"kind\"", "\"happenedAt\": \"2026-06-01T10:00:00.123456789+02:00\", \"kind\"");
        assertThat(script.post(LOG, entry).statusCode()).isEqualTo(201);
        assertThat(script.post(LOG, entry).statusCode()).isEqualTo(200);
        assertThat(script.get(LOG + "?from=2026-06-01T08:00:00.123456Z&to=2026-06-01T08:00:00.123457Z")
                        .body())
                .contains("2026-06-01T08:00:00.123456Z");
    }

    @Test
    void theLogIsReadByWheelKindAndMoment() {
        String other = guest.ids("/garage", "/wheels/").get(1);
        for (int day = 1; day <= 3; day++) {
            String at = "\"happenedAt\": \"2026-06-0" + day + "T10:00:00+02:00\", \"kind\"";
            script.post(LOG, reading(UUID.randomUUID(), 150 + day).replace("\"kind\"", at));
            script.post(
                    LOG,
                    reading(UUID.randomUUID(), 160 + day)
                            .replace("\"kind\"", at)
                            .replace(wheel, other));
        }
        assertThat(count("?kind=PRESSURE_READ")).isEqualTo(6);
        assertThat(count("?kind=PRESSURE_READ&wheel=" + wheel)).isEqualTo(3);
        assertThat(count("?kind=PRESSURE_READ&from=2026-06-02T10:00:00+02:00")).isEqualTo(4);
        assertThat(count("?kind=PRESSURE_READ&to=2026-06-02T08:00:00Z&wheel=" + other))
                .isEqualTo(1);
        HttpResponse<String> faulty = script.get(LOG + "?wheels=1&kind=SLOW&from=noon&wheel=7&limit=1&limit=2");
        assertThat(faulty.statusCode()).isEqualTo(400);
        JsonNode told = JSON.readTree(faulty.body());
        assertThat(told.get("instance").asString()).isEqualTo(LOG);
        assertThat(told.get("errors").findValuesAsString("field"))
                .containsExactlyInAnyOrder("wheels", "kind", "from", "wheel", "limit");
    }

    private int count(String query) {
        return JSON.readTree(script.get(LOG + query).body()).get("entries").size();
    }

    @Test
    void aTokenDoesWhatItMayAndNothingElse() {
        Script reader = Script.of(site, guest, "read");
        Script writer = Script.of(site, guest, "append");
        assertThat(reader.get(LOG).statusCode()).isEqualTo(200);
        assertThat(reader.post(LOG, reading(UUID.randomUUID(), 150)).statusCode())
                .isEqualTo(403);
        assertThat(writer.get(LOG).statusCode()).isEqualTo(403);
        assertThat(writer.post(LOG, reading(UUID.randomUUID(), 150)).statusCode())
                .isEqualTo(201);
        assertThat(reader.get("/garage").statusCode()).as("no page opens to it").isNotEqualTo(500);
        assertThat(reader.get("/account").body()).doesNotContain(wheel);
        HttpResponse<String> nobody = new Script(site, "a".repeat(43)).get(LOG);
        assertThat(nobody.statusCode()).isEqualTo(401);
        assertThat(nobody.headers().firstValue("WWW-Authenticate")).contains("Bearer realm=\"Stratopneum\"");
        assertThat(site.get(LOG).statusCode()).as("without any").isEqualTo(401);
        assertThat(guest.get(LOG).statusCode()).as("a cookie is no token").isEqualTo(401);
    }

    @Test
    void whatAnotherSitesPageSendsIsRefused() {
        assertThat(site.post(
                                LOG,
                                reading(UUID.randomUUID(), 152),
                                "Authorization",
                                script.authorization(),
                                "Content-Type",
                                "application/json",
                                "Origin",
                                "https://elsewhere.example")
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void aTokenOpensNothingOnceItIsTakenAway() {
        String page = guest.get("/tokens").body();
        assertThat(page).contains("Gauge", "read the log, add to the log").doesNotContain("id=\"fresh\"");
        script.get(LOG);
        assertThat(guest.get("/tokens").body()).contains("used ");
        String token = guest.ids("/tokens", "/tokens/").get(0);
        assertThat(Guest.withAccount(site)
                        .post("/tokens/" + token + "/revoke", Map.of())
                        .statusCode())
                .isEqualTo(404);
        assertThat(script.get(LOG).statusCode()).isEqualTo(200);
        guest.post("/tokens/" + token + "/revoke", Map.of());
        assertThat(script.get(LOG).statusCode()).isEqualTo(401);
    }

    @Test
    void aTokenWantsANameAndSomethingToDo() {
        HttpResponse<String> refused =
                guest.post("/tokens", Map.of("newId", UUID.randomUUID().toString(), "name", " "));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Required").doesNotContain("id=\"fresh\"");
    }

    private String reading(UUID id, double kpa) {
        return "{\"id\": \"" + id + "\", \"kind\": \"PRESSURE_READ\", \"wheelId\": \"" + wheel
                + "\", \"detail\": {\"gaugeKpa\": " + kpa + ", \"readIn\": \"PSI\", \"afterInflation\": true}}";
    }

    private List<JsonNode> all(int limit) {
        List<JsonNode> entries = new ArrayList<>();
        JsonNode next = JSON.readTree("0");
        while (!next.isNull()) {
            JsonNode page = JSON.readTree(script.get(LOG + "?limit=" + limit + "&after=" + next.longValue())
                    .body());
            page.get("entries").forEach(entries::add);
            next = page.get("next");
        }
        return entries;
    }
}
