package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** A table as a workbook (ECMA-376) of one sheet, whose days and numbers are days and numbers. */
final class XlsxSheet implements Sheet {

    private static final int FLUSHED = 1000;

    /** No sheet has more (ECMA-376 programs, common practice, no source). */
    static final int MOST_ROWS = 1_048_576;

    private static final double SECONDS_OF_A_DAY = 86_400;

    private final Workbook workbook;
    private final Worksheet sheet;
    private final List<Column> columns;
    private int next;

    XlsxSheet(OutputStream out, String name, List<Column> columns) {
        this.columns = columns;
        workbook = new Workbook(out, "Stratopneum", null);
        sheet = workbook.newWorksheet(name);
        sheet.freezePane(0, 1);
        for (int i = 0; i < columns.size(); i++) {
            sheet.value(0, i, columns.get(i).heading());
            sheet.style(0, i).bold().set();
        }
        next = 1;
    }

    @Override
    public void row(List<String> cells) throws IOException {
        if (next >= MOST_ROWS) {
            throw new IOException("A sheet has no more rows");
        }
        for (int i = 0; i < cells.size(); i++) {
            if (!cells.get(i).isEmpty()) {
                cell(i, cells.get(i));
            }
        }
        next++;
        if (next % FLUSHED == 0) {
            sheet.flush();
        }
    }

    private void cell(int column, String text) {
        switch (columns.get(column).type()) {
            case DAY -> {
                sheet.value(next, column, LocalDate.parse(text));
                sheet.style(next, column).format("yyyy-mm-dd").set();
            }
            case CLOCK -> {
                sheet.value(next, column, LocalTime.parse(text).toSecondOfDay() / SECONDS_OF_A_DAY);
                sheet.style(next, column).format("hh:mm:ss").set();
            }
            case NUMBER -> sheet.value(next, column, new BigDecimal(text));
            case TEXT, NUMBERS -> sheet.value(next, column, text);
        }
    }

    @Override
    public void close() throws IOException {
        workbook.finish();
    }
}
