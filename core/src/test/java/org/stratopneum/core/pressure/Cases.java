package org.stratopneum.core.pressure;

import org.stratopneum.core.tire.TireOnRim;

/** Bikes for the tests, changed one thing at a time. Both wheels are alike unless said. */
final class Cases {

    private final SystemMass mass;
    private final LoadShare share;
    private TireOnRim tire;
    private SetupKind kind = SetupKind.TUBELESS;
    private boolean insert;
    private boolean hookless;
    private Double tireMax;
    private Double tireMin;
    private Double rimMax;
    private DropSchool drop = DropSchool.BALANCED;
    private GroundMix ground;
    private boolean wet;
    private double personal = 1;

    private Cases(SystemMass mass, Posture posture, TireOnRim tire, GroundMix ground) {
        this.mass = mass;
        this.share = LoadShare.of(posture);
        this.tire = tire;
        this.ground = ground;
    }

    /** Tubeless, measured exactly {@code widthMm} wide on a 30 mm rim (narrower for narrow tires). */
    static Cases mountain(double widthMm, Ground ground, double systemKg) {
        double rim = Math.min(30, widthMm * 0.6);
        return new Cases(
                system(systemKg),
                Posture.MOUNTAIN,
                new TireOnRim(Math.round(widthMm), 622, null, rim, widthMm),
                GroundMix.only(ground));
    }

    /** With a tube, measured 23.0 mm, on smooth pavement. */
    static Cases road(double systemKg) {
        Cases road = new Cases(
                system(systemKg),
                Posture.ROAD,
                new TireOnRim(23, 622, null, 15, 23.0),
                GroundMix.only(Ground.SMOOTH_PAVEMENT));
        return road.kind(SetupKind.BUTYL_TUBE);
    }

    private static SystemMass system(double kg) {
        return new SystemMass(kg - 12, 2, 10, 0, 0, 0);
    }

    Cases tire(TireOnRim other) {
        tire = other;
        return this;
    }

    Cases kind(SetupKind other) {
        kind = other;
        return this;
    }

    Cases insert() {
        insert = true;
        return this;
    }

    Cases hookless() {
        hookless = true;
        return this;
    }

    Cases tireMaxKpa(double kpa) {
        tireMax = kpa;
        return this;
    }

    Cases tireMinKpa(double kpa) {
        tireMin = kpa;
        return this;
    }

    Cases rimMaxKpa(double kpa) {
        rimMax = kpa;
        return this;
    }

    Cases drop(DropSchool school) {
        drop = school;
        return this;
    }

    Cases ground(GroundMix mix) {
        ground = mix;
        return this;
    }

    Cases wet() {
        wet = true;
        return this;
    }

    Cases personal(double factor) {
        personal = factor;
        return this;
    }

    BikeAdvice advise() {
        Setup setup = new Setup(kind, insert, Casing.STANDARD, hookless, tireMax, tireMin, rimMax, true);
        BikeCase.Wheel wheel = new BikeCase.Wheel(tire, setup, personal);
        return BikeAdvice.of(new BikeCase(mass, share, wheel, wheel, drop, ground, wet));
    }
}
