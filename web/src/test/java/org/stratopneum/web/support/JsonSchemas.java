package org.stratopneum.web.support;

import com.networknt.schema.Error;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Judges JSON by a schema (JSON Schema 2020-12), with a reader of schemas from outside. */
public final class JsonSchemas {

    private JsonSchemas() {}

    /** What is wrong with {@code value}. */
    public static List<Error> faults(JsonNode schema, JsonNode value) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schema)
                .validate(value);
    }

    /** The same by a schema that refers to others of an OpenAPI document. */
    public static List<Error> faults(JsonNode document, JsonNode schema, JsonNode value) {
        ObjectNode whole = JsonMapper.shared().createObjectNode();
        whole.setAll((ObjectNode) schema.deepCopy());
        whole.set("components", document.get("components"));
        return faults(whole, value);
    }
}
