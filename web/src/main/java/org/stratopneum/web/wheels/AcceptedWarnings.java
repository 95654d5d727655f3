package org.stratopneum.web.wheels;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.logbook.LogDetail;
import org.stratopneum.web.logbook.LogKind;
import org.stratopneum.web.logbook.LogRow;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.wording.FitText;

/** Warnings that were accepted, each with the entry that says so. */
record AcceptedWarnings(Map<LogDetail.WarningAccepted, UUID> entries) {

    /** What the rider goes on knowing, since the tire went on. */
    static AcceptedWarnings of(WheelStanding wheel, List<LogRow> setUp, Logbook logbook) {
        Instant since = wheel.tire().map(WheelStanding.Tire::since).orElse(Instant.MAX);
        return new AcceptedWarnings(setUp.stream()
                .filter(row -> row.kind() == LogKind.WARNING_ACCEPTED && !row.struck())
                .filter(row -> !row.happenedAt().isBefore(since))
                .collect(Collectors.toMap(
                        row -> (LogDetail.WarningAccepted) logbook.detailOf(row),
                        LogRow::id,
                        (newer, older) -> newer)));
    }

    private Optional<LogDetail.WarningAccepted> of(FitText.Said said) {
        return entries.keySet().stream()
                .filter(accepted -> accepted.code().equals(said.code()))
                .findFirst();
    }

    List<WheelPage.Accepted> accepted(FitText text) {
        return text.against().stream()
                .flatMap(said -> of(said).stream()
                        .map(known -> new WheelPage.Accepted(entries.get(known), said.message(), known.note())))
                .toList();
    }

    FitText without(FitText text) {
        return new FitText(
                text.against().stream().filter(said -> of(said).isEmpty()).toList(), text.fine(), text.unchecked());
    }
}
