package org.stratopneum.web.history;

import java.util.List;

/**
 * What a wheel went through, oldest first.
 *
 * @param name bike, wheel and pair
 * @param printed the day on which it was printed, in words
 * @param years entries by year
 * @param count how many entries stand here
 * @param struck how many were struck through and are left out
 * @param earlier whether there are earlier ones for which there was no room
 */
public record WheelPaper(String name, String printed, List<Year> years, int count, int struck, boolean earlier) {

    /** The entries of a year. */
    public record Year(String name, List<Line> lines) {}

    /** An entry. */
    public record Line(String day, String time, String tire, String what, String note) {}
}
