package org.stratopneum.web.log;

import java.util.UUID;

/** An entry of the log in words. */
public record LogLine(
        UUID id, String time, String bike, String where, String what, String note, boolean struck, boolean corrected) {}
