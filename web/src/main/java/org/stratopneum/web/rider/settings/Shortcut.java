package org.stratopneum.web.rider.settings;

import java.util.Locale;

/** What single keys do, wherever a page has something for them. Pages mark the place with the key. */
enum Shortcut {
    BIKES("b"),
    GARAGE("g"),
    JOBS("j"),
    DUE("d"),
    LOG("l"),
    TRAILSIDE("s"),
    READING("r"),
    SET_BOTH("t"),
    UNDO("u"),
    OTHER_WHEEL("o"),
    NEW_BIKE("n"),
    FIRST_ANSWER("1"),
    SECOND_ANSWER("2"),
    NOT_HERE("x"),
    FIND("f"),
    LIST("?");

    private final String key;

    Shortcut(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }

    /** Its name in the message file. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
