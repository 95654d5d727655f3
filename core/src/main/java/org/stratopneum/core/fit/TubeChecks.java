package org.stratopneum.core.fit;

import org.stratopneum.core.check.Level;
import org.stratopneum.core.quantity.Length;

/** Tube and tire; only where a tube is to go in. */
final class TubeChecks {

    private TubeChecks() {}

    static void check(FitCase parts, FitCheck.Gathering gathering) {
        if (parts.tubeless()) {
            return;
        }
        if (parts.tube() == null) {
            gathering.unchecked(FitCheck.Unchecked.TUBE);
            return;
        }
        FitCase.Tube tube = parts.tube();
        double tire = parts.tire().nominalWidthMm();
        if (tube.beadSeatDiameterMm() != parts.tire().beadSeatDiameterMm()) {
            gathering.add(
                    Level.BLOCKS,
                    FitCode.TUBE_OTHER_DIAMETER,
                    Length.mm(tube.beadSeatDiameterMm()),
                    Length.mm(parts.tire().beadSeatDiameterMm()));
            return;
        }
        Object[] details = {Length.mm(tire), Length.mm(tube.minWidthMm()), Length.mm(tube.maxWidthMm())};
        if (tire > TubeSize.MOST_STRETCH * tube.maxWidthMm()) {
            gathering.add(Level.BLOCKS, FitCode.TUBE_TOO_SMALL, details);
        } else if (tire > tube.maxWidthMm()) {
            gathering.add(Level.WARNS, FitCode.TUBE_STRETCHED, details);
        } else if (tire < tube.minWidthMm()) {
            gathering.add(Level.WARNS, FitCode.TUBE_FOLDED, details);
        } else {
            gathering.add(Level.FINE, FitCode.TUBE_FITS, details);
        }
    }
}
