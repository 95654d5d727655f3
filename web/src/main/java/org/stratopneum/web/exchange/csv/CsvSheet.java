package org.stratopneum.web.exchange.csv;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.stratopneum.web.platform.wording.Region;

/**
 * A table as text: UTF-8 with its mark, by which spreadsheets know it; commas, lines ended as RFC 4180 says. Where the rider
 * writes 1,5, so do its numbers, and semicolons stand between cells, as spreadsheets there have it. Days and times are
 * written as the rider writes them; an order that ISO 8601 does not have is named in the heading, since 3/4 can be two days.
 */
final class CsvSheet implements Sheet {

    private static final int BUFFER = 64 << 10;

    /** A spreadsheet takes a text that begins so for a formula, and does what it says. */
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private static final DateTimeFormatter TWELVE_HOURS = DateTimeFormatter.ofPattern("h:mm:ss a", Locale.ENGLISH);

    private final CSVPrinter printer;
    private final List<Column> columns;
    private final boolean comma = Region.current().decimalComma();
    private final boolean twelveHours = Region.current().twelveHours();
    private final DateOrder order = DateOrder.of(Region.current());

    /** Days and times as they were written: they come again and again. */
    private final Map<String, String> known = new HashMap<>();

    CsvSheet(OutputStream out, List<Column> columns) throws IOException {
        Writer letters = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), BUFFER);
        letters.write('\uFEFF');
        printer = new CSVPrinter(
                letters, comma ? CSVFormat.RFC4180.builder().setDelimiter(';').get() : CSVFormat.RFC4180);
        this.columns = columns;
        printer.printRecord(columns.stream().map(this::heading).toList());
    }

    private String heading(Column column) {
        return column.type() == Type.DAY && order != DateOrder.YMD
                ? column.heading() + " (" + order.word() + ")"
                : column.heading();
    }

    @Override
    public void row(List<String> cells) throws IOException {
        List<String> row = new ArrayList<>(cells.size());
        for (int i = 0; i < cells.size(); i++) {
            row.add(written(columns.get(i).type(), cells.get(i)));
        }
        printer.printRecord(row);
    }

    private String written(Type type, String cell) {
        return switch (type) {
            case TEXT -> marked(cell);
            case NUMBER, NUMBERS -> comma ? cell.replace('.', ',') : cell;
            case DAY -> order == DateOrder.YMD ? cell : known.computeIfAbsent(cell, order::write);
            case CLOCK -> twelveHours ? known.computeIfAbsent(cell, CsvSheet::ofTwelve) : cell;
        };
    }

    private static String ofTwelve(String clock) {
        return LocalTime.parse(clock).format(TWELVE_HOURS);
    }

    @Override
    public void close() throws IOException {
        printer.flush();
    }

    /** Whether a text may be one: most are not, and told by their first letter. */
    private static boolean begins(String text) {
        return !text.isEmpty() && "'=+-@\t\r".indexOf(text.charAt(0)) >= 0;
    }

    /** A text that a spreadsheet would take for a formula, with an apostrophe, which it shows as nothing. */
    static String marked(String text) {
        return begins(text) && FORMULA.matcher(text).matches() ? "'" + text : text;
    }

    /** The text as it was before. */
    static String unmarked(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
