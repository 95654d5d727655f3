package org.stratopneum.web.api.calculators;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApplication.class)
class DiagnosisCalculatorTest {

    private final Site site;

    DiagnosisCalculatorTest(Site site) {
        this.site = site;
    }

    private JsonNode ask(String json) {
        Site.Answer answer = site.calculate("/diagnosis/next", json);
        assertThat(answer.status()).as(String.valueOf(answer.json())).isEqualTo(200);
        return answer.json();
    }

    private static double probability(JsonNode answer, String cause) {
        for (JsonNode found : answer.get("causes")) {
            if (found.get("code").asString().equals(cause)) {
                return found.get("probability").asDouble();
            }
        }
        throw new AssertionError("no " + cause);
    }

    /** docs/handbook, page 6, worked values of a wheel of which nothing is known but that it is not new. */
    @Test
    void theTablesPriorIsMovedByTheTablesLikelihoods() {
        String asked = "{\"system\": \"TUBELESS\", \"context\": {\"newSetup\": false}%s}";
        JsonNode nothing = ask(asked.formatted(""));
        assertThat(probability(nothing, "core")).isCloseTo(0.1440, within(0.0005));
        assertThat(probability(nothing, "sealant-low")).isCloseTo(0.2010, within(0.0005));
        assertThat(nothing.get("two").asDouble()).isCloseTo(0.1068, within(0.0005));
        assertThat(nothing.at("/nextCheck/code").asString()).isEqualTo("look-over");
        assertThat(nothing.at("/nextCheck/answers").size()).isGreaterThan(1);
        assertThat(nothing.at("/nextCheck/why").asString()).isNotBlank();
        assertThat(nothing.get("mendNow").isNull()).isTrue();
        assertThat(nothing.get("done").asBoolean()).isFalse();

        JsonNode object = ask(asked.formatted(", \"findings\": {\"look-over\": \"object\"}"));
        assertThat(probability(object, "tread-hole")).isCloseTo(0.6803, within(0.0005));
        assertThat(object.at("/mendNow/cause").asString()).isEqualTo("tread-hole");
        assertThat(object.at("/causes/0/reasons/0").asString()).contains("times likelier");
        JsonNode vain = ask(asked.formatted(
                ", \"findings\": {\"look-over\": \"clear\", \"spray\": \"bead\"}, \"failedFixes\": [\"bead\"]"));
        assertThat(probability(vain, "sealant-low")).isCloseTo(0.3880, within(0.0005));
        assertThat(probability(vain, "bead")).isCloseTo(0.2720, within(0.0005));
    }

    /** docs/handbook, page 6: sealant older than 120 days multiplies "sealant low" by six. */
    @Test
    void whatIsKnownMovesThePrior() {
        JsonNode old = ask("{\"system\": \"TUBELESS\", \"context\": {\"sealantAgeDays\": 150}}");
        assertThat(old.at("/causes/0/code").asString()).isEqualTo("sealant-low");
        JsonNode lever = ask(
                "{\"system\": \"TUBELESS\", \"context\": {\"leverUsedSince\": true, \"rateClass\": \"FAST\"}, \"mode\": \"NAME_IT\"}");
        assertThat(lever.at("/causes/0/code").asString()).isEqualTo("tape");
    }

    /** docs/handbook, page 6: the tire comes off last, unless a sign points there; what cannot be done is not asked. */
    @Test
    void openingIsNotAskedForAndWhatCannotBeDoneNeither() {
        List<String> notPossible = new ArrayList<>();
        JsonNode answer = ask("{\"system\": \"TUBELESS\"}");
        while (!answer.get("nextCheck").isNull()) {
            String code = answer.at("/nextCheck/code").asString();
            assertThat(code).isNotEqualTo("tire-off").isNotIn(notPossible);
            notPossible.add(code);
            answer = ask("{\"system\": \"TUBELESS\", \"notPossible\": [\"%s\"]}"
                    .formatted(String.join("\", \"", notPossible)));
        }
        assertThat(answer.get("done").asBoolean()).isTrue();
        assertThat(answer.at("/mendNow/cause").asString()).isNotBlank();
        assertThat(answer.at("/mendNow/why").asString()).isNotBlank();
    }

    @Test
    void aTubeHasItsOwnCausesAndCards() {
        JsonNode answer = ask("{\"system\": \"TUBE\", \"context\": {\"impactSince\": true},"
                + " \"findings\": {\"tube-in-water\": \"slits\"}, \"mode\": \"NAME_IT\"}");
        assertThat(answer.at("/mendNow/cause").asString()).isEqualTo("tube-pinch");
        assertThat(answer.at("/mendNow/jobCard").asString()).isEqualTo("PATCH_TUBE");
        assertThat(answer.get("causes").size()).isEqualTo(5);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{} | system",
                "{\"system\": \"TUBELESS\", \"findings\": {\"shake\": \"loud\", \"nose\": \"wet\"}}"
                        + " | findings.shake, findings.nose",
                "{\"system\": \"TUBELESS\", \"findings\": {\"shake\": 3}, \"notPossible\": [\"tub\", \"pool\", 7],"
                        + " \"failedFixes\": [\"tube-pinch\"], \"mode\": \"SOON\"}"
                        + " | findings.shake, notPossible[1], notPossible[2], failedFixes[0], mode",
                "{\"system\": \"TUBE\", \"context\": {\"sealantAgeDays\": -1, \"insert\": \"yes\", \"age\": 3},"
                        + " \"findings\": [], \"notPossible\": \"tub\"}"
                        + " | context.sealantAgeDays, context.insert, context.age, findings, notPossible"
            })
    void everyFaultIsToldAtOnce(String json, String fields) {
        Site.Answer answer = site.calculate("/diagnosis/next", json);
        assertThat(answer.status()).isEqualTo(400);
        List<String> found = new ArrayList<>();
        answer.json()
                .get("errors")
                .forEach(error -> found.add(error.get("field").asString()));
        assertThat(found).containsExactlyInAnyOrder(fields.split(", "));
    }
}
