package org.stratopneum.web.platform.wording;

import java.util.regex.Pattern;

/** E-mail addresses as riders type them. */
public final class EmailText {

    private static final Pattern ADDRESS = Pattern.compile("[^\\s@\\p{Cntrl}]{1,64}@[^\\s@\\p{Cntrl}]{1,189}");

    private EmailText() {}

    /** Whether it looks like one; only a mail that arrives tells whether it is. */
    public static boolean isAddress(String text) {
        return ADDRESS.matcher(text).matches();
    }
}
