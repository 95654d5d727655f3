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

    /** Something that wants doing by a day. */
    record Due(Kind kind, LocalDate on) {
        public Due {
            Objects.requireNonNull(kind, "kind");
            Objects.requireNonNull(on, "on");
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

    /** After what was measured: a look while it is doubtful, a refresh once it is too little more likely than not. */
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
                dues.add(new Due(Kind.TOP_UP, next));
            }
            dues.add(new Due(Kind.RENEW, renewal));
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
            return List.of(new Due(Kind.REFRESH, forecast.filledOn().plusMonths(months)));
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
            return lookBefore(new Due(Kind.REFRESH, refresh), forecast);
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
            Due before = new Due(Kind.REFRESH, event.minusDays(AHEAD_DAYS));
            List<Due> sooner = measured(forecast, today).stream()
                    .filter(due -> due.on().isBefore(before.on()))
                    .toList();
            List<Due> dues = new ArrayList<>(sooner);
            dues.add(before);
            return dues;
        }
    }

    /** Once a refresh is due, no look is needed any more. */
    private static List<Due> measured(SealantForecast forecast, LocalDate today) {
        Due refresh = new Due(Kind.REFRESH, forecast.refreshBy());
        return refresh.on().isAfter(today)
                ? List.of(new Due(Kind.LOOK, forecast.checkBy()), refresh)
                : List.of(refresh);
    }

    private static List<Due> lookBefore(Due due, SealantForecast forecast) {
        LocalDate latest = forecast.filledOn().plusMonths(SealantForecast.LONGEST_MONTHS);
        return latest.isBefore(due.on()) ? List.of(new Due(Kind.LOOK, latest), due) : List.of(due);
    }
}
