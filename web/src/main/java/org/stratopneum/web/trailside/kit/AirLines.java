package org.stratopneum.web.trailside.kit;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.HandPump;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.trailside.AirBudget;
import org.stratopneum.core.trailside.AirGoal;
import org.stratopneum.core.trailside.Bag;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Fill;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;

/** What the air in a bag does for one tire, line by line. */
@Component
public class AirLines {

    private final Wording wording;

    AirLines(Wording wording) {
        this.wording = wording;
    }

    /**
     * One line.
     *
     * @param use what is used, in words
     * @param low least that it leaves the tire at
     * @param strokes of the pump, or null by gas
     * @param enough whether it likely reaches seven tenths of the usual pressure
     */
    public record Line(
            String use, GaugePressure low, GaugePressure likely, GaugePressure best, Double strokes, boolean enough) {

        /** Whether how much gets in is in doubt, as with gas. */
        public boolean inDoubt() {
            return strokes == null;
        }
    }

    /** Cartridge by cartridge into the tire as it stands, each with those before it, then the pump. */
    public List<Line> of(AirBudget budget, GaugePressure start, Bag bag) {
        List<Line> lines = new ArrayList<>();
        int known = 0;
        for (int i = 0; i < bag.charges().size(); i++) {
            Fill fill = budget.whole(start, bag.charges().subList(0, i + 1), bag.headShuts());
            if (fill.parts().size() > known) {
                known = fill.parts().size();
                lines.add(gas(budget, fill));
            }
        }
        if (bag.pump() != null) {
            pump(budget, start, bag.pump(), AirGoal.SEVENTY, lines);
            pump(budget, start, bag.pump(), AirGoal.USUAL, lines);
        }
        return lines;
    }

    private Line gas(AirBudget budget, Fill fill) {
        Fill.Part last = fill.parts().get(fill.parts().size() - 1);
        double grams = fill.parts().stream()
                .mapToDouble(part -> part.grams() * part.share())
                .sum();
        String use = wording.text(
                last.held() ? "trail.budget.gas.held" : "trail.budget.gas",
                fill.parts().size(),
                Numbers.upTo(grams, 1));
        return new Line(
                use,
                fill.low(),
                fill.likely(),
                fill.best(),
                null,
                !fill.likely().isBelow(budget.goal(AirGoal.SEVENTY)));
    }

    private void pump(AirBudget budget, GaugePressure start, HandPump pump, AirGoal goal, List<Line> lines) {
        Fill fill = budget.byPump(start, goal, pump, List.<Charge>of());
        if (fill.strokes() == 0) {
            return;
        }
        boolean reaches = !fill.likely().isBelow(budget.goal(goal));
        String key = reaches ? goal == AirGoal.USUAL ? "usual" : "seventy" : "most";
        lines.add(new Line(
                wording.text("trail.budget.pump." + key, strokes(fill.strokes())),
                fill.low(),
                fill.likely(),
                fill.best(),
                fill.strokes(),
                !fill.likely().isBelow(budget.goal(AirGoal.SEVENTY))));
    }

    /** To the nearest ten: nobody counts better (common practice, no source). */
    public static String strokes(double strokes) {
        return Numbers.fixed(Math.max(10, Math.rint(strokes / 10) * 10), 0);
    }
}
