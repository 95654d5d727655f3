package org.stratopneum.web.leak.drill;

import java.util.List;
import java.util.UUID;

/**
 * A round of practice, in words.
 *
 * @param said what was seen and named, in its order
 * @param checks that were not made yet
 * @param causes to name
 * @param end how it ended, or null
 */
record DrillPage(
        UUID id, String story, String spent, List<String> said, List<Choice> checks, List<Choice> causes, End end) {

    record Choice(String code, String name, String cost) {}

    /** @param code of the state's shape */
    record End(String fault, String code, String score, String plan) {}

    /**
     * All rounds so far.
     *
     * @param open one that is not at its end, or null
     * @param mixed what was taken for what, the most often first
     */
    record History(UUID open, List<Line> lines, List<String> mixed, String mean) {}

    record Line(UUID id, String when, String story, String what) {}
}
