package org.stratopneum.web.fleet.bikes;

import org.stratopneum.core.fit.FitCase;

/**
 * What goes with a tire on its rim, as far as it is known.
 *
 * @param valve the valve, or null
 * @param tube the tube, or null
 * @param openingMm room between the stays, or in the fork, where the tire is widest (mm), or null
 */
public record FitParts(FitCase.Valve valve, FitCase.Tube tube, Double openingMm) {

    public static final FitParts UNKNOWN = new FitParts(null, null, null);
}
