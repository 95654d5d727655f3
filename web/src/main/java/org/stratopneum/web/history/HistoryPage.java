package org.stratopneum.web.history;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.WheelLine;
import org.stratopneum.web.platform.drawing.HistoryBand;
import org.stratopneum.web.platform.wording.FormView;

/**
 * The life of a wheel or a tire.
 *
 * @param head what stands over the pages of a wheel, null for a tire
 * @param title whose life
 * @param band null where nothing ever happened
 * @param said what the band shows, in words
 * @param entries the latest of a wheel, newest first
 * @param tread what is known of the tread, null for a wheel
 */
public record HistoryPage(
        WheelHead head,
        String title,
        Where where,
        HistoryBand band,
        String said,
        List<Stay> stays,
        List<Figure> figures,
        List<WheelLine> entries,
        Tread tread,
        LogOutcome outcome) {

    /**
     * Where it is reached.
     *
     * @param own its own page, {@code log} what the log holds of it, {@code path} this page
     * @param printed where its history is printed, or null
     * @param shown what is drawn
     */
    public record Where(String own, String log, String path, String printed, Shown shown) {

        public Span[] spans() {
            return Span.values();
        }
    }

    /**
     * What is drawn: a span up to now, or from a day to a day.
     *
     * @param from the first day, or null; {@code until} the last, null with it
     */
    public record Shown(Span span, LocalDate from, LocalDate until) {

        /** Days that are none, or stand in no order, are not looked at. */
        static Shown of(Span span, String from, String until) {
            try {
                LocalDate first = LocalDate.parse(from);
                LocalDate last = LocalDate.parse(until);
                return first.isBefore(last) && first.getYear() > 1900 && last.getYear() < 2200
                        ? new Shown(span, first, last)
                        : new Shown(span, null, null);
            } catch (DateTimeParseException none) {
                return new Shown(span, null, null);
            }
        }

        public boolean is(Span one) {
            return from == null && span == one;
        }
    }

    /** How much of a life is drawn. */
    public enum Span {
        ALL(0),
        YEAR(365),
        QUARTER(92);

        private final int days;

        Span(int days) {
            this.days = days;
        }

        /** 0 for all of it. */
        int days() {
            return days;
        }
    }

    /** A time on a wheel. */
    public record Stay(String name, String link, String from, String until, String days, String ridden) {}

    /** A number that matters, and how surely it is known. */
    public record Figure(String name, String value, String doubt) {}

    /**
     * A tread.
     *
     * @param wear what it comes to, line by line
     * @param newEntry identifier for what is noted next
     */
    public record Tread(
            UUID tire, List<Measured> measured, List<String> wear, FormView form, String unit, UUID newEntry) {}

    /** A depth that was noted. */
    public record Measured(UUID entry, String date, String what, String ridden) {}
}
