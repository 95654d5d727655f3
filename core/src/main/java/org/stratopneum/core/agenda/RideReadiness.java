package org.stratopneum.core.agenda;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;

/** What must be done on a wheel before a ride, what had better be, and by when; all else can wait. */
public final class RideReadiness {

    private RideReadiness() {}

    /** How it stands to the ride. */
    public enum Standing {
        /** Not ridden before that is done. */
        MUST,
        /** Due by the ride; it can be ridden without, at the risk that made it due. */
        BETTER
    }

    /**
     * Something to do before the ride.
     *
     * @param latest the last day on which it helps: what wants a night standing is done the day before
     */
    public record Before(DueItem item, Standing standing, LocalDate latest) {}

    /** @return what must be done first, then by the day on which it is done at the latest */
    public static List<Before> of(List<DueItem> items, LocalDate ride) {
        return items.stream()
                .filter(item -> item.isDueOn(ride))
                .map(item -> before(item, ride))
                .sorted(Comparator.comparing(Before::standing).thenComparing(Before::latest))
                .toList();
    }

    private static Before before(DueItem item, LocalDate ride) {
        return switch (item.reason().needs()) {
            case BEFORE_RIDING -> new Before(item, Standing.MUST, ride);
            case STANDING -> new Before(item, Standing.BETTER, ride.minusDays(1));
            case SOME_TIME -> new Before(item, Standing.BETTER, ride);
        };
    }
}
