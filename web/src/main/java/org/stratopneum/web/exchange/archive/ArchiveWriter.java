package org.stratopneum.web.exchange.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.ibatis.cursor.Cursor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.Logbook;
import tools.jackson.core.JsonEncoding;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.json.JsonMapper;

/** Writes a rider's whole garage as one file, row by row: no more than a few rows stand in memory. */
@Service
public class ArchiveWriter {

    static final String FORMAT = "stratopneum-garage";
    static final int VERSION = 1;

    private final ArchiveMapper mapper;
    private final Logbook logbook;

    /** What breaks off must not be closed as if it were whole. */
    private final JsonMapper json = JsonMapper.builder(JsonFactory.builder()
                    .disable(StreamWriteFeature.AUTO_CLOSE_CONTENT)
                    .build())
            .build();

    ArchiveWriter(ArchiveMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    private List<ArchiveMapper.Column> columns(ArchiveTable table) {
        return mapper.columns(table.table()).stream()
                .map(name -> new ArchiveMapper.Column(name, ColumnNames.json(name)))
                .toList();
    }

    /** All of it as it is at one moment. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(OutputStream out) throws IOException {
        try (JsonGenerator generator = json.createGenerator(out, JsonEncoding.UTF8)) {
            generator.writeStartObject();
            generator.writeStringProperty("format", FORMAT);
            generator.writeNumberProperty("version", VERSION);
            generator.writeStringProperty("writtenAt", logbook.now().toString());
            generator.writeName("rider");
            generator.writeTree(ColumnNames.toArchive(json.readTree(mapper.rider())));
            for (ArchiveTable table : ArchiveTable.values()) {
                generator.writeArrayPropertyStart(table.list());
                try (Cursor<String> rows = table.binary() == null
                        ? mapper.rows(table, columns(table))
                        : mapper.largeRows(table, columns(table))) {
                    for (String row : rows) {
                        generator.writeRawValue(row);
                        generator.writeRaw("\n");
                    }
                } catch (IOException exception) {
                    throw new UncheckedIOException(exception);
                }
                generator.writeEndArray();
            }
            generator.writeEndObject();
        }
    }
}
