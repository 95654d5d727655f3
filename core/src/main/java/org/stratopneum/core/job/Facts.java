package org.stratopneum.core.job;

import java.util.Optional;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.GaugePressure;

/** What a walk asks of the set-up. */
public interface Facts {

    boolean holds(Condition condition);

    /** The most that these parts may get; empty where nothing says. */
    Optional<GaugePressure> ceiling();

    /** How the gauge in hand stands to the reference by which limits are told. */
    default GaugeFit gauge() {
        return GaugeFit.NONE;
    }
}
