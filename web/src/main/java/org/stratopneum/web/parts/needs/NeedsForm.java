package org.stratopneum.web.parts.needs;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.FormReader;

/** How the rider tapes, as typed: school of the start, turns, the roll, and what is on hand. */
final class NeedsForm {

    private static final String USUAL_ROLL_M = "10";

    private final Map<String, String> typed;

    private NeedsForm(Map<String, String> typed) {
        this.typed = typed;
    }

    /**
     * What was chosen.
     *
     * @param onHandMm width of the tape on hand (mm), or null
     */
    record Chosen(TapeStart start, int turns, double rollM, Double onHandMm, boolean newTire) {}

    static NeedsForm of(Map<String, String> parameters) {
        Map<String, String> typed = new TreeMap<>(parameters);
        typed.putIfAbsent("start", TapeStart.OPPOSITE.name());
        typed.putIfAbsent("turns", "1");
        typed.putIfAbsent("roll", USUAL_ROLL_M);
        return new NeedsForm(typed);
    }

    Map<String, String> typed() {
        return typed;
    }

    FormReader reader() {
        return new FormReader(typed);
    }

    /** Empty with faults in {@code reader}. */
    static Optional<Chosen> read(FormReader reader, RiderUnit length) {
        Optional<TapeStart> start = reader.choice("start", TapeStart.class);
        Optional<Integer> turns = reader.requiredWhole("turns", TapePlan.TURNS);
        Optional<Double> roll = reader.requiredNumber("roll", TapePlan.ROLL_M);
        Optional<Double> onHand = reader.quantity("onHand", TapePlan.TAPE_MM, length, null);
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Chosen(
                start.orElse(TapeStart.OPPOSITE),
                turns.orElseThrow(),
                roll.orElseThrow(),
                onHand.orElse(null),
                reader.ticked("newTire")));
    }
}
