package org.stratopneum.web.intake;

/** What files are brought in, in the order in which a file is tried; whatever is nothing else may be a table. */
public enum ImportFormat {
    ARCHIVE,
    GPX,
    CALENDAR,
    CSV
}
