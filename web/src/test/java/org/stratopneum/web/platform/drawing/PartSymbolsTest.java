package org.stratopneum.web.platform.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Properties;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.core.io.ClassPathResource;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.LeakModel;

/** Steps and checks each have a drawing, and each drawing is there, has words, and goes with something. */
class PartSymbolsTest {

    private static final int LEAST_DRAWINGS = 20;

    private static Properties words(String file) throws IOException {
        Properties words = new Properties();
        try (var text = new ClassPathResource("messages/" + file + ".properties").getInputStream()) {
            words.load(text);
        }
        return words;
    }

    private static List<String> drawn() throws IOException {
        String file = new ClassPathResource("static/assets/parts.svg").getContentAsString(StandardCharsets.UTF_8);
        return Pattern.compile("<symbol id=\"([a-z-]+)\"")
                .matcher(file)
                .results()
                .map(symbol -> symbol.group(1))
                .sorted()
                .toList();
    }

    @Test
    void everyDrawingIsThereHasWordsAndGoesWithSomething() throws IOException {
        assertThat(PartSymbols.all())
                .hasSizeGreaterThanOrEqualTo(LEAST_DRAWINGS)
                .isEqualTo(drawn());
        assertThat(PartSymbols.all())
                .allMatch(words("job").stringPropertyNames().stream()
                        .filter(key -> key.startsWith("symbol."))
                        .map(key -> key.substring("symbol.".length()))
                        .toList()::contains);
    }

    @Test
    void everyStepOfEveryJobIsDrawn() throws IOException {
        List<String> steps = words("job").stringPropertyNames().stream()
                .filter(key -> key.startsWith("do.") && !key.endsWith(".why"))
                .map(key -> key.substring("do.".length()))
                .toList();
        assertThat(steps).hasSizeGreaterThan(300);
        assertThat(steps).filteredOn(step -> PartSymbols.ofStep(step).isEmpty()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource
    void everyCheckOfALeakSearchIsDrawn(AirSystem system) {
        assertThat(LeakModel.of(system).checks())
                .allMatch(check -> PartSymbols.ofCheck(check.code()).isPresent());
    }

    /** What is about the tape shows the tape, whatever else its name begins like. */
    @Test
    void aStepShowsItsOwnPart() {
        assertThat(PartSymbols.ofStep("tape-start-opposite")).contains("tape-start");
        assertThat(PartSymbols.ofStep("plug-holds")).contains("soap");
        assertThat(PartSymbols.ofStep("nut-cut")).contains("nut");
        assertThat(PartSymbols.ofStep("dip-let-out")).contains("air-out");
        assertThat(PartSymbols.ofRung("hole-down")).isEmpty();
    }
}
