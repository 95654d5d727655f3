package org.stratopneum.web.exchange.archive;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** Cells of a row of an archive, once it was held against its schema. */
final class ArchiveRow {

    private ArchiveRow() {}

    /** Null where the row has none. */
    static UUID id(JsonNode row, String field) {
        String text = text(row, field);
        return text == null ? null : UUID.fromString(text);
    }

    /** Null where the row has none. */
    static String text(JsonNode row, String field) {
        JsonNode value = row.path(field);
        return value.isNull() || value.isMissingNode() ? null : value.asString();
    }

    static Instant moment(JsonNode row, String field) {
        return OffsetDateTime.parse(row.get(field).asString()).toInstant();
    }
}
