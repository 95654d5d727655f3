package org.stratopneum.web.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** The liquid in a tire: what is noted of it, and what is said of it from then on. */
@ExtendWith(RunningApplication.class)
class WheelSealantTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));
    private static final Pattern LEFT = Pattern.compile("id=\"left\">([0-9.]+)<");

    private final Site site;
    private Guest rider;
    private String wheel;

    WheelSealantTest(Site site) {
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

    /** The status of the answer and its body. */
    private String post(String what, String... pairs) {
        Map<String, String> fields = new HashMap<>();
        fields.put("entry", UUID.randomUUID().toString());
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post(wheel + "/sealant/" + what, fields);
        return answer.statusCode() + answer.body();
    }

    private static double left(String page) {
        Matcher found = LEFT.matcher(page);
        assertThat(found.find()).as(page).isTrue();
        return Double.parseDouble(found.group(1));
    }

    private void filled(String ml, int daysAgo) {
        String at = daysAgo == 0 ? "" : TODAY.minusDays(daysAgo) + "T10:00";
        assertThat(post("fillings", "volume", ml, "filledAt", at)).startsWith("302");
    }

    private String bottle(String name, String family, String bestBefore) {
        String id = UUID.randomUUID().toString();
        var answer = rider.post(
                "/shelf",
                Map.of(
                        "newId",
                        id,
                        "kind",
                        "SEALANT",
                        "name",
                        name,
                        "amount",
                        "500",
                        "family",
                        family,
                        "bestBefore",
                        bestBefore));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        return id;
    }

    /** 57-622 on 30 mm: S about 3200 cm2; 40 days at 1.40 kPa (20 C, 40 %) take q S vpd t, 25 ml (docs/handbook, page 5). */
    @Test
    void whatWasFilledInDriesAsTheModelSays() {
        assertThat(page()).contains("No sealant logged since this tire was fitted", "95 ml", "3.2 fl oz", "0.30 mm");
        filled("95", 40);
        String page = page();
        assertThat(left(page)).isCloseTo(95 - 1.4e-4 * 3202 * 1.4 * 40, within(1.5));
        assertThat(page)
                .contains(
                        ": nine times in ten there is enough until then.",
                        "room of 20 °C and 40 %",
                        "class=\"milk\"",
                        "class=\"milk-2\"");
        assertThat(page).as("what brings it back to a dose, in fives").contains("value=\"25\"");
    }

    @Test
    void dipsMoveTheForecastTheFirstDoesNotCountAndUndoTakesThemBack() {
        filled("95", 60);
        double before = left(page());
        assertThat(post("dips", "depths", "30 9 9,5 8.5")).startsWith("302");
        String page = page();
        assertThat(page).contains("dipped 9.0 mm");
        assertThat(left(page))
                .as("25 ml stand 9 mm deep: it dried faster than was thought")
                .isLessThan(before - 10);
        String entry = rider.ids(wheel + "/sealant", "/log/").get(0);
        var back = rider.post(
                "/log/strike",
                Map.of("entry", entry, "wheel", wheel.substring("/wheels/".length()), "from", "sealant"));
        assertThat(back.headers().firstValue("Location").orElseThrow()).contains(wheel + "/sealant?struck=");
        assertThat(left(page())).isEqualTo(before);
    }

    @Test
    void soundsAndPuncturesCountForALittle() {
        filled("95", 60);
        double before = left(page());
        assertThat(post("sounds", "sound", "SILENT")).startsWith("302");
        assertThat(page()).contains("shaken: not a sound");
        double silent = left(page());
        assertThat(silent).isLessThan(before);
        assertThat(post("punctures")).startsWith("302");
        assertThat(left(page())).isLessThan(silent);
    }

    @Test
    void oneProductPerTire() {
        String milk = bottle("Tarn milk", "LATEX_AMMONIA", "");
        String other = bottle("Fell milk", "LATEX_AMMONIA", "");
        String gel = bottle("Moss gel", "SYNTHETIC", "");
        String old = bottle("Tarn milk", "LATEX_AMMONIA", TODAY.minusDays(3).toString());
        assertThat(post("fillings", "volume", "60", "bottle", milk)).startsWith("302");
        assertThat(post("fillings", "volume", "30", "bottle", gel))
                .startsWith("422")
                .contains("of another family");
        assertThat(post("fillings", "volume", "30", "bottle", gel, "known", "on"))
                .contains("of another family");
        assertThat(post("fillings", "volume", "30", "bottle", other)).contains("is another product");
        assertThat(post("fillings", "volume", "30", "bottle", old)).contains("past its best-before");
        assertThat(post("fillings", "volume", "30", "bottle", other, "known", "on"))
                .startsWith("302");
        assertThat(post("fillings", "volume", "80", "bottle", gel, "renewed", "on"))
                .startsWith("302");
        assertThat(left(page())).as("Old sealant removed").isEqualTo(80);
        assertThat(page()).contains("cleaned out, sealant in, 80 ml");
        assertThat(rider.get("/garage").body()).contains("440 ml left of 500 ml");
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsLost() {
        filled("95", 60);
        assertThat(post("dips", "depths", "")).startsWith("422").contains("Required");
        assertThat(post("dips", "depths", "9")).contains("dip at least once more", "value=\"9\"");
        assertThat(post("dips", "depths", "9 deep 8")).contains("Enter a number, e.g. 21.5", "value=\"9 deep 8\"");
        assertThat(post("dips", "depths", "9 80")).containsPattern("must be at most 5[0-9.]+ mm");
        assertThat(post("dips", "depths", "9 9", "at", "2099-01-01T10:00")).contains("fault-at");
        assertThat(post("fillings", "volume", "5000")).startsWith("422").contains("value=\"5000\"");
        assertThat(page()).doesNotContain("dipped");
    }

    @Test
    void aTubeIsNotForecast() {
        TypedBike.enter(rider, "name", "Tubed", "rear-setup", "BUTYL_TUBE", "front-setup", "BUTYL_TUBE");
        String tubed = rider.ids("/garage", "/wheels/").get(2);
        assertThat(rider.get("/wheels/" + tubed + "/sealant").body()).contains("A tube is in this tire");
    }

    /** Topped up in the morning, another tire in the afternoon: what went into the first one is not in the second. */
    @Test
    void anotherTireOnTheSameDayBeginsWithoutSealant() {
        assertThat(post("fillings", "volume", "95")).startsWith("302");
        assertThat(page()).contains("id=\"left\"");
        Map<String, String> fit = new HashMap<>(TypedBike.fields());
        fit.put("newId", UUID.randomUUID().toString());
        fit.put("size", "29x2.25");
        fit.put("setup", "TUBELESS");
        fit.put("tubeless", "on");
        var fitted = rider.post(wheel + "/fit", fit);
        assertThat(fitted.statusCode()).as(fitted.body()).isEqualTo(302);
        assertThat(page()).contains("No sealant logged since this tire was fitted");
    }

    @Test
    void everyFormHasAnIdOfItsOwn() {
        filled("95", 20);
        Matcher ids =
                Pattern.compile("name=\"entry\" value=\"([0-9a-f-]{36})\"").matcher(page());
        List<String> found = new ArrayList<>();
        while (ids.find()) {
            found.add(ids.group(1));
        }
        assertThat(found)
                .as("dips, sounds, puncture, filling, and the entry's own")
                .hasSizeGreaterThan(6);
        assertThat(found).doesNotHaveDuplicates();
    }

    /** What was filled in an hour ago cannot be gone: the page asks, and takes an answer or none for one. */
    @Test
    void aDipThatDoesNotFitAsksWhatHappened() {
        filled("95", 0);
        assertThat(post("dips", "depths", "9 9")).startsWith("302");
        assertThat(page()).contains("This is less than drying explains: expected about 95 ml");
        String on = TODAY.toString();
        assertThat(post("answers", "on", on)).startsWith("422").contains("Required");
        assertThat(post("answers", "on", on, "reason", "SPILLED"))
                .startsWith("422")
                .contains("Required");
        assertThat(post("answers", "on", on, "reason", "SPILLED", "lost", "900"))
                .startsWith("422")
                .contains("500 ml", "value=\"900\"");
        assertThat(post("answers", "on", TODAY.minusDays(3).toString(), "reason", "LUMPS"))
                .startsWith("404");
        double before = left(page());
        assertThat(post("answers", "on", on, "reason", "SPILLED", "lost", "65")).startsWith("302");
        assertThat(page())
                .doesNotContain("id=\"question\"")
                .contains("the dip of " + DateText.date(TODAY) + ": a burp or a spill, about 65 ml");
        assertThat(left(page())).isCloseTo(before, within(12.0));
    }

    @Test
    void aDipThatWasMisreadIsStruckAndPutBack() {
        filled("95", 0);
        assertThat(post("dips", "depths", "9 9")).startsWith("302");
        double misread = left(page());
        assertThat(post("dips/strike")).startsWith("302");
        assertThat(left(page())).isEqualTo(95);
        assertThat(page()).doesNotContain("id=\"question\"");
        assertThat(misread).isLessThan(60);
        assertThat(post("dips/strike")).as("nothing is dipped any more").startsWith("404");
    }

    @Test
    void moreThanThereCanBeAsksForTheTopUpThatIsMissing() {
        filled("30", 20);
        assertThat(post("dips", "depths", "20 20")).startsWith("302");
        assertThat(page())
                .contains(
                        ". A top-up that is not in the log? Or was the stick tilted, or wet higher up?",
                        "A top-up that is not in the log?",
                        "id=\"misread\"")
                .doesNotContain("id=\"answer\"");
        assertThat(post("fillings", "volume", "70", "filledAt", TODAY.minusDays(1) + "T10:00"))
                .startsWith("302");
        assertThat(page()).doesNotContain("id=\"question\"");
    }

    /** A tire that came with sealant in it is due to be looked at that day; one dip starts the forecast. */
    @Test
    void whatCameWithTheTireIsLookedAtToday() {
        assertThat(page())
                .as("nobody noted anything: it counts as found")
                .contains("id=\"note-found\"", "id=\"left\"", "How much is in there: between nothing and");
        assertThat(rider.get("/todo").body()).containsPattern("(?s)Check the sealant");
        assertThat(post("found", "filledOn", TODAY.plusDays(3).toString()))
                .startsWith("422")
                .contains("value=\"" + TODAY.plusDays(3));
        assertThat(post("found", "filledOn", "")).startsWith("302");
        assertThat(page())
                .contains(
                        "How much is in there: between nothing and",
                        "Dip once and the forecast starts",
                        "found with sealant in it")
                .doesNotContain("id=\"note-found\"");
        assertThat(rider.get("/todo").body()).containsPattern("(?s)Check the sealant");
        assertThat(post("dips", "depths", "16 16")).startsWith("302");
        assertThat(page()).doesNotContain("Dip once").contains("Dipstick: 16.0 mm deep");
        assertThat(left(page())).isBetween(55.0, 95.0);
    }

    /** docs/handbook, page 5b: found with a dry stick, P(V &lt; min) 0.995; found and silent, 0.90. */
    @Test
    void aBoughtBikeIsDippedShakenOrSeenDryAtOnce() {
        assertThat(post("dips", "depths", "0 0 0")).startsWith("302");
        assertThat(left(page())).isLessThan(1);
        assertThat(page()).contains("refresh");
        rider.post(
                "/log/strike",
                Map.of("entry", rider.ids(wheel + "/sealant", "/log/").get(0), "wheel", wheel.substring(8)));
        assertThat(post("sounds", "sound", "SILENT")).startsWith("302");
        assertThat(left(page())).isLessThan(10);
    }

    @Test
    void aSpillIsNotedAndTakenOff() {
        filled("95", 0);
        assertThat(post("losses", "spilled", "0")).startsWith("422").contains("ml");
        assertThat(post("losses", "spilled", "40")).startsWith("302");
        assertThat(page()).contains("about 40 ml of sealant lost");
        assertThat(left(page())).isBetween(45.0, 62.0);
    }

    @Test
    void anotherProductIsSaidToBeAGuess() {
        String first = bottle("Tarn milk", "LATEX_LOW_AMMONIA", "");
        String second = bottle("Fell cream", "LATEX_LOW_AMMONIA", "");
        assertThat(post("fillings", "volume", "60", "bottle", first, "filledAt", TODAY.minusDays(40) + "T10:00"))
                .startsWith("302");
        assertThat(post("fillings", "volume", "40", "bottle", second, "known", "on"))
                .startsWith("302");
        assertThat(page()).contains("Another product went in");
        assertThat(post("fillings", "volume", "20", "bottle", second)).startsWith("302");
        assertThat(page()).as("the same again").doesNotContain("Another product went in");
    }

    @Test
    void aDipSoonAfterAFillingTeachesTheStick() {
        filled("100", 2);
        assertThat(page()).contains("A dip now calibrates your stick: today the amount is known.");
        assertThat(post("dips", "depths", "21 21")).startsWith("302");
        assertThat(page())
                .containsPattern("Your stick seems to read \\d\\.\\d mm high")
                .doesNotContain("A dip now calibrates your stick: today the amount is known.");
        assertThat(post("dips", "depths", "21 21")).startsWith("302");
        assertThat(page()).contains("2 readings of that day make one dip");
    }

    /** Said where the bike is entered; with a tube there is no such liquid. */
    @Test
    void aBikeIsEnteredWithSealantInItsTires() {
        for (String setup : List.of("TUBELESS", "BUTYL_TUBE")) {
            Guest other = Guest.withAccount(site);
            TypedBike.enter(other, "rear-found", "on", "rear-setup", setup);
            boolean found = other.get("/log").body().contains("found with sealant in it");
            assertThat(found).as(setup).isEqualTo(setup.equals("TUBELESS"));
        }
    }
}
