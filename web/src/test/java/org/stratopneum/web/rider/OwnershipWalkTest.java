package org.stratopneum.web.rider;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.Pictures;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Walks every route that names something with the ids of another rider. */
@ExtendWith(RunningApplication.class)
class OwnershipWalkTest {

    private final Site site;
    private final List<RequestMappingInfo> routes;

    OwnershipWalkTest(Site site, RunningApplication.Started started) {
        this.site = site;
        ConfigurableApplicationContext context = started.context();
        this.routes = List.copyOf(context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet());
    }

    /** One address and how it is asked. */
    private record Step(String method, String path) {}

    @Test
    void everyRouteIsShutForTheIdsOfAnotherRider() {
        Guest owner = Guest.withAccount(site);
        String bike = TypedBike.enter(owner);
        owner.post(
                "/bikes/" + bike + "/readings",
                Map.of(
                        "rear",
                        "21",
                        "unit",
                        "PSI",
                        "rearEntry",
                        UUID.randomUUID().toString()));
        Map<String, String> theirs = theirs(owner, bike);
        Guest stranger = Guest.withAccount(site);
        TypedBike.enter(stranger);
        String before = standing(owner);

        List<Step> steps = steps(theirs);
        assertThat(steps)
                .as("the routes that were walked")
                .contains(
                        new Step("GET", "/wheels/" + theirs.get("wheels")),
                        new Step("POST", "/bikes/" + bike + "/readings"))
                .hasSizeGreaterThan(25);
        for (Step step : steps) {
            int status = step.method().equals("GET")
                    ? stranger.get(step.path()).statusCode()
                    : stranger.post(step.path(), anything()).statusCode();
            assertThat(status).as(step.toString()).isEqualTo(404);
            if (step.method().equals("GET")) {
                assertThat(owner.get(step.path()).statusCode())
                        .as("its owner: " + step)
                        .isIn(200, 302);
            }
        }
        assertThat(standing(owner)).isEqualTo(before);
    }

    @Test
    void idsInsideAFormAreShutAsWell() {
        Guest owner = Guest.withAccount(site);
        String bike = TypedBike.enter(owner);
        Map<String, String> theirs = theirs(owner, bike);
        Guest stranger = Guest.withAccount(site);
        String own = TypedBike.enter(stranger);
        String ownWheel = stranger.ids("/garage", "/wheels/").get(0);
        String before = standing(owner);

        for (String path : List.of("/log/strike", "/log/put-back", "/bikes/" + own + "/strike")) {
            assertThat(stranger.post(path, Map.of("entry", theirs.get("log"))).statusCode())
                    .as(path)
                    .isEqualTo(404);
        }
        var fit = stranger.post(
                "/wheels/" + ownWheel + "/fit",
                Map.of(
                        "shelf",
                        theirs.get("tires"),
                        "setup",
                        "TUBELESS",
                        "newId",
                        UUID.randomUUID().toString()));
        assertThat(fit.statusCode()).isEqualTo(422);
        assertThat(fit.body()).contains("is not in stock: another wheel has it, or it is gone");
        assertThat(stranger.get("/?written=" + theirs.get("log")).body()).doesNotContain("Saved: ");
        assertThat(standing(owner)).isEqualTo(before);
    }

    /** An id of each kind, by the word with which its addresses begin. */
    private Map<String, String> theirs(Guest owner, String bike) {
        String wheel = owner.ids("/garage", "/wheels/").get(0);
        Map<String, String> ids = new HashMap<>();
        ids.put("bikes", bike);
        ids.put("wheels", wheel);
        ids.put("tires", owner.ids("/wheels/" + wheel, "/tires/").get(0));
        ids.put("rims", owner.ids("/wheels/" + wheel, "/rims/").get(0));
        ids.put("log", owner.ids("/wheels/" + wheel + "/history", "/log/").get(0));
        owner.post(
                "/bikes/" + bike + "/wheelsets",
                TypedBike.with(
                        "wheelset", "Second pair", "id", UUID.randomUUID().toString()));
        ids.put("shelf", added(owner, "/shelf", Map.of("kind", "TOOL", "name", "Levers", "tool", "LEVERS")));
        ids.put("gauges", added(owner, "/gauges", Map.of("name", "Dial", "unit", "PSI")));
        ids.put(
                "cards",
                JobCard.begin(owner, "/wheels/" + wheel, "CLEAN_UP").path().substring("/cards/".length()));
        ids.put("tracks", track(owner, bike));
        ids.put("places", added(owner, "/places", Map.of("name", "Shed", "height", "310")));
        ids.put(
                "reminders",
                added(
                        owner,
                        "/reminders",
                        Map.of(
                                "what",
                                "grease",
                                "due",
                                LocalDate.now(ZoneOffset.UTC).plusDays(9).toString())));
        Matcher matter =
                Pattern.compile("/matters/([^\"]+)").matcher(owner.get("/todo").body());
        assertThat(matter.find()).isTrue();
        ids.put("matters", matter.group(1));
        String other = "/wheels/" + owner.ids("/garage", "/wheels/").get(1) + "/leak";
        ids.put("searches", added(owner, other, Map.of()));
        ids.put("rounds", added(owner, "/drill", Map.of()));
        String entry = "/log/" + ids.get("log");
        owner.upload(entry + "/photos?photo=" + UUID.randomUUID(), "file", "a.png", Pictures.png(3, 2));
        ids.put("photos", owner.ids(entry, "/photos/").get(0));
        owner.post("/tokens", Map.of("newId", UUID.randomUUID().toString(), "name", "Gauge", "read", "on"));
        new Guest(site).post("/sign-in", Map.of("name", owner.name(), "password", Guest.PASSWORD));
        ids.put("devices", owner.ids("/account", "/devices/").get(0));
        ids.put("tokens", owner.ids("/tokens", "/tokens/").get(0));
        // with a row to mend
        Sent sent = Sent.table(owner, "date,rear psi\n2025-04-03,21\n2025-04-04,x\n");
        sent.press("check");
        ids.put("imports", sent.path().substring("/imports/".length()));
        Matcher receiver = Pattern.compile("name=\"url\" value=\"(http[^\"]+)\"")
                .matcher(owner.get("/webhooks").body());
        assertThat(receiver.find()).isTrue();
        ids.put("webhooks", added(owner, "/webhooks", Map.of("url", receiver.group(1))));
        ids.put("wheelsets", owner.ids("/garage", "/wheelsets/").get(0));
        return ids;
    }

    /** The same file again is the same track. */
    private static String track(Guest owner, String bike) {
        var answer = owner.upload(
                "/bikes/" + bike + "/tracks",
                "file",
                "round.gpx",
                "<gpx><trk><trkseg><trkpt lat='47' lon='-21'/></trkseg></trk></gpx>".getBytes(StandardCharsets.UTF_8));
        String address = answer.headers().firstValue("Location").orElseThrow();
        return address.substring(address.indexOf("track=") + 6);
    }

    private static String added(Guest owner, String path, Map<String, String> fields) {
        Map<String, String> all = new HashMap<>(fields);
        String id = UUID.randomUUID().toString();
        all.put("newId", id);
        assertThat(owner.post(path, all).statusCode()).isEqualTo(302);
        return id;
    }

    private List<Step> steps(Map<String, String> ids) {
        List<Step> steps = new ArrayList<>();
        for (RequestMappingInfo route : routes) {
            for (String pattern : route.getPatternValues()) {
                // what tokens open is walked with them, and a form of a table is nobody's
                if (pattern.contains("{") && !pattern.startsWith("/api/") && !pattern.contains("{form:")) {
                    String kind = pattern.split("/")[1];
                    assertThat(ids).as("an id for " + pattern).containsKey(kind);
                    String path = pattern.replaceAll("\\{[^}]+}", ids.get(kind));
                    for (RequestMethod method : route.getMethodsCondition().getMethods()) {
                        steps.add(new Step(method.name(), path));
                    }
                }
            }
        }
        return steps;
    }

    /** A form that is whole wherever it is sent to, so that only the ownership can be missing. */
    private static Map<String, String> anything() {
        Map<String, String> fields = new HashMap<>(TypedBike.fields());
        fields.put("version", "0");
        fields.put("newId", UUID.randomUUID().toString());
        fields.put("entry", UUID.randomUUID().toString());
        fields.put("rearEntry", UUID.randomUUID().toString());
        fields.put("frontEntry", UUID.randomUUID().toString());
        fields.put("toldRear", "20");
        fields.put("toldFront", "20");
        fields.put("rear", "20");
        fields.put("marking", "TUBELESS_TIRE");
        fields.put("yes", "true");
        fields.put("unit", "PSI");
        fields.put("kind", "TOOL");
        fields.put("tool", "LEVERS");
        fields.put("job", "CLEAN_UP");
        fields.put("wheel", UUID.randomUUID().toString());
        fields.put("photo", UUID.randomUUID().toString());
        fields.put("pair", UUID.randomUUID().toString());
        fields.put("step", "clean-wipe");
        fields.put("answer", "DONE");
        fields.put("code", "tubeless-not-marked");
        fields.put("note", "known");
        fields.put("sound", "SILENT");
        fields.put("depths", "9 9");
        fields.put("middle", "3");
        fields.put("volume", "30");
        fields.put("casing", "STANDARD");
        fields.put("back", "/");
        fields.put("name", "Named");
        fields.put("care", "CORE_SERVICE");
        fields.put("until", LocalDate.now(ZoneOffset.UTC).plusDays(400).toString());
        fields.put("reason", "no time");
        fields.put("height", "100");
        fields.put("act", "mode:NAME_IT");
        fields.put("zone", "TREAD");
        fields.put("hour", "3");
        fields.put("cause", "CORE");
        fields.put("check", "shake");
        return fields;
    }

    /** All that the owner sees of their things, without the tokens of the forms, which are new on every page. */
    private static String standing(Guest owner) {
        return (owner.get("/garage").body() + owner.get("/log").body())
                .replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
    }
}
