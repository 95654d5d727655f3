package org.stratopneum.web.exchange.archive;

import java.io.IOException;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Base64;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.stratopneum.web.due.Summaries;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.intake.ImportStoppedException;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.LogConflictException;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogIntake;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.entry.Picture;
import org.stratopneum.web.log.entry.PictureReader;
import org.stratopneum.web.platform.wording.Wording;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings an archive in, row by row: into an empty garage, or onto the one that it was written from, of which it then
 * adds what is missing. Something that is there already and says something else refuses the whole of it.
 */
@Component
class ArchiveReader implements Importer {

    private static final int BATCH = 500;
    private static final int LOOK_AHEAD = 7;

    /** Rows with pictures wait for fewer others (characters). */
    private static final int BATCH_TEXT = 2_000_000;

    /** The largest picture as base64 (characters); every other text of an archive is shorter. */
    private static final int LONGEST_TEXT = 14_000_000;

    private static final int MOST_NESTED = 50;

    /** Missing, refers to nothing, twice the same, outside of its limits. */
    private static final Set<String> KNOWN_STATES = Set.of("23502", "23503", "23505", "23514");

    private final ArchiveMapper mapper;
    private final ArchiveSchema schema;
    private final LogIntake intake;
    private final Logbook logbook;
    private final Summaries summaries;
    private final Wording wording;
    private final PictureReader pictures;
    private final JsonMapper json = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(LONGEST_TEXT)
                            .maxNestingDepth(MOST_NESTED)
                            .build())
                    .build())
            .build();

    ArchiveReader(
            ArchiveMapper mapper,
            ArchiveSchema schema,
            LogIntake intake,
            Logbook logbook,
            Summaries summaries,
            Wording wording,
            PictureReader pictures) {
        this.mapper = mapper;
        this.schema = schema;
        this.intake = intake;
        this.logbook = logbook;
        this.summaries = summaries;
        this.wording = wording;
        this.pictures = pictures;
    }

    @Override
    public ImportFormat format() {
        return ImportFormat.ARCHIVE;
    }

    @Override
    public boolean recognises(byte[] head) {
        for (byte letter : head) {
            if (letter > ' ') {
                return letter == '{';
            }
        }
        return false;
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        try (JsonParser parser = json.createParser(file.open())) {
            new Reading(parser, progress).whole();
        } catch (StreamConstraintsException tooMuch) {
            throw new ImportStoppedException("$", wording.text("archive.text-too-long"));
        } catch (JacksonException broken) {
            String where = broken.getLocation() == null
                    ? "$"
                    : wording.text("archive.line", broken.getLocation().getLineNr());
            throw new ImportStoppedException(where, wording.text("archive.not-json"));
        }
    }

    /** One file being read. */
    private final class Reading {

        private final JsonParser parser;
        private final ImportProgress progress;
        private final Map<ArchiveTable, List<String>> columns = new EnumMap<>(ArchiveTable.class);
        private final Set<UUID> bikes = new HashSet<>();
        private final boolean empty = mapper.empty();
        private ArchiveTable last;
        private boolean riderTold;

        Reading(JsonParser parser, ImportProgress progress) {
            this.parser = parser;
            this.progress = progress;
        }

        void whole() {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw new ImportStoppedException("$", wording.text("archive.no-archive"));
            }
            head();
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                property(parser.currentName());
            }
            if (parser.nextToken() != null) {
                progress.fault("$", wording.text("archive.not-json"));
            }
            if (last == null || last.ordinal() != ArchiveTable.values().length - 1 || !riderTold) {
                progress.fault("$", wording.text("archive.cut"));
            }
            if (progress.fine()) {
                intake.announce(bikes);
                lookOver();
            }
        }

        /** What it is stands first, so that no other file is read to its end. */
        private void head() {
            boolean format = parser.nextToken() == JsonToken.PROPERTY_NAME
                    && "format".equals(parser.currentName())
                    && parser.nextToken() == JsonToken.VALUE_STRING
                    && ArchiveWriter.FORMAT.equals(parser.getString());
            boolean version = format
                    && parser.nextToken() == JsonToken.PROPERTY_NAME
                    && "version".equals(parser.currentName())
                    && parser.nextToken() == JsonToken.VALUE_NUMBER_INT;
            if (!version) {
                throw new ImportStoppedException("$", wording.text("archive.no-archive"));
            }
            if (parser.getLongValue() != ArchiveWriter.VERSION) {
                throw new ImportStoppedException(
                        "version", wording.text("archive.version", parser.getLongValue(), ArchiveWriter.VERSION));
            }
        }

        private void property(String name) {
            JsonToken value = parser.nextToken();
            Optional<ArchiveTable> table = ArchiveTable.named(name);
            if (name.equals("writtenAt") && value == JsonToken.VALUE_STRING) {
                return;
            }
            if (name.equals("rider")) {
                rider(parser.readValueAsTree());
            } else if (table.isEmpty() || value != JsonToken.START_ARRAY) {
                progress.fault(shortened(name), wording.text("archive.unknown-list"));
                parser.skipChildren();
            } else {
                // each list once, in the order of the schema, none left out
                if (table.get().ordinal() != (last == null ? 0 : last.ordinal() + 1)) {
                    throw new ImportStoppedException(name, wording.text("archive.order"));
                }
                last = table.get();
                list(table.get());
            }
        }

        private void rider(JsonNode row) {
            riderTold = true;
            List<String> faults = schema.faults("rider", row);
            faults.forEach(fault -> progress.fault("rider", shortened(fault)));
            if (faults.isEmpty() && empty) {
                mapper.ways(ColumnNames.toColumns(row).toString());
            }
        }

        private void list(ArchiveTable table) {
            List<JsonNode> rows = new ArrayList<>();
            long text = 0;
            int nr = 0;
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                String where = table.list() + "[" + nr + "]";
                nr++;
                progress.row();
                JsonNode row = parser.readValueAsTree();
                schema.faults(table.list(), row).forEach(fault -> progress.fault(where, shortened(fault)));
                if (progress.fine()) {
                    rows.add(row);
                    text += table.binary() == null
                            ? 0
                            : row.path(ColumnNames.json(table.binary()))
                                    .asString("")
                                    .length();
                }
                if (rows.size() >= BATCH || text > BATCH_TEXT) {
                    keep(table, rows, nr);
                    text = 0;
                }
            }
            keep(table, rows, nr);
        }

        private void keep(ArchiveTable table, List<JsonNode> rows, int until) {
            if (rows.isEmpty() || !progress.fine()) {
                rows.clear();
                return;
            }
            String where = table.list() + "[" + (until - rows.size()) + " … " + (until - 1) + "]";
            try {
                int added =
                        table == ArchiveTable.LOG ? keepLog(rows, until - rows.size()) : keepRows(table, rows, where);
                progress.count(added, rows.size() - added);
            } catch (DataAccessException refused) {
                throw new ImportStoppedException(where, wording.text("archive.refused", reason(refused)));
            }
            rows.clear();
        }

        private int keepRows(ArchiveTable table, List<JsonNode> rows, String where) {
            if (table == ArchiveTable.PHOTOS) {
                Set<UUID> known = mapper.photosAmong(
                        rows.stream().map(row -> id(row, "id")).toList());
                rows.stream()
                        .filter(row -> !known.contains(id(row, "id")))
                        .forEach(row -> pictureAnew((ObjectNode) row, where));
            }
            String list = json.writeValueAsString(
                    rows.stream().map(ColumnNames::toColumns).toList());
            int added = mapper.insert(table, columns.computeIfAbsent(table, one -> mapper.columns(one.table())), list);
            String other = added == rows.size() ? null : mapper.different(table, list);
            if (other != null) {
                throw new ImportStoppedException(where, wording.text("archive.other", shortened(other)));
            }
            return added;
        }

        /** A picture of a file is no more trusted than one that is sent alone; one that is there already is kept. */
        private void pictureAnew(ObjectNode row, String where) {
            try {
                Picture picture = pictures.again(
                        Base64.getDecoder().decode(row.get("bytes").asString()), "bytes");
                row.put("bytes", Base64.getEncoder().encodeToString(picture.bytes()));
                row.put("width", picture.width());
                row.put("height", picture.height());
                row.put("mediaType", picture.mediaType());
            } catch (IllegalArgumentException noPicture) {
                throw new ImportStoppedException(where, wording.text("archive.photo"));
            }
        }

        private int keepLog(List<JsonNode> rows, int first) {
            List<LogEntry> entries = new ArrayList<>();
            for (int i = 0; i < rows.size(); i++) {
                try {
                    entries.add(entry(rows.get(i)));
                } catch (JacksonException | IllegalArgumentException | NullPointerException wrong) {
                    progress.fault("log[" + (first + i) + "].detail", wording.text("archive.detail"));
                }
            }
            if (!progress.fine()) {
                return 0;
            }
            entries.stream()
                    .filter(entry -> LogKind.LEARNING.contains(entry.kind()))
                    .map(entry -> entry.subject().bikeId())
                    .forEach(bikes::add);
            try {
                return intake.add(entries);
            } catch (LogConflictException conflict) {
                throw new ImportStoppedException(
                        "log",
                        wording.text("archive.other", conflict.ids().get(0).toString()));
            }
        }

        private LogEntry entry(JsonNode row) {
            LogKind kind = LogKind.valueOf(row.get("kind").asString());
            return new LogEntry(
                    id(row, "id"),
                    moment(row, "happenedAt"),
                    moment(row, "writtenAt"),
                    java.time.ZoneId.of(row.get("zone").asString()).getId(),
                    new LogSubject(
                            id(row, "bikeId"),
                            id(row, "wheelsetId"),
                            id(row, "wheelId"),
                            id(row, "tireId"),
                            id(row, "gaugeId"),
                            id(row, "placeId"),
                            id(row, "partId")),
                    row.get("temperatureC").isNull()
                            ? null
                            : row.get("temperatureC").doubleValue(),
                    logbook.detail(kind, row.get("detail").toString()),
                    LogSource.valueOf(row.get("source").asString()),
                    id(row, "supersedes"),
                    row.get("struck").booleanValue(),
                    row.get("note").isNull() ? null : row.get("note").asString(),
                    row.get("sourceReference").isNull()
                            ? null
                            : row.get("sourceReference").asString());
        }

        /** What fits the schema may still make no sense together: everything is looked at once before it is kept. */
        private void lookOver() {
            try {
                summaries.of(LOOK_AHEAD);
            } catch (RuntimeException senseless) {
                throw new ImportStoppedException("$", wording.text("archive.senseless"));
            }
        }
    }

    private static UUID id(JsonNode row, String field) {
        JsonNode value = row.get(field);
        return value.isNull() ? null : UUID.fromString(value.asString());
    }

    private static Instant moment(JsonNode row, String field) {
        return OffsetDateTime.parse(row.get(field).asString()).toInstant();
    }

    /** What the database found wrong, in our words by its code (PostgreSQL, appendix A); its own name our tables. */
    private String reason(DataAccessException refused) {
        String state = refused.getMostSpecificCause() instanceof SQLException sql ? sql.getSQLState() : null;
        return wording.text("archive.refused." + (state != null && KNOWN_STATES.contains(state) ? state : "other"));
    }

    private static String shortened(String text) {
        return text.length() > 200 ? text.substring(0, 200) + " …" : text;
    }
}
