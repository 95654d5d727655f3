package org.stratopneum.web.leak.drill;

import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Drill;
import org.stratopneum.core.diagnosis.Step;
import org.stratopneum.web.leak.SearchWording;
import org.stratopneum.web.platform.drawing.PartSymbols;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;

/** Lays a round of practice out. */
@Component
class DrillPages {

    private static final int AS_GOOD = 95;

    private final SearchWording words;
    private final Wording wording;

    DrillPages(SearchWording words, Wording wording) {
        this.words = words;
        this.wording = wording;
    }

    DrillPage page(DrillRound round, String title, DrillPage.Ways ways) {
        boolean ended = round.ended();
        return new DrillPage(
                title,
                wording.of("story", round.drill().story()),
                (int) Math.round(round.minutes()),
                ways,
                round.steps().stream().map(step -> said(step, round)).toList(),
                ended ? List.of() : checks(round),
                ended ? List.of() : causes(round),
                ended ? end(round) : null);
    }

    private DrillPage.Said said(DrillStep step, DrillRound round) {
        if (step.kind() == DrillStep.Kind.LOOKED) {
            Check check = DrillRound.check(step.code());
            return new DrillPage.Said(
                    wording.text(
                            "drill.looked",
                            words.check(check.code()),
                            words.answer(check.code(), round.drill().answer(check)),
                            words.cost(check)),
                    null);
        }
        Cause cause = DrillRound.cause(step.code());
        boolean holds = round.drill().holds(cause);
        return new DrillPage.Said(mended(cause, holds), holds ? "check" : "close");
    }

    private String mended(Cause cause, boolean holds) {
        return wording.text(
                holds ? "drill.named.right" : "drill.named.wrong",
                words.cause(cause),
                Numbers.fixed(Drill.minutes(cause), 0));
    }

    private List<DrillPage.Choice> checks(DrillRound round) {
        return DrillRound.MODEL.checks().stream()
                .filter(check -> !round.looked().contains(check))
                .map(check -> new DrillPage.Choice(
                        check.code(),
                        words.check(check.code()),
                        words.cost(check),
                        PartSymbols.ofCheck(check.code()).orElse(null)))
                .toList();
    }

    private List<DrillPage.Choice> causes(DrillRound round) {
        return DrillRound.MODEL.causes().stream()
                .filter(cause -> !round.named().contains(cause))
                .map(cause -> new DrillPage.Choice(
                        cause.code(),
                        words.cause(cause),
                        wording.text("search.minutes", Numbers.fixed(Drill.minutes(cause), 0)),
                        null))
                .toList();
    }

    private DrillPage.End end(DrillRound round) {
        Drill drill = round.drill();
        Drill.Way way = drill.findersWay();
        int points = way.points(round.minutes());
        double longer = Math.max(way.minutes(), round.minutes());
        return new DrillPage.End(
                wording.text("drill.found", words.cause(drill.fault())),
                points,
                wording.text(
                        points > 100 ? "drill.faster" : points >= AS_GOOD ? "drill.as-good" : "drill.slower",
                        Numbers.fixed(round.minutes(), 0),
                        Numbers.fixed(way.minutes(), 0)),
                way.steps().stream().map(step -> finders(step, drill)).toList(),
                100 * round.minutes() / longer,
                100 * way.minutes() / longer);
    }

    private String finders(Step step, Drill drill) {
        if (step instanceof Step.Seen seen) {
            Check check = DrillRound.check(seen.check());
            return wording.text(
                    "drill.looked",
                    words.check(check.code()),
                    words.answer(check.code(), seen.answer()),
                    words.cost(check));
        }
        Cause cause = ((Step.MendedInVain) step).cause();
        return mended(cause, drill.holds(cause));
    }
}
