package org.stratopneum.web.platform.json;

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
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Pattern;
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
public final class JsonFields {

    public static final String NOT_AN_ID = "not-an-id";
    private static final Pattern UUIDS = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    public static final String UNKNOWN_FIELD = "unknown-field";
    public static final String UNKNOWN_VALUE = "unknown-value";
    public static final String NOT_WHOLE = "not-whole";
    public static final String NOT_A_DAY = "not-a-day";
    public static final String NOT_A_MOMENT = "not-a-moment";

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

    public static JsonFields root(JsonNode node) {
        Problems problems = new Problems();
        if (!node.isObject()) {
            problems.add(Problem.of("$", Problem.WRONG_TYPE));
            return new JsonFields(null, "", problems);
        }
        return new JsonFields(node, "", problems);
    }

    /**
     * The one object that {@code node} is, or the objects of its list.
     *
     * @param most longest list
     */
    public static List<JsonFields> oneOrMore(JsonNode node, int most) {
        if (!node.isArray()) {
            return List.of(root(node));
        }
        Problems problems = new Problems();
        if (node.isEmpty() || node.size() > most) {
            problems.add(new Problem(
                    "$", node.isEmpty() ? Problem.MISSING : "too-many", (double) most, (double) node.size(), ""));
            problems.throwIfAny();
        }
        List<JsonFields> items = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            String path = "[" + i + "]";
            if (!node.get(i).isObject()) {
                problems.add(Problem.of(path, Problem.WRONG_TYPE));
            }
            items.add(new JsonFields(node.get(i).isObject() ? node.get(i) : null, path, problems));
        }
        return items;
    }

    /** An identifier (RFC 9562), or null. */
    public UUID id(String field) {
        JsonNode value = present(field).orElse(null);
        if (value == null) {
            return null;
        }
        String text = value.isString() ? value.asString() : "";
        if (!UUIDS.matcher(text).matches()) {
            problems.add(Problem.of(at(field), value.isString() ? NOT_AN_ID : Problem.WRONG_TYPE));
            return null;
        }
        return UUID.fromString(text);
    }

    /** A text of at most so many characters, or null. */
    public String text(String field, int longest) {
        JsonNode value = present(field).orElse(null);
        String text = value == null ? null : text(value, at(field));
        if (text != null && text.length() > longest) {
            problems.add(new Problem(at(field), "too-long", (double) longest, (double) text.length(), null));
            return null;
        }
        return text;
    }

    /** The numbers of a list that may be absent. */
    public List<Double> numbers(String field, Range range) {
        JsonNode value = present(field).orElse(null);
        if (value == null || !value.isArray()) {
            if (value != null) {
                problems.add(Problem.of(at(field), Problem.WRONG_TYPE));
            }
            return List.of();
        }
        List<Double> numbers = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            String where = at(field) + "[" + i + "]";
            if (value.get(i).isNumber()) {
                double number = value.get(i).numberValue().doubleValue();
                range.problemOf(where, number).ifPresent(problems::add);
                numbers.add(number);
            } else {
                problems.add(Problem.of(where, Problem.WRONG_TYPE));
            }
        }
        return numbers;
    }

    /** Where a field of this object stands. */
    public String at(String field) {
        return path.isEmpty() ? field : path + "." + field;
    }

    private Optional<JsonNode> present(String field) {
        known.add(field);
        if (node == null) {
            return Optional.empty();
        }
        return Optional.ofNullable(node.get(field)).filter(value -> !value.isNull());
    }

    public boolean has(String field) {
        return present(field).isPresent();
    }

    /** Adds the fault "missing", unless the whole object is missing or faulty itself. */
    public void missing(String field) {
        if (node != null) {
            problems.add(Problem.of(at(field), Problem.MISSING));
        }
    }

    public void add(Problem problem) {
        problems.add(problem.under(path));
    }

    /** A number that must be there. */
    public double number(String field, Range range) {
        Double value = optionalNumber(field, range);
        if (value == null) {
            if (!has(field)) {
                missing(field);
            }
            return Double.NaN;
        }
        return value;
    }

    public double number(String field, Range range, double otherwise) {
        Double value = optionalNumber(field, range);
        return value == null ? otherwise : value;
    }

    public Double optionalNumber(String field, Range range) {
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

    public boolean flag(String field) {
        return flag(field, false);
    }

    public boolean flag(String field, boolean otherwise) {
        Boolean value = optionalFlag(field);
        return value == null ? otherwise : value;
    }

    public Boolean optionalFlag(String field) {
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
    public boolean requiredFlag(String field) {
        if (!has(field)) {
            missing(field);
        }
        return flag(field);
    }

    /** A whole number; a fault where it is broken. */
    public int whole(String field, Range range, int otherwise) {
        Integer value = optionalWhole(field, range);
        return value == null ? otherwise : value;
    }

    public Integer optionalWhole(String field, Range range) {
        Double value = optionalNumber(field, range);
        if (value != null && value != Math.rint(value)) {
            problems.add(Problem.of(at(field), NOT_WHOLE));
            return null;
        }
        return value == null ? null : value.intValue();
    }

    /** How many; true is one, false and nothing are none. */
    public int count(String field, Range range) {
        JsonNode value = present(field).orElse(null);
        if (value != null && value.isBoolean()) {
            return value.asBoolean() ? 1 : 0;
        }
        return whole(field, range, 0);
    }

    public <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
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

    public <E extends Enum<E>> Optional<E> requiredChoice(String field, Class<E> type) {
        if (!has(field)) {
            missing(field);
        }
        return choice(field, type);
    }

    /** A day that must be there, as YYYY-MM-DD. */
    public Optional<LocalDate> day(String field) {
        return time(field, JsonTimes::day, NOT_A_DAY);
    }

    /** A moment that must be there, as an RFC 3339 date and time with its offset. */
    public Optional<Instant> moment(String field) {
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
    public JsonFields object(String field) {
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
    public Optional<JsonFields> optionalObject(String field) {
        return has(field) ? Optional.of(object(field)) : Optional.empty();
    }

    /** The objects of a list that may be absent; then none. */
    public List<JsonFields> optionalObjects(String field) {
        return has(field) ? objects(field) : List.of();
    }

    /** The objects of a list that must be there. */
    public List<JsonFields> objects(String field) {
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
    public List<String> texts(String field) {
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
    public Map<String, String> textsByName(String field) {
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
    public <T> Optional<T> build(Supplier<T> supplier) {
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
    public void finish() {
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
