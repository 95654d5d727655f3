package org.stratopneum.core.sealant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.tire.TireOnRim;

class ForecastMovesTest {

    private static final LocalDate FILLED = LocalDate.of(2026, 5, 1);
    private static final LocalDate TODAY = FILLED.plusDays(100);
    private static final SealantForecast.Tire TIRE =
            new SealantForecast.Tire(TireOnRim.onMeasuringRim(60, 622).section(), 34, 1);
    private static final SealantEvent FILLING = new SealantEvent.Filled(FILLED, 101, true);
    private static final DryingClimate MILD = DryingClimate.same(20, 0.5);

    private static SealantForecast now(DryingClimate climate, SealantEvent... more) {
        List<SealantEvent> events =
                Stream.concat(Stream.of(FILLING), Stream.of(more)).toList();
        return SealantForecast.of(TIRE, climate, events, TODAY);
    }

    private static List<ForecastMoves.Move> moves(List<SealantEvent> events) {
        return ForecastMoves.of(SealantForecast.of(TIRE, MILD, events, TODAY), TIRE, MILD, events, TODAY);
    }

    @Test
    void eachThingIsHeldAgainstTheSameForecastWithoutIt() {
        SealantEvent pricked = new SealantEvent.Spent(FILLED.plusDays(20), 10);
        SealantEvent dipped = new SealantEvent.Dipped(FILLED.plusDays(60), 16);
        List<ForecastMoves.Move> moves = moves(List.of(FILLING, pricked, dipped));
        assertThat(moves).extracting(ForecastMoves.Move::event).containsExactly(dipped, pricked);
        assertThat(moves.get(0).days()).as("more was found than expected").isPositive();
        assertThat(now(MILD, pricked).refreshBy().plusDays(moves.get(0).days()))
                .isEqualTo(now(MILD, pricked, dipped).refreshBy());
    }

    @Test
    void whatWasSeenBeforeTheLastFillingMovesNothing() {
        SealantEvent dipped = new SealantEvent.Dipped(FILLED.plusDays(30), 12);
        SealantEvent again = new SealantEvent.Filled(FILLED.plusDays(40), 101, true);
        assertThat(moves(List.of(FILLING, dipped, again))).isEmpty();
    }

    @Test
    void theDryFortnightIsFoundWithWhatItTook() {
        LocalDate july = LocalDate.of(2026, 7, 3);
        DryingClimate dryJuly = day -> !day.isBefore(july) && day.isBefore(july.plusDays(14))
                ? 3 * MILD.deficitKpa(day)
                : MILD.deficitKpa(day);
        SealantForecast forecast = now(dryJuly);
        ForecastMoves.DrySpell spell =
                ForecastMoves.drySpell(forecast, dryJuly, TODAY).orElseThrow();
        assertThat(spell.first()).isEqualTo(july);
        assertThat(spell.last()).isEqualTo(LocalDate.of(2026, 7, 16));
        double usualFortnight = now(MILD).driesMl(july, july.plusDays(14));
        // the spell itself is a part of the usual year: 14 days of 365, three times as dry
        assertThat(spell.extraMl()).isCloseTo(usualFortnight * (3 - (365 + 28) / 365.0), within(1e-9));
        assertThat(ForecastMoves.drySpell(now(MILD), MILD, TODAY))
                .as("the same air every day")
                .isEmpty();
    }

    @Test
    void theChanceIsATenthOnTheDayOfTheLookAndAHalfOnThatOfTheRefresh() {
        SealantForecast fresh = SealantForecast.of(TIRE, MILD, List.of(FILLING), FILLED);
        // the rate goes in steps, the likeliest of which weighs six in a hundred
        assertThat(fresh.chanceTooLittle(fresh.checkBy())).isCloseTo(0.1, within(0.06));
        assertThat(fresh.chanceTooLittle(fresh.refreshBy())).isCloseTo(0.5, within(0.06));
        assertThat(fresh.chanceTooLittle(FILLED)).isZero();
        SealantForecast late = SealantForecast.of(TIRE, MILD, List.of(FILLING), FILLED.plusDays(400));
        assertThat(late.chanceTooLittle(FILLED.plusDays(400))).isGreaterThan(0.98);
    }

    @Test
    void hoursOutInDrierAirCountAsTheirShareOfTheDay() {
        DryingClimate dry = DryingClimate.same(30, 0.3);
        DryingClimate ridden = DryingClimate.ridden(MILD, dry, day -> day.equals(FILLED) ? 6 : 0);
        assertThat(ridden.deficitKpa(FILLED))
                .isCloseTo(0.75 * MILD.deficitKpa(FILLED) + 0.25 * dry.deficitKpa(FILLED), within(1e-12));
        assertThat(ridden.deficitKpa(TODAY)).isEqualTo(MILD.deficitKpa(TODAY));
        assertThat(DryingClimate.ridden(MILD, dry, day -> 30).deficitKpa(TODAY)).isEqualTo(dry.deficitKpa(TODAY));
    }
}
