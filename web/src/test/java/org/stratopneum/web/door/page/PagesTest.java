package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class PagesTest {

    private static final String HERON = "/bikes/d0000000-0000-4000-8000-000000000302";
    private static final String PRESSURE = HERON + "/pressure";

    private final Site site;

    /** The rear wheel of that bike. */
    private static final String WHEEL = "/wheels/d0000000-0000-4000-8000-000000000603";

    PagesTest(Site site) {
        this.site = site;
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", PRESSURE, "/log", "/nothing"})
    void everyPageForbidsInlineScriptsAndForeignSources(String path) {
        HttpResponse<String> page = site.get(path);
        assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("default-src 'none'", "script-src 'self'", "style-src 'self'")
                .doesNotContain("unsafe");
        assertThat(page.body())
                .doesNotContainPattern(Pattern.compile("<script(?![^>]*src=)"))
                .doesNotContainPattern(Pattern.compile("<[^>]+\\s(style|on[a-z]+)="))
                .doesNotContainPattern(Pattern.compile("(src|href)=\"(https?:)?//"));
    }

    @Test
    void aVisitorsPagesMakeNoSession() {
        assertThat(site.get(PRESSURE).headers().allValues("Set-Cookie"))
                .allMatch(cookie -> cookie.startsWith("stratopneum-form="))
                .allMatch(cookie -> cookie.contains("HttpOnly") && cookie.contains("SameSite=Strict"));
    }

    /** A second tab, or the live part of this page, must not spoil a form that is open already. */
    @Test
    void theFormsTokenStaysTheSameWhileTheCookieDoes() {
        String cookie = site.get(PRESSURE)
                .headers()
                .firstValue("Set-Cookie")
                .orElseThrow()
                .split(";", 2)[0];
        for (String path : List.of("/", PRESSURE, PRESSURE + "/advice", "/log", "/nothing")) {
            assertThat(site.get(path, "Cookie", cookie).headers().allValues("Set-Cookie"))
                    .as(path)
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "/nothing, 404",
        "/bikes/not-an-id/pressure, 400",
        "/log?beforeTime=tomorrow, 400",
        "/bikes/x/readings, 405",
        "/error, 404"
    })
    void whatIsNotThereIsSaidOnAPageOfOurOwn(String path, int status) {
        HttpResponse<String> page = site.get(path);
        assertThat(page.statusCode()).isEqualTo(status);
        assertThat(page.body()).contains("Bikes").doesNotContain("Exception", "\tat ", "null");
    }

    /** What cannot be kept is said beside its field, not by the database. */
    @Test
    void aNameWithAnUnreadableSignIsAFaultOfItsField() {
        HttpResponse<String> page =
                site.postForm("/bikes/new", "/bikes", TypedBike.with("name", "Plo\u0000ver", "rear-tire", "a\u0007b"));
        assertThat(page.statusCode()).isEqualTo(422);
        assertThat(page.body().split("holds signs that cannot be read", -1).length)
                .isGreaterThan(3);
    }

    @Test
    void anErrorPageHasTheFrameOfEveryOther() {
        assertThat(site.get("/nothing").body())
                .contains("href=\"/garage\"", "Demo data. Create an account to add your own bikes.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"+1000000000-01-01T00:00:00Z", "-1000000000-01-01T00:00:00Z", "1970-01-01T00:00:00Z"})
    void theLogHasAPageForEveryMoment(String moment) {
        String path = "/log?beforeSequence=1&beforeTime=" + Site.encode(moment);
        assertThat(site.get(path).statusCode()).isEqualTo(200);
    }

    @Test
    void anUnknownBikeIsNotThere() {
        assertThat(site.get("/bikes/" + UUID.randomUUID() + "/pressure").statusCode())
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({"Host, garage.example", "X-Forwarded-For, 192.0.2.7", "Forwarded, for=192.0.2.7"})
    void theDemoGarageStaysShutForWhoDoesNotSitAtTheMachine(String header, String value) {
        HttpResponse<String> first = site.get("/", header, value);
        assertThat(first.statusCode()).isEqualTo(200);
        assertThat(first.body()).contains("Create account", "Sign in").doesNotContain("Heron");
        for (String path : List.of(PRESSURE, "/log", PRESSURE + "/advice")) {
            HttpResponse<String> page = site.get(path, header, value);
            assertThat(page.statusCode()).as(path).isEqualTo(302);
            assertThat(page.headers().firstValue("Location")).as(path).contains("/sign-in");
            assertThat(page.body()).doesNotContain("Heron");
        }
    }

    @Test
    void withoutTheFormsTokenNothingIsWritten() {
        HttpResponse<String> answer =
                site.post(HERON + "/readings", "rear=40&unit=PSI", "Content-Type", "application/x-www-form-urlencoded");
        assertThat(answer.statusCode()).isEqualTo(403);
    }

    /** On the first page as on the wheel's: both fields keep what was typed, and what is wrong stands beside it. */
    @Test
    void aFaultyReadingStaysTypedBesideItsMessage() {
        for (String from : List.of("/", WHEEL)) {
            String to = from.equals("/") ? HERON : WHEEL;
            HttpResponse<String> page = site.postForm(
                    from, to + "/readings", Map.of("rear", "41,5x", "front", "999", "unit", "BAR", "state", "SET"));
            assertThat(page.statusCode()).isEqualTo(422);
            assertThat(page.body()).contains("value=\"41,5x\"", "Enter a number, e.g. 21.5");
        }
        assertThat(site.postForm("/", HERON + "/readings", Map.of("front", "999", "unit", "BAR"))
                        .body())
                .contains("value=\"999\"", "must be at most 12 bar, was 999 bar");
    }

    /** 26 bar is none of a tire that gets 30 psi: it is asked, and written as it was meant, or as it was typed. */
    @Test
    void aReadingInTheWrongUnitIsAskedAbout() {
        Map<String, String> typed = Map.of("front", "26", "unit", "BAR", "state", "FOUND");
        HttpResponse<String> asked = site.postForm("/", HERON + "/readings", typed);
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body()).contains("26 bar? Did you mean 26 psi?", "value=\"26\"");
        Map<String, String> yes = new HashMap<>(typed);
        yes.put("yes", "front");
        assertThat(site.postForm("/", HERON + "/readings", yes).statusCode()).isEqualTo(302);
        assertThat(site.get("/log").body().split("class=\"log-line\"")[1]).contains("26.0 psi</a>");
        Map<String, String> no = new HashMap<>(typed);
        no.put("sure", "front");
        assertThat(site.postForm("/", HERON + "/readings", no).body())
                .as("more than any gauge shows")
                .contains("must be at most 12 bar, was 26 bar");
    }

    @Test
    void aReadingAboveTheLimitIsWrittenAndSaysWhatToDo() {
        Map<String, String> typed = Map.of(
                "front",
                "70",
                "unit",
                "PSI",
                "state",
                "FOUND",
                "frontEntry",
                UUID.randomUUID().toString());
        HttpResponse<String> written = site.postForm("/", HERON + "/readings", typed);
        assertThat(written.statusCode()).isEqualTo(302);
        String home = site.get("/").body();
        assertThat(home).contains("Let air out: Heron front", "over the limit of", "Let air out now.");
        site.postForm("/", "/log/strike", Map.of("entry", typed.get("frontEntry")));
    }

    @ParameterizedTest
    @CsvSource({
        "rear, '', type what the gauge showed",
        "at, 2999-01-01T10:00, lies in the future",
        "at, 1066-01-01T10:00, lies before 1990",
        "at, soon, is not a date and time",
        "temperature, 200, must be at most 90 °C",
        "unit, STONE, is not one of the known values"
    })
    void everyFieldOfAReadingIsChecked(String field, String typed, String message) {
        Map<String, String> fields = new HashMap<>(Map.of("rear", "2.0", "unit", "BAR"));
        fields.put(field, typed);
        HttpResponse<String> page = site.postForm(WHEEL, WHEEL + "/readings", fields);
        assertThat(page.statusCode()).isEqualTo(422);
        assertThat(page.body()).contains(message);
    }

    @Test
    void aFaultyRideStaysTypedAndTellsNothing() {
        HttpResponse<String> page = site.get(WHEEL + "?rider=6400&share1=70&bike=");
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body())
                .contains("value=\"6400\"", "must be at most 250 kg, was 6400 kg")
                .contains("the shares must add up to 100 %, they make 120 %")
                .contains("Required")
                .contains("No recommendation yet")
                .doesNotContain("id=\"set\"");
    }

    @Test
    void theRideTravelsInTheAddress() {
        String usual = told(site.get(WHEEL).body());
        String loaded = told(site.get(WHEEL + "?luggageRear=80").body());
        assertThat(Double.parseDouble(loaded)).isGreaterThan(Double.parseDouble(usual));
        assertThat(site.get(WHEEL + "?luggageRear=80").body()).contains("value=\"80\"");
        assertThat(site.get(WHEEL + "/advice?luggageRear=80").body())
                .as("parts put in place")
                .contains("id=\"told-rear\">" + loaded, "name=\"told\" value=\"" + loaded, "Pumped to " + loaded);
    }

    @Test
    void aLoadThatNoCeilingCarriesIsBlockedAndCannotBeSet() {
        String page = site.get(WHEEL + "?luggageRear=300&drop=FIRM").body();
        assertThat(page)
                .contains("Do not ride this", "This tire cannot carry this load", "What would help")
                .doesNotContain("id=\"set\"", "Target range 65");
        HttpResponse<String> answer = site.postForm(
                WHEEL, WHEEL + "/readings", Map.of("luggageRear", "300", "drop", "FIRM", "set", "on", "told", "65.0"));
        assertThat(answer.statusCode()).isEqualTo(409);
    }

    /** Where riding is blocked nothing is told, so the log must not say that something was. */
    @Test
    void aReadingUnderABlockedRideIsWrittenWithoutWhatWasTold() {
        for (String rear : List.of("160", "45")) {
            HttpResponse<String> written = site.postForm(
                    WHEEL,
                    WHEEL + "/readings",
                    Map.of("luggageRear", rear, "drop", "FIRM", "rear", "2.222", "unit", "BAR", "state", "FOUND"));
            assertThat(written.statusCode()).isEqualTo(302);
            String line = site.get("/log").body().split("class=\"log-line\"")[1];
            assertThat(line).contains("2.22 bar</a>");
            assertThat(line.contains("recommended")).as(rear + " kg").isEqualTo(rear.equals("45"));
        }
    }

    @Test
    void setAsToldWritesNothingWhenAnotherNumberWasSeen() {
        HttpResponse<String> answer = site.postForm(
                "/",
                HERON + "/readings",
                Map.of(
                        "set",
                        "both",
                        "rearEntry",
                        UUID.randomUUID().toString(),
                        "frontEntry",
                        UUID.randomUUID().toString(),
                        "toldRear",
                        "1.0",
                        "toldFront",
                        "1.0"));
        assertThat(answer.statusCode()).isEqualTo(409);
        assertThat(answer.body())
                .contains(
                        "The recommendation has changed since this page was loaded. Nothing was saved; check the new numbers.");
    }

    @Test
    void aRepeatedIdWithAnotherReadingIsAConflictAndNotAFailure() {
        String id = UUID.randomUUID().toString();
        assertThat(site.postForm(
                                "/",
                                HERON + "/readings",
                                Map.of("rear", "2.5", "unit", "BAR", "state", "FOUND", "rearEntry", id))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> second = site.postForm(
                "/", HERON + "/readings", Map.of("rear", "2.6", "unit", "BAR", "state", "FOUND", "rearEntry", id));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("Changed in the meantime");
    }

    /** Whatever stands in the address, the answer is a page of ours and never a failure. */
    @Test
    void noAddressMakesAPageFail() {
        Random random = new Random(11);
        List<String> fields = List.of(
                "ground1", "share1", "ground2", "share2", "rider", "bike", "drop", "wet", "asked", "written", "struck");
        List<String> values =
                List.of("", "-1", "NaN", "1e9", "ROCK", "99999999999", "<u>", "{id}", "%", "../..", "０", "0.0000001");
        for (int i = 0; i < 150; i++) {
            StringBuilder query = new StringBuilder("?x=1");
            for (int j = 0; j < 3; j++) {
                query.append('&')
                        .append(fields.get(random.nextInt(fields.size())))
                        .append('=')
                        .append(Site.encode(values.get(random.nextInt(values.size()))));
            }
            HttpResponse<String> page = site.get(WHEEL + query);
            assertThat(page.statusCode()).as(query.toString()).isIn(200, 400);
            assertThat(page.body()).doesNotContain("<u>");
        }
    }

    private static String told(String page) {
        var matcher = Pattern.compile("id=\"told-rear\">([0-9.]+)<").matcher(page);
        assertThat(matcher.find()).isTrue();
        return matcher.group(1);
    }
}
