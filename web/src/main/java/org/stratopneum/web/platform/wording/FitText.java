package org.stratopneum.web.platform.wording;

import java.util.List;

/**
 * Whether parts go together, in words.
 *
 * @param against what speaks against it
 * @param fine what is fine
 * @param unchecked what could not be looked at, joined; empty where everything was
 */
public record FitText(List<Said> against, List<String> fine, String unchecked) {

    /**
     * A verdict in words.
     *
     * @param acceptable whether somebody may go on knowing it; what blocks is mended by changing something
     */
    public record Said(String level, String css, String message, String fix, String code, boolean acceptable) {}
}
