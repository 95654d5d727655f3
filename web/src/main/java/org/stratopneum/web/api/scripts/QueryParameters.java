package org.stratopneum.web.api.scripts;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.web.platform.json.JsonTimes;

/** The parameters of an address, with every fault of all of them; one that nobody knows is a fault too. */
final class QueryParameters {

    private final HttpServletRequest request;
    private final Set<String> known = new TreeSet<>();
    private final Problems problems = new Problems();

    QueryParameters(HttpServletRequest request) {
        this.request = request;
    }

    /** None is known. */
    static void none(HttpServletRequest request) {
        new QueryParameters(request).finish();
    }

    private Optional<String> text(String name) {
        known.add(name);
        String[] values = request.getParameterValues(name);
        if (values != null && values.length > 1) {
            problems.add(Problem.of(name, "parameter-twice"));
        }
        return values == null ? Optional.empty() : Optional.of(values[0]);
    }

    long number(String name, Range range, long otherwise) {
        Optional<String> text = text(name);
        try {
            long value = text.map(Long::parseLong).orElse(otherwise);
            problems.check(name, (double) value, range);
            return value;
        } catch (NumberFormatException none) {
            problems.add(Problem.of(name, Problem.WRONG_TYPE));
            return otherwise;
        }
    }

    UUID id(String name) {
        Optional<String> text = text(name);
        try {
            return text.map(UUID::fromString).orElse(null);
        } catch (IllegalArgumentException none) {
            problems.add(Problem.of(name, Problem.WRONG_TYPE));
            return null;
        }
    }

    Instant moment(String name) {
        Optional<String> text = text(name);
        // a plus that was not encoded arrives as a blank
        Optional<Instant> moment = text.flatMap(found -> JsonTimes.moment(found.replace(' ', '+')));
        if (text.isPresent() && moment.isEmpty()) {
            problems.add(Problem.of(name, "not-a-moment"));
        }
        return moment.orElse(null);
    }

    <E extends Enum<E>> E choice(String name, Class<E> type) {
        Optional<String> text = text(name);
        Optional<E> choice = text.flatMap(value -> Arrays.stream(type.getEnumConstants())
                .filter(one -> one.name().equals(value))
                .findFirst());
        if (text.isPresent() && choice.isEmpty()) {
            problems.add(Problem.of(name, "unknown-value"));
        }
        return choice.orElse(null);
    }

    /** @throws org.stratopneum.core.check.InvalidInputException with every fault */
    void finish() {
        new TreeSet<>(request.getParameterMap().keySet())
                .stream()
                        .filter(name -> !known.contains(name))
                        .forEach(name -> problems.add(Problem.of(name, "unknown-parameter")));
        problems.throwIfAny();
    }
}
