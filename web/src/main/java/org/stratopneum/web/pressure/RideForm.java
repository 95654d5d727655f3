package org.stratopneum.web.pressure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.DropSchool;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.SystemMass;
import org.stratopneum.web.bikes.BikeStanding;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.Numbers;

/**
 * Load, ground and drop of a ride as they stand in the form and in the address: filled from the bike, then overlaid
 * with what was typed. Holds the texts as typed; {@link #ride} reads them.
 */
final class RideForm {

    /** How many grounds one ride can mix on the page. */
    static final int GROUNDS = 3;

    private static final Range PERCENT = Range.closed(0, 100, "%");
    private static final String WET = "wet";

    /** Tells an unticked box from an address that does not speak of it. */
    private static final String ASKED = "asked";

    private final Map<String, String> typed;

    private RideForm(Map<String, String> typed) {
        this.typed = typed;
    }

    /** What was read: the load, the ground and the drop of a ride. */
    record Ride(SystemMass mass, GroundMix ground, DropSchool drop, boolean wet) {}

    /** The bike's usual ride, overlaid with those of {@code parameters} that this form knows. */
    static RideForm of(BikeStanding bike, Double riderKg, Map<String, String> parameters) {
        Map<String, String> texts = usual(bike, riderKg);
        boolean asked = parameters.containsKey(ASKED);
        texts.replaceAll((field, usual) -> parameters.getOrDefault(field, usual));
        if (asked) {
            texts.put(WET, parameters.containsKey(WET) ? "on" : "");
        }
        return new RideForm(texts);
    }

    private static Map<String, String> usual(BikeStanding bike, Double riderKg) {
        Map<String, String> texts = new LinkedHashMap<>();
        Iterator<Map.Entry<Ground, Double>> grounds = bike.ground().entrySet().iterator();
        for (int i = 1; i <= GROUNDS; i++) {
            Map.Entry<Ground, Double> entry = grounds.hasNext() ? grounds.next() : null;
            texts.put("ground" + i, entry == null ? "" : entry.getKey().name());
            texts.put("share" + i, entry == null ? "" : Numbers.upTo(100 * entry.getValue(), 1));
        }
        texts.put("riderKg", riderKg == null ? "" : Numbers.upTo(riderKg, 1));
        texts.put("gearKg", Numbers.upTo(bike.masses().gearKg(), 1));
        texts.put("bikeKg", Numbers.upTo(bike.masses().bikeKg(), 1));
        texts.put("luggageRearKg", Numbers.upTo(bike.masses().luggageRearKg(), 1));
        texts.put("luggageMiddleKg", Numbers.upTo(bike.masses().luggageMiddleKg(), 1));
        texts.put("luggageFrontKg", Numbers.upTo(bike.masses().luggageFrontKg(), 1));
        texts.put("drop", bike.drop().name());
        texts.put(WET, bike.wet() ? "on" : "");
        return texts;
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean wet() {
        return !text(WET).isEmpty();
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
    Optional<Ride> ride(Problems problems) {
        FormReader reader = new FormReader(typed);
        Map<Ground, Double> shares = shares(reader);
        Optional<Double> rider = reader.requiredNumber("riderKg", SystemMass.RIDER_KG);
        Optional<Double> gear = reader.number("gearKg", SystemMass.GEAR_KG);
        Optional<Double> bike = reader.requiredNumber("bikeKg", SystemMass.BIKE_KG);
        Optional<Double> rear = reader.number("luggageRearKg", SystemMass.LUGGAGE_KG);
        Optional<Double> middle = reader.number("luggageMiddleKg", SystemMass.LUGGAGE_KG);
        Optional<Double> front = reader.number("luggageFrontKg", SystemMass.LUGGAGE_KG);
        Optional<DropSchool> drop = reader.choice("drop", DropSchool.class);
        if (drop.isEmpty() && reader.isBlank("drop")) {
            reader.problems().add(Problem.of("drop", Problem.MISSING));
        }
        Optional<GroundMix> ground = mixOf(shares, reader.problems());
        problems.addAll(reader.problems().list());
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        SystemMass mass = new SystemMass(
                rider.orElseThrow(),
                gear.orElse(0.0),
                bike.orElseThrow(),
                front.orElse(0.0),
                middle.orElse(0.0),
                rear.orElse(0.0));
        return Optional.of(new Ride(mass, ground.orElseThrow(), drop.orElseThrow(), wet()));
    }

    private static Map<Ground, Double> shares(FormReader reader) {
        Map<Ground, Double> shares = new HashMap<>();
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
}
