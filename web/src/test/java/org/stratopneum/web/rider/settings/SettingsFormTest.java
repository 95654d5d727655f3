package org.stratopneum.web.rider.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.rider.Rider;

class SettingsFormTest {

    private static final Rider RIDER = Rider.fresh(UUID.randomUUID(), "Test rider", "Europe/Vienna", PressureUnit.BAR);

    @Test
    void theFormOfARiderSaysWhatTheyHave() {
        SettingsForm.Chosen chosen = SettingsForm.read(new FormReader(SettingsForm.texts(RIDER)), RIDER, "en"::equals)
                .orElseThrow();
        assertThat(chosen.units()).isEqualTo(RIDER.units());
        assertThat(chosen.zone()).isEqualTo("Europe/Vienna");
        assertThat(chosen.theme()).isEqualTo(Rider.Theme.SYSTEM);
        assertThat(chosen.letterKeys()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "zone, Middle/Earth, not-a-zone",
        "zone, '', not-a-zone",
        "mass, MM, unknown-value",
        "mass, STONE, unknown-value",
        "pressure, '', missing",
        "theme, PINK, unknown-value",
        "language, xx, unknown-value"
    })
    void whatIsNoChoiceIsAFaultOfItsField(String field, String typed, String code) {
        Map<String, String> texts = new HashMap<>(SettingsForm.texts(RIDER));
        texts.put(field, typed);
        FormReader reader = new FormReader(texts);
        assertThat(SettingsForm.read(reader, RIDER, "en"::equals)).isEmpty();
        assertThat(reader.problems().list())
                .extracting(Problem::field, Problem::code)
                .contains(tuple(field, code));
    }

    @Test
    void noTwoShortcutsShareAKey() {
        assertThat(Stream.of(Shortcut.values()).map(Shortcut::key)).doesNotHaveDuplicates();
    }
}
