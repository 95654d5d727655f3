package org.stratopneum.web.wheel;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.FitText;

/** Warnings that were accepted, each with the entry that says so. */
record AcceptedWarnings(Map<LogDetail.WarningAccepted, UUID> entries) {

    /** What the rider goes on knowing, since the tire went on. */
    static AcceptedWarnings of(WheelState wheel, Logbook logbook) {
        return new AcceptedWarnings(wheel.tire().stream()
                .map(tire -> new Logbook.Asked(List.of(LogKind.WARNING_ACCEPTED), tire.since()))
                .flatMap(asked -> logbook.current(List.of(wheel.wheelId()), List.of(asked)).stream())
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
