package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.care.WheelCare;
import org.stratopneum.web.drawing.PoolDrawing;
import org.stratopneum.web.drawing.SealantChart;
import org.stratopneum.web.drawing.SectionDrawing;
import org.stratopneum.web.logbook.LogLine;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.LogWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.shelf.ShelfItem;
import org.stratopneum.web.wording.Age;
import org.stratopneum.web.wording.Numbers;
import org.stratopneum.web.wording.QuantityText;
import org.stratopneum.web.wording.Wording;

/** Puts what is left in a tire into words and drawings. */
@Component
class SealantWording {

    private final Wording wording;
    private final LogWording logWording;

    SealantWording(Wording wording, LogWording logWording) {
        this.wording = wording;
        this.logWording = logWording;
    }

    String none(WheelStanding wheel) {
        if (wheel.tire().isEmpty()) {
            return wording.text("sealant.none.tire");
        }
        return wording.text(wheel.tubed() ? "sealant.none.tube" : "sealant.none.misfit");
    }

    String bottle(ShelfItem item, Rider rider) {
        return wording.text("sealant.bottle", item.name(), QuantityText.text(item.left(), rider.volumeUnit()));
    }

    SealantPage.Entry entry(LogRow row, Rider rider) {
        LogLine line = logWording.line(row, rider);
        return new SealantPage.Entry(
                row.id(),
                Age.moment(row.happenedAt(), rider.zoneId()),
                line.what(),
                line.note(),
                row.struck(),
                line.corrected());
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
        boolean late = !today.isBefore(now.refreshBy());
        boolean look = !today.isBefore(now.checkBy());
        List<String> said = new ArrayList<>();
        if (liquid.care().plan() == WheelCare.Plan.UNTIL_DRY) {
            said.add(wording.text("sealant.until-dry"));
        }
        said.add(wording.text(late ? "sealant.refresh.now" : "sealant.refresh", Age.date(now.refreshBy())));
        said.add(wording.text(look ? "sealant.check.now" : "sealant.check", Age.date(now.checkBy())));
        if (liquid.care().plan() != WheelCare.Plan.MEASURED && liquid.care().plan() != WheelCare.Plan.UNTIL_DRY) {
            said.add(wording.text(
                    "sealant.by-plan",
                    liquid.care().schedule().dues(now, today).stream()
                            .map(due -> wording.text(
                                    "sealant.plan-due", wording.of("schedule", due.kind()), Age.date(due.on())))
                            .collect(Collectors.joining(", "))));
        }
        said.add(wording.text(
                "sealant.rate",
                Numbers.fixed(now.rateFactor().p50(), 2),
                Numbers.fixed(now.rateFactor().p10(), 2),
                Numbers.fixed(now.rateFactor().p90(), 2)));
        if (!today.isBefore(now.renewedOn().plusMonths(SealantForecast.LONGEST_MONTHS))) {
            said.add(wording.text("sealant.old", Age.date(now.renewedOn())));
        }
        air.stream().filter(line -> !line.isEmpty()).forEach(said::add);
        SectionDrawing drawing = SectionDrawing.of(
                liquid.section(), new SectionDrawing.Inside(liquid.hookless(), null, true, false), rider.lengthUnit());
        return new SealantPage.Left(
                QuantityText.number(ml.p50(), rider.volumeUnit()),
                wording.text(
                        "sealant.span",
                        QuantityText.number(ml.p10(), rider.volumeUnit()),
                        QuantityText.text(ml.p90(), rider.volumeUnit())),
                late ? "below" : look ? "none" : "inside",
                wording.text(late ? "sealant.state.late" : look ? "sealant.state.look" : "sealant.state.enough"),
                said,
                moved,
                PoolDrawing.of(liquid.section(), depth, low, high),
                new SealantPage.Section(drawing, drawing.pool(depth), drawing.pool(low) + drawing.pool(high)),
                wording.text(
                        "sealant.pool",
                        QuantityText.text(depth, rider.lengthUnit()),
                        QuantityText.number(low, rider.lengthUnit()),
                        QuantityText.text(high, rider.lengthUnit())),
                SealantChart.of(
                        liquid.curve(now, today, record, climate),
                        record.events().stream()
                                .filter(SealantEvent.Dipped.class::isInstance)
                                .map(SealantEvent.Dipped.class::cast)
                                .filter(dip -> !dip.on().isBefore(now.filledOn()))
                                .map(dip -> new SealantChart.Seen(dip.on(), dip.ml(), dip.sigmaMl()))
                                .toList(),
                        liquid.minimumMl(),
                        today,
                        now.checkBy(),
                        now.refreshBy(),
                        rider.volumeUnit().fromCore(1)));
    }
}
