package org.stratopneum.web.bikes;

import java.time.Instant;
import java.util.UUID;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Posture;

/** One wheel in its bike, flat as the query gives it. */
record StandingRow(
        UUID bikeId,
        String bikeName,
        Posture posture,
        Double shareFront,
        double bikeKg,
        double gearKg,
        double luggageFrontKg,
        double luggageMiddleKg,
        double luggageRearKg,
        DropSchool dropSchool,
        boolean wet,
        UUID wheelsetId,
        String wheelsetName,
        UUID wheelId,
        WheelPosition position,
        UUID rimId,
        String rimName,
        Double rimInternalWidthMm,
        Double rimDepthMm,
        Boolean hookless,
        RimBed tubelessBed,
        Double rimMaxKpa,
        UUID tireId,
        String tireName,
        Double nominalWidthMm,
        Double bsdMm,
        Double measuringRimWidthMm,
        Casing casing,
        Boolean tubelessMarked,
        Boolean hooklessAllowed,
        Boolean directional,
        Double tireMaxKpa,
        Double tireMinKpa,
        Double maxLoadKg,
        String fittedDetail,
        Instant fittedSince,
        String readingDetail,
        Instant readAt) {}
