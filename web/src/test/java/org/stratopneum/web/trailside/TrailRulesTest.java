package org.stratopneum.web.trailside;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Chapter;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.Ladder;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a device keeps for everybody: whole, worded, and physically sound. */
@ExtendWith(RunningApplication.class)
class TrailRulesTest {

    private final JsonNode rules;
    private final Site site;
    private final Wording wording;

    TrailRulesTest(Site site, Wording wording) {
        this.site = site;
        this.wording = wording;
        this.rules =
                JsonMapper.shared().readTree(site.get("/trailside/rules.json").body());
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(item -> texts.add(item.asString()));
        return texts;
    }

    @Test
    void everyFactIsToldInOneOfFiveWaysAndNamesOnlyFactsThatThereAre() {
        Set<String> names = new HashSet<>();
        rules.get("facts").properties().forEach(fact -> names.add(fact.getKey()));
        for (Map.Entry<String, JsonNode> fact : rules.get("facts").properties()) {
            JsonNode told = fact.getValue();
            long ways = List.of("field", "item", "all", "any", "noted").stream()
                    .filter(told::has)
                    .count();
            assertThat(ways).as(fact.getKey()).isEqualTo(1);
            for (String list : List.of("all", "any")) {
                if (told.has(list)) {
                    assertThat(texts(told.get(list)))
                            .as(fact.getKey())
                            .allMatch(name -> names.contains(name.replaceFirst("^!", "")));
                }
            }
        }
        for (JsonNode rung : rules.get("rungs")) {
            assertThat(texts(rung.get("when"))).allMatch(name -> names.contains(name.replaceFirst("^!", "")));
            rung.get("replies").forEach(reply -> assertThat(names).containsAll(texts(reply.get("notes"))));
        }
        assertThat(names).containsAll(texts(rules.get("limps")));
        rules.get("chores")
                .forEach(chore -> assertThat(texts(chore.get("when")))
                        .allMatch(name -> names.contains(name.replaceFirst("^!", ""))));
    }

    @Test
    void theRungsAreThoseOfTheCoreInTheirOrderWithWordsAndCautions() {
        assertThat(rules.get("rungs").size()).isEqualTo(Ladder.RUNGS.size());
        int i = 0;
        for (JsonNode rung : rules.get("rungs")) {
            Rung core = Ladder.RUNGS.get(i++);
            assertThat(rung.get("code").asString()).isEqualTo(core.code());
            for (String words : List.of("title", "how", "stop")) {
                assertThat(rung.get(words).asString())
                        .as(core.code() + " " + words)
                        .isNotBlank()
                        .doesNotContain("{", "''");
            }
            assertThat(rung.get("cautions").size()).isEqualTo(core.cautions().size());
            rung.get("cautions")
                    .forEach(caution -> assertThat(caution.get("words").asString())
                            .isNotBlank()
                            .doesNotContain("''"));
            rung.get("replies")
                    .forEach(reply -> assertThat(reply.get("words").asString()).isNotBlank());
        }
    }

    /** One screen of a phone holds a step: title, how, when to stop. */
    @Test
    void aStepIsShortEnoughToBeReadBesideATrail() {
        for (JsonNode rung : rules.get("rungs")) {
            assertThat(rung.get("title").asString().length()).isLessThanOrEqualTo(60);
            assertThat(rung.get("how").asString().length()).isLessThanOrEqualTo(220);
            assertThat(rung.get("stop").asString().length()).isLessThanOrEqualTo(110);
        }
    }

    @Test
    void theWordsOfThePageKeepTheirPlaceholders() {
        JsonNode words = rules.get("words");
        assertThat(words.get("air.gas").asString()).contains("{0}", "{1}", "{2}", "{3}");
        assertThat(words.get("step").asString()).isEqualTo("Step {0}");
        words.properties()
                .forEach(word -> assertThat(word.getValue().asString())
                        .as(word.getKey())
                        .isNotBlank()
                        .doesNotContain("''"));
        for (Chapter chapter : Chapter.values()) {
            assertThat(wording.of("trail.chapter", chapter)).isNotBlank();
        }
        for (Chore chore : Chore.values()) {
            assertThat(wording.of("trail.chore", chore)).isNotBlank();
        }
    }

    /** A page that a phone keeps is small, and holds nothing of anybody. */
    @Test
    void itIsSmallAndNobodys() {
        String body = site.get("/trailside/rules.json").body();
        assertThat(body.length()).isLessThan(100_000);
        assertThat(body).doesNotContain("Skylark", "Ilse", "d0000000");
        assertThat(site.get("/trailside").body()).doesNotContain("Skylark", "Ilse", "_csrf", "d0000000");
    }

    /** Properties of any gas and any pump: more in, more pressure; more pressure, more strokes; wide tires ridden softer. */
    @Test
    void theTablesOfCommonTiresRiseAndKeepUnderTheirLimit() {
        double before = Double.MAX_VALUE;
        for (JsonNode tire : rules.get("tires")) {
            JsonNode air = tire.get("air");
            String size = tire.get("size").asString();
            rising(air.get("gasKpa"), size);
            double ceiling = air.get("ceilingKpa").asDouble();
            assertThat(air.get("gasKpa").get(air.get("gasKpa").size() - 1).asDouble())
                    .as(size)
                    .isBetween(ceiling - 0.1, ceiling + 0.1);
            for (AirGoal goal : AirGoal.values()) {
                assertThat(air.at("/goals/" + goal).asDouble()).as(size).isBetween(20.0, ceiling);
            }
            air.get("pumps").properties().forEach(pump -> {
                rising(pump.getValue().get("strokes"), size + " " + pump.getKey());
                assertThat(pump.getValue().get("mostKpa").asDouble()).isLessThanOrEqualTo(ceiling + 1e-6);
            });
            if (size.endsWith("-622")) {
                double usual = air.at("/goals/USUAL").asDouble();
                assertThat(usual).as(size).isLessThanOrEqualTo(before);
                before = usual;
            }
        }
    }

    private static void rising(JsonNode numbers, String what) {
        for (int i = 1; i < numbers.size(); i++) {
            assertThat(numbers.get(i).asDouble())
                    .as(what)
                    .isGreaterThan(numbers.get(i - 1).asDouble());
        }
    }
}
