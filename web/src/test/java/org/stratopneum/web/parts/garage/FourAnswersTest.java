package org.stratopneum.web.parts.garage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A bike of which only what must be answered is answered. */
@ExtendWith(RunningApplication.class)
class FourAnswersTest {

    private final Site site;
    private Guest rider;

    FourAnswersTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void signUp() {
        rider = Guest.withAccount(site);
    }

    private static Map<String, String> answers() {
        Map<String, String> answers = new HashMap<>();
        answers.put("asked", "1");
        answers.put("same", "on");
        answers.put("rear-size", "42-622");
        answers.put("rear-setup", "TUBELESS");
        answers.put("rider", "68");
        answers.put("ground1", "FINE_GRAVEL");
        return answers;
    }

    private String preview(Map<String, String> answers) {
        String query = answers.entrySet().stream()
                .map(answer -> answer.getKey() + "=" + answer.getValue())
                .collect(Collectors.joining("&"));
        return rider.get("/bikes/new/preview?" + query).body();
    }

    private String added(Map<String, String> answers) {
        Map<String, String> fields = new HashMap<>(answers);
        fields.put("id", UUID.randomUUID().toString());
        assertThat(rider.post("/bikes", fields).statusCode()).isEqualTo(302);
        return "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    @Test
    void fourAnswersGiveAPressureAndSayWhatWasAssumed() {
        String page = preview(answers());
        assertThat(page)
                .contains("id=\"told-rear\"", "id=\"told-front\"")
                .contains("Assumed: rim 24 mm inside, typical for 42 mm. Measure it to be exact.")
                .contains("Rim edge not known: max 72.5 psi, as for a hookless rim.")
                .contains("Assumed: the tire is marked tubeless. Look at the sidewall.")
                .contains("Assumed: riding position gravel.", "Assumed: bike 10.0 kg.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"rear-size", "rear-setup", "rider", "ground1"})
    void eachOfTheFourMustBeAnswered(String field) {
        Map<String, String> answers = answers();
        answers.remove(field);
        String page = preview(answers);
        assertThat(page).doesNotContain("id=\"told-rear\"");
        assertThat(page.split("data-field", -1)).as("nothing else is missing").hasSize(2);
        assertThat(page).contains("data-field=\"" + field + "\"");
    }

    /** What is answered is no longer assumed, and the number follows. */
    @Test
    void anAnswerReplacesWhatWasAssumed() {
        Map<String, String> answers = answers();
        answers.putAll(Map.of("rear-rimWidth", "19", "posture", "ROAD", "bike", "17", "rear-tubeless", "on"));
        assertThat(preview(answers))
                .doesNotContain("mm inside, typical", "riding position", "bike 10.0", "is marked tubeless");
        assertThat(told(preview(answers))).isNotEqualTo(told(preview(answers())));
    }

    private static String told(String page) {
        String rest = page.substring(page.indexOf("id=\"told-rear\">") + 15);
        return rest.substring(0, rest.indexOf('<'));
    }

    @Test
    void whatNobodyLookedAtIsAskedLaterOneByOneAndForBothWheels() {
        String wheel = added(answers());
        String other = "/wheels/" + rider.ids("/garage", "/wheels/").get(1);
        assertThat(rider.get(wheel).body())
                .contains("Is the rim hookless?", "rim edge not entered: limit of a hookless rim")
                .doesNotContain("not made for tubeless", "not approved");
        answer(wheel, "RIM_EDGE", "true");
        assertThat(rider.get(wheel).body()).contains("Is the tire marked for hookless rims?");
        assertThat(rider.get(other).body())
                .as("the same rim in front")
                .contains("Is the tire marked for hookless rims?");
        answer(wheel, "HOOKLESS_TIRE", "true");
        assertThat(rider.get(wheel).body()).contains("Is the tire marked tubeless or tubeless ready?");
        answer(other, "TUBELESS_TIRE", "true");
        assertThat(rider.get(wheel).body()).contains("How wide is the rim inside?");
        String rim = "/rims/" + rider.ids(wheel, "/rims/").get(0);
        Map<String, String> measured = new HashMap<>(
                Map.of("version", "1", "rimDiameter", "622", "rimWidth", "23", "hookless", "on", "bed", "TAPED"));
        assertThat(rider.post(rim, measured).statusCode()).isEqualTo(302);
        assertThat(rider.get(wheel).body()).doesNotContain("id=\"unread\"");
    }

    /** A no is judged as soon as it is said: an unmarked tire is not for a hookless rim (standard, from memory). */
    @Test
    void aNoIsJudged() {
        String wheel = added(answers());
        answer(wheel, "RIM_EDGE", "true");
        answer(wheel, "HOOKLESS_TIRE", "false");
        assertThat(rider.get(wheel).body()).contains("verdict-blocks");
    }

    /** The standard allows no tire under 28 mm on a hookless rim (from memory), so none of its limits is asked about. */
    @Test
    void aTireTooNarrowForHooklessIsNotAsked() {
        Map<String, String> answers = answers();
        answers.putAll(Map.of("rear-size", "25-622", "rear-setup", "BUTYL_TUBE", "ground1", "SMOOTH_PAVEMENT"));
        assertThat(preview(answers)).doesNotContain("Rim edge not known");
        assertThat(rider.get(added(answers)).body()).doesNotContain("Is the rim hookless?");
    }

    @Test
    void aBikeWithoutANameIsCalledByItsKind() {
        added(answers());
        assertThat(rider.get("/garage").body()).contains("Gravel bike");
    }

    private void answer(String wheel, String marking, String yes) {
        assertThat(rider.post(wheel + "/markings", Map.of("marking", marking, "yes", yes))
                        .statusCode())
                .isEqualTo(302);
    }
}
