package org.stratopneum.web.log;

import java.util.Set;
import java.util.UUID;

/** Entries were written from which it is learned what suits the rider; said within the same transaction. */
public record LearningChanged(Set<UUID> bikes) {
    public LearningChanged {
        bikes = Set.copyOf(bikes);
    }
}
