package org.stratopneum.web.pressure.pace;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.HoleSize;
import org.stratopneum.core.air.Surroundings;
import org.stratopneum.core.leak.AirLoss;
import org.stratopneum.core.leak.FoundFlat;
import org.stratopneum.core.leak.GoneAtOnce;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.LossRate;
import org.stratopneum.core.leak.PaceRise;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.SuddenLoss;
import org.stratopneum.core.leak.UnloggedPumping;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.LossChart;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Puts a pace, and what comes of it, into words. */
@Component
public class PaceWording {

    private static final double SECONDS_PER_DAY = Duration.ofDays(1).toSeconds();
    private static final double REFERENCE_C = 20;
    private static final double PERCENT = 100;

    /** A half-life beyond this says only that it is long (days). */
    private static final double LONG_DAYS = 400;

    private final Wording wording;

    PaceWording(Wording wording) {
        this.wording = wording;
    }

    /** The shape that a class goes by. */
    public static String code(LeakClass named) {
        return switch (named) {
            case NORMAL -> "inside";
            case SLOW -> "below";
            case LEAK, FAST -> "blocks";
            case UNSURE -> "none";
        };
    }

    /** "8.1 % a day (7.0 to 9.2)". */
    public String percent(LossRate rate) {
        return wording.text(
                "pace.percent", share(rate.lossPerDay()), share(rate.lowLossPerDay()), share(rate.highLossPerDay()));
    }

    /** From here on a percent is not told with parts of one (ratio). */
    private static final double WHOLE = 0.03;

    private static String share(double ratio) {
        return Numbers.fixed(PERCENT * ratio, 1);
    }

    PacePage.Rate rate(LossRate rate, AirLoss loss, double heightM, GaugePressure told, WheelState wheel, Rider rider) {
        double half = rate.halfLifeDays();
        return new PacePage.Rate(
                code(rate.named()),
                rate.isPerhapsFast()
                        ? wording.text("pace.class.LEAK.perhaps-fast")
                        : wording.of("pace.class", rate.named()),
                wording.text("pace.class." + rate.named() + ".then"),
                Numbers.fixed(PERCENT * rate.lossPerDay(), rate.lossPerDay() < WHOLE ? 1 : 0),
                percent(rate),
                told == null ? null : atTold(rate, told, rider.pressureUnit()),
                half > LONG_DAYS
                        ? wording.text("pace.half.long")
                        : wording.text("pace.half", Numbers.fixed(half, half < 10 ? 1 : 0)),
                told == null ? null : hole(rate, told, heightM, wheel),
                loss.readAgain()
                        .map(again -> wording.text(
                                "pace.again", DateText.weekday(LocalDate.ofInstant(again, rider.zoneId()))))
                        .orElse(null));
    }

    private String atTold(LossRate rate, GaugePressure told, PressureUnit unit) {
        PressureUnit beside = PressureText.beside(unit);
        double loss = told.kpa() * rate.lossPerDay();
        return wording.text(
                "pace.at-recommended",
                Numbers.fixed(unit.fromKpa(loss), unit.decimals() + 1),
                unit.symbol(),
                Numbers.fixed(beside.fromKpa(loss), beside.decimals() + 1),
                beside.symbol(),
                PressureText.text(told, unit));
    }

    /** As if all of it went through one hole. */
    private static String hole(LossRate rate, GaugePressure told, double heightM, WheelState wheel) {
        return wheel.tireOnRim()
                .map(onRim -> {
                    double litres = onRim.section().airVolumeL();
                    Surroundings there = Surroundings.of(REFERENCE_C, heightM);
                    return Numbers.fixed(micrometres(rate.lossPerDay(), told, litres, there), 0);
                })
                .orElse(null);
    }

    private static double micrometres(double loss, GaugePressure told, double litres, Surroundings there) {
        GaugePressure left = GaugePressure.kpa(told.kpa() * (1 - loss));
        return 1000 * HoleSize.diameterMm(litres, told, left, SECONDS_PER_DAY, there);
    }

    /** "about 0.31 mm", with what that asks for. */
    String hole(double diameterMm) {
        String kind = diameterMm < PINHOLE_MM ? "pinhole" : diameterMm <= SEALS_MM ? "closes" : "plug";
        return wording.text("pace.hole-size." + kind, Numbers.fixed(diameterMm, diameterMm < 1 ? 2 : 1));
    }

    /** Up to about 3 mm sealant closes by itself (common practice); below the first it hardly shows (mm). */
    private static final double PINHOLE_MM = 0.5;

    private static final double SEALS_MM = 3;

    /** "Loses about twice as much as before 3 Nov (1.2 -> 2.4 % a day). Still normal." */
    PacePage.Change change(PaceRise rise, AirLoss.Alarm alarm, List<PacePage.Near> near, Rider rider) {
        double times = rise.now() / Math.max(LEAST_BEFORE, rise.before());
        return new PacePage.Change(
                wording.text(
                        "pace.change",
                        Numbers.fixed(times, times < TWO_DIGITS ? 1 : 0),
                        DateText.date(rise.since(), rider.zoneId()),
                        share(rise.before()),
                        share(rise.now())),
                alarm == AirLoss.Alarm.NOTE ? wording.text("pace.change.normal") : null,
                near);
    }

    /** Next to nothing before is not divided by (ratio); a factor from here on is told without tenths. */
    private static final double LEAST_BEFORE = 0.002;

    private static final double TWO_DIGITS = 10;

    /** "Lost 9 % since yesterday, usually 1 %. Read once more before you pump." */
    Optional<String> onceMore(AirLoss loss, Rider rider) {
        return loss.lastFall()
                .map(last -> wording.text(
                        "pace.once-more",
                        Numbers.fixed(PERCENT * last.lost(), 0),
                        DateText.moment(last.before().at(), rider.zoneId()),
                        Numbers.fixed(PERCENT * last.usual(), 0)));
    }

    /** How it went flat, if it did. */
    Optional<String> flat(AirLoss loss, Rider rider) {
        return loss.sudden()
                .map(sudden -> sudden(sudden, rider))
                .or(() -> loss.foundFlat().map(flat -> foundFlat(flat, rider)));
    }

    /** "Held 1.50 bar on Sunday, flat by Tuesday: at least 16 % a day." */
    public String foundFlat(FoundFlat flat, Rider rider) {
        return wording.text(
                "pace.flat.found",
                PressureText.text(flat.before().pressure(), rider.pressureUnit()),
                DateText.date(flat.before().at(), rider.zoneId()),
                DateText.date(flat.after().at(), rider.zoneId()),
                Numbers.fixed(PERCENT * flat.leastLossPerDay(), 0),
                wording.text("pace.class." + flat.named() + ".then"));
    }

    /** "Went from 1.90 to 0.14 bar within 10 minutes. ..." */
    public String sudden(SuddenLoss flat, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        long minutes = Math.max(1, flat.within().toMinutes());
        return wording.text(
                minutes <= MINUTES_MOST ? "pace.flat.minutes" : "pace.flat.hours",
                PressureText.number(flat.before().pressure(), unit),
                PressureText.text(flat.after().pressure(), unit),
                minutes <= MINUTES_MOST ? minutes : Math.round(minutes / 60.0));
    }

    /** Longer than this is said in hours. */
    private static final long MINUTES_MOST = 90;

    /** "1.55 bar on 10 Nov, 0.69 on 14 Nov, both at 20 °C, and much less since." */
    String gone(GoneAtOnce found, double heightM, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        return wording.text(
                "pace.gone",
                PressureText.text(found.before().at20(heightM), unit),
                DateText.moment(found.before().at(), rider.zoneId()),
                PressureText.text(found.after().at20(heightM), unit),
                DateText.moment(found.after().at(), rider.zoneId()));
    }

    /** "1.49 bar on 19 Nov, more than expected after 1.42 on 12 Nov. ..." */
    PacePage.Unlogged unlogged(UUID entry, UnloggedPumping found, double heightM, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        return new PacePage.Unlogged(
                entry,
                wording.text(
                        "pace.unlogged",
                        PressureText.text(found.after().at20(heightM), unit),
                        DateText.moment(found.after().at(), rider.zoneId()),
                        PressureText.text(found.before().at20(heightM), unit),
                        DateText.moment(found.before().at(), rider.zoneId())));
    }

    /** What it holds by now, and when it will be under the window. */
    List<String> ahead(PressureOutlook outlook, PressureWindow window, Rider rider, Instant now) {
        List<String> lines = new ArrayList<>();
        PressureUnit unit = rider.pressureUnit();
        outlook.expectedAt(now).ifPresent(expected -> lines.add(wording.text("pace.now", span(expected, unit))));
        if (window == null || outlook.pace() == null) {
            return lines;
        }
        String floor = PressureText.text(window.low(), unit);
        lines.add(outlook.under(window.low())
                .map(under -> under(under, floor, rider, now))
                .orElseGet(() -> wording.text("pace.under.never", floor)));
        return lines;
    }

    private String under(PressureOutlook.Under under, String floor, Rider rider, Instant now) {
        if (!under.likely().isAfter(now)) {
            return wording.text("pace.under.already", floor);
        }
        String likely = day(under.likely(), rider, now);
        String first = day(under.earliest().isBefore(now) ? now : under.earliest(), rider, now);
        return under.latest() == null
                ? wording.text("pace.under.open", floor, likely, first)
                : wording.text("pace.under", floor, likely, first, day(under.latest(), rider, now));
    }

    /** "Friday, 27 Nov", with its year where it is far off. */
    private static String day(Instant at, Rider rider, Instant now) {
        LocalDate day = LocalDate.ofInstant(at, rider.zoneId());
        return ChronoUnit.DAYS.between(now, at) < 100 ? DateText.weekday(day) : DateText.date(day);
    }

    /** "19.5 psi (18.4 to 20.6)". */
    private String span(PressureOutlook.Expected expected, PressureUnit unit) {
        return wording.text(
                "outlook.span",
                PressureText.text(expected.likely(), unit),
                PressureText.number(expected.low(), unit),
                PressureText.number(expected.high(), unit));
    }

    /** More than so many times what is wanted is not pumped in against a leak (ratio; our judgement). */
    private static final double MUCH = 1.5;

    /**
     * @param ceiling the most that tire and rim may get, or null where nothing says
     * @param fast whether it loses so much that it is not ridden before the leak is found
     */
    Optional<PacePage.Evening> evening(
            PressureOutlook outlook,
            EveningForm.Asked asked,
            GaugePressure ceiling,
            boolean fast,
            Rider rider,
            Instant now) {
        PressureUnit unit = rider.pressureUnit();
        return outlook.toSet(asked.wanted(), Duration.between(now, asked.at())).map(set -> {
            boolean above = ceiling != null && set.likely().isAbove(ceiling);
            boolean much = fast || set.likely().kpa() > MUCH * asked.wanted().kpa();
            if (above || much) {
                String against = above
                        ? wording.text("pace.evening.above", PressureText.text(ceiling, unit))
                        : wording.text("pace.evening.much");
                return new PacePage.Evening(null, null, "blocks", against);
            }
            boolean mayBe = ceiling != null && set.high().isAbove(ceiling);
            return new PacePage.Evening(
                    PressureText.both(set.likely(), unit),
                    wording.text(
                            "pace.evening.span",
                            PressureText.text(asked.wanted(), unit),
                            DateText.moment(asked.at(), rider.zoneId()),
                            PressureText.number(set.low(), unit),
                            PressureText.text(mayBe ? ceiling : set.high(), unit)),
                    mayBe ? "above" : null,
                    mayBe ? wording.text("pace.evening.near", PressureText.text(ceiling, unit)) : null);
        });
    }

    PacePage.Span span(List<LeakReading> span, double heightM, Rider rider) {
        LeakReading first = span.get(0);
        LeakReading last = span.get(span.size() - 1);
        PressureUnit unit = rider.pressureUnit();
        return new PacePage.Span(
                DateText.date(first.at(), rider.zoneId()),
                DateText.date(last.at(), rider.zoneId()),
                span.size(),
                span.size() < 2
                        ? wording.text("pace.span.none")
                        : wording.text(
                                "pace.span.fell",
                                PressureText.number(first.at20(heightM), unit),
                                PressureText.text(last.at20(heightM), unit)));
    }

    /** What is lettered in the chart; {@code low} the lower end of the target range, or null. */
    LossChart.Words chart(PressureOutlook outlook, PressureWindow window, GaugePressure floor, Rider rider) {
        return new LossChart.Words(
                wording.text("todo.today"),
                wording.text("pace.chart.range"),
                wording.text("pace.chart.sound"),
                floor == null ? null : wording.text("rule.lowest", PressureText.number(floor, rider.pressureUnit())),
                outlook == null || window == null
                        ? null
                        : outlook.under(window.low())
                                .map(under -> wording.text(
                                        "pace.chart.under",
                                        DateText.dayAndMonth(LocalDate.ofInstant(under.likely(), rider.zoneId()))))
                                .orElse(null));
    }

    List<PacePage.Band> bands(AirLoss loss) {
        LeakBands bands = loss.bands();
        LeakClass now = loss.named();
        List<PacePage.Band> lines = new ArrayList<>();
        for (int i = 0; i < LeakClass.NAMED.size(); i++) {
            LeakClass named = LeakClass.NAMED.get(i);
            String from = i == 0 ? "" : share(bands.from(named));
            String to = i + 1 < LeakClass.NAMED.size() ? share(bands.from(LeakClass.NAMED.get(i + 1))) : "";
            String range = i == 0
                    ? wording.text("pace.band.up-to", to)
                    : to.isEmpty() ? wording.text("pace.band.over", from) : wording.text("pace.band", from, to);
            lines.add(new PacePage.Band(
                    wording.of("pace.class", named),
                    range,
                    wording.text("pace.class." + named + ".then"),
                    named == now));
        }
        return lines;
    }
}
