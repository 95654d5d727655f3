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
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.leak.LeakRate;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PaceChange;
import org.stratopneum.core.leak.PressureFall;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.leak.UnexplainedRise;
import org.stratopneum.core.leak.WentFlat;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelState;
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

    /** A gauge that shows next to nothing leaves the bracket open downwards (ratio). */
    private static final double NO_SENSE = 10;

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
    public String percent(PressureFall fall) {
        return wording.text(
                "pace.percent", share(fall.lossPerDay()), share(fall.lowLossPerDay()), share(fall.highLossPerDay()));
    }

    private static String share(double ratio) {
        return ratio < -NO_SENSE ? "< -" + Numbers.fixed(PERCENT * NO_SENSE, 0) : Numbers.fixed(PERCENT * ratio, 1);
    }

    PacePage.Rate rate(LeakRate rate, WheelPace pace, GaugePressure told, WheelState wheel, Rider rider) {
        PressureFall fall = rate.fall();
        return new PacePage.Rate(
                code(rate.named()),
                wording.of("pace.class", rate.named()),
                wording.text("pace.class." + rate.named() + ".then"),
                percent(fall),
                told == null ? null : atTold(fall, told, rider.pressureUnit()),
                fall.halfLifeDays()
                        .map(days -> days > LONG_DAYS
                                ? wording.text("pace.half.long")
                                : wording.text("pace.half", Numbers.fixed(days, days < 10 ? 1 : 0)))
                        .orElse(null),
                told == null ? null : hole(fall, told, pace, wheel),
                rate.readAgain() == null
                        ? null
                        : wording.text(
                                "pace.again", DateText.weekday(LocalDate.ofInstant(rate.readAgain(), rider.zoneId()))));
    }

    private String atTold(PressureFall fall, GaugePressure told, PressureUnit unit) {
        PressureUnit beside = PressureText.beside(unit);
        double loss = told.kpa() * fall.lossPerDay();
        return wording.text(
                "pace.at-told",
                Numbers.fixed(unit.fromKpa(loss), unit.decimals() + 1),
                unit.symbol(),
                Numbers.fixed(beside.fromKpa(loss), beside.decimals() + 1),
                beside.symbol(),
                PressureText.text(told, unit));
    }

    /** As if all of it went through one hole; nothing where it hardly falls. */
    private static String hole(PressureFall fall, GaugePressure told, WheelPace pace, WheelState wheel) {
        if (!(fall.lowLossPerDay() > 0)) {
            return null;
        }
        return wheel.tireOnRim()
                .map(onRim -> {
                    double litres = onRim.section().airVolumeL();
                    Surroundings there = Surroundings.of(REFERENCE_C, pace.heightM());
                    return Numbers.fixed(micrometres(fall.lossPerDay(), told, litres, there), 0);
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

    PacePage.Change change(PaceChange change, List<PacePage.Near> near, Rider rider) {
        return new PacePage.Change(
                DateText.weekday(LocalDate.ofInstant(change.since(), rider.zoneId())),
                wording.text("pace.change", share(change.before()), share(change.now())),
                near);
    }

    /** "Went from 1.90 to 0.14 bar within 10 minutes. ..." */
    String flat(WentFlat flat, Rider rider) {
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

    PacePage.Rise rise(UUID entry, UnexplainedRise rise, double heightM, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        return new PacePage.Rise(
                entry,
                wording.text(
                        "pace.rise",
                        PressureText.text(rise.before().at20(heightM), unit),
                        DateText.moment(rise.before().at(), rider.zoneId()),
                        PressureText.text(rise.after().at20(heightM), unit),
                        DateText.moment(rise.after().at(), rider.zoneId())));
    }

    /** What it holds by now, and when it will be under the window. */
    List<String> ahead(PressureOutlook outlook, PressureWindow window, Rider rider, Instant now) {
        List<String> lines = new ArrayList<>();
        PressureUnit unit = rider.pressureUnit();
        outlook.expectedAt(now).ifPresent(expected -> lines.add(wording.text("pace.now", span(expected, unit))));
        if (window == null || outlook.lossPerDay().isEmpty()) {
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
    private String span(PressureFall.Expected expected, PressureUnit unit) {
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

    PacePage.Span span(List<LeakReading> span, Optional<PressureFall> fall, Rider rider) {
        return new PacePage.Span(
                DateText.date(span.get(0).at(), rider.zoneId()),
                DateText.date(span.get(span.size() - 1).at(), rider.zoneId()),
                span.size(),
                fall.map(this::percent).orElseGet(() -> wording.text("pace.span.none")));
    }

    List<PacePage.Band> bands(WheelPace pace) {
        LeakBands bands = pace.bands();
        LeakClass now = pace.rate().map(LeakRate::named).orElse(LeakClass.UNSURE);
        List<PacePage.Band> lines = new ArrayList<>();
        for (int i = 0; i < LeakClass.NAMED.size(); i++) {
            LeakClass named = LeakClass.NAMED.get(i);
            String from = share(bands.from(named));
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
