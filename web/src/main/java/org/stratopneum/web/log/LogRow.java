package org.stratopneum.web.log;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.sealant.SealantFamily;

/** A row of the log as the database holds it, with the names that a reader wants beside the ids. */
public record LogRow(
        UUID id,
        long sequence,
        LogKind kind,
        Instant happenedAt,
        Instant writtenAt,
        String zone,
        LogSubject subject,
        Double temperatureC,
        String detail,
        int detailVersion,
        LogSource source,
        UUID supersedes,
        boolean struck,
        String note,
        String reference,
        LogNames names) {

    /** As the columns come. */
    public LogRow(
            UUID id,
            long sequence,
            LogKind kind,
            Instant happenedAt,
            Instant writtenAt,
            String zone,
            UUID bikeId,
            UUID wheelsetId,
            UUID wheelId,
            UUID tireId,
            UUID gaugeId,
            UUID placeId,
            UUID partId,
            Double temperatureC,
            String detail,
            int detailVersion,
            LogSource source,
            UUID supersedes,
            boolean struck,
            String note,
            String reference,
            String bikeName,
            String wheelPosition,
            String wheelsetName,
            String tireName,
            String gaugeName,
            Double gaugeOffsetKpa,
            Double gaugeSlope,
            String partName,
            SealantFamily partFamily) {
        this(
                id,
                sequence,
                kind,
                happenedAt,
                writtenAt,
                zone,
                new LogSubject(bikeId, wheelsetId, wheelId, tireId, gaugeId, placeId, partId),
                temperatureC,
                detail,
                detailVersion,
                source,
                supersedes,
                struck,
                note,
                reference,
                new LogNames(
                        bikeName,
                        wheelPosition,
                        wheelsetName,
                        tireName,
                        gaugeName,
                        gaugeOffsetKpa == null || gaugeSlope == null
                                ? GaugeFit.NONE
                                : new GaugeFit(gaugeOffsetKpa, gaugeSlope, null, List.of()),
                        partName,
                        partFamily));
    }

    /** Whether the moment was typed, and not simply that of writing. */
    boolean hasOwnMoment() {
        return !happenedAt.equals(writtenAt);
    }
}
