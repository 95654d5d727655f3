package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.util.List;

/** A table that is written, row by row. */
interface Sheet extends AutoCloseable {

    /** What the cells of a column are; all come as texts of one form. */
    enum Type {
        TEXT,
        /** A day as ISO 8601 has it. */
        DAY,
        /** A time of a day, such as 07:30:00. */
        CLOCK,
        /** A number with a point before its fraction. */
        NUMBER,
        /** Such numbers with blanks between them. */
        NUMBERS
    }

    /** A column with its heading. */
    record Column(String heading, Type type) {}

    void row(List<String> cells) throws IOException;

    /** Ends what is written; the stream stays open. */
    @Override
    void close() throws IOException;
}
