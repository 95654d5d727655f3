package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;

/** Schools of schedule (common practice, no source but where a table is named). */
class ScheduleTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 1, 10);
    private static final TireSection WIDE = TireOnRim.onMeasuringRim(60, 622).section();
    private static final double DOSE = 101.5;
    private static final double MINIMUM = 33.8;

    private static SealantForecast forecast(double thresholdMl, LocalDate today, SealantEvent... more) {
        List<SealantEvent> events = new ArrayList<>(List.of(new SealantEvent.Filled(FILLED, DOSE, true)));
        events.addAll(List.of(more));
        return SealantForecast.of(
                new SealantForecast.Tire(WIDE, thresholdMl, 1), DryingClimate.same(20, 0.5), events, today);
    }

    private static List<Schedule.Due> dues(Schedule schedule, LocalDate today, SealantEvent... more) {
        return schedule.dues(forecast(schedule.thresholdMl(MINIMUM), today, more), today);
    }

    private static Schedule.Due due(Schedule.Kind kind, LocalDate on) {
        return Schedule.Due.about(kind, on);
    }

    /** docs/handbook, page 5, dips of 15, 13 and 11 mm: too little with a chance of 0.22, as likely as not on day 83. */
    @Test
    void whoHasJustLookedAndIsStillInDoubtRefreshes() {
        LocalDate dipped = FILLED.plusDays(70);
        SealantEvent[] dips = {
            new SealantEvent.Dipped(FILLED.plusDays(30), 15),
            new SealantEvent.Dipped(FILLED.plusDays(50), 13),
            new SealantEvent.Dipped(dipped, 11)
        };
        List<Schedule.Due> dues = dues(new Schedule.Measured(), dipped, dips);
        assertThat(dues).extracting(Schedule.Due::kind).containsExactly(Schedule.Kind.REFRESH);
        assertThat(dues.get(0).on()).isEqualTo(dipped);
        assertThat(dues.get(0).until()).isBetween(FILLED.plusDays(82), FILLED.plusDays(84));
        assertThat(dues(new Schedule.Measured(), dipped, dips[0]))
                .as("who has not looked for six weeks looks")
                .extracting(Schedule.Due::kind)
                .containsExactly(Schedule.Kind.LOOK, Schedule.Kind.REFRESH);
    }

    /** Whatever the stick says, nobody is sent to look again at once; and each matter can be done on its own day. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 2, 4, 6, 8, 10, 12, 14, 16, 18})
    void noLookFollowsALook(double depthMm) {
        for (int day = 5; day < 150; day += 12) {
            LocalDate dipped = FILLED.plusDays(day);
            SealantEvent dip = new SealantEvent.Dipped(dipped, depthMm);
            for (int after = 0; after < Schedule.LOOKED_DAYS; after += 4) {
                assertThat(dues(new Schedule.Measured(), dipped.plusDays(after), dip))
                        .filteredOn(due -> due.kind() == Schedule.Kind.LOOK)
                        .allSatisfy(
                                due -> assertThat(due.from()).isAfterOrEqualTo(dipped.plusDays(Schedule.LOOKED_DAYS)));
            }
        }
    }

    /** A look makes sense before its day and can wait a while; a refresh makes sense before, and does not wait. */
    @Test
    void whoIsAtTheBikesAnywayDoesItSoonerOrLater() {
        SealantForecast forecast = forecast(MINIMUM, FILLED);
        List<Schedule.Due> dues = dues(new Schedule.Measured(), FILLED);
        assertThat(forecast.chanceTooLittle(dues.get(0).from())).isBetween(0.04, 0.06);
        assertThat(forecast.chanceTooLittle(dues.get(0).until())).isBetween(0.18, 0.22);
        assertThat(forecast.chanceTooLittle(dues.get(1).from())).isBetween(0.28, 0.32);
        assertThat(dues.get(1).until()).isEqualTo(dues.get(1).on());
    }

    @Test
    void untilTheStickIsDryLastsLongerThanUntilTheMinimumAndSixMonthsAtMost() {
        LocalDate minimum = dues(new Schedule.Measured(), FILLED).get(1).on();
        LocalDate dry = dues(new Schedule.UntilDry(), FILLED).get(1).on();
        assertThat(minimum).isBetween(FILLED.plusDays(121), FILLED.plusDays(123));
        assertThat(dry).isAfter(minimum).isBeforeOrEqualTo(FILLED.plusMonths(6));
    }

    @Test
    void monthlyTopUpsComeAMonthAfterTheLastAndGiveWayToTheRenewal() {
        Schedule monthly = new Schedule.MonthlyTopUp(4);
        assertThat(dues(monthly, FILLED))
                .containsExactly(
                        due(Schedule.Kind.TOP_UP, LocalDate.of(2026, 2, 10)),
                        due(Schedule.Kind.RENEW, LocalDate.of(2026, 5, 10)));
        LocalDate april = LocalDate.of(2026, 4, 12);
        assertThat(dues(monthly, april, new SealantEvent.Filled(april, 15, false)))
                .containsExactly(due(Schedule.Kind.RENEW, LocalDate.of(2026, 5, 10)));
        assertThatThrownBy(() -> new Schedule.MonthlyTopUp(2)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> new Schedule.MonthlyTopUp(7)).isInstanceOf(InvalidInputException.class);
    }

    /** docs/handbook, page 5: a month dries about 15 ml in a 60-622. */
    @Test
    void aMonthDriesWhatTheTradeTopsUp() {
        assertThat(forecast(MINIMUM, FILLED).driesMl(FILLED, FILLED.plusMonths(1)))
                .isBetween(13.0, 18.0);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 6})
    void theCalendarAsksNoStick(int months) {
        assertThat(dues(new Schedule.EveryMonths(months), FILLED, new SealantEvent.Dipped(FILLED, 10)))
                .containsExactly(due(Schedule.Kind.REFRESH, FILLED.plusMonths(months)));
    }

    @Test
    void nobodyDoesItEveryFiveMonths() {
        assertThatThrownBy(() -> new Schedule.EveryMonths(5)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"--04-01, 2026-04-01", "--01-20, 2027-01-20", "--01-05, 2027-01-05", "--02-29, 2026-02-28"})
    void theSeasonBeginsAfterTheFillingUnlessThatWasForIt(String start, LocalDate refresh) {
        List<Schedule.Due> dues = dues(new Schedule.SeasonStart(MonthDay.parse(start)), FILLED);
        assertThat(dues).contains(due(Schedule.Kind.REFRESH, refresh));
        boolean late = refresh.isAfter(FILLED.plusMonths(6));
        assertThat(dues.contains(due(Schedule.Kind.LOOK, FILLED.plusMonths(6))))
                .as("whatever the school, somebody looks inside after six months")
                .isEqualTo(late);
    }

    @Test
    void itIsFreshBeforeTheRaceAndMeasuredOtherwise() {
        LocalDate race = LocalDate.of(2026, 4, 18);
        Schedule schedule = new Schedule.BeforeEvent(race);
        assertThat(dues(schedule, FILLED))
                .containsExactly(
                        dues(new Schedule.Measured(), FILLED).get(0),
                        new Schedule.Due(
                                Schedule.Kind.REFRESH,
                                LocalDate.of(2026, 4, 15),
                                LocalDate.of(2026, 4, 4),
                                LocalDate.of(2026, 4, 15)));
        LocalDate done = LocalDate.of(2026, 4, 6);
        assertThat(dues(schedule, done, new SealantEvent.Filled(done, DOSE, true)))
                .as("fresh enough")
                .allSatisfy(due -> assertThat(due.on()).isAfter(race));
        LocalDate after = race.plusDays(1);
        assertThat(dues(schedule, after)).isEqualTo(dues(new Schedule.Measured(), after));
    }

    @Test
    void aTireThatIsDryLongBeforeTheRaceIsNotLeftDry() {
        LocalDate race = FILLED.plusMonths(11);
        List<Schedule.Due> dues = dues(new Schedule.BeforeEvent(race), FILLED);
        assertThat(dues).extracting(Schedule.Due::kind).contains(Schedule.Kind.LOOK);
        assertThat(dues.get(1).on()).isEqualTo(forecast(MINIMUM, FILLED).refreshBy());
    }
}
