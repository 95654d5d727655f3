package org.stratopneum.web.exchange.archive;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * What stands in an archive.
 *
 * @param format what it says it is, or null
 * @param version or null
 * @param tables lists that are known
 * @param rider whether it tells of its rider
 * @param unknown whatever else it has, by its name
 * @param more whether something follows the archive
 */
record ArchiveLayout(
        String format, Long version, Set<ArchiveTable> tables, boolean rider, List<String> unknown, boolean more) {

    private static final String WRITTEN_AT = "writtenAt";
    static final String RIDER = "rider";

    /** Goes through a whole file once; null where it is no object. */
    static ArchiveLayout of(JsonParser parser) {
        if (parser.nextToken() != JsonToken.START_OBJECT) {
            return null;
        }
        String format = null;
        Long version = null;
        boolean rider = false;
        Set<ArchiveTable> tables = EnumSet.noneOf(ArchiveTable.class);
        List<String> unknown = new ArrayList<>();
        while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
            String name = parser.currentName();
            JsonToken value = parser.nextToken();
            if (name.equals("format") && value == JsonToken.VALUE_STRING) {
                format = parser.getString();
            } else if (name.equals("version") && value == JsonToken.VALUE_NUMBER_INT) {
                version = parser.getLongValue();
            } else if (name.equals(RIDER) && value == JsonToken.START_OBJECT) {
                rider = true;
            } else if (value == JsonToken.START_ARRAY
                    && ArchiveTable.named(name).isPresent()) {
                tables.add(ArchiveTable.named(name).get());
            } else if (!name.equals(WRITTEN_AT)) {
                unknown.add(name);
            }
            parser.skipChildren();
        }
        return new ArchiveLayout(format, version, tables, rider, unknown, parser.nextToken() != null);
    }

    /** Names of what every archive has, and this one lacks. */
    String missing() {
        String lists = Arrays.stream(ArchiveTable.values())
                .filter(table -> !tables.contains(table))
                .map(ArchiveTable::list)
                .collect(Collectors.joining(", "));
        return rider ? lists : lists.isEmpty() ? RIDER : RIDER + ", " + lists;
    }
}
