package org.stratopneum.web.exchange.csv;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.util.Iterator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.stratopneum.web.intake.Importer;

/** A table, row by row: as text (RFC 4180, with other separators too) or as a workbook; letters that are none stop it. */
final class CsvTable {

    /** No row of anybody's notes is longer (characters). */
    static final int LONGEST_ROW = 100_000;

    /** The line that some spreadsheets write first, or want to be told by: "sep=;". */
    static final Pattern SEPARATOR_LINE = Pattern.compile("(?i)\\uFEFF?(sep=(.)\\r?\\n)(?s:.*)");

    private static final int MARK = 0xFEFF;
    private static final int SEPARATOR_LETTERS = 8;

    private CsvTable() {}

    /** A row is longer than any; often a quote that is never closed. */
    static final class RowTooLongException extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** Rows that are read on from a file, which is to be closed. */
    interface Rows extends Iterator<TableRow>, AutoCloseable {
        @Override
        void close() throws IOException;
    }

    static Rows rows(Importer.Source file, CsvPlan plan) throws IOException {
        return plan.encoding() == CsvPlan.Encoding.XLSX
                ? XlsxTable.rows(file.open(), plan.decimal())
                : rows(file.open(), plan.encoding(), plan.separator().letter());
    }

    static Rows rows(InputStream in, CsvPlan.Encoding encoding, char separator) throws IOException {
        BufferedReader letters = new BufferedReader(new InputStreamReader(
                in,
                Charset.forName(encoding.charset())
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT)));
        skipMark(letters);
        Bounded bounded = new Bounded(letters);
        CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(true)
                .get()
                .parse(bounded);
        Iterator<CSVRecord> records = parser.iterator();
        return new Rows() {
            @Override
            public boolean hasNext() {
                bounded.beginRow();
                return records.hasNext();
            }

            @Override
            public TableRow next() {
                CSVRecord record = records.next();
                return new TableRow(
                        (int) record.getRecordNumber(),
                        record.stream().map(CsvSheet::unmarked).toList());
            }

            @Override
            public void close() throws IOException {
                parser.close();
            }
        };
    }

    /** Leaves out the mark that some programs write first, and the line that names the separator. */
    private static void skipMark(BufferedReader letters) throws IOException {
        letters.mark(SEPARATOR_LETTERS);
        char[] first = new char[SEPARATOR_LETTERS];
        int count = Math.max(0, letters.read(first));
        String text = new String(first, 0, count);
        Matcher line = SEPARATOR_LINE.matcher(text);
        int skipped = line.matches() ? line.end(1) : count > 0 && first[0] == MARK ? 1 : 0;
        letters.reset();
        for (int i = 0; i < skipped; i++) {
            letters.read();
        }
    }

    /** Stops where a row does not end. */
    private static final class Bounded extends Reader {

        private final Reader reader;
        private long since;

        Bounded(Reader reader) {
            this.reader = reader;
        }

        void beginRow() {
            since = 0;
        }

        @Override
        public int read(char[] into, int offset, int length) throws IOException {
            int count = reader.read(into, offset, Math.min(length, LONGEST_ROW));
            since += Math.max(0, count);
            // what is read ahead belongs to the next rows
            if (since > 3L * LONGEST_ROW) {
                throw new RowTooLongException();
            }
            return count;
        }

        @Override
        public void close() throws IOException {
            reader.close();
        }
    }
}
