package org.stratopneum.web.exchange.archive;

import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Names of columns (gauge_kpa) as names of JSON (gaugeKpa) and back; what is inside a value keeps its names. */
final class ColumnNames {

    private static final Pattern SNAKE = Pattern.compile("_(.)");
    private static final Pattern CAMEL = Pattern.compile("\\p{Lu}");

    private ColumnNames() {}

    static String json(String column) {
        return SNAKE.matcher(column).replaceAll(found -> found.group(1).toUpperCase(Locale.ROOT));
    }

    static JsonNode toArchive(JsonNode row) {
        return renamed(row, ColumnNames::json);
    }

    static JsonNode toColumns(JsonNode row) {
        return renamed(
                row,
                name -> CAMEL.matcher(name)
                        .replaceAll(found -> "_" + found.group().toLowerCase(Locale.ROOT)));
    }

    private static JsonNode renamed(JsonNode row, UnaryOperator<String> name) {
        ObjectNode renamed = JsonMapper.shared().createObjectNode();
        row.properties().forEach(property -> renamed.set(name.apply(property.getKey()), property.getValue()));
        return renamed;
    }
}
