package org.stratopneum.web.exchange.archive;

import java.io.IOException;
import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.stratopneum.web.due.Summaries;
import org.stratopneum.web.intake.ImportForm;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.intake.ImportStoppedException;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.LogIntake;
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
    private static final String CLASH = "clash";

    /** Missing, refers to nothing, twice the same, outside of its limits. */
    private static final Set<String> KNOWN_STATES = Set.of("23502", "23503", "23505", "23514");

    private final ArchiveMapper mapper;
    private final ArchiveSchema schema;
    private final ArchiveLog log;
    private final LogIntake intake;
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
            ArchiveLog log,
            LogIntake intake,
            Summaries summaries,
            Wording wording,
            PictureReader pictures) {
        this.mapper = mapper;
        this.schema = schema;
        this.log = log;
        this.intake = intake;
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

    /** Asked only where there is something that an archive may differ from. */
    @Override
    public ImportForm form(Source file, Map<String, String> settings) {
        if (mapper.empty()) {
            return ImportForm.NOTHING;
        }
        return new ImportForm(
                List.of(new ImportForm.Select(
                        CLASH,
                        wording.text("archive.clash"),
                        Stream.of(Clash.values())
                                .map(one -> new ImportForm.Option(one.name(), wording.of("archive.clash", one)))
                                .toList())),
                List.of(),
                List.of(wording.text("archive.merge")));
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        try {
            ArchiveLayout layout;
            try (JsonParser parser = json.createParser(file.open())) {
                layout = ArchiveLayout.of(parser);
            }
            check(layout, progress);
            if (!progress.fine()) {
                return;
            }
            Clash clash = Stream.of(Clash.values())
                    .filter(one -> one.name().equals(settings.get(CLASH)))
                    .findFirst()
                    .orElse(null);
            Reading reading = new Reading(progress, clash);
            reading.all(file);
            reading.end();
        } catch (StreamConstraintsException tooMuch) {
            throw new ImportStoppedException("$", wording.text("archive.text-too-long"));
        } catch (JacksonException broken) {
            String where = broken.getLocation() == null
                    ? "$"
                    : wording.text("archive.line", broken.getLocation().getLineNr());
            throw new ImportStoppedException(where, wording.text("archive.not-json"));
        }
    }

    private void check(ArchiveLayout layout, ImportProgress progress) {
        if (layout == null || !ArchiveWriter.FORMAT.equals(layout.format()) || layout.version() == null) {
            throw new ImportStoppedException("$", wording.text("archive.no-archive"));
        }
        if (layout.version() != ArchiveWriter.VERSION) {
            throw new ImportStoppedException(
                    "version", wording.text("archive.version", layout.version(), ArchiveWriter.VERSION));
        }
        if (layout.more()) {
            progress.fault("$", wording.text("archive.not-json"));
        }
        if (!layout.missing().isEmpty()) {
            progress.fault("$", wording.text("archive.missing", layout.missing()));
        }
        layout.unknown().forEach(name -> noteUnknown(name, progress));
    }

    private void noteUnknown(String name, ImportProgress progress) {
        progress.note(wording.text("archive.unknown", shortened(name), ArchiveWriter.VERSION));
    }

    /** One file being read. */
    private final class Reading {

        private final ImportProgress progress;
        private final Clash clash;
        private final Map<ArchiveTable, List<String>> columns = new EnumMap<>(ArchiveTable.class);
        private final ArchiveReferences references;
        private final Map<ArchiveTable, Set<UUID>> before = new EnumMap<>(ArchiveTable.class);
        private final Map<UUID, List<JsonNode>> pieces = new LinkedHashMap<>();
        private final Set<UUID> bikes = new HashSet<>();
        private final boolean empty = mapper.empty();

        Reading(ImportProgress progress, Clash clash) {
            this.progress = progress;
            this.clash = clash;
            this.references = new ArchiveReferences(mapper, wording, progress);
        }

        /** Goes through a file as often as its order makes it: whatever is referred to is read before. */
        void all(Source file) throws IOException {
            Deque<String> waiting = new ArrayDeque<>(List.of(ArchiveLayout.RIDER));
            Stream.of(ArchiveTable.values()).map(ArchiveTable::list).forEach(waiting::add);
            while (!waiting.isEmpty()) {
                pass(file, waiting);
            }
        }

        /** Reads those of the parts that wait which come in their order. */
        private void pass(Source file, Deque<String> waiting) throws IOException {
            try (JsonParser parser = json.createParser(file.open())) {
                parser.nextToken();
                while (!waiting.isEmpty() && parser.nextToken() == JsonToken.PROPERTY_NAME) {
                    String name = parser.currentName();
                    parser.nextToken();
                    if (!name.equals(waiting.peek())) {
                        parser.skipChildren();
                        continue;
                    }
                    waiting.remove();
                    if (name.equals(ArchiveLayout.RIDER)) {
                        rider(parser.readValueAsTree());
                    } else {
                        list(parser, ArchiveTable.named(name).orElseThrow());
                    }
                }
            }
        }

        void end() {
            if (progress.fine()) {
                intake.announce(bikes);
                lookOver();
            }
        }

        private void rider(ObjectNode row) {
            schema.keepKnown(ArchiveLayout.RIDER, row).forEach(name -> noteUnknown("rider." + name, progress));
            List<String> faults = schema.faults(ArchiveLayout.RIDER, row);
            faults.forEach(fault -> progress.fault(ArchiveLayout.RIDER, shortened(fault)));
            if (faults.isEmpty() && empty) {
                mapper.ways(ColumnNames.toColumns(row).toString());
            }
        }

        private void list(JsonParser parser, ArchiveTable table) {
            List<JsonNode> rows = new ArrayList<>();
            long text = 0;
            int nr = 0;
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                String where = table.list() + "[" + nr + "]";
                nr++;
                progress.row();
                JsonNode row = parser.readValueAsTree();
                if (row instanceof ObjectNode object) {
                    schema.keepKnown(table.list(), object)
                            .forEach(name -> noteUnknown(table.list() + "." + name, progress));
                }
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
            keepPieces(table);
        }

        private void keep(ArchiveTable table, List<JsonNode> rows, int until) {
            int first = until - rows.size();
            if (!rows.isEmpty() && progress.fine()) {
                references.check(table, rows, first);
            }
            if (rows.isEmpty() || !progress.fine()) {
                rows.clear();
                return;
            }
            String where = table.list() + "[" + first + " … " + (until - 1) + "]";
            try {
                if (table == ArchiveTable.LOG) {
                    bikes.addAll(log.keep(rows, first, clash, progress));
                } else {
                    keepRows(table, rows, where);
                }
            } catch (DataAccessException refused) {
                throw new ImportStoppedException(where, wording.text("archive.refused", reason(refused)));
            }
            rows.clear();
        }

        private void keepRows(ArchiveTable table, List<JsonNode> rows, String where) {
            List<JsonNode> own = ofNewParents(table, rows);
            if (own.isEmpty()) {
                return;
            }
            if (table == ArchiveTable.PHOTOS || table.hasPieces()) {
                Set<UUID> ids = new HashSet<>();
                own.forEach(row -> ids.add(ArchiveRow.id(row, "id")));
                Set<UUID> known = empty ? Set.of() : references.among(table.table(), ids);
                if (table == ArchiveTable.PHOTOS) {
                    own.stream()
                            .filter(row -> !known.contains(ArchiveRow.id(row, "id")))
                            .forEach(row -> pictureAnew((ObjectNode) row, where));
                } else {
                    before.computeIfAbsent(table, one -> new HashSet<>()).addAll(known);
                }
            }
            String list = listOf(own);
            int added = mapper.insert(table, columnsOf(table), list);
            if (added < own.size()) {
                List<ArchiveMapper.Different> others = mapper.different(table, list);
                others.forEach(other -> clash(table, other));
            }
            progress.count(added, own.size() - added);
        }

        private List<String> columnsOf(ArchiveTable table) {
            return columns.computeIfAbsent(table, one -> mapper.columns(one.table()));
        }

        private String listOf(List<JsonNode> rows) {
            return json.writeValueAsString(
                    rows.stream().map(ColumnNames::toColumns).toList());
        }

        /** Pieces of what was there before wait for each other: they are one thing together. */
        private List<JsonNode> ofNewParents(ArchiveTable table, List<JsonNode> rows) {
            if (table.parent() == null) {
                return rows;
            }
            Set<UUID> old = before.getOrDefault(table.parent(), Set.of());
            String parent = ColumnNames.json(table.parentColumn());
            List<JsonNode> fresh = new ArrayList<>();
            for (JsonNode row : rows) {
                if (!old.contains(ArchiveRow.id(row, parent))) {
                    fresh.add(row);
                } else if (table == ArchiveTable.TRACK_PIECES) {
                    // the file of a ride that is there
                    progress.count(0, 1);
                } else {
                    pieces.computeIfAbsent(ArchiveRow.id(row, parent), one -> new ArrayList<>())
                            .add(row);
                }
            }
            return fresh;
        }

        private void keepPieces(ArchiveTable table) {
            pieces.forEach((parent, rows) -> {
                String list = listOf(rows);
                boolean other = progress.fine() && !mapper.samePieces(table, parent, list);
                if (other && clash == Clash.TAKE) {
                    mapper.deletePieces(table, parent);
                    mapper.insert(table, columnsOf(table), list);
                }
                if (other) {
                    told(table.list(), parent.toString(), "");
                }
                progress.count(0, rows.size());
            });
            pieces.clear();
        }

        /** A row that is there otherwise: it stays, or the archive's takes its place, as the rider said, who is asked. */
        private void clash(ArchiveTable table, ArchiveMapper.Different other) {
            JsonNode item = json.readTree(other.item());
            String name = item.path("name").asString(item.path(table.key()).asString(""));
            if (other.here() == null) {
                progress.fault(table.list(), wording.text("archive.refused.23505") + ": " + shortened(name));
                return;
            }
            JsonNode here = json.readTree(other.here());
            if (clash == Clash.TAKE) {
                mapper.replace(table, columnsOf(table), "[" + other.item() + "]");
            }
            told(
                    table.list(),
                    name,
                    item.propertyNames().stream()
                            .filter(field -> !field.equals("version")
                                    && !field.equals(table.binary())
                                    && !item.get(field).equals(here.path(field)))
                            .map(ColumnNames::json)
                            .collect(Collectors.joining(", ")));
        }

        private void told(String list, String name, String fields) {
            if (clash == null) {
                progress.fault(
                        list,
                        fields.isEmpty()
                                ? wording.text("archive.other.whole", shortened(name))
                                : wording.text("archive.other", shortened(name), shortened(fields)));
            } else {
                progress.note(wording.text("archive.other." + clash, list, shortened(name)));
            }
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

        /** What fits the schema may still make no sense together: everything is looked at once before it is kept. */
        private void lookOver() {
            try {
                summaries.of(LOOK_AHEAD);
            } catch (RuntimeException senseless) {
                throw new ImportStoppedException("$", wording.text("archive.senseless"));
            }
        }
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
