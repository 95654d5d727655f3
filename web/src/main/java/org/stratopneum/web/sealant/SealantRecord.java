package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogDetail.DipExplained;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;

/**
 * What the log says of the liquid in the tire that is on a wheel now.
 *
 * @param events for the forecast, oldest first; where nobody noted a filling, what was in the tire counts as found
 * @param noted whether somebody noted a filling, or that there was one
 * @param bottle the bottle of the last filling, and {@code family} what is in it, null where that was not noted
 * @param explained days whose dips the rider said something of
 * @param dips entries of the latest day that a stick was dipped
 */
record SealantRecord(
        List<SealantEvent> events,
        boolean noted,
        UUID bottle,
        SealantFamily family,
        Map<LocalDate, DipExplained> explained,
        List<UUID> dips) {

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

    /** What was put in last; empty where that was found. */
    Optional<SealantEvent.Filled> lastFilling() {
        return events.stream()
                .filter(SealantEvent.Start.class::isInstance)
                .reduce((first, second) -> second)
                .filter(SealantEvent.Filled.class::isInstance)
                .map(SealantEvent.Filled.class::cast);
    }

    /** @param rows entries of the wheel, newest first, struck ones included */
    static SealantRecord of(WheelState.Tire tire, double minimumMl, List<LogRow> rows, Logbook logbook, ZoneId zone) {
        Reader reader = new Reader(minimumMl, zone);
        List<LogRow> counting = rows.stream()
                .filter(row -> !row.struck() && !ofAnother(row, tire) && !before(row, tire.since(), zone))
                .toList();
        for (LogRow row : counting) {
            if (logbook.detailOf(row) instanceof DipExplained explained) {
                reader.explained.putIfAbsent(explained.on(), explained);
            }
        }
        boolean noted = counting.stream().anyMatch(SealantRecord::begins);
        if (!noted) {
            // nobody noted what is in there: it is as if it had been found so, the day that the tire is known of
            reader.events.add(new SealantEvent.Found(LocalDate.ofInstant(tire.since(), zone)));
        }
        for (int i = counting.size() - 1; i >= 0; i--) {
            reader.read(counting.get(i), logbook.detailOf(counting.get(i)));
        }
        return new SealantRecord(
                List.copyOf(reader.events),
                noted,
                reader.bottle,
                reader.family,
                Map.copyOf(reader.explained),
                reader.dips);
    }

    private static boolean begins(LogRow row) {
        return row.kind() == LogKind.SEALANT_ADDED || row.kind() == LogKind.SEALANT_FOUND;
    }

    /** A tire that was on the wheel earlier the same day took its own sealant with it. */
    private static boolean ofAnother(LogRow row, WheelState.Tire tire) {
        return row.subject().tireId() != null && !row.subject().tireId().equals(tire.id());
    }

    /** What was filled in while the tire was put on belongs to it, whichever of the two was noted first that day. */
    private static boolean before(LogRow row, Instant since, ZoneId zone) {
        return LocalDate.ofInstant(row.happenedAt(), zone).isBefore(LocalDate.ofInstant(since, zone));
    }

    /** Entries as events, oldest first; before the first filling nothing counts. */
    private static final class Reader {

        private final double minimumMl;
        private final ZoneId zone;
        private final List<SealantEvent> events = new ArrayList<>();
        private final Map<LocalDate, DipExplained> explained = new HashMap<>();
        private List<UUID> dips = List.of();
        private LocalDate dippedOn;
        private UUID bottle;
        private String product = "";
        private SealantFamily family;

        private Reader(double minimumMl, ZoneId zone) {
            this.minimumMl = minimumMl;
            this.zone = zone;
        }

        private void read(LogRow row, LogDetail detail) {
            LocalDate on = LocalDate.ofInstant(row.happenedAt(), zone);
            if (detail instanceof LogDetail.SealantAdded added) {
                filled(row, added, on);
            } else if (detail instanceof LogDetail.SealantFound found) {
                found(found, on);
            } else if (!events.isEmpty()) {
                if (detail instanceof LogDetail.SealantDipped dipped) {
                    dipped(row.id(), dipped, on);
                } else {
                    seen(detail, on).ifPresent(events::add);
                }
            }
        }

        private void filled(LogRow row, LogDetail.SealantAdded added, LocalDate on) {
            String now = row.names().part() == null ? "" : row.names().part();
            boolean another = !now.isEmpty() && !product.isEmpty() && !now.equals(product);
            boolean renewed = events.isEmpty() || Boolean.TRUE.equals(added.renewed());
            events.add(new SealantEvent.Filled(on, added.volumeMl(), renewed, another));
            bottle = row.subject().partId();
            product = now;
            family = row.names().partFamily();
        }

        /** Found is how it begins: what was noted before it says nothing of it. */
        private void found(LogDetail.SealantFound found, LocalDate on) {
            boolean told = found.filledOn() != null && !found.filledOn().isAfter(on);
            events.clear();
            events.add(told ? new SealantEvent.Found(on, found.filledOn()) : new SealantEvent.Found(on));
            bottle = null;
            product = "";
            family = null;
        }

        private void dipped(UUID entry, LogDetail.SealantDipped dipped, LocalDate on) {
            if (on.equals(dippedOn)) {
                dips = new ArrayList<>(dips);
                dips.add(entry);
            } else {
                lossSaidOf(on).ifPresent(events::add);
                dips = List.of(entry);
            }
            dippedOn = on;
            events.add(new SealantEvent.Dipped(on, dipped.depthMm()));
        }

        /** What went before the stick saw it, where the rider said so. */
        private Optional<SealantEvent> lossSaidOf(LocalDate on) {
            DipExplained said = explained.get(on);
            if (said == null) {
                return Optional.empty();
            }
            return switch (said.reason()) {
                case SPILLED -> Optional.ofNullable(said.volumeMl()).map(ml -> new SealantEvent.Lost(on, ml));
                case HOLE -> Optional.of(new SealantEvent.Spent(on, SealantEvent.Spent.USUAL_ML));
                case LUMPS, UNKNOWN -> Optional.empty();
            };
        }

        private Optional<SealantEvent> seen(LogDetail detail, LocalDate on) {
            if (detail instanceof LogDetail.PunctureSealed) {
                return Optional.of(new SealantEvent.Spent(on, SealantEvent.Spent.USUAL_ML));
            }
            if (detail instanceof LogDetail.SealantLost lost) {
                return Optional.of(new SealantEvent.Lost(on, lost.volumeMl()));
            }
            if (detail instanceof LogDetail.SealantHeard heard) {
                return Optional.of(
                        switch (heard.sound()) {
                            case SLOSHES -> SealantEvent.Heard.slosh(on, minimumMl);
                            case SILENT -> SealantEvent.Heard.silence(on, minimumMl);
                            case RATTLES -> SealantEvent.Heard.rattle(on, minimumMl);
                            case DRY -> new SealantEvent.LookedDry(on);
                        });
            }
            return Optional.empty();
        }
    }
}
