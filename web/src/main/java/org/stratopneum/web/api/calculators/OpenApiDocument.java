package org.stratopneum.web.api.calculators;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Numbers;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The OpenAPI document of the calculators, and what its page shows of it. */
@Component
class OpenApiDocument {

    private static final String REFERENCE = "$ref";

    private final String text;
    private final JsonNode tree;

    OpenApiDocument(JsonMapper json) throws IOException {
        try (InputStream stream = new ClassPathResource("openapi/calculators.json").getInputStream()) {
            tree = json.readTree(stream);
        }
        text = json.writerWithDefaultPrettyPrinter().writeValueAsString(tree);
    }

    /** A calculator as its page shows it. */
    record Calculator(
            String path, String summary, String description, String example, List<Table> asks, List<Table> answers) {}

    /** The fields of one object. */
    record Table(String name, List<Field> fields) {}

    /** One field: whether it must be there, what it may hold, what it means. */
    record Field(String name, String type, boolean required, String limits, String meaning) {}

    String text() {
        return text;
    }

    String description() {
        return tree.at("/info/description").asString();
    }

    List<Calculator> calculators() {
        String server = tree.at("/servers/0/url").asString();
        return tree.get("paths")
                .propertyStream()
                // what has a server of its own is no calculator
                .filter(path -> !path.getValue().has("servers"))
                .map(path -> calculator(server + path.getKey(), path.getValue().get("post")))
                .toList();
    }

    private Calculator calculator(String path, JsonNode post) {
        JsonNode question = post.at("/requestBody/content/application~1json");
        JsonNode answer = post.at("/responses/200/content/application~1json/schema");
        return new Calculator(
                path,
                post.get("summary").asString(),
                post.get("description").asString(),
                question.get("example").toPrettyString(),
                tables(question.get("schema")),
                tables(answer));
    }

    /** What comes back when the input is not valid. */
    List<Table> faults() {
        return tables(tree.at("/components/schemas/Problem"), "Problem");
    }

    private List<Table> tables(JsonNode reference) {
        return tables(resolve(reference), nameOf(reference));
    }

    /** The table of a schema and those of all schemas that it refers to, each once. */
    private List<Table> tables(JsonNode schema, String name) {
        Set<String> named = new LinkedHashSet<>(List.of(name));
        List<Table> tables = new ArrayList<>();
        Set<String> done = new LinkedHashSet<>();
        while (done.size() < named.size()) {
            Iterator<String> open =
                    named.stream().filter(other -> !done.contains(other)).iterator();
            String next = open.next();
            done.add(next);
            JsonNode current = next.equals(name) ? schema : tree.at("/components/schemas/" + next);
            tables.add(new Table(next, fields(current)));
            references(current).forEach(named::add);
        }
        return tables;
    }

    private static Set<String> references(JsonNode schema) {
        return schema.findValuesAsString(REFERENCE).stream()
                .map(OpenApiDocument::lastPart)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private List<Field> fields(JsonNode schema) {
        Set<String> required = StreamSupport.stream(schema.get("required").spliterator(), false)
                .map(JsonNode::asString)
                .collect(Collectors.toSet());
        return schema.get("properties")
                .propertyStream()
                .map(entry -> field(entry.getKey(), entry.getValue(), required.contains(entry.getKey())))
                .toList();
    }

    private Field field(String name, JsonNode schema, boolean required) {
        String meaning = schema.path("description").asString("");
        if (meaning.isEmpty() && schema.has(REFERENCE)) {
            meaning = resolve(schema).path("description").asString("");
        }
        return new Field(name, typeOf(schema), required, limits(schema), meaning);
    }

    private static String typeOf(JsonNode schema) {
        if (schema.has(REFERENCE)) {
            return lastPart(schema.get(REFERENCE).asString());
        }
        JsonNode type = schema.get("type");
        String word = type.isArray() ? type.get(0).asString() : type.asString();
        return word.equals("array") ? typeOf(schema.get("items")) + "[]" : word;
    }

    private static String limits(JsonNode schema) {
        List<String> limits = new ArrayList<>();
        if (schema.has("minimum")) {
            limits.add(Numbers.plain(schema.get("minimum").asDouble(), 3) + " … "
                    + Numbers.plain(schema.get("maximum").asDouble(), 3));
        }
        if (schema.has("enum")) {
            limits.add(StreamSupport.stream(schema.get("enum").spliterator(), false)
                    .filter(value -> !value.isNull())
                    .map(JsonNode::asString)
                    .collect(Collectors.joining(", ")));
        }
        if (schema.has("default")) {
            limits.add("= " + schema.get("default").asString());
        }
        return String.join("; ", limits);
    }

    private JsonNode resolve(JsonNode reference) {
        return tree.at("/components/schemas/" + nameOf(reference));
    }

    private static String nameOf(JsonNode reference) {
        return lastPart(reference.get(REFERENCE).asString());
    }

    private static String lastPart(String reference) {
        return reference.substring(reference.lastIndexOf('/') + 1);
    }
}
