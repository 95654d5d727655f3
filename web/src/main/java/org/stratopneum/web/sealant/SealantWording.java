package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.Schedule;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.sealant.TubeSealant;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.platform.drawing.SealantChart;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Puts what is left in a tire into words and drawings. */
@Component
class SealantWording {

    /** A stick that reads less wrong than this is not spoken of (mm). */
    private static final double NOTABLE_BIAS_MM = 0.5;

    /** Then it is opened and scrubbed (common practice). */
    private static final int TOP_UPS = 4;

    private final Wording wording;
    private final Logbook logbook;

    SealantWording(Wording wording, Logbook logbook) {
        this.wording = wording;
        this.logbook = logbook;
    }

    /** @param rows what was noted on the wheel, newest first */
    String none(WheelState wheel, List<LogRow> rows, Rider rider) {
        if (wheel.tire().isEmpty()) {
            return wording.text("sealant.none.tire");
        }
        if (!wheel.tubed()) {
            return wording.text("sealant.none.misfit");
        }
        return rows.stream()
                .filter(row -> row.kind() == LogKind.SEALANT_ADDED && !row.struck())
                .filter(row -> !row.happenedAt()
                        .isBefore(wheel.tire().orElseThrow().since().minus(1, ChronoUnit.DAYS)))
                .findFirst()
                .map(row -> inTube(row, rider))
                .orElseGet(() -> wording.text("sealant.none.tube"));
    }

    private String inTube(LogRow row, Rider rider) {
        LocalDate day = LocalDate.ofInstant(row.happenedAt(), rider.zoneId());
        double ml = ((LogDetail.SealantAdded) logbook.detailOf(row)).volumeMl();
        return wording.text(
                "sealant.in-tube",
                QuantityText.text(ml, rider.volumeUnit()),
                DateText.date(day),
                DateText.date(TubeSealant.lookBy(day)));
    }

    String bottle(ShelfItem item, Rider rider) {
        return wording.text("sealant.bottle", item.name(), QuantityText.text(item.left(), rider.volumeUnit()));
    }

    /** What the stick said, as volume, and what it teaches. */
    private List<String> stick(SealantForecast now, WheelSealant liquid, Rider rider) {
        List<String> said = new ArrayList<>();
        now.latestDip().ifPresent(dip -> {
            WheelSealant.Dip volume = liquid.dip(dip.depthMm());
            said.add(wording.text(
                    "sealant.last-dip",
                    QuantityText.text(dip.depthMm(), rider.lengthUnit()),
                    DateText.date(dip.on()),
                    QuantityText.text(volume.ml(), rider.volumeUnit()),
                    QuantityText.number(volume.sigmaMl(), rider.volumeUnit())));
            if (dip.readings() > 1) {
                said.add(wording.text("sealant.dips-of-a-day", dip.readings()));
            }
            if (dip.isDry()) {
                said.add(wording.text(dip.isTooLow() ? "sealant.dry.lost" : "sealant.dry"));
            }
        });
        if (now.isUnknown()) {
            said.add(wording.text(
                    "sealant.found.unknown", QuantityText.text(now.volumeMl().p90(), rider.volumeUnit())));
        }
        double bias = now.stickBiasMm();
        if (Math.abs(bias) > NOTABLE_BIAS_MM) {
            said.add(wording.text(
                    bias > 0 ? "sealant.stick.high" : "sealant.stick.low",
                    QuantityText.text(Math.abs(bias), rider.lengthUnit())));
        }
        return said;
    }

    /** What a dip would be good for after the last filling. */
    private List<String> undipped(SealantRecord record, LocalDate today) {
        List<String> said = new ArrayList<>();
        record.lastFilling().ifPresent(filled -> {
            if (filled.anotherProduct()) {
                said.add(wording.text("sealant.another"));
            }
            if (filled.renewed() && SealantForecast.learnsStick(filled.on(), today)) {
                said.add(wording.text("sealant.learn"));
            }
        });
        return said;
    }

    /** What a dip that does not fit asks; null where it fits, or was answered. */
    SealantPage.Question question(SealantForecast now, SealantRecord record, Rider rider) {
        return now.latestDip()
                .filter(dip -> !record.explained().containsKey(dip.on()))
                .filter(dip -> dip.isTooLow() || dip.isTooHigh())
                .map(dip -> new SealantPage.Question(
                        dip.on(),
                        dip.isTooHigh(),
                        wording.text(
                                dip.isTooHigh() ? "sealant.question.high" : "sealant.question.low",
                                QuantityText.text(dip.expectedMl(), rider.volumeUnit()),
                                QuantityText.text(dip.dippedMl(), rider.volumeUnit()))))
                .orElse(null);
    }

    SealantPage.Left left(
            SealantForecast now,
            WheelSealant liquid,
            SealantRecord record,
            DryingClimate climate,
            LocalDate today,
            Rider rider,
            List<String> air,
            List<String> moved) {
        SealantForecast.Spread ml = now.volumeMl();
        double most = liquid.pool().volumeMl(liquid.pool().depths().maximum());
        double depth = liquid.pool().depthMm(Math.min(most, ml.p50()));
        double low = liquid.pool().depthMm(Math.min(most, ml.p10()));
        double high = liquid.pool().depthMm(Math.min(most, ml.p90()));
        Measured days = Measured.of(now, today);
        List<String> said = new ArrayList<>();
        said.addAll(stick(now, liquid, rider));
        if (now.latestDip().isEmpty()) {
            said.addAll(undipped(record, today));
        }
        said.addAll(days(days, now, liquid, today));
        said.addAll(state(now, record, today));
        air.stream().filter(line -> !line.isEmpty()).forEach(said::add);
        return new SealantPage.Left(
                QuantityText.number(ml.p50(), rider.volumeUnit()),
                wording.text(
                        "sealant.span",
                        QuantityText.number(ml.p10(), rider.volumeUnit()),
                        QuantityText.text(ml.p90(), rider.volumeUnit())),
                days.late() ? "below" : days.due() ? "none" : "inside",
                wording.text(
                        days.late()
                                ? "sealant.state.late"
                                : !days.due()
                                        ? "sealant.state.enough"
                                        : days.inDoubt() ? "sealant.state.doubt" : "sealant.state.look"),
                said,
                moved,
                SectionDrawing.of(
                        liquid.section(),
                        new SectionDrawing.Inside(liquid.hookless(), liquid.rimDepthMm(), true, false),
                        rider.lengthUnit(),
                        new SectionDrawing.Pool(
                                depth,
                                low,
                                high,
                                liquid.pool().depthMm(Math.min(most, liquid.minimumMl())),
                                true,
                                QuantityText.text(depth, rider.lengthUnit()),
                                wording.text("sealant.deep")),
                        wording.text("sealant.enough-to-seal")),
                wording.text(
                        "sealant.pool",
                        QuantityText.text(depth, rider.lengthUnit()),
                        QuantityText.number(low, rider.lengthUnit()),
                        QuantityText.text(high, rider.lengthUnit())),
                chart(now, days, liquid, record, climate, today, rider));
    }

    /**
     * The days that what was measured asks for, whatever schedule is followed.
     *
     * @param look null where a look would tell nothing, since one was just taken
     */
    private record Measured(LocalDate look, LocalDate refresh, LocalDate likelier, LocalDate today) {

        static Measured of(SealantForecast now, LocalDate today) {
            List<Schedule.Due> dues = new Schedule.Measured().dues(now, today);
            Schedule.Due refresh = dues.get(dues.size() - 1);
            boolean inDoubt = refresh.on().isBefore(now.refreshBy());
            return new Measured(inDoubt ? null : now.checkBy(), refresh.on(), now.refreshBy(), today);
        }

        /** It is too little more likely than not. */
        boolean late() {
            return !today.isBefore(likelier);
        }

        boolean due() {
            return !today.isBefore(inDoubt() ? refresh : look);
        }

        boolean inDoubt() {
            return look == null;
        }
    }

    /** When to look and to refresh, as measured and by the plan that is followed. */
    private List<String> days(Measured days, SealantForecast now, WheelSealant liquid, LocalDate today) {
        WheelCare.Plan plan = liquid.care().plan();
        List<String> said = new ArrayList<>();
        if (plan == WheelCare.Plan.UNTIL_DRY) {
            said.add(wording.text("sealant.until-dry"));
        }
        if (days.inDoubt() && !days.late()) {
            said.add(wording.text(
                    days.due() ? "sealant.doubt.now" : "sealant.doubt",
                    DateText.date(now.latestDip().orElseThrow().on()),
                    DateText.date(days.refresh()),
                    DateText.date(days.likelier())));
        } else {
            said.add(wording.text(
                    days.late() ? "sealant.refresh.now" : "sealant.refresh", DateText.date(days.likelier())));
        }
        if (!days.inDoubt()) {
            said.add(wording.text(days.due() ? "sealant.check.now" : "sealant.check", DateText.date(days.look())));
        }
        if (plan != WheelCare.Plan.MEASURED && plan != WheelCare.Plan.UNTIL_DRY) {
            said.add(wording.text(
                    "sealant.by-plan",
                    liquid.care().schedule().dues(now, today).stream()
                            .map(due -> wording.text(
                                    "sealant.plan-due", wording.of("schedule", due.kind()), DateText.date(due.on())))
                            .collect(Collectors.joining(", "))));
        }
        return said;
    }

    /** How fast it dries, and what its age and its top-ups say. */
    private List<String> state(SealantForecast now, SealantRecord record, LocalDate today) {
        List<String> said = new ArrayList<>();
        said.add(wording.text(
                "sealant.rate",
                Numbers.fixed(now.rateFactor().p50(), 2),
                Numbers.fixed(now.rateFactor().p10(), 2),
                Numbers.fixed(now.rateFactor().p90(), 2)));
        if (!today.isBefore(now.renewedOn().plusMonths(SealantForecast.LONGEST_MONTHS))) {
            said.add(wording.text("sealant.old", DateText.date(now.renewedOn())));
        }
        if (record.topUps() >= TOP_UPS) {
            said.add(wording.text("sealant.many-top-ups", record.topUps()));
        }
        return said;
    }

    private SealantChart chart(
            SealantForecast now,
            Measured days,
            WheelSealant liquid,
            SealantRecord record,
            DryingClimate climate,
            LocalDate today,
            Rider rider) {
        RiderUnit unit = rider.volumeUnit();
        return new SealantChart(
                new SealantChart.Shown(
                        liquid.curve(now, today, record, climate),
                        record.events().stream()
                                .filter(SealantEvent.Dipped.class::isInstance)
                                .map(SealantEvent.Dipped.class::cast)
                                .filter(dip -> !dip.on().isBefore(now.startedOn()))
                                .map(dip -> seen(dip, liquid))
                                .toList(),
                        liquid.minimumMl(),
                        today,
                        days.look(),
                        days.refresh(),
                        unit.fromCore(1),
                        "/log?topic=SEALANT&about=wheel-" + liquid.wheelId()),
                new SealantChart.Words(
                        wording.text(
                                "sealant.chart.today",
                                QuantityText.text(now.volumeMl().p50(), unit)),
                        wording.text("sealant.chart.check"),
                        wording.text("sealant.chart.refresh"),
                        wording.text("sealant.chart.minimum", QuantityText.text(liquid.minimumMl(), unit)),
                        unit.symbol(),
                        wording.text("sealant.chart.dipped")));
    }

    private static SealantChart.Seen seen(SealantEvent.Dipped dip, WheelSealant liquid) {
        WheelSealant.Dip volume = liquid.dip(dip.depthMm());
        return new SealantChart.Seen(dip.on(), volume.ml(), volume.sigmaMl());
    }
}
