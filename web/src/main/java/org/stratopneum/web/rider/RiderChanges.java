package org.stratopneum.web.rider;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Texts that are others whenever something of a rider's has changed in the database, as they were when the present request
 * first asked it for anything: what is read afterwards is at least as new.
 */
public final class RiderChanges {

    private static final String ATTRIBUTE = RiderChanges.class.getName();

    private final UUID rider;
    private final String butReadings;
    private final String readings;
    private final Map<UUID, String> byWheel = new HashMap<>();

    /** @param readings of each wheel of which pressures were read lately, as "wheel=text,wheel=text" */
    RiderChanges(UUID rider, String butReadings, String readings) {
        this.rider = rider;
        this.butReadings = butReadings;
        this.readings = readings;
        if (!readings.isEmpty()) {
            Arrays.stream(readings.split(",", -1))
                    .map(wheel -> wheel.split("=", 2))
                    .forEach(wheel -> byWheel.put(UUID.fromString(wheel[0]), wheel[1]));
        }
    }

    public UUID rider() {
        return rider;
    }

    /** Another one after any change. */
    public String ofAll() {
        return butReadings + ' ' + readings;
    }

    /** The same after pressures that were read, and nothing else. */
    public String butReadings() {
        return butReadings;
    }

    /** The same after pressures that were read of other wheels, and nothing else. */
    public String ofWheels(Collection<UUID> wheels) {
        return butReadings
                + wheels.stream()
                        .map(wheel -> byWheel.getOrDefault(wheel, ""))
                        .collect(Collectors.joining(",", " ", ""));
    }

    /** Of whoever is the rider now; empty outside of requests, after a change in this one, and before it has read anything. */
    public static Optional<RiderChanges> recall() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null
                && request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST) instanceof RiderChanges changes
                && CurrentRider.id().filter(changes.rider::equals).isPresent()) {
            return Optional.of(changes);
        }
        return Optional.empty();
    }

    /** Whether there is a request that has read nothing and changed nothing yet. */
    static boolean areMissing() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        return request != null && request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST) == null;
    }

    static void remember(RiderChanges changes) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(ATTRIBUTE, changes, RequestAttributes.SCOPE_REQUEST);
        }
    }

    /** Called when something may have changed: what this request has read before may be older than that. */
    static void forget() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(ATTRIBUTE, "changed", RequestAttributes.SCOPE_REQUEST);
        }
    }
}
