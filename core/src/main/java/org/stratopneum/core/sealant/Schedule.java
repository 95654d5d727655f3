package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;

/**
 * When the liquid in a tire is to be looked at, topped up and renewed: the schools of the trade (common practice). All of
 * them look inside six months after the last filling at the latest.
 */
public sealed interface Schedule {

    /** What wants doing. */
    enum Kind {
        LOOK,
        /** Back to a dose. */
        REFRESH,
        /** A small dose that makes up for what dried. */
        TOP_UP,
        /** Everything out, and fresh sealant in. */
        RENEW
    }

    /**
     * Something that wants doing by a day.
     *
     * @param from the first day on which it makes sense
     * @param until how long it can wait at its own risk
     */
    record Due(Kind kind, LocalDate on, LocalDate from, LocalDate until) {

        /** A day of the calendar is good for a week before and after (our judgement; days). */
        private static final int A_WEEK = 7;

        public Due {
            Objects.requireNonNull(kind, "kind");
            if (from.isAfter(on) || until.isBefore(on)) {
                throw new IllegalArgumentException(on + " is not from " + from + " until " + until);
            }
        }

        static Due about(Kind kind, LocalDate on) {
            return new Due(kind, on, on.minusDays(A_WEEK), on.plusDays(A_WEEK));
        }
    }

    /**
     * @param forecast what is known of the liquid today, made with {@link #thresholdMl}
     * @return earliest first
     */
    List<Due> dues(SealantForecast forecast, LocalDate today);

    /** What the forecast waits for (ml); {@code minimumMl} is the least that still works. */
    default double thresholdMl(double minimumMl) {
        return minimumMl;
    }

    /**
     * After what was measured: a look while it is doubtful, a refresh once it is too little more likely than not, or while
     * a dip that left it in doubt is so fresh that another would say the same.
     */
    record Measured() implements Schedule {
        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            return measured(forecast, today);
        }
    }

    /** The same, but only when a stick would come out dry. */
    record UntilDry() implements Schedule {
        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            return measured(forecast, today);
        }

        @Override
        public double thresholdMl(double minimumMl) {
            return 0;
        }
    }

    /**
     * What a month dries is put in each month, and all of it is renewed now and then.
     *
     * @param renewMonths after so many months ({@link #RENEW_MONTHS})
     */
    record MonthlyTopUp(int renewMonths) implements Schedule {

        public static final Range RENEW_MONTHS = Range.closed(3, 6, "months");

        public MonthlyTopUp {
            Problems problems = new Problems();
            problems.check("renewMonths", (double) renewMonths, RENEW_MONTHS);
            problems.throwIfAny();
        }

        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            LocalDate next = forecast.filledOn().plusMonths(1);
            LocalDate renewal = forecast.renewedOn().plusMonths(renewMonths);
            List<Due> dues = new ArrayList<>();
            if (next.isBefore(renewal)) {
                dues.add(Due.about(Kind.TOP_UP, next));
            }
            dues.add(Due.about(Kind.RENEW, renewal));
            return dues;
        }
    }

    /** Every so many months, whatever a stick would say. */
    record EveryMonths(int months) implements Schedule {

        /** What people choose. */
        public static final List<Integer> USUAL = List.of(2, 3, 4, 6);

        public EveryMonths {
            if (!USUAL.contains(months)) {
                throw new IllegalArgumentException("nobody does it every " + months + " months");
            }
        }

        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            return List.of(Due.about(Kind.REFRESH, forecast.filledOn().plusMonths(months)));
        }
    }

    /** Once a year, at the start of the season. */
    record SeasonStart(MonthDay start) implements Schedule {

        /** What went in so shortly before counts for the season (our judgement; days). */
        private static final int COUNTS_DAYS = 30;

        public SeasonStart {
            Objects.requireNonNull(start, "start");
        }

        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            LocalDate counted = forecast.filledOn().plusDays(COUNTS_DAYS);
            LocalDate next = start.atYear(counted.getYear());
            LocalDate refresh = next.isAfter(counted) ? next : start.atYear(counted.getYear() + 1);
            return lookBefore(Due.about(Kind.REFRESH, refresh), forecast);
        }
    }

    /** Fresh before an event; before and after it by what was measured. */
    record BeforeEvent(LocalDate event) implements Schedule {

        /** So long before, it works into the pores (our judgement; days), and for so long it is fresh. */
        public static final int AHEAD_DAYS = 3;

        public static final int FRESH_DAYS = 14;

        public BeforeEvent {
            Objects.requireNonNull(event, "event");
        }

        @Override
        public List<Due> dues(SealantForecast forecast, LocalDate today) {
            boolean fresh = !forecast.filledOn().isBefore(event.minusDays(FRESH_DAYS));
            if (fresh || today.isAfter(event)) {
                return measured(forecast, today);
            }
            LocalDate by = event.minusDays(AHEAD_DAYS);
            Due before = new Due(Kind.REFRESH, by, event.minusDays(FRESH_DAYS), by);
            List<Due> sooner = measured(forecast, today).stream()
                    .filter(due -> due.on().isBefore(before.on()))
                    .toList();
            List<Due> dues = new ArrayList<>(sooner);
            dues.add(before);
            return dues;
        }
    }

    /** A dip hardly tells more so soon after another (days); this and the chances are tuned, docs/season.md. */
    int LOOKED_DAYS = 14;

    /** For who is at the bikes anyway, a look makes sense from such a chance of too little on, and can wait until it is so large. */
    double LOOK_FROM = 0.05;

    double LOOK_UNTIL = 0.2;

    /** And a refresh, from such a one on. */
    double REFRESH_FROM = 0.3;

    /** Once a refresh is due, no look is needed any more. */
    private static List<Due> measured(SealantForecast forecast, LocalDate today) {
        LocalDate looked =
                forecast.latestDip().map(dip -> dip.on().plusDays(LOOKED_DAYS)).orElse(LocalDate.MIN);
        LocalDate look = forecast.checkBy();
        LocalDate refresh = forecast.refreshBy();
        LocalDate early = forecast.tooLittleBy(REFRESH_FROM);
        if (look.isBefore(looked)) {
            return List.of(new Due(Kind.REFRESH, look, look, refresh));
        }
        Due refreshing = new Due(Kind.REFRESH, refresh, early, refresh);
        LocalDate from = forecast.tooLittleBy(LOOK_FROM);
        return refresh.isAfter(today)
                ? List.of(
                        new Due(
                                Kind.LOOK,
                                look,
                                from.isBefore(looked) ? looked : from,
                                forecast.tooLittleBy(LOOK_UNTIL)),
                        refreshing)
                : List.of(refreshing);
    }

    private static List<Due> lookBefore(Due due, SealantForecast forecast) {
        LocalDate latest = forecast.filledOn().plusMonths(SealantForecast.LONGEST_MONTHS);
        return latest.isBefore(due.on()) ? List.of(Due.about(Kind.LOOK, latest), due) : List.of(due);
    }
}
