package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.Others;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What strangers, other sites and old sessions can do to a rider: nothing. */
@ExtendWith(RunningApplication.class)
class DoorTest {

    private static final Pattern CODE = Pattern.compile("<code>([A-Z2-9-]{14})</code>");

    private final Site site;
    private final JdbcTemplate jdbc;

    DoorTest(Site site, JdbcTemplate jdbc) {
        this.site = site;
        this.jdbc = jdbc;
    }

    private static Map<String, String> password(Guest rider, String password) {
        return Map.of("name", rider.name(), "password", password);
    }

    @Test
    void aStrangersGuessesKeepNoRiderOutOfTheirOwnDevice() {
        Guest rider = Guest.withAccount(site);
        rider.post("/sign-out", Map.of());
        Guest stranger = new Guest(site);
        HttpResponse<String> last = null;
        for (int i = 0; i < 8; i++) {
            last = stranger.post("/sign-in", password(rider, "wrong on purpose"));
        }
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(last.headers().firstValue("Retry-After")).isPresent();
        assertThat(rider.post("/sign-in", password(rider, Guest.PASSWORD)).statusCode())
                .isEqualTo(302);
        assertThat(rider.get("/account").body()).contains("Wrong password", "Account created", "Signed in");
    }

    /** Their own wrong tries are counted there, too. */
    @Test
    void aKnownDeviceIsNoWayToGuess() {
        Guest rider = Guest.withAccount(site);
        rider.post("/sign-out", Map.of());
        for (int i = 0; i < 3; i++) {
            assertThat(rider.post("/sign-in", password(rider, "wrong on purpose"))
                            .statusCode())
                    .isEqualTo(422);
        }
        assertThat(rider.post("/sign-in", password(rider, Guest.PASSWORD)).statusCode())
                .isEqualTo(429);
    }

    @Test
    void aRightRecoveryCodeIsNeverHeldBack() {
        Guest rider = Guest.withAccount(site);
        Matcher code = CODE.matcher(rider.get("/account/codes").body());
        assertThat(code.find()).isTrue();
        Guest stranger = new Guest(site);
        Map<String, String> wrong =
                Map.of("name", rider.name(), "code", "AAAA-BBBB-CCCC", "password", "granite and a blue kettle");
        for (int i = 0; i < 3; i++) {
            stranger.post("/recover", wrong);
        }
        assertThat(stranger.post("/recover", wrong).statusCode()).isEqualTo(429);
        Map<String, String> right = new HashMap<>(wrong);
        right.put("code", code.group(1));
        assertThat(stranger.post("/recover", right).statusCode()).isEqualTo(302);
        assertThat(rider.get("/account").statusCode())
                .as("other sessions are over")
                .isEqualTo(302);
        assertThat(stranger.get("/account").body()).contains("Password reset with a recovery code");
    }

    @Test
    void fortyGuessesAtOnceAreNotAllHeard() throws Exception {
        Guest rider = Guest.withAccount(site);
        Guest stranger = new Guest(site);
        stranger.get("/sign-in");
        try (Others crowd = new Others(40)) {
            List<Future<Integer>> guesses = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                guesses.add(crowd.run(() -> stranger.post("/sign-in", password(rider, "wrong on purpose"))
                        .statusCode()));
            }
            int heard = 0;
            for (Future<Integer> guess : guesses) {
                heard += guess.get() == 422 ? 1 : 0;
            }
            assertThat(heard).isBetween(1, 3);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "Sec-Fetch-Site, cross-site, 403",
        "Sec-Fetch-Site, same-site, 403",
        "Sec-Fetch-Site, same-origin, 302",
        "Origin, https://elsewhere.example, 403",
        "Origin, null, 403",
        "Origin, http://127.0.0.1:1, 403"
    })
    void whatAnotherSitesPageSendsIsRefused(String header, String value, int status) {
        Guest rider = Guest.withAccount(site);
        assertThat(rider.postWith("/account/email", Map.of("email", ""), header, value)
                        .statusCode())
                .isEqualTo(status);
    }

    @Test
    void aPageOfThisSiteMaySend() {
        Guest rider = Guest.withAccount(site);
        assertThat(rider.postWith("/account/email", Map.of("email", ""), "Origin", site.address())
                        .statusCode())
                .isEqualTo(302);
    }

    /** Planted by a neighbour's site, the pair of cookie and field would fit together. */
    @Test
    void aFormTokenIsOfItsSessionOnly() {
        Guest rider = Guest.withAccount(site);
        Guest other = Guest.withAccount(site);
        assertThat(rider.postWithTokenOf(other, "/account/email", Map.of("email", ""))
                        .statusCode())
                .isEqualTo(403);
        assertThat(rider.post("/account/email", Map.of("email", "")).statusCode())
                .isEqualTo(302);
    }

    private static final Pattern DEVICE = Pattern.compile("/devices/([0-9a-f-]{36})/end");

    @Test
    void devicesAreListedAndSignedOut() {
        Guest rider = Guest.withAccount(site);
        Guest phone = new Guest(site);
        Guest tablet = new Guest(site);
        phone.post("/sign-in", password(rider, Guest.PASSWORD));
        tablet.post("/sign-in", password(rider, Guest.PASSWORD));
        String page = rider.get("/account").body();
        assertThat(page).contains("This device", "127.0.0.1").doesNotContain(sessionOf(phone), sessionOf(rider));
        Matcher device = DEVICE.matcher(page);
        assertThat(device.find()).isTrue();
        rider.post("/devices/" + device.group(1) + "/end", Map.of());
        long still = List.of(phone, tablet).stream()
                .filter(one -> one.get("/account").statusCode() == 200)
                .count();
        assertThat(still).isEqualTo(1);
        rider.post("/devices/end", Map.of());
        assertThat(phone.get("/account").statusCode()).isEqualTo(302);
        assertThat(tablet.get("/account").statusCode()).isEqualTo(302);
        assertThat(rider.get("/account").body()).contains("A device signed out", "All other devices signed out");
    }

    private static String sessionOf(Guest guest) {
        return guest.cookies().stream()
                .filter(cookie -> cookie.getName().equals("stratopneum-session"))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    @Test
    void nobodyEndsSomebodyElsesSession() {
        Guest rider = Guest.withAccount(site);
        Guest phone = new Guest(site);
        phone.post("/sign-in", password(rider, Guest.PASSWORD));
        Matcher device = DEVICE.matcher(rider.get("/account").body());
        assertThat(device.find()).isTrue();
        Guest.withAccount(site).post("/devices/" + device.group(1) + "/end", Map.of());
        assertThat(phone.get("/account").statusCode()).isEqualTo(200);
    }

    /** Used every day, it is over after 90 days all the same. */
    @Test
    void aSessionEndsAtLast() {
        Guest rider = Guest.withAccount(site);
        String own = "where principal_name = ?";
        jdbc.update(
                "update visits.spring_session set creation_time = creation_time - ? " + own,
                89L * 86_400_000,
                rider.riderId().toString());
        assertThat(rider.get("/account").statusCode()).isEqualTo(200);
        jdbc.update(
                "update visits.spring_session set creation_time = creation_time - ? " + own,
                2L * 86_400_000,
                rider.riderId().toString());
        assertThat(rider.get("/account").headers().firstValue("Location").orElse(""))
                .contains("/sign-in?then=");
        assertThat(jdbc.queryForObject(
                        "select count(*) from visits.spring_session " + own,
                        Integer.class,
                        rider.riderId().toString()))
                .isZero();
    }

    @Test
    void afterANewPasswordTheOtherWaysInAreShownAndEnded() {
        Guest rider = Guest.withAccount(site);
        Map<String, String> change = Map.of("current", Guest.PASSWORD, "password", "granite and a blue kettle");
        rider.post("/tokens", Map.of("newId", UUID.randomUUID().toString(), "name", "Floor gauge", "read", "on"));
        rider.post("/todo/address", Map.of());
        HttpResponse<String> changed = rider.post("/account/password", change);
        assertThat(changed.headers().firstValue("Location").orElse("")).endsWith("/account/ways");
        Matcher token = Pattern.compile("name=\"token\" value=\"([^\"]+)\"")
                .matcher(rider.get("/account/ways").body());
        assertThat(token.find()).isTrue();
        rider.post("/account/ways", Map.of("token", token.group(1), "calendar", "true"));
        assertThat(rider.get("/tokens").body()).contains("No tokens yet.");
        assertThat(rider.get("/todo").body()).doesNotContain("/feed.ics?key=");
        assertThat(rider.get("/account").body()).contains("Token created", "Token revoked", "Password changed");
    }

    /** What a request calls the host is not believed, in links that carry a secret. */
    @Test
    void aSecretAddressNamesNoForeignHost() {
        Guest rider = Guest.withAccount(site);
        rider.post("/todo/address", Map.of());
        assertThat(rider.get("/todo").body()).contains(site.address() + "/feed.ics?key=");
        String page = rider.get("/todo", "Host", "elsewhere.example").body();
        assertThat(page).contains("/feed.ics?key=").doesNotContain("elsewhere.example");
    }

    @Test
    void recoveryCodesWaitInNoSession() {
        Guest rider = Guest.withAccount(site);
        HttpResponse<String> codes = rider.get("/account/codes");
        assertThat(CODE.matcher(codes.body()).results().count()).isEqualTo(8);
        assertThat(codes.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        assertThat(jdbc.queryForList(
                        "select distinct attribute_name from visits.spring_session_attributes", String.class))
                .noneMatch(name -> name.contains("Once"));
        assertThat(rider.get("/account/codes").statusCode()).as("shown once").isEqualTo(302);
    }

    @Test
    void signingOutLeavesNothingInTheBrowser() {
        Guest rider = Guest.withAccount(site);
        assertThat(rider.post("/sign-out", Map.of()).headers().firstValue("Clear-Site-Data"))
                .contains("\"cache\", \"storage\"");
    }
}
