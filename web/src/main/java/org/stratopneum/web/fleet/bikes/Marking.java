package org.stratopneum.web.fleet.bikes;

import java.util.Optional;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.Setup;

/** What stands on tire and rim and nobody looked at yet; each is asked once it matters, the first of them first. */
public enum Marking {
    RIM_EDGE,
    HOOKLESS_TIRE,
    TUBELESS_TIRE,
    RIM_WIDTH;

    /** The first that is to be asked of a wheel; empty where all is known that matters, and without a tire. */
    public static Optional<Marking> unread(WheelState wheel) {
        return wheel.tire()
                .flatMap(tire -> Stream.of(values())
                        .filter(marking -> marking.isUnread(wheel, tire))
                        .findFirst());
    }

    private boolean isUnread(WheelState wheel, WheelState.Tire tire) {
        WheelState.Rim rim = wheel.rim();
        return switch (this) {
            case RIM_EDGE ->
                rim.hookless() == null && wheel.setup().filter(Setup::hookless).isPresent();
            case HOOKLESS_TIRE -> rim.isHookless() && tire.marks().hookless() == null;
            case TUBELESS_TIRE -> !wheel.tubed() && tire.marks().tubeless() == null;
            case RIM_WIDTH -> rim.widthAssumed();
        };
    }
}
