package org.stratopneum.core.check;

import java.util.List;
import java.util.stream.Collectors;

/** Input that a model refuses, with every problem found in it. */
public final class InvalidInputException extends IllegalArgumentException {

    private final transient List<Problem> problems;

    public InvalidInputException(List<Problem> problems) {
        super(problems.stream().map(Problem::toString).collect(Collectors.joining("; ")));
        this.problems = List.copyOf(problems);
    }

    public InvalidInputException(Problem problem) {
        this(List.of(problem));
    }

    public List<Problem> problems() {
        return problems;
    }
}
