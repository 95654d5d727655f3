package org.stratopneum.web.log;

import java.util.UUID;

/**
 * An entry of the log in words.
 *
 * @param topic what it is about
 * @param wheel the wheel that it is about, or null
 * @param number the number that was read, or null; then {@code said} is the rest of {@code what}
 */
public record LogLine(
        UUID id,
        LogTopic topic,
        UUID wheel,
        String time,
        String bike,
        String where,
        String what,
        String number,
        String said,
        String note,
        boolean struck,
        boolean corrected) {}
