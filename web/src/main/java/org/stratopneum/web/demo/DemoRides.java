package org.stratopneum.web.demo;

import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;
import org.stratopneum.web.pressure.BikeAdvisor;

/**
 * Supply and repair rounds of the demo rider, with what she said of each wheel: answers are drawn from the model of
 * notes about a taste of her own, which is a little softer in front than the chain gives.
 */
@Component
class DemoRides {

    private static final long SEED = 91_173;

    /** What suits her, as the logarithm of a factor, and how far her answers scatter about it. */
    private static final Map<WheelPosition, Double> TASTE =
            new EnumMap<>(Map.of(WheelPosition.REAR, 0.02, WheelPosition.FRONT, -0.05));

    private static final double NOISE = 0.06;

    /** How far she strays from what is told, to try (standard deviation of a logarithm). */
    private static final double STRAY = 0.05;

    private static final double HARD = 0.05;
    private static final double BURP = -0.12;
    private static final int EVERY_DAYS = 5;

    /** So many rides of each bike, latest {@code FIRST} days ago; the cargo bike is asked about less. */
    private static final int[] RIDES = {14, 5, 9};

    private static final UUID HOME = DemoWheel.id(101);
    private static final UUID GAUGE = DemoWheel.id(201);

    private final Garage garage;
    private final BikeAdvisor advisor;

    DemoRides(Garage garage, BikeAdvisor advisor) {
        this.garage = garage;
        this.advisor = advisor;
    }

    void write(DemoLogWriter pen) {
        Random random = new Random(SEED);
        for (int bike = 1; bike <= RIDES.length; bike++) {
            BikeState standing = garage.bike(DemoWheel.id(300 + bike));
            BikeAdvice anybody = BikeAdvisor.usualRide(standing)
                    .flatMap(ride -> advisor.adviseAnybody(standing, ride))
                    .orElseThrow();
            for (int ride = RIDES[bike - 1]; ride > 0; ride--) {
                Instant at = pen.at(ride * EVERY_DAYS + bike, 8, 10 * random.nextInt(6));
                LogSubject subject = LogSubject.wheelset(standing.id(), standing.wheelsetId())
                        .readWith(GAUGE)
                        .at(HOME);
                pen.write(at, subject, ridden(standing, anybody, random));
            }
        }
        pen.write(
                pen.at(20, 18, 0),
                LogSubject.wheel(DemoWheel.id(303), DemoWheel.id(605), DemoWheel.id(705)),
                new LogDetail.OwnPressure(PressureUnit.PSI.toKpa(36), PressureUnit.PSI));
    }

    private static LogDetail ridden(BikeState bike, BikeAdvice anybody, Random random) {
        double km = 14 + random.nextInt(30);
        Map<Ground, Double> ground = random.nextInt(6) == 0 ? Map.of(Ground.SMOOTH_PAVEMENT, 1.0) : bike.ground();
        return new Ridden(
                1000 * km,
                (double) (20 * random.nextInt(45)),
                4.2 * km,
                ground,
                random.nextInt(5) == 0,
                PressureUnit.PSI,
                null,
                note(WheelPosition.REAR, anybody.rear().chainPressure(), random),
                note(WheelPosition.FRONT, anybody.front().chainPressure(), random));
    }

    private static WheelNote note(WheelPosition position, GaugePressure chain, Random random) {
        double psi = Math.round(2 * chain.in(PressureUnit.PSI) * Math.exp(STRAY * random.nextGaussian())) / 2.0;
        double off = Math.log(psi / chain.in(PressureUnit.PSI)) - TASTE.get(position) + NOISE * random.nextGaussian();
        boolean burp = off < BURP;
        Feel feel = off > HARD ? Feel.TOO_HARD : off < -HARD ? Feel.TOO_SOFT : Feel.RIGHT;
        return new WheelNote(
                PressureUnit.PSI.toKpa(psi),
                chain.kpa(),
                feel,
                burp && position == WheelPosition.FRONT,
                burp && position == WheelPosition.REAR);
    }
}
