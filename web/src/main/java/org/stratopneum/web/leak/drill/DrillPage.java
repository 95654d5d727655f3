package org.stratopneum.web.leak.drill;

import java.util.List;
import java.util.UUID;

/**
 * A round of practice, in words.
 *
 * @param title what it is called
 * @param minutes spent so far
 * @param ways where its buttons lead
 * @param said what was seen and named, in its order
 * @param checks that were not made yet
 * @param causes to name
 * @param end how it ended, or null
 */
record DrillPage(
        String title,
        String story,
        int minutes,
        Ways ways,
        List<Said> said,
        List<Choice> checks,
        List<Choice> causes,
        End end) {

    /**
     * @param method of the forms, "post" or "get"
     * @param drop what throws the round away, or null where nothing is kept
     * @param kept fields that go with each
     */
    record Ways(String method, String look, String name, String again, String drop, List<Field> kept) {}

    record Field(String name, String value) {}

    /** @param symbol the drawing of it, or null */
    record Choice(String code, String name, String cost, String symbol) {}

    /** @param sign the sign that it held, or did not; null for a look */
    record Said(String text, String sign) {}

    /**
     * @param points 100 for as long as the finder takes on the same wheel
     * @param finder how the finder went about it, a line each
     * @param mine how long it took, {@code finders} how long the finder takes, of the longer of both (0 to 100)
     */
    record End(String fault, int points, String verdict, List<String> finder, double mine, double finders) {}

    /**
     * All rounds so far.
     *
     * @param open one that is not at its end, or null
     * @param mixed what was taken for what, the most often first
     */
    record History(Daily daily, UUID open, List<Line> lines, List<String> mixed, Sums sums) {}

    /**
     * The fault of the day, the same for everybody.
     *
     * @param round the round, or null while it was not begun
     * @param points what it gave, or null before its end
     * @param streak days in a row, up to today or yesterday
     */
    record Daily(UUID round, Integer points, int streak) {}

    /** @param points in the mean, {@code best} the most; {@code first} how often the first guess was right */
    record Sums(int rounds, int points, int best, long first) {}

    record Line(UUID id, String when, String story, String what, int points) {}
}
