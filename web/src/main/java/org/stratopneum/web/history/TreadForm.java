package org.stratopneum.web.history;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.web.log.TreadMeasured;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.rider.Rider;

/** Reads how deep a tread was found. */
final class TreadForm {

    private static final String AT = "treadAt";

    private TreadForm() {}

    /** What is in the form before anybody typed. */
    static Map<String, String> blank(double wornAtMm, Rider rider) {
        return Map.of("worn", QuantityText.typed(wornAtMm, rider.lengthUnit()));
    }

    /** What was measured, and when; empty for now. */
    record Read(TreadMeasured measured, Optional<Instant> at) {}

    /** Empty with faults in {@code reader}. */
    static Optional<Read> read(FormReader reader, Rider rider, Instant now) {
        Optional<Double> middle = reader.requiredQuantity("middle", TreadWear.DEPTH_MM, rider.lengthUnit(), null);
        Optional<Double> shoulder = reader.quantity("shoulder", TreadWear.DEPTH_MM, rider.lengthUnit(), null);
        Optional<Double> worn = reader.quantity("worn", TreadWear.DEPTH_MM, rider.lengthUnit(), null);
        Optional<TreadMeasured.Flanks> flanks = reader.choice("flanks", TreadMeasured.Flanks.class);
        Optional<Instant> at = reader.moment(AT, rider.zoneId(), now);
        return reader.problems().isEmpty()
                ? Optional.of(new Read(
                        new TreadMeasured(
                                middle.orElseThrow(), shoulder.orElse(null), flanks.orElse(null), worn.orElse(null)),
                        at))
                : Optional.empty();
    }
}
