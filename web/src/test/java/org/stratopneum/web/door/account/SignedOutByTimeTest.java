package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A session ends by itself while somebody types. */
@ExtendWith(RunningApplication.class)
class SignedOutByTimeTest {

    private static final Pattern CARRIED =
            Pattern.compile("<input type=\"hidden\" name=\"((?:typed\\.|then)[^\"]*)\" value=\"([^\"]*)\"");

    private final Site site;
    private final FindByIndexNameSessionRepository<?> sessions;
    private Guest rider;
    private String bike;

    SignedOutByTimeTest(Site site, FindByIndexNameSessionRepository<?> sessions) {
        this.site = site;
        this.sessions = sessions;
    }

    @BeforeEach
    void enterABikeAndLetTheSessionEnd() {
        rider = Guest.withAccount(site);
        bike = "/bikes/" + TypedBike.enter(rider);
        sessions.findByPrincipalName(rider.riderId().toString()).keySet().forEach(sessions::deleteById);
    }

    private static String location(java.net.http.HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("");
    }

    @Test
    void theDemoIsNotShownInPlaceOfTheirOwnGarage() {
        var home = rider.get("/");
        assertThat(home.statusCode()).isEqualTo(302);
        assertThat(location(home)).endsWith("/sign-in?then=/");
        assertThat(rider.get("/sign-in?then=/").body())
                .contains("You were signed out")
                .doesNotContain("Skylark");
        assertThat(location(rider.get("/log?words=seal")))
                .as("where they were")
                .endsWith("/sign-in?then=%2Flog%3Fwords%3Dseal");
        assertThat(rider.get("/trailside/mine.json").body()).doesNotContain("Skylark");
        assertThat(new Guest(site).get("/").body()).as("whoever never had one").contains("Skylark");

        rider.post("/sign-out", Map.of());
        assertThat(rider.get("/").body()).as("who stays out sees the demo").contains("Skylark");
    }

    @Test
    void whatWasTypedIsSavedAfterSigningInAgain() {
        String entry = UUID.randomUUID().toString();
        var sent = rider.post(
                bike + "/readings",
                Map.of("rear", "21.5", "unit", "PSI", "rearEntry", entry, "note", "soft & \"slow\""));
        assertThat(sent.statusCode()).isEqualTo(401);
        assertThat(sent.body()).contains("You were signed out", "what you entered is saved");

        Map<String, String> door = carried(sent.body());
        door.putAll(Map.of("name", rider.name(), "password", "wrong on purpose"));
        var refused = rider.post("/sign-in", door);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(carried(refused.body())).as("still there").containsEntry("typed.rear", "21.5");
        door.put("password", Guest.PASSWORD);
        assertThat(location(rider.post("/sign-in", door))).endsWith("/sign-in/again");
        String again = rider.get("/sign-in/again").body();
        assertThat(again).contains("action=\"" + bike + "/readings\"", "name=\"rear\" value=\"21.5\"");
        assertThat(location(rider.get("/sign-in/again"))).as("once").endsWith("/");
        rider.post(bike + "/readings", Map.of("rear", "21.5", "unit", "PSI", "rearEntry", entry));
        assertThat(rider.get("/log").body()).contains("read 21.5 psi");
    }

    @Test
    void aPartOfAPageIsNotAnsweredWithTheDoor() {
        var part = rider.get(bike + "/kit", "Sec-Fetch-Mode", "cors");
        assertThat(part.statusCode()).isEqualTo(401);
    }

    @Test
    void nobodyIsLedToAnotherSite() {
        for (String elsewhere : new String[] {"//elsewhere.example/", "https://elsewhere.example/", "/\\elsewhere"}) {
            assertThat(rider.get("/sign-in?then=" + Site.encode(elsewhere)).body())
                    .as(elsewhere)
                    .doesNotContain("elsewhere");
            assertThat(location(rider.post(
                            "/sign-in", Map.of("name", rider.name(), "password", Guest.PASSWORD, "then", elsewhere))))
                    .doesNotContain("elsewhere");
        }
    }

    private static Map<String, String> carried(String page) {
        Map<String, String> fields = new HashMap<>();
        Matcher found = CARRIED.matcher(page);
        while (found.find()) {
            fields.put(found.group(1), found.group(2));
        }
        return fields;
    }
}
