package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;

/**
 * What the log says of the liquid in the tire that is on a wheel now.
 *
 * @param events for the forecast, oldest first; empty while nothing was filled in
 * @param bottle the bottle of the last filling, and {@code family} what is in it, null where that was not noted
 */
record SealantRecord(List<SealantEvent> events, UUID bottle, SealantFamily family) {

    /** What sounds say of a volume, by the least that works (ratios; our judgement). */
    private static final double SILENCE_BELOW = 0.9;

    private static final double RATTLE_BELOW = 0.4;
    private static final double DRY_BELOW = 0.15;
    private static final double SLOSH_ABOVE = 0.6;
    private static final double WITHOUT_END_ML = 10_000;

    /** The last thing that a stick said. */
    Optional<SealantEvent.Dipped> lastDip() {
        return events.stream()
                .filter(SealantEvent.Dipped.class::isInstance)
                .map(SealantEvent.Dipped.class::cast)
                .reduce((first, second) -> second);
    }

    /** The same as if this had not been seen. */
    SealantRecord without(SealantEvent one) {
        return new SealantRecord(events.stream().filter(event -> event != one).toList(), bottle, family);
    }

    /** How often it was topped up since it was last renewed. */
    int topUps() {
        int topUps = 0;
        for (SealantEvent event : events) {
            if (event instanceof SealantEvent.Filled filled) {
                topUps = filled.renewed() ? 0 : topUps + 1;
            }
        }
        return topUps;
    }

    /** @param rows entries of the wheel, newest first, struck ones included */
    static SealantRecord of(
            WheelState.Tire tire, LiquidPool pool, double minimumMl, List<LogRow> rows, Logbook logbook, ZoneId zone) {
        List<SealantEvent> events = new ArrayList<>();
        UUID bottle = null;
        SealantFamily family = null;
        boolean filled = false;
        for (int i = rows.size() - 1; i >= 0; i--) {
            LogRow row = rows.get(i);
            if (row.struck() || ofAnother(row, tire) || before(row, tire.since(), zone)) {
                continue;
            }
            LogDetail detail = logbook.detailOf(row);
            LocalDate on = LocalDate.ofInstant(row.happenedAt(), zone);
            if (detail instanceof LogDetail.SealantAdded added) {
                events.add(
                        new SealantEvent.Filled(on, added.volumeMl(), !filled || Boolean.TRUE.equals(added.renewed())));
                filled = true;
                bottle = row.subject().partId();
                family = row.names().partFamily();
            } else if (filled) {
                seen(detail, on, pool, minimumMl).ifPresent(events::add);
            }
        }
        return new SealantRecord(filled ? events : List.of(), bottle, family);
    }

    /** A tire that was on the wheel earlier the same day took its own sealant with it. */
    private static boolean ofAnother(LogRow row, WheelState.Tire tire) {
        return row.subject().tireId() != null && !row.subject().tireId().equals(tire.id());
    }

    /** What was filled in while the tire was put on belongs to it, whichever of the two was noted first that day. */
    private static boolean before(LogRow row, Instant since, ZoneId zone) {
        return LocalDate.ofInstant(row.happenedAt(), zone).isBefore(LocalDate.ofInstant(since, zone));
    }

    private static Optional<SealantEvent> seen(LogDetail detail, LocalDate on, LiquidPool pool, double minimumMl) {
        if (detail instanceof LogDetail.SealantDipped dipped) {
            try {
                return Optional.of(SealantEvent.Dipped.of(on, dipped.depthMm(), pool));
            } catch (InvalidInputException exception) {
                // the tire was measured anew since, and is not as high any more
                return Optional.empty();
            }
        }
        if (detail instanceof LogDetail.PunctureSealed) {
            return Optional.of(new SealantEvent.Spent(on, SealantEvent.Spent.USUAL_ML));
        }
        if (detail instanceof LogDetail.SealantHeard heard) {
            return Optional.of(
                    switch (heard.sound()) {
                        case SLOSHES -> new SealantEvent.Heard(on, SLOSH_ABOVE * minimumMl, WITHOUT_END_ML);
                        case SILENT -> new SealantEvent.Heard(on, 0, SILENCE_BELOW * minimumMl);
                        case RATTLES -> new SealantEvent.Heard(on, 0, RATTLE_BELOW * minimumMl);
                        case DRY -> new SealantEvent.Heard(on, 0, DRY_BELOW * minimumMl);
                    });
        }
        return Optional.empty();
    }
}
