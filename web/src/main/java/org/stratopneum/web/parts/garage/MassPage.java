package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;

/**
 * What a change of the rider's mass does to the other bikes, before it is kept.
 *
 * @param seenKg the new mass (kg), {@code from} and {@code to} in words
 * @param bikeId the bike whose form it was typed in, or null for a new one
 * @param parameters all that was typed
 */
record MassPage(UUID bikeId, String from, String to, double seenKg, List<Bike> bikes, Map<String, String> parameters) {

    MassPage {
        parameters = new TreeMap<>(parameters);
        // of an earlier look at it, and the way back
        parameters.keySet().removeIf(BikeController::isOfMass);
    }

    /** @param before what is told for it now, {@code after} what would be; null while something for them is missing */
    record Bike(UUID id, String name, String before, String after) {}
}
