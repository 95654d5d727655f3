package org.stratopneum.web.log;

import java.util.UUID;

/** An entry of the log in words, on a page that is about one wheel. */
public record WheelLine(UUID id, String when, String what, String note, boolean struck, boolean corrected) {}
