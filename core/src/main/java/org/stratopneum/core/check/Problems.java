package org.stratopneum.core.check;

import java.util.ArrayList;
import java.util.List;

/** Gathers the problems of one input, so that all of them are reported and not only the first. */
public final class Problems {

    private final List<Problem> found = new ArrayList<>();

    public void add(Problem problem) {
        found.add(problem);
    }

    public void addAll(List<Problem> problems) {
        found.addAll(problems);
    }

    /** Adds what {@code range} has against {@code value}. */
    public void check(String field, double value, Range range) {
        range.problemOf(field, value).ifPresent(found::add);
    }

    /** The same for a value that may be absent; null is fine. */
    public void checkIfPresent(String field, Double value, Range range) {
        if (value != null) {
            check(field, value, range);
        }
    }

    public boolean isEmpty() {
        return found.isEmpty();
    }

    /** Whether a problem was found at {@code path} or below it. */
    public boolean touches(String path) {
        return found.stream()
                .map(Problem::field)
                .anyMatch(field -> field.equals(path) || field.startsWith(path + ".") || field.startsWith(path + "["));
    }

    public List<Problem> list() {
        return List.copyOf(found);
    }

    /** @throws InvalidInputException with all problems, if there is at least one */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new InvalidInputException(found);
        }
    }
}
