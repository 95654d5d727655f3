package org.stratopneum.web.wording;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * Reads the fields of a form as people type numbers, with point or comma, and gathers every fault with its field. What
 * was typed is not changed.
 */
public final class FormReader {

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,9}(?:[.,]\\d{0,9})?|[+-]?[.,]\\d{1,9}");

    private final Map<String, String> typed;
    private final Problems problems = new Problems();

    public FormReader(Map<String, String> typed) {
        this.typed = Map.copyOf(typed);
    }

    public String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public boolean isBlank(String field) {
        return text(field).isEmpty();
    }

    /** The number typed into {@code field}, empty where nothing was; a fault where it is none, or outside. */
    public Optional<Double> number(String field, Range range) {
        String text = text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (!NUMBER.matcher(text).matches()) {
            problems.add(Problem.of(field, Problem.WRONG_TYPE));
            return Optional.empty();
        }
        double value = Double.parseDouble(text.replace(',', '.'));
        Optional<Problem> problem = range.problemOf(field, value);
        problem.ifPresent(problems::add);
        return problem.isPresent() ? Optional.empty() : Optional.of(value);
    }

    /** The same for a field that must be filled in. */
    public Optional<Double> requiredNumber(String field, Range range) {
        if (isBlank(field)) {
            problems.add(Problem.of(field, Problem.MISSING));
            return Optional.empty();
        }
        return number(field, range);
    }

    /** The constant named in {@code field}, empty where nothing was; a fault where there is no such constant. */
    public <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
        if (isBlank(field)) {
            return Optional.empty();
        }
        for (E constant : type.getEnumConstants()) {
            if (constant.name().equals(text(field))) {
                return Optional.of(constant);
            }
        }
        problems.add(Problem.of(field, "unknown-value"));
        return Optional.empty();
    }

    public Problems problems() {
        return problems;
    }
}
