package org.stratopneum.web.pressure.pace;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.HoldTest;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Reads from the log whether a wheel held its air since it was last pumped. */
@Component
class HoldReading {

    /** Nothing is known of the height yet; both readings are made in the same place, where it hardly matters. */
    private static final double HEIGHT_M = 0;

    private final Logbook logbook;
    private final Wording wording;

    HoldReading(Logbook logbook, Wording wording) {
        this.logbook = logbook;
        this.wording = wording;
    }

    /** A reading with what the gauge showed. */
    private record Read(LogRow row, LogDetail.GaugeRead detail) {
        HoldTest.Reading asTest() {
            Double celsius = row.temperatureC();
            return new HoldTest.Reading(
                    row.happenedAt(),
                    row.names().gaugeFit().toReference(detail.pressure()),
                    celsius == null ? null : Temperature.celsius(celsius));
        }

        boolean hasAir() {
            return detail.gaugeKpa() > 0;
        }
    }

    /**
     * Empty while nobody has read the wheel at least eight hours after pumping it.
     *
     * @param rows readings of the wheel since its tire went on, newest first
     */
    Optional<PacePage.Hold> of(List<LogRow> rows, Rider rider) {
        List<Read> readings = rows.stream()
                .filter(row -> !row.struck())
                .map(row -> new Read(row, (LogDetail.GaugeRead) logbook.detailOf(row)))
                .toList();
        Optional<Read> start =
                readings.stream().filter(read -> read.detail().afterInflation()).findFirst();
        Optional<PacePage.Hold> stood = start.filter(Read::hasAir)
                .flatMap(from -> readings.stream()
                        .takeWhile(read -> read != from)
                        .filter(read -> !Duration.between(
                                        from.row().happenedAt(), read.row().happenedAt())
                                .minus(HoldTest.SHORTEST)
                                .isNegative())
                        .findFirst()
                        .map(to -> said(from, to, rider)));
        return stood.or(() -> tested(readings, rider));
    }

    /** The last hold test of a job card; it counts also where the tire was pumped or let down since. */
    private Optional<PacePage.Hold> tested(List<Read> readings, Rider rider) {
        return newest(readings, LogKind.HOLD_ENDED)
                .flatMap(end -> newest(
                                readings.subList(readings.indexOf(end) + 1, readings.size()), LogKind.HOLD_STARTED)
                        .filter(Read::hasAir)
                        .filter(from -> !Duration.between(
                                        from.row().happenedAt(), end.row().happenedAt())
                                .minus(HoldTest.SHORTEST)
                                .isNegative())
                        .map(from -> said(from, end, rider)));
    }

    private static Optional<Read> newest(List<Read> readings, LogKind kind) {
        return readings.stream().filter(read -> read.row().kind() == kind).findFirst();
    }

    private PacePage.Hold said(Read start, Read end, Rider rider) {
        PressureUnit unit = rider.pressureUnit();
        double step = unit.toKpa(unit.resolution());
        HoldTest test = HoldTest.of(start.asTest(), end.asTest(), HEIGHT_M, step);
        String loss = wording.text(
                test.corrected() ? "hold.loss" : "hold.loss.not-corrected",
                percent(Math.max(0, test.lossPerDay())),
                percent(test.doubt()));
        return new PacePage.Hold(
                wording.text(
                        "hold.read",
                        text(start.detail().pressure(), unit),
                        DateText.moment(start.row().happenedAt(), rider.zoneId()),
                        text(end.detail().pressure(), unit),
                        DateText.moment(end.row().happenedAt(), rider.zoneId())),
                loss,
                wording.of("hold", test.outcome()),
                test.outcome() == HoldTest.Outcome.PASSED
                        ? "inside"
                        : test.outcome() == HoldTest.Outcome.REPEAT ? "below" : "blocks");
    }

    private static String text(GaugePressure pressure, PressureUnit unit) {
        return PressureText.text(pressure, unit);
    }

    private static String percent(double ratio) {
        return Numbers.fixed(100 * ratio, 1) + " %";
    }
}
