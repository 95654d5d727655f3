package org.stratopneum.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.JsonSchemas;
import org.stratopneum.web.support.Pictures;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A whole garage out and in, over HTTP. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class ArchiveTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private final Site site;
    private final JdbcTemplate jdbc;

    ArchiveTest(Site site, JdbcTemplate jdbc) {
        this.site = site;
        this.jdbc = jdbc;
    }

    @Test
    void theDemoGoesIntoAnEmptyAccountAsItIs() {
        JsonNode demo = archive(new Guest(site));
        assertThat(JsonSchemas.faults(schema(), demo)).isEmpty();
        assertThat(demo.get("log").size()).isGreaterThan(500);

        Guest guest = Guest.withAccount(site);
        String page = bringIn(guest, demo.toString());
        assertThat(page).contains("id=\"done\"", "0 were there already");
        JsonNode again = archive(guest);
        assertThat(without(again)).isEqualTo(without(demo));
        assertThat(guest.get("/").body()).contains("Skylark", "Heron", "Sledge");
        assertThat(guest.get("/bikes/d0000000-0000-4000-8000-000000000301/dialling")
                        .statusCode())
                .isEqualTo(200);

        String repeated = bringIn(guest, demo.toString());
        assertThat(repeated).contains("0 new");
        assertThat(without(archive(guest))).isEqualTo(without(demo));
    }

    /** With what the demo lacks: corrections, a picture, a recorded ride, a reminder, a search, a round of practice. */
    @Test
    void everyListComesBack() {
        Guest guest = Guest.withAccount(site);
        String bike = TypedBike.enter(guest);
        String wheel = "/wheels/" + guest.ids("/garage", "/wheels/").get(0);
        String entry = guest.ids("/log", "/log/").get(0);
        guest.post("/log/" + entry + "/note", Map.of("note", "=1+1; \"quoted\"\nsecond line"));
        guest.post("/log/strike", Map.of("entry", guest.ids("/log", "/log/").get(1)));
        guest.upload("/log/" + entry + "/photos?photo=" + UUID.randomUUID(), "file", "a.png", Pictures.png(9, 7));
        guest.upload(
                "/bikes/" + bike + "/tracks",
                "file",
                "round.gpx",
                "<gpx><trk><trkseg><trkpt lat='47' lon='-21'/></trkseg></trk></gpx>".getBytes(StandardCharsets.UTF_8));
        String due = java.time.LocalDate.now(ZoneOffset.UTC).plusDays(9).toString();
        guest.post(
                "/reminders",
                Map.of("what", "grease", "due", due, "newId", UUID.randomUUID().toString()));
        guest.post(wheel + "/leak", Map.of("newId", UUID.randomUUID().toString()));
        guest.post("/drill", Map.of("newId", UUID.randomUUID().toString()));
        JobCard.begin(guest, wheel, "CLEAN_UP");
        JobCard.begin(guest, wheel, "RETAPE", "soapFirst", "on", "hub", "THRU_AXLE", "valveKind", "PRESTA");
        guest.post("/places", Map.of("newId", UUID.randomUUID().toString(), "name", "Shed", "height", "310"));

        JsonNode archive = archive(guest);
        assertThat(JsonSchemas.faults(schema(), archive)).isEmpty();
        for (String list : List.of(
                "photos", "tracks", "trackPieces", "reminders", "leakSearches", "drillRounds", "jobCards", "places")) {
            assertThat(archive.get(list).size()).as(list).isPositive();
        }
        Guest other = Guest.withAccount(site);
        bringIn(other, archive.toString());
        assertThat(without(archive(other))).isEqualTo(without(archive));
        assertThat(archive(other).at("/rider/bench/soapFirst").asBoolean()).isTrue();
        assertThat(archive(other).at("/wheels"))
                .anyMatch(one -> "THRU_AXLE".equals(one.path("hub").asString()));
        assertThat(other.bytes("/photos/" + archive.at("/photos/0/id").asString()))
                .startsWith((byte) 0x89, 'P', 'N', 'G');
        assertThat(other.get("/tracks/" + archive.at("/tracks/0/id").asString()).body())
                .contains("lon='-21'");
    }

    /** A picture in a file is read and made anew, like one that is sent alone: what is none does not get in. */
    @Test
    void aPictureOfAnArchiveIsNotTakenAsItIs() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        String entry = guest.ids("/log", "/log/").get(0);
        byte[] photo = Pictures.png(9, 7);
        guest.upload("/log/" + entry + "/photos?photo=" + UUID.randomUUID(), "file", "a.png", photo);
        JsonNode archive = archive(guest);
        ObjectNode picture = (ObjectNode) archive.at("/photos/0");

        byte[] more = (new String(photo, StandardCharsets.ISO_8859_1) + "<script>alert(1)</script>")
                .getBytes(StandardCharsets.ISO_8859_1);
        picture.put("bytes", Base64.getEncoder().encodeToString(more)).put("width", 4000);
        Guest other = Guest.withAccount(site);
        bringIn(other, archive.toString());
        byte[] kept = other.bytes("/photos/" + picture.get("id").asString());
        assertThat(kept).startsWith((byte) 0x89, 'P', 'N', 'G');
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("script");
        assertThat(archive(other).at("/photos/0/width").asInt()).isEqualTo(9);
        assertThat(bringIn(other, archive.toString())).as("the same again").contains("0 new");

        picture.put("bytes", Base64.getEncoder().encodeToString("<svg/>".getBytes(StandardCharsets.UTF_8)));
        Sent refused = Sent.file(
                Guest.withAccount(site), "garage.json", archive.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(refused.press("bring-in")).contains("a picture cannot be read");
    }

    @Test
    void aTextThatFillsTheMemoryIsRefused() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        byte[] file = archive(guest)
                .toString()
                .replaceFirst("\"name\":\"", "\"name\":\"" + "x".repeat(60 << 20))
                .getBytes(StandardCharsets.UTF_8);
        assertThat(Sent.file(guest, "garage.json", file).press("check")).contains("too long for an archive");
    }

    @Test
    void aGarageIsTakenOutAgainUntilSomethingIsWritten() {
        Guest source = Guest.withAccount(site);
        TypedBike.enter(source);
        String archive = archive(source).toString();
        Guest guest = Guest.withAccount(site);
        Sent sent = Sent.file(guest, "garage.json", archive.getBytes(StandardCharsets.UTF_8));
        assertThat(sent.press("check")).contains("id=\"checked\"");
        assertThat(guest.get("/garage").body()).doesNotContain("/wheels/");
        assertThat(sent.press("bring-in")).contains("id=\"undo\"");
        assertThat(sent.press("undo")).contains("id=\"undone\"");
        assertThat(archive(guest).get("bikes").size()).isZero();
        assertThat(archive(guest).get("log").size()).isZero();

        Sent second = Sent.file(guest, "garage.json", archive.getBytes(StandardCharsets.UTF_8));
        second.press("bring-in");
        guest.post("/log/strike", Map.of("entry", guest.ids("/log", "/log/").get(0)));
        assertThat(second.page()).doesNotContain("id=\"undo\"");
        assertThat(guest.post(second.path() + "/undo", Map.of()).statusCode()).isEqualTo(409);
        assertThat(archive(guest).get("bikes").size()).isEqualTo(1);
    }

    @Test
    void whatDoesNotFitIsRefusedWholeWithTheReason() {
        Guest source = Guest.withAccount(site);
        TypedBike.enter(source);
        JsonNode archive = archive(source);
        ObjectNode wide = (ObjectNode) archive.deepCopy();
        ((ObjectNode) wide.at("/tires/1")).put("nominalWidthMm", 900).put("colour", "red");
        ObjectNode senseless = (ObjectNode) archive.deepCopy();
        ((ObjectNode) senseless.at("/log/1/detail")).put("setup", "SOLID");
        ObjectNode loose = (ObjectNode) archive.deepCopy();
        ((ObjectNode) loose.at("/wheels/0")).put("rimId", UUID.randomUUID().toString());
        ObjectNode bench = (ObjectNode) archive.deepCopy();
        ((ObjectNode) bench.at("/rider/bench")).put("school", "BY_EAR");
        ObjectNode later = (ObjectNode) archive.deepCopy();
        later.put("version", 7);
        String text = archive.toString();
        Map<String, List<String>> refused = new HashMap<>(Map.of(bench.toString(), List.of("rider", "school")));
        refused.putAll(Map.of(
                wide.toString(),
                List.of("tires[1]", "nominalWidthMm"),
                senseless.toString(),
                List.of("log[1].detail", "does not fit"),
                loose.toString(),
                List.of("wheels[0]", "rimId points to ", "neither among the rims of this archive nor in your garage"),
                later.toString(),
                List.of("version 7"),
                text.substring(0, text.length() / 2),
                List.of("cut off"),
                text.replace("\"bikes\":", "\"bykes\":"),
                List.of("lacks bikes; an archive has all lists"),
                "{\"format\": \"another\", \"version\": 1}",
                List.of(
                        "this is not an archive: it must begin with &quot;format&quot;: &quot;stratopneum-garage&quot; and &quot;version&quot;"),
                "{\"a\":".repeat(3000),
                List.of("nested too deep"),
                text.replaceFirst("\"places\":", "\"deep\":" + "[".repeat(2000) + "]".repeat(2000) + ",\"places\":"),
                List.of("nested too deep")));
        refused.forEach((file, words) -> {
            Guest guest = Guest.withAccount(site);
            String page = bringIn(guest, file);
            assertThat(page)
                    .as(file.substring(0, Math.min(300, file.length())))
                    .contains("id=\"failed\"")
                    .contains(words)
                    .as("the database's own words")
                    .doesNotContain("violates", "constraint", "SQLSTATE", "relation ");
            JsonNode after = archive(guest);
            assertThat(after.get("bikes").size()
                            + after.get("log").size()
                            + after.get("tires").size())
                    .isZero();
            jdbc.update("delete from visits.sign_in_guard where key = 'new 127.0.0.1'");
        });
    }

    /** JSON objects have no order (RFC 8259): keys of the whole and of each row may come as they like. */
    @Test
    void whatStandsInAnotherOrderIsTheSame() {
        Guest source = Guest.withAccount(site);
        TypedBike.enter(source);
        JsonNode archive = archive(source);
        Guest other = Guest.withAccount(site);
        assertThat(bringIn(other, turned(archive).toString())).contains("id=\"done\"");
        assertThat(without(archive(other))).isEqualTo(without(archive));
    }

    /** The last key first, in the whole and in what is in it. */
    private static JsonNode turned(JsonNode node) {
        if (!(node instanceof ObjectNode object)) {
            return node;
        }
        ObjectNode turned = JSON.createObjectNode();
        List<String> names = new ArrayList<>(object.propertyNames());
        java.util.Collections.reverse(names);
        names.forEach(name -> {
            JsonNode value = object.get(name);
            if (value.isArray()) {
                ArrayNode rows = JSON.createArrayNode();
                value.forEach(row -> rows.add(turned(row)));
                turned.set(name, rows);
            } else {
                turned.set(name, turned(value));
            }
        });
        return turned;
    }

    @Test
    void whatALaterVersionAddsIsLeftOutAndSaid() {
        Guest source = Guest.withAccount(site);
        TypedBike.enter(source);
        ObjectNode later = (ObjectNode) archive(source);
        ((ObjectNode) later.at("/tires/0")).put("colour", "red");
        ((ObjectNode) later.at("/tires/1")).put("colour", "tan");
        ((ObjectNode) later.at("/rider/bench")).put("apron", true);
        later.putArray("songs").add("one");
        Guest other = Guest.withAccount(site);
        String page = bringIn(other, later.toString());
        assertThat(page)
                .contains("id=\"done\"", "id=\"notes\"", "tires.colour: not known", "rider.bench.apron", "songs");
        assertThat(page.split("tires.colour", -1)).as("told once").hasSize(2);
        assertThat(without(archive(other))).isEqualTo(without(archive(source)));
    }

    /** Two garages that have grown apart: what only one has is added, what differs is asked for. */
    @Test
    void aGarageThatHasThingsIsMergedAsItsRiderSays() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        JsonNode common = archive(guest);
        Guest other = Guest.withAccount(site);
        bringIn(other, common.toString());
        TypedBike.enter(other, "name", "Dunlin");
        ObjectNode theirs = (ObjectNode) archive(other);
        ObjectNode bike = (ObjectNode) bikeNamed(theirs, "Plover");
        bike.put("bikeKg", 19.25);
        String plover = bike.get("id").asString();
        for (JsonNode ground : theirs.get("bikeGrounds")) {
            if (ground.get("bikeId").asString().equals(plover)) {
                ((ObjectNode) ground).put("ground", "ROCK");
            }
        }
        JsonNode before = archive(guest);
        Sent sent = Sent.file(guest, "garage.json", theirs.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(sent.page()).contains("Where the archive and your garage differ", "cannot be undone");
        assertThat(sent.press("bring-in"))
                .contains("id=\"failed\"", "Plover differs from what is in your garage", "Differing: bikeKg");
        assertThat(without(archive(guest))).as("nothing until it is said").isEqualTo(without(before));

        sent.understood("clash", "KEEP");
        assertThat(sent.press("bring-in"))
                .contains("id=\"done\"", "bikes: Plover differs; yours stays", "bikeGrounds:")
                .doesNotContain("id=\"undo\"");
        JsonNode kept = archive(guest);
        assertThat(bikeNamed(kept, "Plover")).isEqualTo(bikeNamed(before, "Plover"));
        assertThat(bikeNamed(kept, "Dunlin")).isNotNull();
        assertThat(kept.get("log").size()).isEqualTo(theirs.get("log").size());

        Sent again = Sent.file(guest, "garage.json", theirs.toString().getBytes(StandardCharsets.UTF_8));
        again.understood("clash", "TAKE");
        assertThat(again.press("bring-in")).contains("id=\"done\"", "Plover is as the archive says now");
        JsonNode taken = archive(guest);
        assertThat(bikeNamed(taken, "Plover").get("bikeKg").asDouble()).isEqualTo(19.25);
        assertThat(taken.get("bikeGrounds")).isEqualTo(theirs.get("bikeGrounds"));
        assertThat(bringIn(guest, theirs.toString())).as("now they are alike").contains("id=\"done\"", " 0 new");
    }

    private static JsonNode bikeNamed(JsonNode archive, String name) {
        for (JsonNode bike : archive.get("bikes")) {
            if (bike.get("name").asString().equals(name)) {
                return bike;
            }
        }
        return null;
    }

    /** A column that somebody adds to a table without a word in the schema would be lost on the way. */
    @Test
    void theSchemaTellsEveryColumnOfEveryTable() {
        JsonNode schema = schema();
        Set<String> left = new TreeSet<>(jdbc.queryForList(
                "select table_name from information_schema.tables where table_schema = 'public'"
                        + " and table_type = 'BASE TABLE'",
                String.class));
        left.removeAll(Set.of(
                // opens something, is somebody's session with us, or is worked out from the rest
                "account",
                "account_event",
                "sent_on_day",
                "second_step",
                "recovery_code",
                "api_token",
                "agenda_feed",
                "feed_entry",
                "kept_result",
                "webhook",
                "webhook_delivery",
                "digest",
                "dialled",
                "import_run",
                "import_piece",
                "import_item",
                "rider",
                "flyway_schema_history",
                "log_kind"));
        List<String> tables = List.of(
                "place",
                "gauge",
                "bike",
                "bike_ground",
                "wheelset",
                "rim",
                "tire",
                "wheel",
                "shelf_item",
                "track",
                "track_piece",
                "log_entry",
                "photo",
                "gauge_pair",
                "job_card",
                "job_card_wheel",
                "job_card_answer",
                "wheel_care",
                "follow_up",
                "agenda_mark",
                "leak_search",
                "leak_search_step",
                "leak_spot",
                "drill_round",
                "drill_step",
                "kit");
        assertThat(left).containsExactlyInAnyOrderElementsOf(tables);
        List<String> lists = new ArrayList<>(schema.get("properties").propertyNames());
        lists.removeAll(List.of("format", "version", "writtenAt", "rider"));
        assertThat(lists).hasSameSizeAs(tables);
        for (int i = 0; i < tables.size(); i++) {
            Set<String> columns = new TreeSet<>(jdbc.queryForList(
                    "select replace(initcap(replace(column_name, '_', ' ')), ' ', '') from information_schema.columns"
                            + " where table_name = ? and is_generated = 'NEVER' and is_identity = 'NO'"
                            + " and column_name not in ('owner', 'stems', 'words', 'removed_at')",
                    String.class,
                    tables.get(i)));
            Set<String> told = new TreeSet<>();
            schema.at("/$defs/" + lists.get(i) + "/properties")
                    .propertyNames()
                    .forEach(name -> told.add(Character.toUpperCase(name.charAt(0)) + name.substring(1)));
            assertThat(told.stream().map(String::toLowerCase))
                    .as(tables.get(i))
                    .containsExactlyInAnyOrderElementsOf(
                            columns.stream().map(String::toLowerCase).toList());
        }
    }

    private static String bringIn(Guest guest, String archive) {
        return Sent.file(guest, "garage.json", archive.getBytes(StandardCharsets.UTF_8))
                .press("bring-in");
    }

    private static JsonNode archive(Guest guest) {
        return JSON.readTree(guest.get("/exchange/garage.json").body());
    }

    private JsonNode schema() {
        return JSON.readTree(site.get("/archive-1.schema.json").body());
    }

    /** Without what tells one taking out from another. */
    private static JsonNode without(JsonNode archive) {
        ObjectNode rest = (ObjectNode) archive.deepCopy();
        rest.remove("writtenAt");
        ((ObjectNode) rest.get("rider")).remove("name");
        return rest;
    }
}
