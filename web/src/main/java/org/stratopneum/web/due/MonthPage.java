package org.stratopneum.web.due;

import java.util.List;

/**
 * A month with what is due in it.
 *
 * @param before the month before as it stands in the address, {@code after} the next one
 * @param weeks from Monday to Sunday, with the ends of the months beside it
 * @param empty whether nothing is due in it
 */
record MonthPage(
        String title, String before, String after, List<String> weekdays, List<List<Day>> weeks, boolean empty) {

    /**
     * A day.
     *
     * @param inside whether it is one of the month
     */
    public record Day(int number, String name, boolean inside, boolean today, List<Line> lines) {}

    /** One trip to the shed. */
    public record Line(String where, List<What> what) {}

    /** Something that is done on it. */
    public record What(String key, String text) {}
}
