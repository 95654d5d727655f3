package org.stratopneum.web.parts.garage;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Who rides a bike, and whom a change of the keeper's mass reaches. */
@ExtendWith(RunningApplication.class)
class BikeRidersTest {

    private static final Pattern MASS = Pattern.compile("name=\"rider\" value=\"([0-9.]*)\"");
    private static final Pattern HIDDEN =
            Pattern.compile("<input type=\"hidden\" name=\"([^\"]*)\" value=\"([^\"]*)\"");

    private final Site site;
    private Guest keeper;
    private String one;
    private String two;
    private String three;

    BikeRidersTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void threeBikes() {
        keeper = Guest.withAccount(site);
        one = TypedBike.enter(keeper, "name", "Plover");
        two = TypedBike.enter(keeper, "name", "Dunlin");
        three = TypedBike.enter(keeper, "name", "Knot");
    }

    private String mass(String bike) {
        Matcher found = MASS.matcher(keeper.get("/bikes/" + bike + "/edit").body());
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    /** The form as it stands, with some of it typed anew. */
    private HttpResponse<String> change(String bike, String... pairs) {
        String form = keeper.get("/bikes/" + bike + "/edit").body();
        Map<String, String> fields = TypedBike.with(pairs);
        Matcher version = Pattern.compile("name=\"version\" value=\"(\\d+)\"").matcher(form);
        assertThat(version.find()).isTrue();
        fields.put("version", version.group(1));
        return keeper.post("/bikes/" + bike + "/edit", fields);
    }

    /** What the page that asks would send, with these bikes ticked. */
    private HttpResponse<String> answer(String path, String page, String... ticked) {
        Map<String, String> fields = new HashMap<>();
        Matcher hidden = HIDDEN.matcher(page);
        while (hidden.find()) {
            fields.put(hidden.group(1), hidden.group(2));
        }
        for (String bike : ticked) {
            fields.put("take-" + bike, "on");
        }
        return keeper.post(path, fields);
    }

    @Test
    void beforeAMassReachesOtherBikesTheirPressuresAreShownAndCanBeDeclined() {
        String page = change(one, "name", "Plover", "rider", "90").body();
        assertThat(page)
                .contains("From 70.0 kg to 90.0 kg", "Dunlin", "Knot", "take-" + two, "take-" + three)
                .containsPattern("rear \\d+\\.\\d psi, front \\d+\\.\\d psi")
                .doesNotContain("take-" + one);
        assertThat(mass(one)).as("nothing is kept yet").isEqualTo("70");
        assertThat(answer("/bikes/" + one + "/edit", page, three).statusCode()).isEqualTo(302);
        assertThat(mass(one)).isEqualTo("90");
        assertThat(mass(two)).as("declined").isEqualTo("70");
        assertThat(mass(three)).isEqualTo("90");
        assertThat(keeper.get("/bikes/" + two + "/edit").body())
                .contains("This bike uses 70.0 kg for you; you weigh 90.0 kg.");
        assertThat(keeper.get("/bikes/" + three + "/edit").body())
                .doesNotContain(". Enter that under Load to link them again.");
    }

    /** A heavier rider wants more: the page says by how much on each bike. */
    @Test
    void thePressuresThatAreShownAreThoseThatAreToldAfterwards() {
        String page = change(one, "name", "Plover", "rider", "90").body();
        Matcher row = Pattern.compile("Dunlin</span>.*?<td>rear ([0-9.]+) psi.*?<td>rear ([0-9.]+) psi", Pattern.DOTALL)
                .matcher(page);
        assertThat(row.find()).isTrue();
        assertThat(Double.parseDouble(row.group(2))).isGreaterThan(Double.parseDouble(row.group(1)) + 1);
        assertThat(keeper.pressures("/bikes/" + two + "/pressure")).contains(row.group(1));
        answer("/bikes/" + one + "/edit", page, two, three);
        assertThat(keeper.pressures("/bikes/" + two + "/pressure")).contains(row.group(2));
    }

    @Test
    void aBikeThatKeptItsMassFollowsAgainWhereThatIsTyped() {
        answer(
                "/bikes/" + one + "/edit",
                change(one, "name", "Plover", "rider", "90").body(),
                three);
        assertThat(change(two, "name", "Dunlin II", "rider", "70").statusCode())
                .as("nobody touched it")
                .isEqualTo(302);
        assertThat(mass(two)).isEqualTo("70");
        assertThat(change(two, "name", "Dunlin", "rider", "90").statusCode()).isEqualTo(302);
        assertThat(keeper.get("/bikes/" + two + "/edit").body())
                .doesNotContain(". Enter that under Load to link them again.");
        answer(
                "/bikes/" + one + "/edit",
                change(one, "name", "Plover", "rider", "80").body(),
                two,
                three);
        assertThat(mass(two)).isEqualTo("80");
    }

    @Test
    void somebodyElsesMassStaysWithTheirBike() {
        assertThat(change(two, "name", "Dunlin", "riderName", "Wren", "rider", "31")
                        .statusCode())
                .isEqualTo(302);
        assertThat(mass(one)).isEqualTo("70");
        assertThat(mass(two)).isEqualTo("31");
        assertThat(keeper.pressures("/bikes/" + two + "/pressure")).contains("ridden by Wren");
        assertThat(keeper.pressures("/bikes/" + one + "/pressure")).doesNotContain("ridden by");
        assertThat(change(one, "name", "Plover", "rider", "90").body())
                .contains("Knot")
                .doesNotContain("take-" + two);
        assertThat(change(two, "name", "Dunlin", "riderName", "", "rider", "31").statusCode())
                .as("hers again, at her mass")
                .isEqualTo(302);
        assertThat(mass(two)).isEqualTo("70");
    }

    @Test
    void aNewBikeAsksTheSame() {
        Map<String, String> fields = TypedBike.with("name", "Ruff", "rider", "75");
        String page = keeper.post("/bikes", fields).body();
        assertThat(page).contains("From 70.0 kg to 75.0 kg", "take-" + one);
        assertThat(answer("/bikes", page, one, two).statusCode()).isEqualTo(302);
        assertThat(mass(fields.get("id"))).isEqualTo("75");
        assertThat(mass(one)).isEqualTo("75");
        assertThat(mass(three)).isEqualTo("70");
    }

    @Test
    void backToTheFormKeepsWhatWasTyped() {
        String page = change(one, "name", "Plover II", "rider", "90").body();
        Map<String, String> fields = new HashMap<>();
        Matcher hidden = HIDDEN.matcher(page);
        while (hidden.find()) {
            fields.put(hidden.group(1), hidden.group(2));
        }
        fields.put("back", "1");
        String form = keeper.post("/bikes/" + one + "/edit", fields).body();
        assertThat(form)
                .contains("value=\"Plover II\"", "name=\"rider\" value=\"90\"")
                .doesNotContain(
                        "It was changed in the meantime, or saved already. Nothing was saved; check the log and try again.");
        assertThat(mass(one)).isEqualTo("70");
    }

    /** The mass that was seen is the one that is kept: another one is asked about anew. */
    @Test
    void anotherMassIsAskedAboutAnew() {
        String page = change(one, "name", "Plover", "rider", "90").body();
        String tampered = page.replace("name=\"rider\" value=\"90\"", "name=\"rider\" value=\"95\"");
        assertThat(answer("/bikes/" + one + "/edit", tampered, two).body()).contains("From 70.0 kg to 95.0 kg");
        assertThat(mass(one)).isEqualTo("70");
    }
}
