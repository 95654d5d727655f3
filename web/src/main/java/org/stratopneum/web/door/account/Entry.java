package org.stratopneum.web.door.account;

import java.time.Duration;
import java.util.Optional;
import org.stratopneum.web.rider.RiderPrincipal;

/**
 * What came of knocking at the door.
 *
 * @param rider who it is, or null where that was not proved
 * @param pause how long whoever knocks must wait before they are heard; zero where they were
 */
record Entry(RiderPrincipal rider, Duration pause) {

    static final Entry WRONG = new Entry(null, Duration.ZERO);

    static Entry of(RiderPrincipal rider) {
        return new Entry(rider, Duration.ZERO);
    }

    static Entry tooSoon(Duration wait) {
        return new Entry(null, wait);
    }

    Optional<RiderPrincipal> in() {
        return Optional.ofNullable(rider);
    }
}
