package org.stratopneum.web.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Belief;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.web.platform.fault.NotThereException;

/** A search is its answers: said in any order, taken back in any order, and the same from its address. */
class SearchTest {

    private static final LeakModel MODEL = LeakModel.of(AirSystem.TUBELESS);
    private static final Search NOTHING = Search.begun(AirSystem.TUBELESS, Set.of());

    private static Map<String, List<String>> parameters(Search search) {
        Map<String, List<String>> parameters = new LinkedHashMap<>();
        SearchAddress.fields(search)
                .forEach(field -> parameters
                        .computeIfAbsent(field.name(), name -> new ArrayList<>())
                        .add(field.value()));
        return parameters;
    }

    /** A search as a rider with much time makes one. */
    private static Search any(Random random) {
        Search search = Search.begun(
                AirSystem.TUBELESS,
                random.nextBoolean() ? Set.of(Circumstance.HIT, Circumstance.SEALANT_OLD) : Set.of());
        for (Check check : MODEL.checks()) {
            int what = random.nextInt(4);
            if (what == 0) {
                search = search.with(SearchStep.notHere(check.code()));
            } else if (what == 1) {
                search = search.with(SearchStep.seen(
                        check.code(),
                        check.answers().get(random.nextInt(check.answers().size()))));
            }
        }
        if (random.nextBoolean()) {
            search = search.with(SearchStep.mended("core"));
        }
        for (int i = random.nextInt(3); i > 0; i--) {
            Spot.Zone zone = Spot.Zone.values()[random.nextInt(Spot.Zone.values().length)];
            search = search.with(new Spot(zone, 12 - 12 * random.nextDouble()));
        }
        return random.nextBoolean() ? search.goingOn(Diagnosis.Mode.NAME_IT) : search;
    }

    @Test
    void itIsTheSameFromItsAddress() {
        Random random = new Random(20_626);
        for (int i = 0; i < 200; i++) {
            Search search = any(random);
            assertThat(SearchAddress.read(parameters(search))).isEqualTo(search);
            assertThat(SearchAddress.of(search)).startsWith("/leak/search?system=TUBELESS&mode=");
        }
    }

    @Test
    void whatIsTakenBackIsAsIfItWasNeverSaid() {
        Random random = new Random(406);
        for (int i = 0; i < 200; i++) {
            Search search = any(random);
            SearchStep step = SearchStep.seen("soap-valve-tip", "bubbles");
            Search without = SearchAct.apply(search, "back:" + step.text());
            assertThat(SearchAct.apply(SearchAct.apply(without, step.text()), "back:" + step.text()))
                    .isEqualTo(without);
            Spot spot = new Spot(Spot.Zone.TREAD, 5.25);
            assertThat(SearchAct.apply(
                            SearchAct.apply(search, "spot:" + SearchAct.text(spot)), "no-spot:" + SearchAct.text(spot)))
                    .isEqualTo(search);
        }
    }

    /** What was seen is independent of when it was: the order of the answers changes no probability. */
    @Test
    void theOrderOfTheAnswersDoesNotMatter() {
        Search one = NOTHING.with(SearchStep.seen("shake", "silent")).with(SearchStep.seen("dip", "dry"));
        Search other = NOTHING.with(SearchStep.seen("dip", "dry")).with(SearchStep.seen("shake", "silent"));
        Belief first = one.diagnosis(MODEL, null).belief();
        Belief second = other.diagnosis(MODEL, null).belief();
        for (Cause cause : MODEL.causes()) {
            assertThat(first.of(cause)).isCloseTo(second.of(cause), within(1e-12));
        }
    }

    @Test
    void anAnswerSaidAgainReplacesTheFirstAndACheckMayBecomePossible() {
        Search search = NOTHING.with(SearchStep.seen("shake", "silent")).with(SearchStep.seen("shake", "slosh"));
        assertThat(search.steps()).containsExactly(SearchStep.seen("shake", "slosh"));
        Search notHere = NOTHING.with(SearchStep.notHere("tub"));
        assertThat(notHere.diagnosis(MODEL, null).open())
                .noneMatch(check -> check.code().equals("tub"));
        assertThat(notHere.without(SearchStep.notHere("tub"))
                        .diagnosis(MODEL, null)
                        .open())
                .anyMatch(check -> check.code().equals("tub"));
    }

    /** After a mending in vain a check is made again: both answers stand, and the last is taken back first. */
    @Test
    void anAnswerOfBeforeAMendingStands() {
        Search mended = NOTHING.with(SearchStep.seen("spray", "bead")).with(SearchStep.mended("bead"));
        Search again = mended.with(SearchStep.seen("spray", "clear")).with(SearchStep.seen("spray", "tread"));
        assertThat(again.steps())
                .containsExactly(
                        SearchStep.seen("spray", "bead"), SearchStep.mended("bead"), SearchStep.seen("spray", "tread"));
        assertThat(again.without(SearchStep.seen("spray", "tread"))).isEqualTo(mended);
        assertThat(SearchAddress.read(parameters(again))).isEqualTo(again);
        Search old = Search.begun(AirSystem.TUBE, Set.of()).with(SearchStep.mended("tube-valve"));
        assertThat(old.diagnosis(LeakModel.of(AirSystem.TUBE), null).failedFixes())
                .as("from before core and stem were told apart")
                .containsExactly(Cause.TUBE_STEM);
    }

    @Test
    void aPlaceThatWasMarkedWinsOverTheButtonUntilItIsTakenAway() {
        Search clear = NOTHING.with(SearchStep.seen("soap-bead", "clear"));
        Search marked = clear.with(new Spot(Spot.Zone.BEAD_LEFT, 4));
        assertThat(marked.diagnosis(MODEL, 32).findings()).containsEntry("soap-bead", "bubbles");
        assertThat(marked.without(new Spot(Spot.Zone.BEAD_LEFT, 4))
                        .diagnosis(MODEL, 32)
                        .findings())
                .containsEntry("soap-bead", "clear");
        assertThat(marked.with(new Spot(Spot.Zone.BEAD_LEFT, 4)).spots())
                .as("once")
                .hasSize(1);
        assertThat(marked.hour()).contains(4.0);
        assertThat(clear.hour()).isEmpty();
    }

    @Test
    void whatWasKnownIsTakenBackAsWell() {
        Search search = Search.begun(AirSystem.TUBELESS, Set.of(Circumstance.HIT, Circumstance.LEVER));
        assertThat(SearchAct.apply(search, "unknown:hit").known()).containsExactly(Circumstance.LEVER);
        assertThat(SearchAct.apply(search, "mode:NAME_IT").mode()).isEqualTo(Diagnosis.Mode.NAME_IT);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "seen",
                "seen.shake",
                "seen.shake.slosh.loud",
                "heard.shake.slosh",
                "back:",
                "mode:SOON",
                "unknown:weather",
                "spot:TREAD",
                "spot:TREAD@",
                "spot:TREAD@noon",
                "spot:TREAD@NaN",
                "spot:TREAD@0",
                "jump:high"
            })
    void whatNoButtonSaysIsNotThere(String act) {
        assertThatThrownBy(() -> SearchAct.apply(NOTHING, act)).isInstanceOf(NotThereException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"seen.shake.loud", "seen.nose.wet", "mended.tube-pinch.", "mended.nothing."})
    void whatTheModelDoesNotKnowIsNotThere(String step) {
        Search search = SearchAct.apply(NOTHING, step);
        assertThatThrownBy(() -> search.diagnosis(MODEL, null)).isInstanceOf(NotThereException.class);
    }
}
