package org.stratopneum.web.pressure.pace;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.leak.PressureOutlook;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.rider.Rider;

/** Reads when the wheel should hold what; all of it stands in the address. */
final class EveningForm {

    private static final LocalTime USUAL_START = LocalTime.of(9, 0);

    private final FormReader reader;
    private final Asked asked;

    /** What is wanted, and when. */
    record Asked(Instant at, GaugePressure wanted) {}

    private EveningForm(FormReader reader, Asked asked) {
        this.reader = reader;
        this.asked = asked;
    }

    /** @param told what is told for the wheel, or null */
    static EveningForm of(Map<String, String> parameters, GaugePressure told, Rider rider, Instant now) {
        Map<String, String> typed = new TreeMap<>(parameters);
        typed.putIfAbsent("rideAt", nextSaturday(rider, now));
        typed.putIfAbsent("wanted", told == null ? "" : QuantityText.typed(told.kpa(), rider.pressureUnit()));
        FormReader reader = new FormReader(typed);
        boolean untouched = !parameters.containsKey("wanted") && told == null;
        if (untouched) {
            return new EveningForm(reader, null);
        }
        if (reader.isBlank("rideAt")) {
            reader.fault("rideAt", Problem.MISSING);
        }
        Optional<Instant> at = reader.moment("rideAt", rider.zoneId(), now.plus(36_500, ChronoUnit.DAYS));
        at.ifPresent(then -> {
            if (then.isBefore(now)) {
                reader.fault("rideAt", "in-the-past");
            } else if (then.isAfter(now.plus(PressureOutlook.FARTHEST_DAYS, ChronoUnit.DAYS))) {
                reader.add(new Problem("rideAt", "too-far-off", (double) PressureOutlook.FARTHEST_DAYS, null, "d"));
            }
        });
        Optional<Double> wanted =
                reader.requiredQuantity("wanted", GaugePressure.READING_KPA, rider.pressureUnit(), null);
        return new EveningForm(
                reader,
                reader.problems().isEmpty()
                        ? new Asked(at.orElseThrow(), GaugePressure.kpa(wanted.orElseThrow()))
                        : null);
    }

    private static String nextSaturday(Rider rider, Instant now) {
        ZonedDateTime local = now.atZone(rider.zoneId()).with(USUAL_START).truncatedTo(ChronoUnit.MINUTES);
        ZonedDateTime saturday = local.with(TemporalAdjusters.nextOrSame(DayOfWeek.SATURDAY));
        ZonedDateTime next = saturday.toInstant().isAfter(now) ? saturday : saturday.plusWeeks(1);
        return next.toLocalDateTime().toString();
    }

    Optional<Asked> asked() {
        return Optional.ofNullable(asked);
    }

    Map<String, String> typed() {
        return reader.typed();
    }

    Problems problems() {
        return reader.problems();
    }
}
