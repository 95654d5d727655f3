package org.stratopneum.web.sealant;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** How a wheel's sealant is looked after: dose, plan, refresh cards, and what to buy. */
@ExtendWith(RunningApplication.class)
class WheelCareTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));

    private final Site site;
    private Guest rider;
    private String wheel;

    WheelCareTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "since", TODAY.minusDays(100).toString(), "rear-measuringRim", "30");
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    private String page() {
        return rider.get(wheel + "/sealant").body();
    }

    private String post(String path, String... pairs) {
        Map<String, String> fields = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post(path, fields);
        return answer.statusCode() + answer.body();
    }

    private String care(int version, String... pairs) {
        Map<String, String> fields =
                new HashMap<>(Map.of("version", String.valueOf(version), "dose", "STANDARD", "plan", "MEASURED"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post(wheel + "/care", fields);
        return answer.statusCode() + answer.body();
    }

    /** At ten in the morning of that day; today it is now, since ten may be still to come. */
    private void filled(String ml, int daysAgo, String... more) {
        Map<String, String> fields =
                new HashMap<>(Map.of("entry", UUID.randomUUID().toString(), "volume", ml));
        if (daysAgo > 0) {
            fields.put("filledAt", TODAY.minusDays(daysAgo) + "T10:00");
        }
        for (int i = 0; i < more.length; i += 2) {
            fields.put(more[i], more[i + 1]);
        }
        assertThat(rider.post(wheel + "/sealant/fillings", fields).statusCode()).isEqualTo(302);
    }

    /** docs/handbook, page 5, by its law: 57-622 on 30 mm has about 3200 cm2, so 0.18, 0.30 and 0.38 mm are 58, 96 and 122 ml. */
    @Test
    void theDoseIsToldByThreeSchoolsInBothUnitsAndInOnesOwnScoops() {
        assertThat(page())
                .contains(
                        "55 ml",
                        "95 ml",
                        "120 ml",
                        "1.9 fl oz",
                        "Enter your scoop&#39;s size under Settings to see amounts in scoops.");
        Map<String, String> settings = new HashMap<>(Map.of(
                "version",
                String.valueOf(version()),
                "zone",
                "Europe/Vienna",
                "pressure",
                "PSI",
                "mass",
                "KG",
                "length",
                "MM",
                "volume",
                "ML",
                "temperature",
                "CELSIUS",
                "distance",
                "KM",
                "theme",
                "SYSTEM",
                "scoop",
                "60"));
        assertThat(rider.post("/settings", settings).statusCode()).isEqualTo(302);
        assertThat(page())
                .contains("1 × 60 ml", "1½ × 60 ml", "2 × 60 ml")
                .doesNotContain("Enter your scoop&#39;s size under Settings to see amounts in scoops.");
        settings.put("version", String.valueOf(version()));
        settings.put("scoop", "0.5");
        var refused = rider.post("/settings", settings);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("must be at least 1 ml");
    }

    private int version() {
        String form = rider.get("/settings").body();
        int at = form.indexOf("name=\"version\" value=\"") + "name=\"version\" value=\"".length();
        return Integer.parseInt(form.substring(at, form.indexOf('"', at)));
    }

    @Test
    void theMakersFigureWinsAndIsCompared() {
        assertThat(care(0, "maker", "120")).startsWith("302");
        assertThat(page()).contains("manufacturer&#39;s amount", "26 % more than the standard level with 95 ml");
        filled("120", 30);
        assertThat(page())
                .as("what brings it back is by that figure")
                .containsPattern("name=\"volume\"[^>]*value=\"20\"");
    }

    @Test
    void whatCannotBeIsRefusedByItsFieldAndKept() {
        String[][] refused = {
            {"plan", "EVERY_MONTHS", "months", "5", "must be 2, 3, 4 or 6"},
            {"plan", "EVERY_MONTHS", "months", "", "Required"},
            {"plan", "MONTHLY_TOP_UP", "months", "9", "must be at most 6 months"},
            {"plan", "MONTHLY_TOP_UP", "months", "2", "must be at least 3 months"},
            {"plan", "SEASON_START", "startsOn", "soon", "is not a day"},
            {"plan", "BEFORE_EVENT", "startsOn", "2020-01-01", "or later"},
            {"plan", "BEFORE_EVENT", "startsOn", "9999-12-31", "or earlier"},
            {"plan", "MEASURED", "lookEvery", "400", "must be at most 365 days"},
            {"plan", "MEASURED", "lookEvery", "2.5", "must be a whole number"},
            {"plan", "MEASURED", "maker", "2000", "must be at most 1000 ml"},
            {"plan", "SOMETIMES", "maker", "50", "is not one of the known values"}
        };
        for (String[] typed : refused) {
            assertThat(care(0, typed[0], typed[1], typed[2], typed[3]))
                    .as(String.join(" ", typed))
                    .startsWith("422")
                    .contains(typed[4], "value=\"" + typed[3] + "\"");
        }
    }

    /** Nothing that was typed is lost: months wait for the plan that counts them. */
    @Test
    void whatAnotherPlanWantedIsKept() {
        assertThat(care(0, "plan", "EVERY_MONTHS", "months", "3")).startsWith("302");
        assertThat(care(1, "plan", "MEASURED", "months", "3")).startsWith("302");
        assertThat(page()).containsPattern("name=\"months\"[^>]*value=\"3\"");
    }

    @Test
    void aWheelWithATubeIsLookedOverTooAndItsPlanStays() {
        Guest tubed = Guest.withAccount(site);
        TypedBike.enter(tubed, "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        String path = "/wheels/" + tubed.ids("/garage", "/wheels/").get(0);
        assertThat(tubed.get(path + "/sealant").body())
                .contains("name=\"lookEvery\"")
                .doesNotContain("name=\"plan\"");
        assertThat(tubed.post(path + "/care", Map.of("version", "0", "lookEvery", "7"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(tubed.get("/todo").body()).contains("Tire inspection");
    }

    @Test
    void whoeverKeepsAnOldFormIsToldSo() {
        assertThat(care(0, "dose", "LEAN")).startsWith("302");
        assertThat(care(0, "dose", "GENEROUS")).startsWith("409");
        assertThat(care(1, "dose", "GENEROUS")).startsWith("302");
        assertThat(page()).contains("yours");
    }

    @Test
    void thePlanTellsTheDaysOnThePageAndOnTheAgenda() {
        filled("95", 20);
        assertThat(care(0, "plan", "MONTHLY_TOP_UP", "months", "4")).startsWith("302");
        String topUp = DateText.date(TODAY.minusDays(20).plusMonths(1));
        assertThat(page()).contains("By your schedule", "top-up on " + topUp, "clean out and renew on");
        assertThat(rider.get("/todo").body()).contains("Monthly sealant top-up", "Clean out and renew the sealant");

        assertThat(care(1, "plan", "EVERY_MONTHS", "months", "2")).startsWith("302");
        assertThat(page())
                .contains("a refresh on " + DateText.date(TODAY.minusDays(20).plusMonths(2)));
        LocalDate race = TODAY.plusDays(30);
        assertThat(care(2, "plan", "BEFORE_EVENT", "startsOn", race.toString())).startsWith("302");
        assertThat(page()).contains("a refresh on " + DateText.date(race.minusDays(3)));
        assertThat(care(3, "plan", "UNTIL_DRY")).startsWith("302");
        assertThat(page()).contains("it may dry up");
    }

    @Test
    void whatMovedTheForecastIsTold() {
        filled("95", 60);
        assertThat(page()).doesNotContain("The dip of ");
        String dips = post(wheel + "/sealant/dips", "entry", UUID.randomUUID().toString(), "depths", "12 11 11 11");
        assertThat(dips).startsWith("302");
        assertThat(page())
                .containsPattern("Dipstick: 11.0 mm deep on [^:]+: \\d+ ml, give or take")
                .doesNotContain("id=\"question\"");
        assertThat(page()).contains("The dip of " + DateText.date(TODAY));
        assertThat(post(wheel + "/sealant/punctures", "entry", UUID.randomUUID().toString(), "traces", "true"))
                .startsWith("302");
        assertThat(page()).contains("The hole that sealed on", "traces on frame or fork: a hole sealed itself");
    }

    @Test
    void nothingIsNotedBeforeTheFillingOrTheTire() {
        filled("95", 20);
        assertThat(post(
                        wheel + "/sealant/dips",
                        "entry",
                        UUID.randomUUID().toString(),
                        "depths",
                        "9 9",
                        "at",
                        TODAY.minusDays(40) + "T10:00"))
                .startsWith("422")
                .contains(
                        "is before the first sealant in this tire, on " + DateText.date(TODAY.minusDays(20)),
                        "value=\"9 9\"");
        assertThat(post(
                        wheel + "/sealant/fillings",
                        "entry",
                        UUID.randomUUID().toString(),
                        "volume",
                        "30",
                        "filledAt",
                        TODAY.minusDays(140) + "T10:00"))
                .startsWith("422")
                .contains("is before this tire was fitted, on " + DateText.date(TODAY.minusDays(100)));
    }

    private String bottle(String name, String family, String ml) {
        String id = UUID.randomUUID().toString();
        assertThat(rider.post(
                                "/shelf",
                                Map.of("newId", id, "kind", "SEALANT", "name", name, "amount", ml, "family", family))
                        .statusCode())
                .isEqualTo(302);
        return id;
    }

    @Test
    void aBottleThatDoesNotLastIsToBeBought() {
        String bottle = bottle("Tarn milk", "LATEX_AMMONIA", "100");
        filled("95", 95, "bottle", bottle);
        assertThat(page()).contains("the bottle has 5 ml left: buy at least");
        assertThat(rider.get("/todo").body()).contains("To buy", "Tarn milk has 5 ml left");
    }

    /** From the page to the end of the card: what it says goes in stands in its field, and its core counts as washed. */
    @Test
    void aRefreshThroughTheValveTakesFromTheBottleAndWashesTheCore() {
        String bottle = bottle("Tarn milk", "LATEX_AMMONIA", "500");
        filled("95", 95, "bottle", bottle);
        String form = rider.get(wheel + "/jobs/new?job=REFRESH_THROUGH_VALVE").body();
        assertThat(form).containsPattern("name=\"topUp\"[^>]*value=\"\\d+\"").contains("Tarn milk");
        JobCard card = JobCard.begin(rider, wheel, "REFRESH_THROUGH_VALVE", "topUp", "55", "sealant", bottle);
        card.goTo("dip-now");
        card.answer("answer", "NO");
        card.goTo("inject");
        assertThat(card.page()).contains("Inject 55 ml");
        card.goTo("sealant-ml");
        card.answer("value", "55");
        card.goToTheEnd();
        assertThat(rider.get("/log").body()).contains("sealant in, 55 ml");
        assertThat(rider.get(wheel + "/sealant").body()).contains("Tarn milk, 350 ml left");
        String agenda = rider.get("/todo").body();
        assertThat(agenda).as("months from now, and then the core with it").contains("Refresh the sealant");
    }

    /** The stick knows better than the forecast that the card was begun with. */
    @Test
    void aDipInTheMiddleOfARefreshSaysHowMuchGoesIn() {
        filled("95", 95);
        JobCard card = JobCard.begin(rider, wheel, "REFRESH_THROUGH_VALVE", "topUp", "30");
        card.goTo("dip-first");
        assertThat(card.page()).contains("this first dip does not count", "Stick wet, mm");
        card.answer("value", "25");
        for (int i = 0; i < 3; i++) {
            card.answer("value", "0");
        }
        card.goTo("inject");
        assertThat(card.page()).contains("Inject 95 ml");
        assertThat(rider.get("/log").body()).contains("dipped 0.0 mm");
    }

    @Test
    void anotherFamilyIsRefusedOnACardToo() {
        String milk = bottle("Tarn milk", "LATEX_AMMONIA", "500");
        String gel = bottle("Moss gel", "SYNTHETIC", "500");
        filled("95", 60, "bottle", milk);
        var answer = rider.post(wheel + "/jobs", JobCard.fields("REFRESH_AT_BEAD", "topUp", "40", "sealant", gel));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("the two curdle", "value=\"40\"");
    }

    @Test
    void whatStopsARefreshLeadsToTheCardThatGoesOn() {
        filled("95", 60);
        JobCard card = JobCard.begin(rider, wheel, "REFRESH_AT_BEAD", "topUp", "40");
        card.goTo("tape-in-sight");
        card.answer("answer", "DAMAGED");
        assertThat(card.page()).contains("id=\"next-card\"", "job=TAPE_RIM", "Next job: Tape a rim");
    }
}
