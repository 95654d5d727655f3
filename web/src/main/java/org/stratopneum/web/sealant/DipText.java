package org.stratopneum.web.sealant;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.platform.wording.FormReader;

/** Reads dips as people write them one after the other: numbers with gaps or semicolons between them. */
final class DipText {

    /** Nobody dips more often at a time. */
    private static final int MOST_DIPS = 20;

    static final String DIP_AGAIN = "dip-again";

    private DipText() {}

    /** Depths in their order (mm); empty with a fault of {@code field}. */
    static Optional<List<Double>> read(FormReader reader, String field, RiderUnit unit, Range depths) {
        if (reader.isBlank(field)) {
            reader.fault(field, Problem.MISSING);
            return Optional.empty();
        }
        List<Double> read = new ArrayList<>();
        for (String text : reader.text(field).split("[\\s;]+")) {
            FormReader one = new FormReader(Map.of(field, text));
            Optional<Double> depth = one.quantity(field, depths, unit, null);
            if (depth.isEmpty()) {
                one.problems().list().forEach(reader::add);
                return Optional.empty();
            }
            read.add(depth.get());
        }
        if (read.size() < LogDetail.SealantDipped.LEAST_DIPS || read.size() > MOST_DIPS) {
            reader.fault(field, DIP_AGAIN);
            return Optional.empty();
        }
        return Optional.of(read);
    }
}
