package org.stratopneum.web.pressure.ridden;

import java.time.Instant;
import java.util.UUID;

/**
 * A recorded ride whose file is kept.
 *
 * @param bytes size of the file, {@code sha256} its digest
 * @param distanceM length (m), {@code climbM} height gained (m) or null
 * @param startedAt first moment, {@code endedAt} last moment, both null without times
 * @param latitudeDeg where it starts (degrees), and {@code longitudeDeg}
 * @param startM height where it starts (m), {@code highestM} the greatest, both null without heights
 * @param temperatureC mean of what the device measured on its way (°C), or null
 */
record KeptTrack(
        UUID id,
        String name,
        long bytes,
        byte[] sha256,
        Instant keptAt,
        int points,
        double distanceM,
        Double climbM,
        Instant startedAt,
        Instant endedAt,
        double latitudeDeg,
        double longitudeDeg,
        Double startM,
        Double highestM,
        Double temperatureC) {}
