package org.stratopneum.web.api.calculators;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.BikeCase;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.core.pressure.WheelCase;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonFields;

/** The request of the pressure calculator. */
final class BikeCaseJson {

    private static final String POSTURE = "posture";
    private static final String SHARE_FRONT = "shareFront";

    /** Posture and weighed share are two answers to one question. */
    private static final String ONE_OF_TWO = "one-of-posture-and-share";

    /** The drop is one of the four schools. */
    private static final String NOT_A_SCHOOL = "not-a-drop-school";

    private static final Range DROP = Range.closed(0, 1, "");

    private BikeCaseJson() {}

    /** @throws InvalidInputException with every fault of the request */
    static BikeCase read(JsonFields fields) {
        Optional<SystemMass> mass = mass(fields.object("system"));
        Optional<Posture> posture = fields.choice(POSTURE, Posture.class);
        Optional<LoadShare> share = share(fields, posture);
        Optional<DropSchool> drop = drop(fields, posture);
        Optional<GroundMix> ground = ground(fields);
        boolean wet = fields.flag("wet");
        Optional<BikeCase.Wheel> front = wheel(fields, "front", "personalFront");
        Optional<BikeCase.Wheel> rear = wheel(fields, "rear", "personalRear");
        fields.finish();
        return new BikeCase(
                mass.orElseThrow(),
                share.orElseThrow(),
                rear.orElseThrow(),
                front.orElseThrow(),
                drop.orElseThrow(),
                ground.orElseThrow(),
                wet);
    }

    private static Optional<SystemMass> mass(JsonFields system) {
        double rider = system.number("riderKg", SystemMass.RIDER_KG);
        double gear = system.number("gearKg", SystemMass.GEAR_KG);
        double bike = system.number("bikeKg", SystemMass.BIKE_KG);
        double front = system.number("luggageFrontKg", SystemMass.LUGGAGE_KG, 0);
        double middle = system.number("luggageMiddleKg", SystemMass.LUGGAGE_KG, 0);
        double rear = system.number("luggageRearKg", SystemMass.LUGGAGE_KG, 0);
        return system.build(() -> new SystemMass(rider, gear, bike, front, middle, rear));
    }

    private static Optional<LoadShare> share(JsonFields fields, Optional<Posture> posture) {
        Double weighed = fields.optionalNumber(SHARE_FRONT, LoadShare.FRONT);
        if (fields.has(POSTURE) && fields.has(SHARE_FRONT)) {
            fields.add(Problem.of(SHARE_FRONT, ONE_OF_TWO));
        } else if (!fields.has(POSTURE) && !fields.has(SHARE_FRONT)) {
            fields.missing(POSTURE);
        }
        return posture.map(LoadShare::of).or(() -> Optional.ofNullable(weighed).map(LoadShare::weighed));
    }

    private static Optional<DropSchool> drop(JsonFields fields, Optional<Posture> posture) {
        Double drop = fields.optionalNumber("drop", DROP);
        if (drop == null) {
            return Optional.of(posture.map(Posture::usualDrop).orElse(DropSchool.BALANCED));
        }
        Optional<DropSchool> school = DropSchool.of(drop);
        if (school.isEmpty()) {
            fields.add(Problem.of("drop", NOT_A_SCHOOL));
        }
        return school;
    }

    private static Optional<GroundMix> ground(JsonFields fields) {
        List<JsonFields> items = fields.objects("ground");
        Map<Ground, Double> shares = new EnumMap<>(Ground.class);
        boolean whole = fields.has("ground");
        for (JsonFields item : items) {
            Optional<Ground> kind = item.requiredChoice("kind", Ground.class);
            double share = item.number("share", GroundMix.SHARE);
            whole &= item.build(() -> share).isPresent();
            kind.ifPresent(ground -> shares.merge(ground, share, Double::sum));
        }
        if (!whole) {
            return Optional.empty();
        }
        try {
            return Optional.of(new GroundMix(shares));
        } catch (InvalidInputException exception) {
            exception.problems().forEach(problem -> fields.add(problem.under("ground")));
            return Optional.empty();
        }
    }

    private static Optional<BikeCase.Wheel> wheel(JsonFields fields, String name, String personalName) {
        double personal = fields.number(personalName, WheelCase.PERSONAL_FACTOR, 1);
        JsonFields wheel = fields.object(name);
        Optional<TireOnRim> tire = TireJson.read(wheel);
        Optional<Setup> setup = setup(wheel.object("setup"));
        return tire.flatMap(onRim -> setup.map(found -> new BikeCase.Wheel(onRim, found, personal)));
    }

    private static Optional<Setup> setup(JsonFields setup) {
        Optional<SetupKind> kind = setup.requiredChoice("kind", SetupKind.class);
        boolean insert = setup.flag("insert");
        Casing casing = setup.choice("casing", Casing.class).orElse(Casing.STANDARD);
        boolean hookless = setup.flag("hookless");
        Double tireMax = setup.optionalNumber("tireMaxKpa", Setup.PRINTED_MAX_KPA);
        Double tireMin = setup.optionalNumber("tireMinKpa", Setup.PRINTED_MIN_KPA);
        Double rimMax = setup.optionalNumber("rimMaxKpa", Setup.PRINTED_MAX_KPA);
        boolean made = setup.flag("tubelessCasing", true);
        return setup.build(
                () -> new Setup(kind.orElseThrow(), insert, casing, hookless, tireMax, tireMin, rimMax, made));
    }
}
