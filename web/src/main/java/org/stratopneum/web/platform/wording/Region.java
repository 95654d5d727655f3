package org.stratopneum.web.platform.wording;

import java.text.DecimalFormatSymbols;
import java.time.DayOfWeek;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.time.temporal.WeekFields;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * How a rider writes days, hours and numbers.
 *
 * @param twelveHours whether 18:05 is 6:05 pm
 * @param firstDay of a week
 * @param decimalComma whether one and a half is 1,5
 * @param language in which they read, as BCP 47 names it
 */
public record Region(Dates dates, boolean twelveHours, DayOfWeek firstDay, boolean decimalComma, String language) {

    /** In which order a day is written. */
    public enum Dates {
        DAY_FIRST("d MMM yyyy", "d MMM", "d MMMM yyyy", "en-GB"),
        MONTH_FIRST("MMM d, yyyy", "MMM d", "MMMM d, yyyy", "en-US"),
        YEAR_FIRST("yyyy-MM-dd", "MMM d", "yyyy MMMM d", "en-CA");

        private final String date;
        private final String ofThisYear;
        private final String inFull;
        private final String tag;

        Dates(String date, String ofThisYear, String inFull, String tag) {
            this.date = date;
            this.ofThisYear = ofThisYear;
            this.inFull = inFull;
            this.tag = tag;
        }
    }

    /** Of somebody who chose nothing. */
    public static final Region USUAL = new Region(Dates.DAY_FIRST, false, DayOfWeek.MONDAY, false, Languages.FIRST);

    /** By a language and its mark before fractions. */
    private static final Map<String, Locale> LOCALES = new ConcurrentHashMap<>();

    private static final ThreadLocal<Region> CURRENT = new ThreadLocal<>();

    /** Of the rider for whom something is written now. */
    public static Region current() {
        Region current = CURRENT.get();
        return current == null ? USUAL : current;
    }

    /** From now on this thread writes so, until it is told otherwise; {@code null} ends it. */
    public static void use(Region region) {
        if (region == null) {
            CURRENT.remove();
        } else {
            CURRENT.set(region);
        }
    }

    /** What is usual where somebody's browser comes from (Unicode's CLDR, as Java has it), in a language that we have. */
    public static Region of(Locale locale, String language) {
        if (locale.getCountry().isEmpty()) {
            return USUAL.in(language);
        }
        String shortest = DateTimeFormatterBuilder.getLocalizedDateTimePattern(
                FormatStyle.SHORT, null, IsoChronology.INSTANCE, locale);
        String clock = DateTimeFormatterBuilder.getLocalizedDateTimePattern(
                null, FormatStyle.SHORT, IsoChronology.INSTANCE, locale);
        Dates dates = shortest.startsWith("y")
                ? Dates.YEAR_FIRST
                : shortest.startsWith("M") ? Dates.MONTH_FIRST : Dates.DAY_FIRST;
        return new Region(
                dates,
                clock.contains("a"),
                WeekFields.of(locale).getFirstDayOfWeek(),
                DecimalFormatSymbols.getInstance(locale).getDecimalSeparator() == ',',
                language);
    }

    /** The same ways of writing in another language. */
    public Region in(String other) {
        return new Region(dates, twelveHours, firstDay, decimalComma, other);
    }

    /** For words alone: names of months, upper and lower case. */
    public Locale words() {
        return Locale.forLanguageTag(language);
    }

    /** For messages: the language with the marks of the numbers. */
    public Locale locale() {
        return LOCALES.computeIfAbsent(language + (decimalComma ? ',' : '.'), one -> marked());
    }

    /** The language as it is written where its marks before fractions and between thousands are nearest to these. */
    private Locale marked() {
        Comparator<Locale> byMarks = Comparator.comparing(one -> {
            DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(one);
            return (symbols.getDecimalSeparator() == (decimalComma ? ',' : '.') ? 0 : 2)
                    + (symbols.getGroupingSeparator() == (decimalComma ? '.' : ',') ? 0 : 1);
        });
        return Arrays.stream(Locale.getAvailableLocales())
                .filter(one -> one.getLanguage().equals(language))
                .min(byMarks.thenComparing(Locale::toLanguageTag))
                .orElseGet(this::words);
    }

    /** For a browser's own formats of days, as BCP 47 names it. */
    public String tag() {
        return language.equals(Languages.FIRST) ? dates.tag : language;
    }

    String date() {
        return dates.date;
    }

    String ofThisYear() {
        return dates.ofThisYear;
    }

    String inFull() {
        return dates.inFull;
    }

    String time() {
        return twelveHours ? "h:mm a" : "HH:mm";
    }

    /** The days of a week in their order. */
    public List<DayOfWeek> week() {
        return IntStream.range(0, 7).mapToObj(firstDay::plus).toList();
    }
}
