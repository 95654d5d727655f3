package org.stratopneum.web.logbook;

import java.util.Set;
import java.util.UUID;

/** Entries were written from which it is learned what suits the rider; said within the same transaction. */
public record DiallingChanged(Set<UUID> bikes) {
    public DiallingChanged {
        bikes = Set.copyOf(bikes);
    }
}
