package org.stratopneum.web.exchange.archive;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SchemaRegistryConfig;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Region;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The published schema of an archive (JSON Schema 2020-12), which is also what a file is judged by, row by row. */
@Component
public class ArchiveSchema {

    private static final String DEFINITIONS = "$defs";

    private final JsonNode tree;
    private final Map<String, Schema> rows = new HashMap<>();

    ArchiveSchema(JsonMapper json) throws IOException {
        try (InputStream stream = new ClassPathResource("exchange/archive-1.schema.json").getInputStream()) {
            tree = json.readTree(stream);
        }
        SchemaRegistry registry = SchemaRegistry.withDefaultDialect(
                SpecificationVersion.DRAFT_2020_12,
                builder -> builder.schemaRegistryConfig(SchemaRegistryConfig.builder()
                        .formatAssertionsEnabled(true)
                        .build()));
        tree.get(DEFINITIONS)
                .properties()
                .forEach(one -> rows.put(one.getKey(), registry.getSchema((ObjectNode) one.getValue())));
    }

    public String text() {
        return tree.toPrettyString();
    }

    /**
     * Takes out of a row whatever this version does not know.
     *
     * @param list the list that it stands in, or "rider"
     * @return names of what was taken out
     */
    List<String> keepKnown(String list, ObjectNode row) {
        List<String> unknown = new ArrayList<>();
        keepKnown(tree.at("/" + DEFINITIONS + "/" + list), row, "", unknown);
        return unknown;
    }

    private static void keepKnown(JsonNode schema, ObjectNode row, String path, List<String> unknown) {
        JsonNode properties = schema.get("properties");
        if (properties == null) {
            return;
        }
        for (String name : List.copyOf(row.propertyNames())) {
            if (!properties.has(name)) {
                row.remove(name);
                unknown.add(path + name);
            } else if (row.get(name) instanceof ObjectNode inner) {
                keepKnown(properties.get(name), inner, path + name + ".", unknown);
            }
        }
    }

    /**
     * What is wrong with a row, in words.
     *
     * @param list the list that it stands in, or "rider"
     */
    List<String> faults(String list, JsonNode row) {
        return rows
                .get(list)
                .validate(
                        row,
                        context -> context.executionConfig(
                                config -> config.locale(Region.current().words())))
                .stream()
                .map(error -> {
                    String where = error.getInstanceLocation().toString();
                    return (where.length() > 1 ? where.substring(1) + ": " : "") + error.getMessage();
                })
                .toList();
    }
}
