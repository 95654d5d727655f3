package org.stratopneum.web.imports;

/** What files are brought in. */
public enum ImportFormat {
    CSV,
    ARCHIVE
}
