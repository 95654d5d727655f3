package org.stratopneum.web.api.calculators;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import java.lang.reflect.Field;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.FitCode;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.ChainStep;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.VerdictCode;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Where;
import org.stratopneum.web.support.JsonSchemas;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The published document, held against what the calculators do; JSON Schema is judged by an independent validator. */
@ExtendWith(RunningApplication.class)
class OpenApiTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private final Site site;
    private final JsonNode document;

    OpenApiTest(Site site) {
        this.site = site;
        document = JSON.readTree(site.get("/api/v1/openapi.json").body());
    }

    /** What has a server of its own is no calculator. */
    private List<Map.Entry<String, JsonNode>> calculators() {
        return document.get("paths").properties().stream()
                .filter(path -> !path.getValue().has("servers"))
                .toList();
    }

    @Test
    void everyExampleIsAValidQuestionWithAValidAnswer() {
        for (Map.Entry<String, JsonNode> path : calculators()) {
            JsonNode content = path.getValue().at("/post/requestBody/content/application~1json");
            JsonNode example = content.get("example");
            assertThat(faults(content.get("schema"), example)).as(path.getKey()).isEmpty();

            Site.Answer answer = site.calculate(path.getKey(), example.toString());

            assertThat(answer.status()).as(path.getKey()).isEqualTo(200);
            JsonNode schema = path.getValue().at("/post/responses/200/content/application~1json/schema");
            assertThat(faults(schema, answer.json())).as(path.getKey()).isEmpty();
        }
    }

    /** Beyond each published limit the calculator refuses with just that limit; on it, it does not. */
    @Test
    void everyPublishedLimitIsTheCalculatorsOwn() {
        List<String> checked = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : calculators()) {
            JsonNode content = path.getValue().at("/post/requestBody/content/application~1json");
            walk(path.getKey(), content.get("schema"), "", content.get("example"), checked);
        }
        assertThat(checked)
                .contains("front.tire.nominalWidthMm", "system.riderKg", "to.heightM", "shareFront")
                .hasSizeGreaterThan(35);
    }

    private void walk(String calculator, JsonNode reference, String pointer, JsonNode example, List<String> checked) {
        JsonNode schema = reference.has("$ref") ? component(reference) : reference;
        for (Map.Entry<String, JsonNode> property : schema.path("properties").properties()) {
            JsonNode field = property.getValue();
            String at = pointer + "/" + property.getKey();
            if (field.has("$ref")) {
                walk(calculator, field, at, example, checked);
            } else if (field.has("items") && !example.at(at + "/0").isMissingNode()) {
                walk(calculator, field.get("items"), at + "/0", example, checked);
            } else if (field.has("minimum")) {
                double lowest = field.get("minimum").asDouble();
                double highest = field.get("maximum").asDouble();
                refuses(calculator, example, at, highest + 1, highest);
                refuses(calculator, example, at, lowest - 1, lowest);
                allows(calculator, example, at, highest);
                allows(calculator, example, at, lowest);
                checked.add(at.substring(1).replace('/', '.'));
            }
        }
    }

    private void refuses(String calculator, JsonNode example, String pointer, double value, double limit) {
        List<JsonNode> errors = errorsAt(calculator, example, pointer, value);
        assertThat(errors)
                .as(pointer + " = " + value)
                .isNotEmpty()
                .anySatisfy(error -> assertThat(error.get("limit").asDouble()).isEqualTo(limit));
    }

    private void allows(String calculator, JsonNode example, String pointer, double value) {
        assertThat(errorsAt(calculator, example, pointer, value))
                .as(pointer + " = " + value)
                .noneMatch(error -> error.get("code").asString().matches("(below|not-above|above)-(minimum|maximum)"));
    }

    /** The faults of the field at {@code pointer} when {@code value} is put there. */
    private List<JsonNode> errorsAt(String calculator, JsonNode example, String pointer, double value) {
        JsonNode changed = example.deepCopy();
        int slash = pointer.lastIndexOf('/');
        ((ObjectNode) changed.at(pointer.substring(0, slash))).put(pointer.substring(slash + 1), value);
        String field = pointer.substring(1).replace("/0/", "[0].").replace('/', '.');
        Site.Answer answer = site.calculate(calculator, changed.toString());
        assertThat(answer.status()).isIn(200, 400);
        if (answer.status() == 400) {
            assertThat(faults(document.at("/components/schemas/Problem"), answer.json()))
                    .isEmpty();
        }
        return StreamSupport.stream(answer.json().path("errors").spliterator(), false)
                .filter(error -> error.get("field").asString().equals(field))
                .toList();
    }

    @Test
    void theListsOfWordsAndCodesAreThoseOfTheCore() throws IllegalAccessException {
        assertThat(words("/components/schemas/GroundShare/properties/kind")).isEqualTo(names(Ground.values()));
        assertThat(words("/components/schemas/Setup/properties/kind")).isEqualTo(names(SetupKind.values()));
        assertThat(words("/components/schemas/Setup/properties/casing")).isEqualTo(names(Casing.values()));
        assertThat(words("/components/schemas/AdviceQuestion/properties/posture"))
                .isEqualTo(names(Posture.values()));
        assertThat(words("/components/schemas/DoseQuestion/properties/school")).isEqualTo(names(DoseSchool.values()));
        assertThat(words("/components/schemas/TrailQuestion/properties/where")).isEqualTo(names(Where.values()));
        assertThat(words("/components/schemas/TrailFollowUp/properties/code"))
                .isEqualTo(Stream.of(Chore.values())
                        .filter(Chore::ofStop)
                        .map(chore -> chore.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList());
        assertThat(words("/components/schemas/TrailStep/properties/code"))
                .isEqualTo(Ladder.RUNGS.stream().map(Rung::code).toList());
        assertThat(words("/components/schemas/TapeQuestion/properties/start")).isEqualTo(names(TapeStart.values()));
        assertThat(words("/components/schemas/FitRim/properties/tubeless")).isEqualTo(names(RimBed.values()));
        assertThat(words("/components/schemas/FitValve/properties/kind")).isEqualTo(names(ValveKind.values()));
        assertThat(words("/components/schemas/Fit/properties/unchecked/items"))
                .isEqualTo(Arrays.stream(FitCheck.Unchecked.values())
                        .map(check -> check.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList());
        assertThat(words("/components/schemas/Verdict/properties/level")).isEqualTo(names(Level.values()));
        assertThat(words("/components/schemas/Step/properties/code")).isEqualTo(ChainStep.ORDER);
        List<String> codes = new ArrayList<>();
        for (Class<?> named : List.of(VerdictCode.class, FitCode.class)) {
            for (Field field : named.getFields()) {
                codes.add((String) field.get(null));
            }
        }
        codes.addAll(List.of(ChargeChamber.ABOVE_CEILING, ChargeChamber.MAY_NOT_SEAT, ChargeChamber.FINE));
        assertThat(words("/components/schemas/Verdict/properties/code")).isEqualTo(codes);
    }

    @Test
    void thePageShowsEveryCalculatorWithItsFields() {
        String page = site.get("/calculators").body();
        for (Map.Entry<String, JsonNode> path : calculators()) {
            assertThat(page).contains("POST /api/v1/calc" + path.getKey());
        }
        assertThat(page).contains("nominalWidthMm", "16 … 130", "shares-not-one", "TUBELESS, BUTYL_TUBE");
    }

    @Test
    void documentAndPageAreOpenToEverybody() {
        assertThat(site.get("/api/v1/openapi.json", "Host", "elsewhere.example").statusCode())
                .isEqualTo(200);
        assertThat(site.get("/calculators", "Host", "elsewhere.example").statusCode())
                .isEqualTo(200);
    }

    private JsonNode component(JsonNode reference) {
        return document.at(reference.get("$ref").asString().substring(1));
    }

    private List<Error> faults(JsonNode schema, JsonNode value) {
        return JsonSchemas.faults(document, schema, value);
    }

    private List<String> words(String pointer) {
        return StreamSupport.stream(document.at(pointer).get("enum").spliterator(), false)
                .filter(word -> !word.isNull())
                .map(JsonNode::asString)
                .toList();
    }

    private static List<String> names(Enum<?>[] constants) {
        return Arrays.stream(constants).map(Enum::name).toList();
    }
}
