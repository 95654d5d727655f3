package org.stratopneum.web.due;

import java.util.List;

/**
 * What is due, in short.
 *
 * @param now what is due today or was before, a line for each wheel
 * @param days what comes, day by day
 * @param buy what the shelf lacks
 */
public record Summary(List<String> now, List<Day> days, List<String> buy) {

    /** A day with a line for each wheel. */
    public record Day(String day, List<String> lines) {}

    /** So many lines come later. */
    public int ahead() {
        return days.stream().mapToInt(day -> day.lines.size()).sum();
    }
}
