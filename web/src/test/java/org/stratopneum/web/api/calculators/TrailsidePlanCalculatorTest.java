package org.stratopneum.web.api.calculators;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApplication.class)
class TrailsidePlanCalculatorTest {

    private static final String PATH = "/trailside/plan";
    private static final double KPA_PER_PSI = 6.894757;

    private final Site site;

    TrailsidePlanCalculatorTest(Site site) {
        this.site = site;
    }

    private Site.Answer ask(String kit, String more) {
        return site.calculate(PATH, """
                {"tire": {"nominalWidthMm": 60, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 30,
                          "measuringRimWidthMm": 30},
                 "system": "TUBELESS", "where": "TREAD", "sizeMm": 2, "liveSealant": true,
                 "maxKpa": 275, "targetKpa": 145, "kit": {%s} %s}
                """.formatted(kit, more));
    }

    private static List<String> texts(JsonNode list, String field) {
        List<String> texts = new ArrayList<>();
        list.forEach(item ->
                texts.add(field == null ? item.asString() : item.get(field).asString()));
        return texts;
    }

    /** Worked value of the handbook: 16 g in the rear tire of 5.828 l, once to 19 psi at 85 % delivery. */
    @Test
    void aCartridgeOf16GramsBringsTheBigTireTo19PsiOnce() {
        JsonNode air = ask("\"cartridges\": [{\"g\": 16}]", "").json().at("/airBudget/0");

        assertThat(air.get("likelyKpa").asDouble() / KPA_PER_PSI).isCloseTo(18.6, within(0.6));
        assertThat(air.get("lowKpa").asDouble() / KPA_PER_PSI).isCloseTo(9.2, within(0.5));
        assertThat(air.get("enough").asBoolean()).isTrue();
    }

    @Test
    void theLadderBeginsWithTheHoleAtTheBottomAndEndsWithWalking() {
        JsonNode plan = ask("\"plugs\": 2, \"tube\": true, \"pump\": true", "").json();

        assertThat(texts(plan.get("steps"), "code"))
                .startsWith("hole-down", "air-closed")
                .containsSubsequence("plug-ream", "plug-in", "plug-air", "wheel-out", "tube-in", "tube-air", "walk")
                .doesNotContain("boot-in", "core-spare", "bead-by-gas");
        assertThat(texts(plan.get("ends"), null)).containsExactly("RIDE", "LIMP", "WALK");
        assertThat(texts(plan.get("followUps"), "code")).contains("plug-inside", "dip", "reset-tubeless", "restock");
        plan.get("steps")
                .forEach(step -> assertThat(step.get("stopWhen").asString()).isNotBlank());
    }

    @Test
    void anEmptyBagWalksOrIsLucky() {
        JsonNode plan = ask("", "").json();

        assertThat(texts(plan.get("steps"), "code")).containsExactly("hole-down", "feel", "walk");
    }

    @Test
    void gasThatCouldGoOverTheLimitIsLetInOnlyInPart() {
        JsonNode plan = site.calculate(PATH, """
                        {"tire": {"nominalWidthMm": 28, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 21},
                         "system": "TUBELESS", "where": "TREAD", "liveSealant": true, "maxKpa": 500, "targetKpa": 450,
                         "kit": {"cartridges": [{"g": 25}]}}
                        """).json();

        assertThat(plan.at("/airBudget/0/bestKpa").asDouble()).isLessThanOrEqualTo(500.000001);
        assertThat(plan.at("/airBudget/0/use").asString()).contains("the rest could go over the limit");
    }

    @Test
    void allFaultsAreSaidAtOnceWithTheirLimits() {
        Site.Answer answer = site.calculate(PATH, """
                {"tire": {"nominalWidthMm": 57, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 30},
                 "system": "SOLID", "where": "HUB", "sizeMm": -1, "liveSealant": "yes", "maxKpa": 275,
                 "startKpa": 300, "targetKpa": null,
                 "kit": {"plugs": 100, "cartridges": [{"g": 0, "fractionLeft": 2}], "rope": 1}}
                """);

        assertThat(answer.status()).isEqualTo(400);
        assertThat(texts(answer.json().get("errors"), "field"))
                .contains(
                        "system",
                        "where",
                        "sizeMm",
                        "liveSealant",
                        "startKpa",
                        "targetKpa",
                        "kit.plugs",
                        "kit.cartridges[0].g",
                        "kit.cartridges[0].fractionLeft",
                        "kit.rope");
    }

    @Test
    void aTargetAboveTheLimitIsRefusedAndNotCut() {
        Site.Answer answer = ask("\"pump\": true", ", \"startKpa\": 0");
        assertThat(answer.status()).isEqualTo(200);
        Site.Answer above = site.calculate(PATH, """
                {"tire": {"nominalWidthMm": 57, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 30},
                 "system": "TUBE", "where": "TREAD", "maxKpa": 275, "targetKpa": 280, "kit": {}}
                """);
        assertThat(above.status()).isEqualTo(400);
        assertThat(above.json().at("/errors/0/field").asString()).isEqualTo("targetKpa");
        assertThat(above.json().at("/errors/0/limit").asDouble()).isEqualTo(275);
    }
}
