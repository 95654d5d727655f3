package org.stratopneum.web.trailside;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a phone sends when it has signal again, and what the garage makes of it. */
@ExtendWith(RunningApplication.class)
class StopTest {

    private static final String PLUGGED = """
            [{"rung": "hole-down", "reply": "still-open"}, {"rung": "plug-ream", "reply": "done"},
             {"rung": "plug-in", "reply": "in"}, {"rung": "plug-air", "reply": "holds", "by": "GAS"}]""";
    private static final String TUBED = """
            [{"rung": "wheel-out", "reply": "done"}, {"rung": "valve-out", "reply": "done"},
             {"rung": "feel-thorns", "reply": "done"}, {"rung": "tube-in", "reply": "done"},
             {"rung": "beads-on", "reply": "done"}, {"rung": "tube-air", "reply": "holds", "by": "PUMP"}]""";
    private static final String LEFT =
            "{\"plugs\": 2, \"tubes\": 1, \"boots\": 1, \"patches\": 4, \"cores\": 1, \"charges\": []}";

    private final Site site;
    private Guest rider;
    private String bike;
    private JsonNode wheel;

    StopTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        bike = TypedBike.enter(
                rider,
                "since",
                LocalDate.now(ZoneId.of("Europe/Vienna")).minusDays(2).toString());
        wheel = mine().at("/bikes/0/wheels/0");
    }

    private JsonNode mine() {
        return JsonMapper.shared().readTree(rider.get("/trailside/mine.json").body());
    }

    private String stop(String id, String at, String said, String left, String end) {
        return """
                {"id": "%s", "kind": "MEND", "bikeId": "%s", "wheelId": "%s", "tireId": "%s", "at": %s,
                 "mend": {"system": "TUBELESS", "where": "TREAD", "size": "UP_TO_6", "liveSealant": true,
                          "end": "%s", "said": %s, "left": %s}}
                """.formatted(
                        id,
                        bike,
                        wheel.get("id").asString(),
                        wheel.get("tire").asString(),
                        at == null ? "null" : "\"" + at + "\"",
                        end,
                        said,
                        left);
    }

    private static String ago(Duration time) {
        return Instant.now().minus(time).toString();
    }

    private HttpResponse<String> send(String json) {
        return rider.sendFromDevice(json);
    }

    private void count(String... pairs) {
        rider.post("/bikes/" + bike + "/kit", kit(pairs));
    }

    private static Map<String, String> kit(String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "version", "0",
                "plugs", "3",
                "plugsWant", "3",
                "plugTool", "on",
                "cartridges", "1",
                "cartridgesWant", "1",
                "cartridgeG", "16",
                "headShuts", "on"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    @Test
    void aStopArrivesOnceWithAllThatFollowsFromIt() {
        String id = UUID.randomUUID().toString();
        String json = stop(id, ago(Duration.ofHours(3)), PLUGGED, LEFT, "RIDE");

        assertThat(send(json).body()).contains("WRITTEN", "Flat: Tread; 3 to 6 mm");
        String agenda = rider.get("/todo").body();
        assertThat(agenda)
                .contains(
                        "Let the carbon dioxide out",
                        "Look at the plug",
                        "Dip, and top up the sealant",
                        "Restock the repair kit",
                        "/jobs/new?job=PLUG_AND_PATCH",
                        "/bikes/" + bike + "/kit");
        String log = rider.get("/log").body();
        assertThat(log).contains("Flat: ", "a hole sealed itself");

        assertThat(send(json).body()).contains("REPEATED");
        assertThat(rider.get("/todo").body().split("Look at the plug", -1))
                .hasSameSizeAs(agenda.split("Look at the plug", -1));
    }

    @Test
    void theSameNameForSomethingElseIsAConflictThatShowsWhatStands() {
        String id = UUID.randomUUID().toString();
        String at = ago(Duration.ofHours(3));
        send(stop(id, at, PLUGGED, LEFT, "RIDE"));

        HttpResponse<String> other = send(stop(id, at, TUBED, LEFT, "RIDE"));

        assertThat(other.statusCode()).isEqualTo(409);
        assertThat(other.body()).contains("CONFLICT", "lower half of the target range: It holds");
        assertThat(rider.get("/log").body()).doesNotContain("tube in it");
    }

    @Test
    void aTubeInATubelessTireIsKnownToTheGarage() {
        send(stop(UUID.randomUUID().toString(), null, TUBED, LEFT, "RIDE"));

        assertThat(mine().at("/bikes/0/wheels/0/system").asString()).isEqualTo("TUBE");
        assertThat(rider.get("/todo").body())
                .contains("Take the tube out, clean, and set up tubeless again", "job=CONVERT")
                .doesNotContain("Dip, and top up");
    }

    @Test
    void whatIsStruckThroughLeavesNoWorkAndTheBagIsFullAgain() {
        count();
        assertThat(mine().at("/bikes/0/bag/counts/PLUG").asInt()).isEqualTo(3);
        String id = UUID.randomUUID().toString();
        send(stop(id, null, PLUGGED, LEFT, "RIDE"));
        assertThat(mine().at("/bikes/0/bag/counts/PLUG").asInt()).isEqualTo(2);
        assertThat(rider.get("/bikes/" + bike + "/kit").body()).contains("Something was used", "Plugs: 1");

        rider.post("/log/strike", Map.of("entry", id));

        assertThat(mine().at("/bikes/0/bag/counts/PLUG").asInt()).isEqualTo(3);
        assertThat(rider.get("/todo").body()).doesNotContain("Look at the plug", "Restock the repair kit");
    }

    @Test
    void whatIsDoneAtHomeIsNotDueAnyMore() {
        count();
        send(stop(UUID.randomUUID().toString(), null, PLUGGED, LEFT, "RIDE"));
        assertThat(rider.get("/todo").body()).contains("Restock the repair kit", "Dip, and top up");

        MovableClock.after(rider, Duration.ofHours(2), () -> {
            count("version", "1");
            String sealant = "/wheels/" + wheel.get("id").asString() + "/sealant";
            rider.post(sealant + "/fillings", Map.of("entry", UUID.randomUUID().toString(), "volume", "60"));
            assertThat(rider.get("/todo").body())
                    .doesNotContain("Restock the repair kit", "Dip, and top up")
                    .contains("Look at the plug");
        });
    }

    private List<String> dues() {
        String agenda = rider.get("/todo").body();
        return Stream.of(Chore.values())
                .filter(Chore::ofStop)
                .filter(chore -> agenda.contains(WORDS.get(chore)))
                .map(Chore::name)
                .toList();
    }

    private static final Map<Chore, String> WORDS = Map.ofEntries(
            Map.entry(Chore.CO2_OUT, "Let the carbon dioxide out"),
            Map.entry(Chore.PLUG_INSIDE, "Look at the plug; patch"),
            Map.entry(Chore.DIP, "Dip, and top up the sealant"),
            Map.entry(Chore.RESET_TUBELESS, "Take the tube out, clean"),
            Map.entry(Chore.NEW_TIRE, "Put a new tire on"),
            Map.entry(Chore.NEW_TUBED_TIRE, "Put a new tire on, with its tube"),
            Map.entry(Chore.RIM_LOOK, "Check the rim after the strike"),
            Map.entry(Chore.STRIP_LOOK, "Look at the rim strip"),
            Map.entry(Chore.BEAD_LOOK, "Clean and look at the bead"),
            Map.entry(Chore.VALVE_LOOK, "Wash or renew the valve core"),
            Map.entry(Chore.FIND_LEAK, "Find the leak\""),
            Map.entry(Chore.MEND, "Fix it"),
            Map.entry(Chore.RESTOCK, "Restock the repair kit"));

    @Test
    void aBurpABootAValveAndAWalkEachLeaveTheirOwnWork() {
        send(stop(
                UUID.randomUUID().toString(),
                null,
                "[{\"rung\": \"bead-push\", \"reply\": \"sits\"},"
                        + " {\"rung\": \"bead-air\", \"reply\": \"holds\", \"by\": \"PUMP\"}]",
                LEFT,
                "RIDE"));
        assertThat(dues()).containsExactly("BEAD_LOOK");
        send(stop(
                UUID.randomUUID().toString(),
                null,
                "[{\"rung\": \"core-tighten\", \"reply\": \"still-leaks\"},"
                        + " {\"rung\": \"core-spare\", \"reply\": \"in\"},"
                        + " {\"rung\": \"core-spare-air\", \"reply\": \"holds\", \"by\": \"PUMP\"}]",
                LEFT,
                "LIMP"));
        assertThat(dues()).contains("BEAD_LOOK", "VALVE_LOOK", "RESTOCK").doesNotContain("DIP");
        send(stop(UUID.randomUUID().toString(), null, "[]", LEFT, "WALK"));
        assertThat(dues()).contains("MEND");
        String tubed = TUBED.replace(
                "{\"rung\": \"tube-in\"", "{\"rung\": \"boot-in\", \"reply\": \"done\"}, {\"rung\": \"tube-in\"");
        send(stop(UUID.randomUUID().toString(), null, tubed.replace("tube-air", "tube-air-booted"), LEFT, "LIMP"));
        assertThat(dues()).contains("NEW_TIRE").doesNotContain("RESET_TUBELESS");
        assertThat(rider.get("/log").body()).contains("seven tenths of the usual: It holds; Ride home gently");
    }

    @Test
    void ridingOnIsNotBelievedWhereTheLastAnswerSaysOtherwise() {
        String ends = stop(UUID.randomUUID().toString(), null, PLUGGED.replace("holds", "weeps"), LEFT, "RIDE");
        assertThat(send(ends).statusCode()).isEqualTo(422);
        assertThat(send(ends.replace("\"end\": \"RIDE\"", "\"end\": \"WALK\"")).statusCode())
                .as("walking is always possible")
                .isEqualTo(200);
        assertThat(rider.get("/log").body()).contains("It weeps; Walk");
    }

    /** Whatever is left to do has its card, on the wheel as it is then. */
    @Test
    void everyChoreHasACardThatCanBeBegun() {
        String tubeless = "/wheels/" + wheel.get("id").asString();
        Guest other = Guest.withAccount(site);
        TypedBike.enter(other, "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        String tubed = "/wheels/" + other.ids("/garage", "/wheels/").get(0);
        for (Chore chore : Chore.values()) {
            chore.job().ifPresent(job -> {
                if (!chore.when().contains("TUBED")) {
                    begins(rider, tubeless, job);
                }
                // what an inspection finds on a wheel with a tube has cards of its own
                if (chore.ofStop() && !chore.when().contains("TUBELESS") && chore != Chore.PLUG_INSIDE) {
                    begins(other, tubed, job);
                }
            });
        }
    }

    private static void begins(Guest rider, String wheel, Job job) {
        assertThat(JobCard.begin(rider, wheel, job.name()).step())
                .as(job + " " + wheel)
                .isNotEmpty();
    }

    @Test
    void aReadingAndSprayTracesAreWrittenAsWell() {
        String more = "\"bikeId\": \"%s\", \"wheelId\": \"%s\", \"tireId\": \"%s\""
                .formatted(bike, wheel.get("id").asString(), wheel.get("tire").asString());
        send("{\"id\": \"%s\", \"kind\": \"READING\", \"kpa\": 140, \"unit\": \"BAR\", %s}"
                .formatted(UUID.randomUUID(), more));
        send("{\"id\": \"%s\", \"kind\": \"TRACES\", %s}".formatted(UUID.randomUUID(), more));

        assertThat(rider.get("/log").body()).contains("set to 1.40 bar", "traces on frame or fork");
        assertThat(rider.get("/todo").body()).contains("Dip, and top up the sealant");
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsWritten() {
        String before = rider.get("/log").body();
        String id = UUID.randomUUID().toString();
        assertThat(send(stop(id, ago(Duration.ofHours(-3)), PLUGGED, LEFT, "RIDE"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(send(stop(id, null, "[{\"rung\": \"hole-up\", \"reply\": \"closed\"}]", LEFT, "RIDE"))
                        .body())
                .contains("FAULTY", "said[0].rung", "end");
        assertThat(send(stop(id, null, PLUGGED, LEFT, "RIDE")
                                .replace(bike, UUID.randomUUID().toString()))
                        .statusCode())
                .isEqualTo(404);
        assertThat(send("{\"kind\": \"MEND\"}").statusCode()).isEqualTo(422);
        assertThat(send(stop(id, null, PLUGGED, LEFT, "RIDE")
                                .replace(
                                        wheel.get("tire").asString(),
                                        UUID.randomUUID().toString()))
                        .statusCode())
                .as("no such tire")
                .isEqualTo(404);
        assertThat(send("{\"kind\": \"" + "x".repeat(70_000) + "\"}").statusCode())
                .isEqualTo(413);
        assertThat(send(stop(id, null, PLUGGED, LEFT, "RIDE").replace("\"size\"", "\"cut\""))
                        .statusCode())
                .as("without a size")
                .isEqualTo(400);
        for (String bad :
                List.of("[]", "{", "{\"kind\": \"NOTHING\"}", "{\"at\": \"yesterday\"}", "{\"left\": 3}", "null", "")) {
            assertThat(send(bad).statusCode()).as(bad).isIn(400, 422);
        }
        assertThat(send(stop(id, null, PLUGGED, LEFT.replace("2", "-2"), "RIDE"))
                        .statusCode())
                .isEqualTo(400);
        assertThat(rider.get("/log").body().length()).isEqualTo(before.length());
    }

    @Test
    void anothersWheelIsNotThere() {
        Guest stranger = Guest.withAccount(site);
        TypedBike.enter(stranger);

        assertThat(stranger.sendFromDevice(stop(UUID.randomUUID().toString(), null, PLUGGED, LEFT, "RIDE"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(new Guest(site).get("/trailside/rules.json").body())
                .doesNotContain(wheel.get("id").asString());
    }

    @Test
    void whatADeviceKeepsHoldsWheelsBagAndLimitsAndIsNotKeptOnTheWay() {
        HttpResponse<String> answer = rider.get("/trailside/mine.json");

        assertThat(answer.headers().firstValue("Cache-Control")).hasValue("no-store");
        assertThat(wheel.at("/air/ceilingKpa").asDouble()).isBetween(344.0, 345.0);
        assertThat(wheel.at("/air/goals/USUAL").asDouble()).isBetween(80.0, 250.0);
        assertThat(wheel.at("/air/gasKpa").size()).isEqualTo(33);
        assertThat(wheel.get("limit").asString()).contains("Never above 50.0 psi (3.45 bar)");
    }

    @Test
    void theWorkerListsWhatItKeepsByTheirVersionsAndTheManifestNamesAStart() {
        String worker = site.get("/worker.js").body();
        assertThat(worker)
                .containsPattern("/assets/js/ladder-[0-9a-f]{10}\\.js")
                .contains("const VERSION = \"");
        HttpResponse<String> manifest = site.get("/manifest.webmanifest");
        assertThat(manifest.headers().firstValue("Content-Type").orElseThrow()).contains("application/manifest+json");
        JsonNode said = JsonMapper.shared().readTree(manifest.body());
        assertThat(said.get("start_url").asString()).isEqualTo("/");
        for (String list : List.of("icons", "screenshots", "shortcuts")) {
            String address = list.equals("shortcuts") ? "url" : "src";
            assertThat(said.get(list)).as(list).isNotEmpty();
            said.get(list)
                    .forEach(one -> assertThat(
                                    site.get(one.get(address).asString()).statusCode())
                            .as(one.toString())
                            .isEqualTo(200));
        }
        assertThat(said.get("icons").findValuesAsString("purpose")).contains("maskable");
    }

    /** A step that was done without signal is taken once, in its order, and not where the job has moved on. */
    @Test
    void aStepThatWasDoneWithoutSignalIsTakenOnce() {
        JobCard card = JobCard.begin(rider, "/wheels/" + wheel.get("id").asString(), "PREVENTION_LOOK");
        JsonNode kept = fetched("cards").get(0);
        JsonNode first = kept.get("steps").get(0);
        assertThat(first.get("id").asString()).isEqualTo(card.step());
        String second = kept.get("steps").get(1).get("id").asString();
        String sent = step(
                kept,
                first.get("id").asString(),
                first.get("answers").get(0).get("answer").asString());
        assertThat(send(sent).body()).contains("WRITTEN");
        assertThat(card.step()).isEqualTo(second);
        assertThat(send(sent).body()).contains("REPEATED");
        assertThat(send(step(kept, "core-inward", "DONE")).body()).contains("FAULTY", "already");
        assertThat(send(step(kept, second, "NO_SUCH_ANSWER")).body()).contains("FAULTY");
        assertThat(card.step()).as("nothing of that is taken").isEqualTo(second);
        assertThat(fetched("todo")).as("what is to do goes along").isNotEmpty();
    }

    private JsonNode fetched(String what) {
        return JsonMapper.shared()
                .readTree(rider.get("/trailside/" + what + ".json").body());
    }

    private static String step(JsonNode card, String step, String answer) {
        return """
                {"id": "%s", "kind": "STEP", "cardId": "%s", "wheelId": "%s", "step": "%s", "answer": "%s"}
                """.formatted(
                UUID.randomUUID(), card.get("id").asString(), card.get("wheel").asString(), step, answer);
    }

    /** Without an account: the ladder and a budget from a tire size. */
    @Test
    void aVisitorGetsTheLadderForATireSize() {
        String page = site.get("/trailside/plan?size=60-622&rim=30&system=TUBELESS&where=TREAD&cut=UP_TO_3&live=on"
                        + "&plugs=2&cartridges=1&grams=16&usual=20&most=40&unit=PSI")
                .body();
        // worked value of the handbook: 16 g bring 5.8 l to 19 psi
        assertThat(page).containsPattern("1[89]\\.\\d psi").contains("Turn the hole to the bottom", "Walk out");
        assertThat(page).doesNotContain("Put the tube in");
        assertThat(site.get("/trailside/plan?size=round&plugs=-1&cartridges=1&grams=&usual=90&most=40&unit=PSI")
                        .body())
                .contains("is not a size that we know", "value=\"round\"", "value=\"-1\"", "Required");
        assertThat(site.get("/trailside/plan?size=57-622&usual=90&most=40&unit=PSI&grams=16")
                        .body())
                .contains("is more than tire and rim allow: at most 40");
        assertThat(site.get("/trailside/tire.json?size=38-622").body()).contains("\"size\":\"38-622\"");
        assertThat(site.get("/trailside/tire.json?size=big").statusCode()).isEqualTo(422);
    }
}
