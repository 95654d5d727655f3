package org.stratopneum.web.due;

import java.util.List;
import java.util.UUID;

/**
 * A line of what is to do: one matter, of one wheel or of both.
 *
 * @param keys the matters that it stands for
 * @param wheel the wheel, or null where it stands for more than one, or for none
 * @param path where it is done, or null
 * @param flag when, in words
 * @param tone how the flag is told from others: low, mark, or empty
 * @param canDo whether one touch does it
 * @param canSkip whether it can be skipped this time
 */
public record TodoRow(
        List<String> keys,
        UUID wheel,
        String icon,
        String what,
        String where,
        String path,
        String flag,
        String tone,
        boolean canDo,
        boolean canSkip) {

    /** The matters as one value of a form, which takes commas for the ends of many. */
    public String key() {
        return String.join(",", keys);
    }
}
