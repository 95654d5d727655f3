package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.pressure.LoadShare;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.TireClearance;
import org.stratopneum.web.fleet.bikes.WheelLoads;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.pressure.ride.RideForm;

/**
 * A bike, or a pair of wheels, as it stands in a form or in a visitor's address. Fields of the rear wheel begin with
 * rear-, those of the front wheel with front-. Holds the texts as typed, with the units that they were typed in.
 */
public final class BikeForm {

    static final String REAR = "rear-";
    static final String FRONT = "front-";
    private static final String SAME = "same";
    private static final String RIDER_NAME = "riderName";
    private static final String ASKED = "asked";
    private static final TireClearance NOT_KEPT = new TireClearance(null, null);
    private static final int LONGEST_VALUE = 200;
    private static final int MOST_FIELDS = 120;

    private final Map<String, String> typed;

    /** What was typed, and for the rest what is usual. */
    private final Map<String, String> whole;

    private final RideForm ride;
    private final RideForm wholeRide;
    private final Units units;
    private final TireClearance kept;
    private final WheelLoads keptWeights;

    private BikeForm(
            Map<String, String> typed,
            Map<String, String> whole,
            RideForm ride,
            RideForm wholeRide,
            Units units,
            TireClearance kept,
            WheelLoads keptWeights) {
        this.kept = kept;
        this.keptWeights = keptWeights;
        this.typed = typed;
        this.whole = whole;
        this.ride = ride;
        this.wholeRide = wholeRide;
        this.units = units;
    }

    /**
     * A bike that is not kept yet.
     *
     * @param usual the units that are spoken where {@code parameters} do not say
     * @param riderKg what the rider weighs (kg), or null
     */
    public static BikeForm of(Map<String, String> parameters, Units usual, Double riderKg) {
        Map<String, String> typed = known(parameters);
        Units units = typedIn(typed, usual);
        if (!typed.containsKey(ASKED)) {
            typed.putIfAbsent(SAME, "on");
        }
        copyRearToEmptyFront(typed);
        typed.put("pressureUnit", units.pressure().name());
        typed.put("lengthUnit", units.length().name());
        RideForm ride = RideForm.blank(riderKg, units.mass(), typed);
        Map<String, String> whole = UsualBike.over(typed, ride.massUnit());
        return new BikeForm(
                typed,
                whole,
                ride,
                RideForm.blank(riderKg, units.mass(), whole),
                units.withMass(ride.massUnit()),
                NOT_KEPT,
                WheelLoads.NEVER);
    }

    /** A front wheel that is not the same begins as a copy of the rear one, so that only the difference is typed. */
    private static void copyRearToEmptyFront(Map<String, String> typed) {
        boolean same = !typed.getOrDefault(SAME, "").isEmpty();
        boolean begun = Stream.of("size", "rimWidth")
                .anyMatch(field -> !typed.getOrDefault(FRONT + field, "").isBlank());
        if (same || begun) {
            return;
        }
        Map<String, String> front = new TreeMap<>();
        typed.forEach((field, text) -> {
            if (field.startsWith(REAR)) {
                front.put(FRONT + field.substring(REAR.length()), text);
            }
        });
        typed.putAll(front);
    }

    /** A bike that is kept, filled from it and overlaid with what was typed. */
    static BikeForm of(BikeState bike, Units units, Map<String, String> parameters) {
        Map<String, String> typed = new TreeMap<>();
        typed.put("name", bike.name());
        typed.put(UsualBike.POSTURE, bike.posture().name());
        typed.put(RIDER_NAME, bike.rider().other() ? bike.rider().name() : "");
        typed.put("openingRear", QuantityText.typed(bike.openings().rearMm(), units.length()));
        typed.put("openingFront", QuantityText.typed(bike.openings().frontMm(), units.length()));
        typed.put("weighedRear", QuantityText.typed(bike.weighed().rearKg(), units.mass()));
        typed.put("weighedFront", QuantityText.typed(bike.weighed().frontKg(), units.mass()));
        typed.putAll(known(parameters));
        RideForm ride = RideForm.of(bike, units.mass(), parameters);
        return new BikeForm(typed, typed, ride, ride, units.withMass(ride.massUnit()), bike.openings(), bike.weighed());
    }

    private static Map<String, String> known(Map<String, String> parameters) {
        Map<String, String> typed = new TreeMap<>();
        parameters.entrySet().stream()
                .filter(field ->
                        !field.getKey().startsWith("_") && field.getKey().length() < 40)
                .limit(MOST_FIELDS)
                .forEach(field -> typed.put(
                        field.getKey(),
                        field.getValue().length() > LONGEST_VALUE
                                ? field.getValue().substring(0, LONGEST_VALUE)
                                : field.getValue()));
        return typed;
    }

    private static Units typedIn(Map<String, String> typed, Units usual) {
        PressureUnit pressure = List.of(PressureUnit.values()).stream()
                .filter(unit -> unit.name().equals(typed.get("pressureUnit")))
                .findFirst()
                .orElse(usual.pressure());
        RiderUnit length = RiderUnit.Kind.LENGTH.units().stream()
                .filter(unit -> unit.name().equals(typed.get("lengthUnit")))
                .findFirst()
                .orElse(usual.length());
        return new Units(pressure, usual.mass(), length, usual.volume(), usual.temperature(), usual.distance());
    }

    public RideForm ride() {
        return ride;
    }

    public Units units() {
        return units;
    }

    /** Whether {@code field} is left to what is usual. */
    boolean isAssumed(String field) {
        return ride.text(field).isBlank() && typed.getOrDefault(field, "").isBlank();
    }

    /** Whether the front wheel is like the rear one, so that its fields do not count. */
    public boolean same() {
        return !typed.getOrDefault(SAME, "").isEmpty();
    }

    /** What the sizes typed for the wheels may mean: more than one only where the rider has to say which. */
    public List<TireSize> meant(String wheel) {
        return SizeText.read(typed.getOrDefault(wheel + "size", ""));
    }

    /** The fields that an address needs to show the same again. */
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>(typed);
        parameters.putAll(ride.parameters());
        parameters.values().removeIf(String::isEmpty);
        return parameters;
    }

    public FormView view(Problems problems, ProblemWording wording) {
        Map<String, String> texts = new TreeMap<>(typed);
        texts.putAll(ride.parameters());
        return new FormView(texts, wording.messages(problems.list()));
    }

    /**
     * Reads bike and wheels; faults go to {@code problems}, and then there is none.
     *
     * @param usualName what it is called where no name was typed
     */
    public Optional<NewBike> newBike(Problems problems, Function<Posture, String> usualName, LocalDate today) {
        Optional<BikeSpec> bike = bike(problems, usualName);
        Optional<NewWheelset> wheels = wheels(problems, today);
        return problems.isEmpty()
                ? Optional.of(new NewBike(bike.orElseThrow(), wheels.orElseThrow()))
                : Optional.empty();
    }

    /** @param usualName what it is called where no name was typed, or null where one has to be */
    Optional<BikeSpec> bike(Problems problems, Function<Posture, String> usualName) {
        FormReader reader = new FormReader(whole);
        Optional<Posture> posture = reader.choice(UsualBike.POSTURE, Posture.class);
        if (reader.isBlank(UsualBike.POSTURE)) {
            reader.fault(UsualBike.POSTURE, Problem.MISSING);
        }
        Optional<String> called = usualName != null && reader.isBlank("name")
                ? posture.map(usualName)
                : reader.requiredName("name", PartFields.LONGEST_NAME);
        Optional<String> riderName = reader.name(RIDER_NAME, PartFields.LONGEST_NAME);
        TireClearance openings = new TireClearance(
                opening(reader, "openingRear", kept.rearMm()), opening(reader, "openingFront", kept.frontMm()));
        WheelLoads weighed = weighed(reader);
        problems.addAll(reader.problems().list());
        Optional<RideForm.Ride> usual = wholeRide.ride(problems);
        if (called.isEmpty() || posture.isEmpty() || usual.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                new BikeSpec(called.get(), posture.get(), riderName.orElse(null), weighed, usual.get(), openings));
    }

    /** One weight without the other is no share; and nobody rides with nearly all of it on one wheel. */
    private WheelLoads weighed(FormReader reader) {
        RiderUnit unit = ride.massUnit();
        Optional<Double> rear = reader.quantity("weighedRear", WheelLoads.RANGE, unit, keptWeights.rearKg());
        Optional<Double> front = reader.quantity("weighedFront", WheelLoads.RANGE, unit, keptWeights.frontKg());
        if (rear.isPresent() && reader.isBlank("weighedFront")) {
            reader.fault("weighedFront", Problem.MISSING);
        }
        if (front.isPresent() && reader.isBlank("weighedRear")) {
            reader.fault("weighedRear", Problem.MISSING);
        }
        if (rear.isEmpty() || front.isEmpty()) {
            return WheelLoads.NEVER;
        }
        double share = front.get() / (rear.get() + front.get());
        LoadShare.FRONT
                .problemOf("weighedFront", share)
                .ifPresent(problem -> reader.fault("weighedFront", "share-not-believable"));
        return new WheelLoads(rear.get(), front.get());
    }

    private Double opening(FormReader reader, String field, Double was) {
        return reader.quantity(field, TireClearance.RANGE, units.length(), was).orElse(null);
    }

    /** Reads the pair of wheels alone. */
    Optional<NewWheelset> wheels(Problems problems, LocalDate today) {
        FormReader reader = new FormReader(typed);
        WheelFields fields = new WheelFields(units);
        Optional<String> name = reader.name("wheelset", PartFields.LONGEST_NAME);
        Optional<WheelSpec> rear = fields.wheel(reader.part(REAR));
        Optional<WheelSpec> front = same() ? rear : fields.wheel(reader.part(FRONT));
        Optional<LocalDate> since = FittingDay.read(reader, today);
        problems.addAll(reader.problems().list());
        if (!reader.problems().isEmpty() || rear.isEmpty() || front.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new NewWheelset(name.orElse(null), rear.get(), front.get(), since.orElse(null)));
    }
}
