package org.stratopneum.web.pressure.ride;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;

/**
 * Load, ground and drop of a ride as they stand in the form and in the address: filled from the bike, then overlaid
 * with what was typed. Holds the texts as typed, with the unit that the masses were typed in; {@link #ride} reads them.
 */
public final class RideForm {

    /** How many grounds one ride can mix on the page. */
    public static final int GROUNDS = 3;

    /** The masses in the order of the form, with what is allowed (kg). */
    private static final Map<String, Range> MASSES = masses();

    private static final Range PERCENT = Range.closed(0, 100, "%");
    private static final String WET = "wet";
    private static final String DROP = "drop";
    private static final String MASS_UNIT = "massUnit";

    /** Tells an unticked box from an address that does not speak of it. */
    private static final String ASKED = "asked";

    private final Map<String, String> typed;

    /** What the masses were filled with (kg); absent where the form was not filled from a bike. */
    private final Map<String, Double> kept;

    private RideForm(Map<String, String> typed, Map<String, Double> kept) {
        this.typed = typed;
        this.kept = kept;
    }

    /** What was read: the load, the ground and the drop of a ride. */
    public record Ride(SystemMass mass, GroundMix ground, DropSchool drop, boolean wet) {}

    private static Map<String, Range> masses() {
        Map<String, Range> masses = new LinkedHashMap<>();
        masses.put("rider", SystemMass.RIDER_KG);
        masses.put("gear", SystemMass.GEAR_KG);
        masses.put("bike", SystemMass.BIKE_KG);
        masses.put("luggageMiddle", SystemMass.LUGGAGE_KG);
        masses.put("luggageRear", SystemMass.LUGGAGE_KG);
        masses.put("luggageFront", SystemMass.LUGGAGE_KG);
        return masses;
    }

    /** The bike's usual ride, overlaid with those of {@code parameters} that this form knows. */
    public static RideForm of(BikeState bike, RiderUnit unit, Map<String, String> parameters) {
        Map<String, Double> kept = new HashMap<>();
        kept.put("rider", bike.rider().kg());
        kept.put("gear", bike.masses().gearKg());
        kept.put("bike", bike.masses().bikeKg());
        kept.put("luggageRear", bike.masses().luggageRearKg());
        kept.put("luggageMiddle", bike.masses().luggageMiddleKg());
        kept.put("luggageFront", bike.masses().luggageFrontKg());
        Map<String, String> texts = new LinkedHashMap<>();
        Iterator<Map.Entry<Ground, Double>> grounds = bike.ground().entrySet().iterator();
        for (int i = 1; i <= GROUNDS; i++) {
            Map.Entry<Ground, Double> entry = grounds.hasNext() ? grounds.next() : null;
            texts.put("ground" + i, entry == null ? "" : entry.getKey().name());
            texts.put("share" + i, entry == null ? "" : Numbers.upTo(100 * entry.getValue(), 1));
        }
        texts.put(DROP, bike.drop().name());
        texts.put(WET, bike.wet() ? "on" : "");
        return filled(texts, kept, unit, parameters);
    }

    /** For a bike that is not known yet: one ground for the whole ride, everything else empty. */
    public static RideForm blank(Double riderKg, RiderUnit unit, Map<String, String> parameters) {
        Map<String, Double> kept = new HashMap<>();
        kept.put("rider", riderKg);
        Map<String, String> texts = new LinkedHashMap<>();
        for (int i = 1; i <= GROUNDS; i++) {
            texts.put("ground" + i, "");
            texts.put("share" + i, i == 1 ? "100" : "");
        }
        texts.put(DROP, "");
        texts.put(WET, "");
        return filled(texts, kept, unit, parameters);
    }

    private static RideForm filled(
            Map<String, String> texts, Map<String, Double> kept, RiderUnit unit, Map<String, String> parameters) {
        RiderUnit typedIn = typedIn(parameters, unit);
        texts.put(MASS_UNIT, typedIn.name());
        MASSES.keySet().forEach(mass -> texts.put(mass, QuantityText.typed(kept.get(mass), typedIn)));
        boolean asked = parameters.containsKey(ASKED);
        texts.replaceAll((field, usual) -> parameters.getOrDefault(field, usual));
        texts.put(MASS_UNIT, typedIn.name());
        if (asked) {
            texts.put(WET, parameters.containsKey(WET) ? "on" : "");
        }
        return new RideForm(texts, kept);
    }

    /** The unit that the address speaks in, or else the rider's. */
    private static RiderUnit typedIn(Map<String, String> parameters, RiderUnit usual) {
        return RiderUnit.Kind.MASS.units().stream()
                .filter(unit -> unit.name().equals(parameters.get(MASS_UNIT)))
                .findFirst()
                .orElse(usual);
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    /** The fields that hold masses, in the order of the form. */
    public List<String> massFields() {
        return List.copyOf(MASSES.keySet());
    }

    public RiderUnit massUnit() {
        return RiderUnit.valueOf(text(MASS_UNIT));
    }

    public boolean wet() {
        return !text(WET).isEmpty();
    }

    /** What the selection of grounds offers. */
    public List<Ground> grounds() {
        return List.of(Ground.values());
    }

    /** What the selection of schools offers. */
    public List<DropSchool> schools() {
        return List.of(DropSchool.values());
    }

    /** The fields of the address that would show this ride again. */
    public Map<String, String> parameters() {
        Map<String, String> parameters = new LinkedHashMap<>(typed);
        parameters.put(ASKED, "1");
        if (!wet()) {
            parameters.remove(WET);
        }
        return parameters;
    }

    /** Reads the ride; faults go to {@code problems}, and then there is none. */
    public Optional<Ride> ride(Problems problems) {
        FormReader reader = new FormReader(typed);
        Map<Ground, Double> shares = shares(reader);
        Map<String, Double> kg = new HashMap<>();
        MASSES.forEach((mass, range) -> {
            boolean required = range == SystemMass.RIDER_KG || range == SystemMass.BIKE_KG;
            Optional<Double> read = required
                    ? reader.requiredQuantity(mass, range, massUnit(), kept.get(mass))
                    : reader.quantity(mass, range, massUnit(), kept.get(mass));
            kg.put(mass, read.orElse(0.0));
        });
        Optional<DropSchool> drop = reader.choice(DROP, DropSchool.class);
        if (drop.isEmpty() && reader.isBlank(DROP)) {
            reader.problems().add(Problem.of(DROP, Problem.MISSING));
        }
        Optional<GroundMix> ground = mixOf(shares, reader.problems());
        problems.addAll(reader.problems().list());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        SystemMass mass = new SystemMass(
                kg.get("rider"),
                kg.get("gear"),
                kg.get("bike"),
                kg.get("luggageFront"),
                kg.get("luggageMiddle"),
                kg.get("luggageRear"));
        return Optional.of(new Ride(mass, ground.orElseThrow(), drop.orElseThrow(), wet()));
    }

    private static Map<Ground, Double> shares(FormReader reader) {
        Map<Ground, Double> shares = new LinkedHashMap<>();
        for (int i = 1; i <= GROUNDS; i++) {
            Optional<Ground> ground = reader.choice("ground" + i, Ground.class);
            Optional<Double> percent = reader.number("share" + i, PERCENT);
            if (ground.isPresent() && percent.isPresent()) {
                shares.merge(ground.get(), percent.get() / 100, Double::sum);
            } else if (ground.isPresent() && reader.isBlank("share" + i)) {
                reader.problems().add(Problem.of("share" + i, Problem.MISSING));
            } else if (reader.isBlank("ground" + i) && percent.isPresent() && percent.get() > 0) {
                reader.problems().add(Problem.of("ground" + i, Problem.MISSING));
            }
        }
        return shares;
    }

    private static Optional<GroundMix> mixOf(Map<Ground, Double> shares, Problems problems) {
        if (problems.touches("ground") || groundFields().stream().anyMatch(problems::touches)) {
            return Optional.empty();
        }
        try {
            return Optional.of(new GroundMix(shares));
        } catch (InvalidInputException exception) {
            double percent = 100
                    * shares.values().stream().mapToDouble(Double::doubleValue).sum();
            problems.add(new Problem("ground", GroundMix.NOT_THE_WHOLE_RIDE, 100.0, percent, "%"));
            return Optional.empty();
        }
    }

    private static List<String> groundFields() {
        List<String> fields = new ArrayList<>();
        for (int i = 1; i <= GROUNDS; i++) {
            fields.addAll(Arrays.asList("ground" + i, "share" + i));
        }
        return fields;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof RideForm form && typed.equals(form.typed) && kept.equals(form.kept);
    }

    @Override
    public int hashCode() {
        return Objects.hash(typed, kept);
    }
}
