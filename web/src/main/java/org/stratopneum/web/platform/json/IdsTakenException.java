package org.stratopneum.web.platform.json;

import java.util.List;
import org.stratopneum.core.check.Problem;

/** Ids stand for other things already, by where they were sent. */
public final class IdsTakenException extends RuntimeException {

    private static final long serialVersionUID = 1L;
    private final transient List<Problem> problems;

    public IdsTakenException(List<Problem> problems) {
        super(problems.size() + " ids are taken");
        this.problems = List.copyOf(problems);
    }

    public List<Problem> problems() {
        return problems;
    }
}
