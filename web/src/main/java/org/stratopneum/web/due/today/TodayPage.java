package org.stratopneum.web.due.today;

import java.util.List;
import org.stratopneum.web.due.TodoRow;

/**
 * The first page.
 *
 * @param steps by which a rider begins, empty once they are behind
 * @param headline what to do now
 * @param notice a sentence at the top, by its message, or null
 * @param todo what is due, the first of it
 * @param more how many more lines wait on the list
 * @param shelf what lies on the shelf, in words
 */
public record TodayPage(
        List<BikeCard> bikes,
        List<Step> steps,
        Headline headline,
        String notice,
        List<TodoRow> todo,
        int more,
        String shelf) {

    /**
     * A step of the three by which a rider begins.
     *
     * @param code names its words
     * @param path where it is done
     */
    public record Step(String code, String path, boolean done) {}

    /**
     * What to do now, in a sentence, and the one thing that pumping alone does not mend.
     *
     * @param why what it comes from
     * @param act what the button says, or null where there is none; {@code path} where it leads, {@code icon} its sign
     */
    public record Headline(String text, String why, String act, String path, String icon) {}
}
