package org.stratopneum.bench.season.hut;

import java.util.EnumMap;
import java.util.Map;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.Ride;
import org.stratopneum.core.pressure.SystemMass;

/** The demo's bikes as its garage has them, and how often each is ridden. */
enum HutBike {
    SKYLARK(
            Posture.MOUNTAIN,
            new SystemMass(HutBike.RIDER_KG, 5, 12.8, 3.5, 4, 4.5),
            0.5,
            Map.of(Ground.FOREST_TRACK, 0.5, Ground.COARSE_GRAVEL, 0.3, Ground.CROSS_COUNTRY, 0.2)),
    HERON(
            Posture.CARGO,
            new SystemMass(HutBike.RIDER_KG, 4, 38, 0, 0, 45),
            0.2,
            Map.of(Ground.SMOOTH_PAVEMENT, 0.5, Ground.BROKEN_PAVEMENT, 0.3, Ground.FINE_GRAVEL, 0.2)),
    SLEDGE(
            Posture.GRAVEL,
            new SystemMass(HutBike.RIDER_KG, 4, 9.6, 0, 2, 0),
            0.3,
            Map.of(Ground.FINE_GRAVEL, 0.6, Ground.BROKEN_PAVEMENT, 0.25, Ground.COARSE_GRAVEL, 0.15));

    private static final double RIDER_KG = 64;

    private final Posture posture;
    private final SystemMass mass;
    private final double often;
    private final Map<Ground, Double> ground;

    HutBike(Posture posture, SystemMass mass, double often, Map<Ground, Double> ground) {
        this.posture = posture;
        this.mass = mass;
        this.often = often;
        this.ground = new EnumMap<>(ground);
    }

    int number() {
        return 301 + ordinal();
    }

    double loadKg(boolean rear) {
        LoadShare share = LoadShare.of(posture);
        return (rear ? mass.onRear(share) : mass.onFront(share)).kg();
    }

    Ride usual() {
        return new Ride(
                posture.usualDrop(),
                new GroundMix(ground),
                false,
                LoadShare.of(posture).cargo());
    }

    /**
     * Which bike is taken.
     *
     * @param dealt from 0 to 1
     */
    static HutBike dealt(double dealt) {
        return dealt < SKYLARK.often ? SKYLARK : dealt < SKYLARK.often + HERON.often ? HERON : SLEDGE;
    }

    /**
     * What is ridden on.
     *
     * @param dealt from 0 to 1
     */
    Ground groundDealt(double dealt) {
        double left = dealt;
        Ground last = null;
        for (Map.Entry<Ground, Double> part : ground.entrySet()) {
            last = part.getKey();
            left -= part.getValue();
            if (left < 0) {
                break;
            }
        }
        return last;
    }
}
