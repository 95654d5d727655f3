package org.stratopneum.web.log;

import java.util.UUID;

/** What an entry is about, and where it was made; each part null where it does not apply. */
public record LogSubject(
        UUID bikeId, UUID wheelsetId, UUID wheelId, UUID tireId, UUID gaugeId, UUID placeId, UUID partId) {

    public static LogSubject wheel(UUID bikeId, UUID wheelId, UUID tireId) {
        return new LogSubject(bikeId, null, wheelId, tireId, null, null, null);
    }

    public static LogSubject wheelset(UUID bikeId, UUID wheelsetId) {
        return new LogSubject(bikeId, wheelsetId, null, null, null, null, null);
    }

    public LogSubject readWith(UUID gauge) {
        return new LogSubject(bikeId, wheelsetId, wheelId, tireId, gauge, placeId, partId);
    }

    public LogSubject at(UUID place) {
        return new LogSubject(bikeId, wheelsetId, wheelId, tireId, gaugeId, place, partId);
    }

    /** The same with something of the shelf. */
    public LogSubject with(UUID part) {
        return new LogSubject(bikeId, wheelsetId, wheelId, tireId, gaugeId, placeId, part);
    }
}
