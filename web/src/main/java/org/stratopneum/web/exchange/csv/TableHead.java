package org.stratopneum.web.exchange.csv;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import org.stratopneum.web.intake.Importer;

/** The beginning of a table. */
final class TableHead {

    private static final int BYTES = 64 << 10;
    private static final int ROWS = 200;

    private final byte[] head;
    private final List<List<String>> sheet;

    private TableHead(byte[] head, List<List<String>> sheet) {
        this.head = head;
        this.sheet = sheet;
    }

    /** Of a text; the last row may be cut. */
    static TableHead of(byte[] head) {
        return new TableHead(head, null);
    }

    static TableHead of(Importer.Source file) throws IOException {
        byte[] head;
        try (InputStream in = file.open()) {
            head = in.readNBytes(BYTES);
        }
        if (!XlsxTable.isZip(head)) {
            return of(head);
        }
        try (CsvTable.Rows rows = XlsxTable.rows(file.open(), null)) {
            return new TableHead(head, cells(rows));
        } catch (IOException broken) {
            return new TableHead(head, List.of());
        }
    }

    /** A mark at the beginning tells; else whatever is UTF-8 by its rules; else what spreadsheets wrote long ago. */
    CsvPlan.Encoding encoding() {
        if (sheet != null) {
            return CsvPlan.Encoding.XLSX;
        }
        if (hasUtf16Mark(head)) {
            return CsvPlan.Encoding.UTF_16;
        }
        CharsetDecoder strict = StandardCharsets.UTF_8.newDecoder();
        // a letter that is cut off at the end is no fault
        return strict.decode(ByteBuffer.wrap(head), CharBuffer.allocate(head.length + 1), false)
                        .isError()
                ? CsvPlan.Encoding.WINDOWS_1252
                : CsvPlan.Encoding.UTF_8;
    }

    static boolean hasUtf16Mark(byte[] head) {
        return head.length > 1
                && (head[0] == (byte) 0xFF && head[1] == (byte) 0xFE
                        || head[0] == (byte) 0xFE && head[1] == (byte) 0xFF);
    }

    /** The separator that the table names itself, in a line of its own. */
    Optional<CsvPlan.Separator> separator() {
        if (sheet != null) {
            return Optional.of(CsvPlan.Separator.COMMA);
        }
        Matcher line = CsvTable.SEPARATOR_LINE.matcher(
                new String(head, Charset.forName(encoding().charset())));
        return line.matches()
                ? Arrays.stream(CsvPlan.Separator.values())
                        .filter(one -> one.letter() == line.group(2).charAt(0))
                        .findFirst()
                : Optional.empty();
    }

    /** Cells of the first rows; none where a workbook is read as text, or the other way round. */
    List<List<String>> cells(CsvPlan.Encoding encoding, CsvPlan.Separator separator) {
        if (sheet != null || encoding == CsvPlan.Encoding.XLSX) {
            return sheet != null && encoding == CsvPlan.Encoding.XLSX ? sheet : List.of();
        }
        try (CsvTable.Rows rows = CsvTable.rows(new ByteArrayInputStream(head), encoding, separator.letter())) {
            return cells(rows);
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    private static List<List<String>> cells(CsvTable.Rows rows) {
        List<List<String>> cells = new ArrayList<>();
        try {
            while (cells.size() < ROWS && rows.hasNext()) {
                List<String> row = rows.next().cells();
                cells.add(row.subList(0, Math.min(row.size(), CsvPlan.MOST_COLUMNS)).stream()
                        .map(String::strip)
                        .toList());
            }
        } catch (UncheckedIOException | IllegalStateException cut) {
            // the last row is cut, or broken: that is told where the whole is read
            return cells;
        }
        return cells;
    }
}
