package org.stratopneum.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.job.Hazard;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.Step;

/** docs/handbook, page 8: a caution stands at the step where it matters, on every card. */
class StepHazardsTest {

    private static final Properties WORDS = new Properties();

    @BeforeAll
    static void read() throws IOException {
        try (Reader words = new InputStreamReader(
                StepHazardsTest.class.getResourceAsStream("/messages/job.properties"), StandardCharsets.UTF_8)) {
            WORDS.load(words);
        }
    }

    private static String told(Step step) {
        return WORDS.getProperty("do." + step.text());
    }

    @Test
    void everyStepOfEveryCardCarriesTheCautionsOfItsHazards() {
        List<String> lacking = new ArrayList<>();
        for (Job job : Job.values()) {
            for (Step step : job.steps()) {
                for (Hazard hazard : Hazard.values()) {
                    if (hazard.isIn(told(step)) && !step.cautions().contains(hazard.caution())) {
                        lacking.add(job + " " + step.id() + " lacks " + hazard.caution() + ": " + told(step));
                    }
                }
            }
        }
        assertThat(lacking).isEmpty();
    }

    /** A row of the table that no step meets any more would check nothing. */
    @Test
    void everyHazardIsMetAndEveryCautionHasItsHazard() {
        Set<Hazard> met = EnumSet.noneOf(Hazard.class);
        Set<Caution> covered = EnumSet.noneOf(Caution.class);
        for (Hazard hazard : Hazard.values()) {
            covered.add(hazard.caution());
            for (Job job : Job.values()) {
                if (job.steps().stream().anyMatch(step -> hazard.isIn(told(step)))) {
                    met.add(hazard);
                }
            }
        }
        assertThat(met).containsExactlyInAnyOrder(Hazard.values());
        assertThat(covered).containsExactlyInAnyOrder(Caution.values());
    }
}
