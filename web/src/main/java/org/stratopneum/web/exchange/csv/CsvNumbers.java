package org.stratopneum.web.exchange.csv;

import java.util.Collection;
import java.util.Optional;
import java.util.regex.Pattern;

/** Reads the numbers of a table. A unit behind a number is not read: it might be another one than was said. */
final class CsvNumbers {

    /** Blanks of several widths and apostrophes group digits in no other sense. */
    private static final Pattern GROUPED =
            Pattern.compile("([+-]?\\d{1,3})((?:[ \\u00A0\\u202F\\u2009'’]\\d{3})+)(\\D.*)?");

    private static final Pattern BETWEEN = Pattern.compile("[ \\u00A0\\u202F\\u2009'’]");
    private static final Pattern PLAIN = Pattern.compile("[+-]?(?:\\d{1,9}(?:\\.\\d{0,9})?|\\.\\d{1,9})");
    private static final Pattern BY_COMMAS = Pattern.compile("[+-]?\\d{1,3}(?:,\\d{3})+(?:\\..*)?");
    private static final Pattern BY_POINTS = Pattern.compile("[+-]?\\d{1,3}(?:\\.\\d{3})+(?:,.*)?");

    private static final Pattern SURELY_BY_COMMAS =
            Pattern.compile("[+-]?\\d{1,3}(?:,\\d{3})+\\.\\d*|[+-]?\\d{1,3}(?:,\\d{3}){2,}");
    private static final Pattern SURELY_BY_POINTS =
            Pattern.compile("[+-]?\\d{1,3}(?:\\.\\d{3})+,\\d*|[+-]?\\d{1,3}(?:\\.\\d{3}){2,}");
    private static final Pattern PERHAPS_BY_COMMAS = Pattern.compile("[+-]?[1-9]\\d{0,2},\\d{3}");
    private static final Pattern PERHAPS_BY_POINTS = Pattern.compile("[+-]?[1-9]\\d{0,2}\\.\\d{3}");
    private static final Pattern WITH_COMMA = Pattern.compile("[+-]?\\d*,\\d+");
    private static final Pattern WITH_POINT = Pattern.compile("[+-]?\\d*\\.\\d+");

    private CsvNumbers() {}

    static Optional<Double> read(String text, CsvPlan.Decimal decimal) {
        return plain(text, decimal).map(Double::parseDouble);
    }

    /** The number with a point before its fraction and nothing between its digits. */
    static Optional<String> plain(String text, CsvPlan.Decimal decimal) {
        String number = ungrouped(text.strip().replace('\u2212', '-'));
        if (decimal == CsvPlan.Decimal.POINT_GROUPED
                && BY_COMMAS.matcher(number).matches()) {
            number = number.replace(",", "");
        } else if (decimal == CsvPlan.Decimal.COMMA_GROUPED
                && BY_POINTS.matcher(number).matches()) {
            number = number.replace(".", "");
        }
        if (decimal.comma()) {
            number = number.indexOf('.') >= 0 ? "" : number.replace(',', '.');
        }
        return PLAIN.matcher(number).matches() ? Optional.of(number) : Optional.empty();
    }

    private static String ungrouped(String number) {
        return GROUPED.matcher(number).matches() ? BETWEEN.matcher(number).replaceAll("") : number;
    }

    /**
     * How numbers are written, as far as they tell; null where 1,234 may be one and a bit or more than a thousand.
     *
     * @param pressures of which none is a thousand of anything
     */
    static CsvPlan.Decimal guess(Collection<String> pressures, Collection<String> others) {
        if (any(others, SURELY_BY_COMMAS)) {
            return CsvPlan.Decimal.POINT_GROUPED;
        }
        if (any(others, SURELY_BY_POINTS)) {
            return CsvPlan.Decimal.COMMA_GROUPED;
        }
        boolean comma = any(pressures, WITH_COMMA) || only(others, WITH_COMMA, PERHAPS_BY_COMMAS);
        boolean point = any(pressures, WITH_POINT) || only(others, WITH_POINT, PERHAPS_BY_POINTS);
        boolean perhapsByCommas = any(others, PERHAPS_BY_COMMAS);
        boolean perhapsByPoints = any(others, PERHAPS_BY_POINTS);
        if (comma) {
            return perhapsByPoints ? CsvPlan.Decimal.COMMA_GROUPED : CsvPlan.Decimal.COMMA;
        }
        if (point) {
            return perhapsByCommas ? CsvPlan.Decimal.POINT_GROUPED : CsvPlan.Decimal.POINT;
        }
        return perhapsByCommas || perhapsByPoints ? null : CsvPlan.Decimal.POINT;
    }

    private static boolean any(Collection<String> cells, Pattern pattern) {
        return cells.stream().anyMatch(cell -> pattern.matcher(cell).matches());
    }

    /** Whether one is written so that cannot be meant otherwise. */
    private static boolean only(Collection<String> cells, Pattern pattern, Pattern otherwise) {
        return cells.stream()
                .anyMatch(cell -> pattern.matcher(cell).matches()
                        && !otherwise.matcher(cell).matches());
    }
}
