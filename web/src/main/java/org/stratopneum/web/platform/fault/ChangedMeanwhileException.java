package org.stratopneum.web.platform.fault;

/** What was to be changed was changed by somebody else, or in another window, since it was read. */
public class ChangedMeanwhileException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public ChangedMeanwhileException() {
        super("changed since it was read");
    }
}
