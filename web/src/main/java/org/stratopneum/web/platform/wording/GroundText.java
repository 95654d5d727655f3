package org.stratopneum.web.platform.wording;

import java.util.Map;
import java.util.stream.Collectors;
import org.stratopneum.core.pressure.Ground;

/** Writes the grounds of a ride with their shares. */
public final class GroundText {

    private static final double PERCENT = 100;

    private GroundText() {}

    /** "forest track 50 %, coarse gravel 30 %", in the order that they come in. */
    public static String shares(Map<Ground, Double> shares, Wording wording) {
        return shares.entrySet().stream()
                .map(entry ->
                        wording.of("ground", entry.getKey()) + " " + Numbers.upTo(PERCENT * entry.getValue(), 0) + " %")
                .collect(Collectors.joining(", "));
    }
}
