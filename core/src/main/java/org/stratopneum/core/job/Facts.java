package org.stratopneum.core.job;

import java.util.List;
import java.util.Optional;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.GaugePressure;

/** What a walk asks of the set-up. */
public interface Facts {

    boolean holds(Condition condition);

    /** The most that these parts may get; empty where nothing says. */
    Optional<GaugePressure> ceiling();

    /** What the advice says to ride with; empty where nothing does. */
    default Optional<GaugePressure> riding() {
        return Optional.empty();
    }

    /** Least and most that the advice sees on target, in this order; empty where nothing does. */
    default Optional<List<GaugePressure>> target() {
        return Optional.empty();
    }

    /** How the gauge in hand stands to the reference by which limits are told. */
    default GaugeFit gauge() {
        return GaugeFit.NONE;
    }
}
