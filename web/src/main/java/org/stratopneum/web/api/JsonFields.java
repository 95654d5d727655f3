package org.stratopneum.web.api;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import tools.jackson.databind.JsonNode;

/**
 * Reads one JSON object field by field and gathers every fault, where binding to a class would stop at the first.
 * Absent and null are the same. A fault gives a stand-in value; nothing is built from it, because {@link #build} and
 * {@link #finish} come out empty where anything was wrong.
 */
final class JsonFields {

    static final String UNKNOWN_FIELD = "unknown-field";
    static final String UNKNOWN_VALUE = "unknown-value";
    static final String NOT_WHOLE = "not-whole";
    static final String NOT_A_DAY = "not-a-day";
    static final String NOT_A_MOMENT = "not-a-moment";

    private final JsonNode node;
    private final String path;
    private final Problems problems;
    private final Set<String> known = new HashSet<>();
    private final List<JsonFields> children = new ArrayList<>();

    private JsonFields(JsonNode node, String path, Problems problems) {
        this.node = node;
        this.path = path;
        this.problems = problems;
    }

    static JsonFields root(JsonNode node) {
        Problems problems = new Problems();
        if (!node.isObject()) {
            problems.add(Problem.of("$", Problem.WRONG_TYPE));
            return new JsonFields(null, "", problems);
        }
        return new JsonFields(node, "", problems);
    }

    private String at(String field) {
        return path.isEmpty() ? field : path + "." + field;
    }

    private Optional<JsonNode> present(String field) {
        known.add(field);
        if (node == null) {
            return Optional.empty();
        }
        return Optional.ofNullable(node.get(field)).filter(value -> !value.isNull());
    }

    boolean has(String field) {
        return present(field).isPresent();
    }

    /** Adds the fault "missing", unless the whole object is missing or faulty itself. */
    void missing(String field) {
        if (node != null) {
            problems.add(Problem.of(at(field), Problem.MISSING));
        }
    }

    void add(Problem problem) {
        problems.add(problem.under(path));
    }

    /** A number that must be there. */
    double number(String field, Range range) {
        Double value = optionalNumber(field, range);
        if (value == null) {
            if (!has(field)) {
                missing(field);
            }
            return Double.NaN;
        }
        return value;
    }

    double number(String field, Range range, double otherwise) {
        Double value = optionalNumber(field, range);
        return value == null ? otherwise : value;
    }

    Double optionalNumber(String field, Range range) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            return null;
        }
        if (!value.isNumber()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return null;
        }
        // numbers beyond a double become infinite here, and the range refuses them
        double number = value.numberValue().doubleValue();
        Optional<Problem> problem = range.problemOf(at(field), number);
        problem.ifPresent(problems::add);
        return problem.isPresent() ? null : number;
    }

    boolean flag(String field) {
        return flag(field, false);
    }

    boolean flag(String field, boolean otherwise) {
        Boolean value = optionalFlag(field);
        return value == null ? otherwise : value;
    }

    Boolean optionalFlag(String field) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            return null;
        }
        if (!value.isBoolean()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return null;
        }
        return value.asBoolean();
    }

    /** A flag that must be there. */
    boolean requiredFlag(String field) {
        if (!has(field)) {
            missing(field);
        }
        return flag(field);
    }

    /** A whole number; a fault where it is broken. */
    int whole(String field, Range range, int otherwise) {
        Integer value = optionalWhole(field, range);
        return value == null ? otherwise : value;
    }

    Integer optionalWhole(String field, Range range) {
        Double value = optionalNumber(field, range);
        if (value != null && value != Math.rint(value)) {
            problems.add(Problem.of(at(field), NOT_WHOLE));
            return null;
        }
        return value == null ? null : value.intValue();
    }

    /** How many; true is one, false and nothing are none. */
    int count(String field, Range range) {
        JsonNode value = present(field).orElse(null);
        if (value != null && value.isBoolean()) {
            return value.asBoolean() ? 1 : 0;
        }
        return whole(field, range, 0);
    }

    <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            return Optional.empty();
        }
        if (!value.isString()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return Optional.empty();
        }
        Optional<E> constant = Arrays.stream(type.getEnumConstants())
                .filter(candidate -> candidate.name().equals(value.asString()))
                .findFirst();
        if (constant.isEmpty()) {
            problems.add(Problem.of(at(field), UNKNOWN_VALUE));
        }
        return constant;
    }

    <E extends Enum<E>> Optional<E> requiredChoice(String field, Class<E> type) {
        if (!has(field)) {
            missing(field);
        }
        return choice(field, type);
    }

    /** A day that must be there, as YYYY-MM-DD. */
    Optional<LocalDate> day(String field) {
        return time(field, JsonTimes::day, NOT_A_DAY);
    }

    /** A moment that must be there, as an RFC 3339 date and time with its offset. */
    Optional<Instant> moment(String field) {
        return time(field, JsonTimes::moment, NOT_A_MOMENT);
    }

    private <T> Optional<T> time(String field, Function<String, Optional<T>> reader, String fault) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            missing(field);
            return Optional.empty();
        }
        Optional<T> time = value.isString() ? reader.apply(value.asString()) : Optional.empty();
        if (time.isEmpty()) {
            problems.add(Problem.of(at(field), value.isString() ? fault : Problem.WRONG_TYPE));
        }
        return time;
    }

    /** An object that must be there; where it is not, its fields report nothing more. */
    JsonFields object(String field) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            missing(field);
        } else if (!value.isObject()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            value = null;
        }
        return child(value, at(field));
    }

    /** An object that may be absent; then empty. */
    Optional<JsonFields> optionalObject(String field) {
        return has(field) ? Optional.of(object(field)) : Optional.empty();
    }

    /** The objects of a list that may be absent; then none. */
    List<JsonFields> optionalObjects(String field) {
        return has(field) ? objects(field) : List.of();
    }

    /** The objects of a list that must be there. */
    List<JsonFields> objects(String field) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            missing(field);
            return List.of();
        }
        if (!value.isArray()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return List.of();
        }
        List<JsonFields> objects = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            String itemPath = at(field) + "[" + i + "]";
            JsonNode item = value.get(i);
            if (!item.isObject()) {
                problems.add(Problem.of(itemPath, Problem.WRONG_TYPE));
            }
            objects.add(child(item.isObject() ? item : null, itemPath));
        }
        return objects;
    }

    /** The texts of a list that may be absent; one that is no text is a fault, and null here. */
    List<String> texts(String field) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            return List.of();
        }
        if (!value.isArray()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return List.of();
        }
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            texts.add(text(value.get(i), at(field) + "[" + i + "]"));
        }
        return texts;
    }

    /** The texts of an object that may be absent, by their names; one that is no text is a fault, and left out. */
    Map<String, String> textsByName(String field) {
        JsonNode value = present(field).orElse(null);
        Map<String, String> texts = new LinkedHashMap<>();
        if (value == null) {
            return texts;
        }
        if (!value.isObject()) {
            problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            return texts;
        }
        value.propertyNames().forEach(name -> {
            String text = text(value.get(name), at(field) + "." + name);
            if (text != null) {
                texts.put(name, text);
            }
        });
        return texts;
    }

    private String text(JsonNode value, String where) {
        if (!value.isString()) {
            problems.add(Problem.of(where, Problem.WRONG_TYPE));
            return null;
        }
        return value.asString();
    }

    private JsonFields child(JsonNode value, String childPath) {
        JsonFields child = new JsonFields(value, childPath, problems);
        children.add(child);
        return child;
    }

    /** Builds from fields read before; faults found in building are put under this object. Empty where any was. */
    <T> Optional<T> build(Supplier<T> supplier) {
        if (node == null || (path.isEmpty() ? !problems.isEmpty() : problems.touches(path))) {
            return Optional.empty();
        }
        try {
            return Optional.of(supplier.get());
        } catch (InvalidInputException exception) {
            exception.problems().forEach(this::add);
            return Optional.empty();
        }
    }

    /**
     * Ends the reading of the whole input.
     *
     * @throws InvalidInputException with every fault, the fields that nobody asked for included
     */
    void finish() {
        refuseUnknown();
        problems.throwIfAny();
    }

    private void refuseUnknown() {
        if (node != null) {
            node.propertyNames().stream()
                    .filter(name -> !known.contains(name))
                    .forEach(name -> problems.add(Problem.of(at(name), UNKNOWN_FIELD)));
        }
        children.forEach(JsonFields::refuseUnknown);
    }
}
