package org.stratopneum.bench.season.truth;

import java.util.EnumMap;
import java.util.Map;
import org.stratopneum.core.pressure.Ground;

/**
 * What the ground does to tires (our guesses, in the order that the trade gives them).
 *
 * @param edgesPerKm edges that are hit, {@code edgeM} mean of their heights (exponential, m)
 * @param thornsPerKm what pierces a tread
 * @param cornersPerKm corners that may roll a bead off
 * @param comfort what suits there against smooth ground (ratio of the pressure)
 */
record Terrain(double edgesPerKm, double edgeM, double thornsPerKm, double cornersPerKm, double comfort) {

    private static final Map<Ground, Terrain> ALL = new EnumMap<>(Map.ofEntries(
            Map.entry(Ground.SMOOTH_PAVEMENT, new Terrain(0.02, 0.040, 1 / 4000.0, 0, 1.03)),
            Map.entry(Ground.BROKEN_PAVEMENT, new Terrain(0.3, 0.035, 1 / 2500.0, 0, 0.98)),
            Map.entry(Ground.FINE_GRAVEL, new Terrain(0.5, 0.030, 1 / 2000.0, 0.01, 0.94)),
            Map.entry(Ground.COARSE_GRAVEL, new Terrain(1, 0.040, 1 / 1200.0, 0.02, 0.95)),
            Map.entry(Ground.FOREST_TRACK, new Terrain(1, 0.045, 1 / 1200.0, 0.03, 1)),
            Map.entry(Ground.CROSS_COUNTRY, new Terrain(2, 0.050, 1 / 900.0, 0.06, 1.02)),
            Map.entry(Ground.ROUGH_TRAIL, new Terrain(3, 0.060, 1 / 700.0, 0.1, 1.05)),
            Map.entry(Ground.ROCK, new Terrain(4, 0.070, 1 / 600.0, 0.12, 1.1)),
            Map.entry(Ground.BIKE_PARK, new Terrain(5, 0.080, 1 / 800.0, 0.2, 1.12)),
            Map.entry(Ground.MUD, new Terrain(0.5, 0.040, 1 / 1200.0, 0.03, 0.92)),
            Map.entry(Ground.SAND_SNOW, new Terrain(0.02, 0.040, 1 / 3000.0, 0, 0.8))));

    static Terrain of(Ground ground) {
        return ALL.get(ground);
    }

    /** Rim strikes to be expected on a way, where edges strike from so high on. */
    double strikes(double km, double fromM) {
        return km * edgesPerKm * Math.exp(-fromM / edgeM);
    }
}
