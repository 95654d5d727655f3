package org.stratopneum.web.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Drill;
import org.stratopneum.core.diagnosis.HolePlace;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Reason;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.support.RunningApplication;

@ExtendWith(RunningApplication.class)
class LeakWordingTest {

    private final Wording wording;
    private final SearchWording words;

    LeakWordingTest(Wording wording, SearchWording words) {
        this.wording = wording;
        this.words = words;
    }

    @Test
    void everyWordOfTheCoreHasItsText() {
        for (Cause cause : Cause.values()) {
            assertThat(wording.of("cause", cause)).isNotBlank();
        }
        Stream.of(Circumstance.values())
                .forEach(known -> assertThat(wording.of("known", known)).isNotBlank());
        Stream.of(Spot.Zone.values())
                .forEach(zone -> assertThat(wording.of("zone", zone)).isNotBlank());
        Stream.of(Drill.Story.values())
                .forEach(story -> assertThat(wording.of("story", story)).isNotBlank());
        for (LeakClass named : LeakClass.values()) {
            assertThat(wording.of("pace.class", named)).isNotBlank();
            assertThat(wording.text("pace.class." + named + ".then")).isNotBlank();
        }
    }

    /** Every check of the leak finder says what and how, each answer has its words, each cause its signs and its remedy. */
    @ParameterizedTest
    @EnumSource
    void theLeakFinderHasWordsForAllThatItAsks(AirSystem system) {
        LeakModel model = LeakModel.of(system);
        for (Check check : model.checks()) {
            assertThat(wording.text("check." + check.code())).isNotBlank();
            assertThat(wording.text("check." + check.code() + ".how")).isNotBlank();
            check.answers()
                    .forEach(answer -> assertThat(wording.text("check." + check.code() + "." + answer))
                            .isNotBlank());
        }
        for (Cause cause : model.causes()) {
            assertThat(wording.text("cause." + cause.name() + ".signs")).isNotBlank();
            assertThat(wording.text("cause." + cause.name() + ".fix")).isNotBlank();
        }
    }

    /** What can hurt somebody is said with the check or the cause that it comes from (docs/handbook, page 8). */
    @Test
    void whatCanHurtIsSaidWhereItComesFrom() {
        LeakModel model = LeakModel.of(AirSystem.TUBELESS);
        assertThat(words.caution(model.check("look-rim").cautions().looking())).contains("cracked rim");
        assertThat(words.caution(model.check("soap-nipples").cautions().looking()))
                .contains("closed rim can burst");
        assertThat(words.caution(model.check("tire-off").cautions().looking())).contains("levers");
        assertThat(words.caution(model.check("tub").cautions().looking())).contains("Never above");
        assertThat(words.caution(model.check("shake").cautions().looking())).isNull();
        assertThat(words.caution(Cause.RIM_CRACK.caution())).contains("Do not ride a cracked rim");
        assertThat(words.caution(Cause.CUT.caution())).contains("not for descents");
        assertThat(words.fix(Cause.RIM_CRACK)).contains("Stop riding", "qualified mechanic");
    }

    @Test
    void aCheckSaysWhatItCosts() {
        LeakModel model = LeakModel.of(AirSystem.TUBELESS);
        assertThat(words.cost(model.check("shake"))).isEqualTo("1 min");
        assertThat(words.cost(model.check("tire-off"))).isEqualTo("40 min, messy");
        assertThat(words.cost(model.check("hold-test"))).isEqualTo("3 min and a night");
    }

    @ParameterizedTest
    @CsvSource({"0.804, 80 %", "0.004, < 1 %", "0, 0 %", "1, 100 %"})
    void sharesAreWholePercents(double share, String text) {
        assertThat(SearchWording.percent(share)).isEqualTo(text);
    }

    @Test
    void aReasonSpeaksForOrAgainst() {
        assertThat(words.reason(new Reason(Reason.Kind.SEEN, "soap-valve-tip", "bubbles", 30)))
                .isEqualTo("Wet the valve tip: Bubbles: 30 times likelier");
        assertThat(words.reason(new Reason(Reason.Kind.SEEN, "soap-valve-tip", "clear", 0.1)))
                .isEqualTo("Wet the valve tip: No bubbles: 10 times less likely");
        assertThat(words.reason(new Reason(Reason.Kind.KNOWN, "sealant-old", null, 4.25)))
                .isEqualTo("sealant older than four months: 4.3 times likelier");
        assertThat(words.reason(new Reason(Reason.Kind.MENDED, "core", null, 0.08)))
                .contains("still lost air");
    }

    /** 4 o'clock on a 622 rim: a third of pi 622 is 65 cm; of 32 holes the eleventh by the clock. */
    @Test
    void aHoleIsToldByTheClockBothWaysRoundWhereNobodyKnows() {
        List<String> both = words.places(new HolePlace(4), false, 622.0, 740.0, 32);
        assertThat(both).hasSize(2);
        assertThat(both.get(0))
                .isEqualTo(
                        "4 o'clock: 65 cm from the valve along the rim, 77 cm along the tread, at spoke hole 11 by the clock");
        assertThat(both.get(1)).contains("the other way round: 8 o'clock", "spoke hole 22");
        assertThat(words.places(new HolePlace(4), true, 622.0, null, null))
                .containsExactly("4 o'clock: 65 cm from the valve along the rim");
        assertThat(words.places(new HolePlace(6), false, null, null, null)).containsExactly("6 o'clock");
    }

    @Test
    void aSpotIsToldWithItsHourAndItsSpokeHole() {
        assertThat(words.spot(new Spot(Spot.Zone.FLANK_LEFT, 4), 32)).isEqualTo("left sidewall at 4 o'clock");
        assertThat(words.spot(new Spot(Spot.Zone.VALVE_TIP, 4), 32)).isEqualTo("valve tip");
        assertThat(words.spot(HolePlace.spokeHole(7, 32), 32))
                .isEqualTo("spoke hole at 2.4 o'clock, spoke hole 7 from the valve");
    }
}
