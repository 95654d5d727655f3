package org.stratopneum.web.platform.paper;

import java.util.Locale;

/** Sheets that people have in their printers. */
public enum Paper {
    A4("A4", "105mm 148mm"),
    LETTER("letter", "4.25in 5.5in");

    private final String css;
    private final String quarter;

    Paper(String css, String quarter) {
        this.css = css;
        this.quarter = quarter;
    }

    /** As CSS names it. */
    public String css() {
        return css;
    }

    /** A quarter of it, upright, as CSS writes it: a card for the pocket. */
    public String quarter() {
        return quarter;
    }

    /** The one of that name, or A4. */
    public static Paper of(String name) {
        return LETTER.name().equals(name.toUpperCase(Locale.ROOT)) ? LETTER : A4;
    }
}
