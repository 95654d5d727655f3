package org.stratopneum.web.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A search on a wheel of the garage, by plain forms: as it goes without scripts. */
@ExtendWith(RunningApplication.class)
class LeakSearchTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));
    private static final Pattern RANKED = Pattern.compile("ranking-name\">([^<]+)</span>\\s*<strong>([^<]+)<");

    private final Site site;
    private Guest rider;
    private String wheel;

    LeakSearchTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "since", TODAY.minusDays(100).toString());
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private static Map<String, String> fields(String... pairs) {
        Map<String, String> fields = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    private String begin(String... pairs) {
        Map<String, String> fields = fields(pairs);
        fields.put("newId", UUID.randomUUID().toString());
        var answer = rider.post(wheel + "/leak", fields);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        return "/searches/" + fields.get("newId");
    }

    private String post(String search, String what, String... pairs) {
        assertThat(rider.post(search + "/" + what, fields(pairs)).statusCode()).isEqualTo(302);
        return rider.get(search).body();
    }

    private static Map<String, String> ranking(String page) {
        Map<String, String> ranking = new HashMap<>();
        Matcher found = RANKED.matcher(page);
        while (found.find()) {
            ranking.put(found.group(1), found.group(2));
        }
        return ranking;
    }

    @Test
    void itBeginsWithWhatTheLogHolds() {
        String start = rider.get(wheel + "/leak").body();
        assertThat(start)
                .contains("its tire is on since")
                .containsPattern("value=\"OLD\" selected=\"selected\">longer ago");
        String page = rider.get(begin("setup", "OLD")).body();
        assertThat(page).contains("Why this check?", "What each answer would mean", "not set up lately");
        assertThat(ranking(page)).containsKey("the valve core");
    }

    @Test
    void anAnswerMovesTheRankingAndIsTakenBack() {
        String search = begin();
        Map<String, String> before = ranking(rider.get(search).body());
        String page = post(search, "acts", "act", "seen.soap-valve-tip.bubbles");
        assertThat(Integer.parseInt(ranking(page).get("the valve core").replaceAll("\\D", "")))
                .isBetween(70, 90);
        assertThat(page).contains("Wet the valve tip: Bubbles: 30 times likelier");
        page = post(search, "acts", "act", "back:seen.soap-valve-tip.bubbles");
        assertThat(ranking(page)).isEqualTo(before);
        assertThat(post(search, "acts", "act", "seen.soap-valve-tip.clear"))
                .doesNotContain("Fix it now: the valve core");
    }

    /** With one clear sign and nothing else to be seen it is mended, and not looked at for ever. */
    @Test
    void afterASignItLeadsToTheCardThatMendsIt() {
        String search = begin();
        post(search, "acts", "act", "seen.look-over.clear");
        String page = post(search, "acts", "act", "seen.soap-valve-tip.bubbles");
        assertThat(page)
                .contains(
                        "Fix it now: the valve core",
                        "job=SERVICE_VALVE",
                        "it pays to fix it without another check: the repair is a check too, and the leak-down test after it is the proof.");
    }

    @Test
    void whatCannotBeCheckedHereIsNotAskedAgainAndAnotherCheckMayBeChosen() {
        String search = begin();
        Pattern asked = Pattern.compile("value=\"(not-here\\.[^\"]+)\"");
        for (int i = 0; i < 4; i++) {
            Matcher found = asked.matcher(rider.get(search).body());
            assertThat(found.find()).isTrue();
            String page = post(search, "acts", "act", found.group(1));
            assertThat(page).doesNotContain("value=\"" + found.group(1) + "\"");
        }
        assertThat(rider.get(search + "?check=dip").body()).contains("Dip into the sealant", "You chose it");
    }

    @Test
    void aPlaceOnTheMapAnswersItsCheckAndIsTakenAway() {
        String search = begin();
        String page = post(search, "spots", "zone", "BEAD_LEFT", "hour", "4");
        assertThat(page).contains("left bead at 4 o&#39;clock", "Soap both bead lines: Bubbles at the edge");
        String more = post(search, "spots", "zone", "SPOKE_HOLE", "hour", "7");
        assertThat(more).contains("spoke hole at 7 o&#39;clock");
        page = post(search, "acts", "act", "no-spot:BEAD_LEFT@4.0");
        assertThat(page).doesNotContain("left bead at 4", "Soap both bead lines: Bubbles");
        assertThat(rider.post(search + "/spots", fields("zone", "BEAD_LEFT", "hour", "13"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(rider.post(search + "/acts", fields("act", "seen.soap-bead.green"))
                        .statusCode())
                .as("nobody sees that")
                .isEqualTo(404);
        assertThat(rider.get(search).statusCode()).isEqualTo(200);
    }

    @Test
    void itIsLeftAndGoneOnWithAndThereIsOneOnAWheel() {
        String search = begin();
        post(search, "acts", "act", "seen.shake.silent");
        assertThat(rider.get(wheel + "/leak").headers().firstValue("Location").orElseThrow())
                .endsWith(search);
        Map<String, String> fields = fields("newId", UUID.randomUUID().toString());
        assertThat(rider.post(wheel + "/leak", fields)
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .as("the one that stands open")
                .endsWith(search);
    }

    /** With an object seen the answer is to mend it, not three more checks. */
    @Test
    void anObjectThatWasSeenIsMended() {
        String search = begin();
        String page = post(search, "acts", "act", "seen.look-over.object");
        assertThat(page).contains("Fix it now: a hole in the tread", "No more looking needed", "job=PLUG_AND_PATCH");
        page = post(search, "acts", "act", "mended.tread-hole.");
        assertThat(page)
                .contains(
                        "Still losing air. Either the repair did not take (about 1 in 7) or there is a second leak (about 1 in 7). What you saw stays; spray again, it takes two minutes.",
                        "There may be two causes");
    }

    @Test
    void anOpenSearchStandsInToDoAndOnHomeUntilItEnds() {
        String search = begin();
        for (String page : List.of("/todo", "/")) {
            assertThat(rider.get(page).body()).as(page).contains("Continue the leak search", wheel + "/leak");
        }
        post(search, "give-up");
        assertThat(rider.get("/todo").body()).doesNotContain("Continue the leak search");
    }

    @Test
    void whatWasMendedInVainFallsBackAndWhatWasFoundStandsInTheLogAndCountsNextTime() {
        String search = begin();
        post(search, "acts", "act", "seen.soap-valve-tip.bubbles");
        String page = post(search, "acts", "act", "mended.core.");
        assertThat(page).contains("fixed, still leaks: the valve core", "you fixed it, and the wheel still lost air");
        assertThat(Integer.parseInt(ranking(page).get("the valve core").replaceAll("\\D", "")))
                .isLessThan(40);

        page = post(search, "found", "cause", "BEAD");
        assertThat(page).contains("Found: an unseated bead", "Resume search");
        assertThat(rider.get("/log").body()).contains("leak found: an unseated bead");
        assertThat(rider.get(wheel + "/history").body()).contains("leak found: an unseated bead");

        String next = begin();
        assertThat(rider.get(next).body()).contains("What you found on your wheels before counts a little");
        post(next, "give-up");
        assertThat(rider.get(next).body()).contains("Stopped on");

        page = post(search, "reopen");
        assertThat(page).contains("fixed, still leaks: the valve core");
        assertThat(rider.get("/log?deleted=on").body()).contains("deleted");
        post(search, "give-up");
        assertThat(rider.get(begin()).body()).doesNotContain("What you found on your wheels before");
    }

    @Test
    void aHoldTestOnACardIsSaidOnTheSearchAndOneIsRemindedOf() {
        String search = begin();
        post(search, "acts", "act", "seen.soap-valve-tip.bubbles");
        String id = UUID.randomUUID().toString();
        var answer = rider.post(search + "/test", fields("cause", "CORE", "newId", id));
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("/todo?done=" + id);
        assertThat(rider.get("/todo").body()).contains("leak-down test: was it the valve core?", "job=HOLD_TEST");
        assertThat(JobCard.begin(rider, wheel, "SERVICE_VALVE").step()).isNotEmpty();
    }

    @Test
    void theWayOfGoingOnIsChosen() {
        String search = begin();
        String page = post(search, "acts", "act", "mode:NAME_IT");
        assertThat(page).contains("Goal: find the cause");
        assertThat(post(search, "acts", "act", "mode:MEND_SOON")).contains("Goal: fastest fix");
    }

    @Test
    void aFaultyStartKeepsWhatWasTyped() {
        Map<String, String> fields = fields(
                "newId",
                UUID.randomUUID().toString(),
                "from",
                "20",
                "to",
                "22",
                "hours",
                "0",
                "unit",
                "PSI",
                "hit",
                "on");
        var answer = rider.post(wheel + "/leak", fields);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("value=\"22\"", "value=\"20\"", "must be");
        assertThat(answer.body()).containsPattern("name=\"hit\"[^>]*checked");
        fields.put("hours", "24");
        answer = rider.post(wheel + "/leak", fields);
        assertThat(answer.body()).contains("must be below the pressure at the beginning, 20 psi, was 22 psi");
        fields.put("to", "15");
        assertThat(rider.post(wheel + "/leak", fields).statusCode()).isEqualTo(302);
        String search =
                rider.get(wheel + "/leak").headers().firstValue("Location").orElseThrow();
        assertThat(rider.get(search.substring(search.indexOf("/searches"))).body())
                .as("25 % in a day")
                .contains("loses fast", "hit since");
    }

    /** A crack is not mended by a rider: it stops the wheel, here, in the end, and in the log (docs/handbook, page 8). */
    @Test
    void aCrackStopsTheWheelAndNothingToFindSaysSo() {
        String search = begin("hit", "on");
        assertThat(post(search, "acts", "act", "seen.look-rim.crack"))
                .as("at once, whatever is asked next")
                .contains("Do not ride a cracked rim");
        post(search, "acts", "act", "seen.tub.nipples");
        String page = post(search, "acts", "act", "mode:NAME_IT");
        assertThat(page).contains("a crack in the rim", "Stop riding this wheel", "I stop riding it", "it is sound");
        assertThat(page).doesNotContain("That is it: nothing to fix", "id=\"remind\"");
        page = post(search, "found", "cause", "RIM_CRACK");
        assertThat(page).contains("Found: a crack in the rim", "Do not ride a cracked rim");

        String normal = begin();
        post(normal, "acts", "act", "seen.hold-test.passed");
        post(normal, "found", "cause", "NORMAL");
        assertThat(rider.get("/log").body())
                .contains("leak search: no leak, normal air loss")
                .doesNotContain("leak found: nothing");
    }

    @Test
    void aHoldTestAndADipLeadToWhereTheyAreKept() {
        String search = begin();
        assertThat(rider.get(search + "?check=hold-test").body()).contains("id=\"hold-card\"", "job=HOLD_TEST");
        assertThat(rider.get(search + "?check=dip").body()).contains("id=\"dip-page\"", wheel + "/sealant#dip");
    }
}
