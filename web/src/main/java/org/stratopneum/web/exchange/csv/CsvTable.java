package org.stratopneum.web.exchange.csv;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.util.Iterator;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A table as text (RFC 4180, with other separators too), row by row; letters that are none stop it. */
final class CsvTable {

    /** No row of anybody's notes is longer (characters). */
    static final int LONGEST_ROW = 100_000;

    private CsvTable() {}

    /** A row is longer than any; often a quote that is never closed. */
    static final class RowTooLongException extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** Rows with their lines. */
    static Iterator<CSVRecord> rows(InputStream in, CsvPlan plan) throws IOException {
        return rows(in, plan.encoding(), plan.separator().letter());
    }

    static Iterator<CSVRecord> rows(InputStream in, CsvPlan.Encoding encoding, char separator) throws IOException {
        Reader letters = new InputStreamReader(
                in,
                Charset.forName(encoding.charset())
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT));
        Bounded bounded = new Bounded(new BufferedReader(letters));
        CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setIgnoreSurroundingSpaces(true)
                .get()
                .parse(bounded);
        Iterator<CSVRecord> records = parser.iterator();
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                bounded.beginRow();
                return records.hasNext();
            }

            @Override
            public CSVRecord next() {
                return records.next();
            }
        };
    }

    /** Stops where a row does not end, and leaves out the mark that some programs write first. */
    private static final class Bounded extends Reader {

        private static final int MARK = 0xFEFF;
        private final Reader reader;
        private long since;
        private boolean begun;

        Bounded(Reader reader) {
            this.reader = reader;
        }

        void beginRow() {
            since = 0;
        }

        @Override
        public int read(char[] into, int offset, int length) throws IOException {
            int count = reader.read(into, offset, Math.min(length, LONGEST_ROW));
            if (!begun && count > 0) {
                begun = true;
                if (into[offset] == MARK) {
                    System.arraycopy(into, offset + 1, into, offset, count - 1);
                    count = count == 1 ? read(into, offset, length) : count - 1;
                }
            }
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
