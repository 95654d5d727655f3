package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.CountedQueries;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What a page may cost: statements to the database, and bytes over the wire. The demo garage holds a year of log. */
@ExtendWith(RunningApplication.class)
@Isolated
class PageCostTest {

    private static final int MOST_QUERIES = 8;
    private static final int FIRST_LOAD = 200_000;
    private static final int MOST_AT_HOME = 10;
    private static final int MOST_AT_THE_BENCH = 12;
    private static final int MOST_OVER_ALL = 13;

    private static final int PATIENCE = 20;
    private static final long WAIT_NANOS = 50_000_000;
    private static final int LATER_LOAD = 30_000;
    private static final String SKYLARK = "/bikes/d0000000-0000-4000-8000-000000000301";
    private static final String REAR_WHEEL = "/wheels/d0000000-0000-4000-8000-000000000601";

    private static final Pattern PARTS = Pattern.compile("(?:src|href)=\"(/assets/[^\"]+)\"");
    private static final Pattern PARTS_OF_STYLES = Pattern.compile("url\\(\"?([^)#\"][^)\"]*)\"?\\)");

    private final Site site;

    PageCostTest(Site site) {
        this.site = site;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                SKYLARK + "/edit",
                SKYLARK + "/elsewhere",
                SKYLARK + "/pocket",
                SKYLARK + "/trail-card",
                "/trailside",
                "/trailside/plan",
                SKYLARK + "/dialling",
                REAR_WHEEL + "/gauge",
                SKYLARK + "/rides/new",
                "/places/d0000000-0000-4000-8000-000000000105",
                SKYLARK + "/wheelsets/new",
                REAR_WHEEL + "/fit",
                "/tires/compare?tire=d0000000-0000-4000-8000-000000000701&tire=d0000000-0000-4000-8000-000000000709",
                REAR_WHEEL + "/needs",
                REAR_WHEEL + "/air",
                REAR_WHEEL + "/what-if",
                "/leak",
                "/drill",
                "/log",
                "/exchange",
                "/log?words=rear+seal&topic=READINGS",
                "/bikes/new",
                "/tires/new",
                "/rims/new",
                "/shelf/new?kind=SEALANT",
                "/shelf/d0000000-0000-4000-8000-000000000805",
                "/gauges/new",
                "/gauges/d0000000-0000-4000-8000-000000000202",
                "/jobs",
                REAR_WHEEL + "/jobs",
                "/settings",
                "/digest",
                "/pressure",
                "/calculators"
            })
    void noPageAsksTheDatabaseMoreThanEightTimes(String path) {
        List<String> queries = CountedQueries.during(
                () -> assertThat(site.get(path).statusCode()).isEqualTo(200));
        assertThat(queries).as(path).hasSizeLessThanOrEqualTo(MOST_QUERIES);
    }

    /** They look at the whole bench: the bike, the log, the shelf, and the card with its answers. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                REAR_WHEEL,
                REAR_WHEEL + "/sealant",
                REAR_WHEEL + "/leak",
                REAR_WHEEL + "/leaks",
                REAR_WHEEL + "/history",
                "/tires/d0000000-0000-4000-8000-000000000701/history",
                SKYLARK + "/kit",
                REAR_WHEEL + "/jobs/new?job=CHANGE_TIRE",
                "card",
                "search"
            })
    void thePagesAtTheBenchAskTwelveTimesAtMost(String asked) {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        String wheel = "/wheels/" + guest.ids("/garage", "/wheels/").get(0);
        String own = switch (asked) {
            case "card" ->
                JobCard.begin(guest, wheel, "CHANGE_TIRE", "both", "on").path();
            case "search" -> search(guest, wheel);
            default -> null;
        };
        String path = own == null ? asked : own;
        List<String> queries =
                CountedQueries.during(() -> assertThat((own == null ? site.get(path) : guest.get(path)).statusCode())
                        .isEqualTo(200));
        assertThat(queries).as(path).hasSizeLessThanOrEqualTo(MOST_AT_THE_BENCH);
    }

    private static String search(Guest guest, String wheel) {
        String id = UUID.randomUUID().toString();
        guest.post(wheel + "/leak", Map.of("newId", id));
        return "/searches/" + id;
    }

    /**
     * They look at everything there is: all wheels, the log, the cards, the shelf, and what the rider said about it; once for
     * what is kept of all of them, so that nothing is worked out again.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/todo",
                "/garage",
                "/todo/month",
                "/trailside/mine.json",
                "/trailside/cards.json",
                "/trailside/todo.json"
            })
    void thePagesOverAllBikesAskThirteenTimesAtMost(String path) {
        assertThat(onceKept(MOST_OVER_ALL, () -> site.get(path))).as(path).hasSizeLessThanOrEqualTo(MOST_OVER_ALL);
    }

    /** Who comes first works out what is kept from then on; others do not wait for it. */
    private static List<String> onceKept(int most, Supplier<HttpResponse<String>> page) {
        List<String> queries = asked(page);
        for (int i = 0; i < PATIENCE && queries.size() > most; i++) {
            LockSupport.parkNanos(WAIT_NANOS);
            queries = asked(page);
        }
        return queries;
    }

    /** All wheels too, but neither the shelf nor the rides. */
    @Test
    void theFirstPageAsksTenTimesAtMost() {
        assertThat(onceKept(MOST_AT_HOME, () -> site.get("/"))).hasSizeLessThanOrEqualTo(MOST_AT_HOME);
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        assertThat(onceKept(MOST_AT_HOME, () -> guest.get("/"))).isNotEmpty().hasSizeLessThanOrEqualTo(MOST_AT_HOME);
    }

    private static List<String> asked(Supplier<HttpResponse<String>> page) {
        return CountedQueries.during(() -> assertThat(page.get().statusCode()).isEqualTo(200));
    }

    /** A statement in a loop over bikes would be nine more with ten. */
    @Test
    void aPageAsksNoMoreForTenBikesThanForOne() {
        Guest one = Guest.withAccount(site);
        TypedBike.enter(one);
        Guest ten = Guest.withAccount(site);
        IntStream.range(0, 10).forEach(number -> TypedBike.enter(ten, "name", "Bike " + number));
        for (String path : List.of(
                "/",
                "/garage",
                "/log",
                "/jobs",
                "/todo",
                "/todo/month",
                "/exchange",
                "/digest",
                "/leak",
                "/trailside",
                "/trailside/mine.json")) {
            assertThat(statements(ten, path)).as(path).isEqualTo(statements(one, path));
        }
    }

    private static int statements(Guest guest, String path) {
        return CountedQueries.during(
                        () -> assertThat(guest.get(path).statusCode()).isEqualTo(200))
                .size();
    }

    /** However many rows are shown, what they are about is asked for once. */
    @Test
    void thePreviewAsksTheDatabaseNoMoreForMoreRows() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest, "since", "2025-01-01");
        Sent few = Sent.table(guest, "date,rear psi\n2025-04-03,21\n");
        Sent many = Sent.table(
                guest,
                "date,rear psi,front psi\n" + "2025-04-03,21,20\n2025-04-04,22,20\n2025-04-05,20,19\n".repeat(3));
        assertThat(many.page()).contains("rear: read 22.0 psi");
        assertThat(CountedQueries.during(many::page)).hasSameSizeAs(CountedQueries.during(few::page));
    }

    /** With an account: the session's own statements are beside the count. */
    @Test
    void aSignedInRidersPagesKeepToItAsWell() {
        Guest guest = Guest.withAccount(site);
        String bike = TypedBike.enter(guest);
        for (String path : List.of("/account", "/bikes/" + bike + "/dialling")) {
            List<String> queries = CountedQueries.during(
                    () -> assertThat(guest.get(path).statusCode()).isEqualTo(200));
            assertThat(queries).as(path).isNotEmpty().hasSizeLessThanOrEqualTo(MOST_QUERIES);
        }
    }

    @Test
    void whoIsNobodyAsksTheDatabaseNothing() {
        Guest guest = Guest.withAccount(site);
        guest.post("/sign-out", Map.of());
        assertThat(CountedQueries.during(() -> site.get("/pressure", "X-Forwarded-For", "192.0.2.7")))
                .isEmpty();
    }

    @Test
    void theFirstPageIsLightAtFirstAndLighterAfter() {
        int page = weight("/");
        List<String> parts = parts(site.get("/").body(), PARTS, "");
        List<String> ofStyles = parts.stream()
                .filter(part -> part.endsWith(".css"))
                .flatMap(part -> parts(site.get(part).body(), PARTS_OF_STYLES, "/assets/").stream())
                .toList();
        assertThat(ofStyles).as("the font").isNotEmpty();
        List<String> all = new ArrayList<>(parts);
        all.addAll(ofStyles);
        assertThat(all)
                .allSatisfy(part -> assertThat(site.get(part)
                                .headers()
                                .firstValue("Cache-Control")
                                .orElse(""))
                        .as(part)
                        .contains("max-age=31536000"));
        assertThat(page + all.stream().mapToInt(this::weight).sum()).isLessThan(FIRST_LOAD);
        assertThat(page).isLessThan(LATER_LOAD);
    }

    /** Before they are packed: what is behind another tab, or in a fold that asks for it, is not in them. */
    @ParameterizedTest
    @ValueSource(strings = {"", "/jobs"})
    void aWheelPageIsNoMoreThanThirtyKilobytesOfText(String tab) {
        assertThat(site.get(REAR_WHEEL + tab).body().getBytes(StandardCharsets.UTF_8))
                .hasSizeLessThan(LATER_LOAD);
    }

    private static List<String> parts(String text, Pattern pattern, String folder) {
        List<String> parts = new ArrayList<>();
        Matcher found = pattern.matcher(text);
        while (found.find()) {
            parts.add(found.group(1).startsWith("/") ? found.group(1) : folder + found.group(1));
        }
        return parts;
    }

    /** Bytes of an answer as they go over the wire, head included. */
    private int weight(String path) {
        return site.bytes(path, "Accept-Encoding", "gzip");
    }
}
