package org.stratopneum.web.exchange.csv;

import java.util.Optional;
import java.util.regex.Pattern;

/** Reads the numbers of a table. */
final class CsvNumbers {

    private static final Pattern POINT = Pattern.compile("[+-]?\\d{1,9}(?:\\.\\d{0,9})?|[+-]?\\.\\d{1,9}");
    private static final Pattern COMMA = Pattern.compile("[+-]?\\d{1,9}(?:,\\d{0,9})?|[+-]?,\\d{1,9}");

    /** A unit behind a number is not read: it might be another one than was said. */
    private CsvNumbers() {}

    static Optional<Double> read(String text, CsvPlan.Decimal decimal) {
        String number = text.strip();
        boolean fits = (decimal == CsvPlan.Decimal.COMMA ? COMMA : POINT)
                .matcher(number)
                .matches();
        return fits ? Optional.of(Double.parseDouble(number.replace(',', '.'))) : Optional.empty();
    }
}
