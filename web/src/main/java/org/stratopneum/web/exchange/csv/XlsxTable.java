package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;

/** The first sheet of a workbook (ECMA-376), row by row. */
final class XlsxTable {

    /** What a workbook of that size holds of anybody's notes is far less; more is made to fill a machine (bytes). */
    static final long MOST_UNPACKED = 400L << 20;

    /** All texts of a workbook stand in memory at once (bytes). */
    static final long MOST_TEXTS = 48L << 20;

    private static final byte[] ZIP = {'P', 'K', 3, 4};
    private static final String WORKBOOK = "xl/workbook.xml";
    private static final String TEXTS = "xl/sharedStrings.xml";
    private static final int DIGITS = 12;
    private static final int HALF_A_SECOND = 500_000_000;
    private static final int SECONDS_OF_A_DAY = 86_400;

    /** What is quoted, in brackets or escaped in a format is none of its letters. */
    private static final Pattern ASIDE = Pattern.compile("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.|_.|\\*.");

    private static final Pattern OF_TIME = Pattern.compile("[yYmMdDhHsS]");
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ss");

    private XlsxTable() {}

    static boolean isZip(byte[] head) {
        return head.length >= ZIP.length
                && head[0] == ZIP[0]
                && head[1] == ZIP[1]
                && head[2] == ZIP[2]
                && head[3] == ZIP[3];
    }

    /** What a packed file is. */
    enum Kind {
        WORKBOOK,
        TOO_LARGE,
        SOMETHING_ELSE
    }

    /** Unpacks a file once, without keeping anything of it. */
    static Kind kindOf(InputStream in) throws IOException {
        Path copy = copyOf(in);
        try (ZipFile zip = new ZipFile(copy.toFile())) {
            return zip.getEntry(WORKBOOK) == null
                    ? Kind.SOMETHING_ELSE
                    : isLarger(zip, MOST_UNPACKED) ? Kind.TOO_LARGE : Kind.WORKBOOK;
        } catch (ZipException broken) {
            return Kind.SOMETHING_ELSE;
        } finally {
            Files.deleteIfExists(copy);
        }
    }

    private static boolean isLarger(ZipFile zip, long most) throws IOException {
        long unpacked = 0;
        for (ZipEntry entry : Collections.list(zip.entries())) {
            // what an entry says of its size need not be so
            long left = entry.getName().equals(TEXTS) ? Math.min(MOST_TEXTS, most - unpacked) : most - unpacked;
            try (InputStream in = zip.getInputStream(entry)) {
                long own = in.skip(left + 1);
                if (own > left) {
                    return true;
                }
                unpacked += own;
            }
        }
        return false;
    }

    private static Path copyOf(InputStream in) throws IOException {
        Path copy = Files.createTempFile("table", ".xlsx");
        try (in) {
            Files.copy(in, copy, StandardCopyOption.REPLACE_EXISTING);
            return copy;
        } catch (IOException | RuntimeException broken) {
            Files.deleteIfExists(copy);
            throw broken;
        }
    }

    /** @param decimal how the texts of the sheet are read, in which its numbers are given too */
    static CsvTable.Rows rows(InputStream in, CsvPlan.Decimal decimal) throws IOException {
        Path copy = copyOf(in);
        try {
            ReadableWorkbook workbook = new ReadableWorkbook(copy.toFile(), new ReadingOptions(true, true));
            return new Sheet(copy, workbook, decimal != null && decimal.comma());
        } catch (IOException | RuntimeException broken) {
            Files.deleteIfExists(copy);
            throw broken;
        }
    }

    /** The rows of the first sheet. */
    private static final class Sheet implements CsvTable.Rows {

        private final Path copy;
        private final ReadableWorkbook workbook;
        private final boolean comma;
        private final Stream<Row> stream;
        private final Iterator<Row> rows;

        Sheet(Path copy, ReadableWorkbook workbook, boolean comma) throws IOException {
            this.copy = copy;
            this.workbook = workbook;
            this.comma = comma;
            this.stream = workbook.getFirstSheet().openStream();
            this.rows = stream.iterator();
        }

        @Override
        public boolean hasNext() {
            return whole(rows::hasNext);
        }

        @Override
        public TableRow next() {
            return whole(() -> row(rows.next()));
        }

        /** Whatever breaks in the reader is a broken file. */
        private static <T> T whole(Supplier<T> reading) {
            try {
                return reading.get();
            } catch (RuntimeException broken) {
                throw new UncheckedIOException(new IOException(broken));
            }
        }

        private TableRow row(Row row) {
            List<String> cells = new ArrayList<>();
            for (int i = 0; i < Math.min(row.getCellCount(), CsvPlan.MOST_COLUMNS); i++) {
                cells.add(text(row.getCell(i)));
            }
            return new TableRow(row.getRowNum(), cells);
        }

        private String text(Cell cell) {
            if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
                return "";
            }
            if (cell.getType() == CellType.NUMBER || isNumber(cell)) {
                return isOfTime(cell.getDataFormatString()) ? time(cell) : number(cell);
            }
            return cell.getText().strip();
        }

        /** What a formula came to. */
        private static boolean isNumber(Cell cell) {
            return cell.getType() == CellType.FORMULA && cell.getValue() instanceof BigDecimal;
        }

        /** A moment of nobody's zone, a day, or a time of a day. */
        private static String time(Cell cell) {
            double days = new BigDecimal(cell.getRawValue()).doubleValue();
            if (days >= 0 && days < 1) {
                return CLOCK.format(
                        LocalTime.ofSecondOfDay(Math.min(SECONDS_OF_A_DAY - 1, Math.round(days * SECONDS_OF_A_DAY))));
            }
            LocalDateTime moment = cell.asDate().plusNanos(HALF_A_SECOND).truncatedTo(ChronoUnit.SECONDS);
            return moment.toLocalTime().equals(LocalTime.MIDNIGHT)
                    ? moment.toLocalDate().toString()
                    : MOMENT.format(moment);
        }

        /** A workbook keeps 1.8 as 1.7999999999999998. */
        private String number(Cell cell) {
            String number = new BigDecimal(cell.getRawValue())
                    .round(new MathContext(DIGITS))
                    .stripTrailingZeros()
                    .toPlainString();
            return comma ? number.replace('.', ',') : number;
        }

        private static boolean isOfTime(String format) {
            return format != null
                    && OF_TIME.matcher(ASIDE.matcher(format).replaceAll("")).find();
        }

        @Override
        public void close() throws IOException {
            try (workbook) {
                stream.close();
            } catch (UncheckedIOException broken) {
                throw broken.getCause();
            } finally {
                Files.deleteIfExists(copy);
            }
        }
    }
}
