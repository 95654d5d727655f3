package org.stratopneum.web.exchange.csv;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.stratopneum.web.platform.wording.Region;

/** In which order a date is written: 3.4.2025 is in April or in March. */
enum DateOrder {
    YMD(0, 1, 2),
    DMY(2, 1, 0),
    MDY(2, 0, 1);

    /** Three numbers with points, slashes, lines or blanks between them, and perhaps a time, which is read elsewhere. */
    private static final Pattern DATE =
            Pattern.compile("(\\d{1,4})[.\\-/ ]+(\\d{1,2})[.\\-/ ]+(\\d{1,4})\\.?(?:[T ,].*)?");

    private static final Pattern ISO = Pattern.compile("\\d{4}-\\d{2}-\\d{2}(?:[T ].*)?");

    private static final String WORDS = "order";

    private static final int FIRST_YEAR = 1990;
    private static final int LAST_YEAR = 2200;
    private static final int SHORT_YEAR = 100;
    private static final int CENTURY = 2000;

    private final int year;
    private final int month;
    private final int day;

    DateOrder(int year, int month, int day) {
        this.year = year;
        this.month = month;
        this.day = day;
    }

    /** The order in which a rider writes days. */
    static DateOrder of(Region region) {
        return switch (region.dates()) {
            case DAY_FIRST -> DMY;
            case MONTH_FIRST -> MDY;
            case YEAR_FIRST -> YMD;
        };
    }

    /** The order that a heading names: "date (dd/mm/yyyy)". */
    static Optional<DateOrder> named(String heading) {
        String words = spaced(heading);
        return Arrays.stream(values())
                .filter(order -> TableWords.of(WORDS, order).stream().anyMatch(word -> words.contains(spaced(word))))
                .findFirst();
    }

    private static String spaced(String words) {
        return " " + String.join(" ", Quantity.words(words)) + " ";
    }

    /** How our own tables name this order. */
    String word() {
        return TableWords.ours(WORDS, this);
    }

    /** A day that ISO 8601 writes, in this order. */
    String write(String iso) {
        if (this == YMD || iso.isEmpty()) {
            return iso;
        }
        String[] parts = iso.split("-");
        return this == DMY ? parts[2] + "/" + parts[1] + "/" + parts[0] : parts[1] + "/" + parts[2] + "/" + parts[0];
    }

    /** Whether a day is written as ISO 8601 has it, perhaps with a time. */
    static boolean isIso(String text) {
        return ISO.matcher(text.strip()).matches();
    }

    /**
     * A day of a table in an order, or null where nobody said; one as ISO 8601 has it can be meant in no other way, in
     * whichever order others are written.
     */
    static Optional<LocalDate> read(String text, DateOrder order) {
        if (order == null) {
            return Optional.empty();
        }
        return isIso(text) ? YMD.read(text) : order.read(text);
    }

    /** The day that is written so; empty where there is none. */
    Optional<LocalDate> read(String text) {
        Matcher found = DATE.matcher(text.strip());
        if (!found.matches()) {
            return Optional.empty();
        }
        int[] numbers = {
            Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)), Integer.parseInt(found.group(3))
        };
        boolean shortYear = this != YMD && found.group(3).length() == 2;
        boolean whole = found.group(year + 1).length() == 4;
        if (!shortYear && !whole) {
            return Optional.empty();
        }
        int fullYear = numbers[year] < SHORT_YEAR ? CENTURY + numbers[year] : numbers[year];
        try {
            return Optional.of(LocalDate.of(fullYear, numbers[month], numbers[day]))
                    .filter(date -> date.getYear() >= FIRST_YEAR && date.getYear() <= LAST_YEAR);
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** The orders in which all of some texts are dates. */
    static Set<DateOrder> of(Collection<String> texts) {
        Set<DateOrder> orders = EnumSet.noneOf(DateOrder.class);
        Arrays.stream(values())
                .filter(order -> !texts.isEmpty()
                        && texts.stream().allMatch(text -> order.read(text).isPresent()))
                .forEach(orders::add);
        return orders;
    }
}
