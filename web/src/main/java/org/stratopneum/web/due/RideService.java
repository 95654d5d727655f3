package org.stratopneum.web.due;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.RideReadiness;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.fleet.places.Places;
import org.stratopneum.web.platform.drawing.ClimbDrawing;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.TripPressures;
import org.stratopneum.web.pressure.ridden.Tracks;
import org.stratopneum.web.sealant.SealantState;

/**
 * The next ride: the pressures for that morning, and what must be done before; what was snoozed or skipped too, since
 * nobody rides on a decision.
 */
@Service
class RideService {

    private static final int DAYS_AHEAD = 365;
    private static final int PERCENT = 100;

    /** So far ahead a planned ride of the list is the next one (days). */
    private static final int SOON = 14;

    private static final LocalTime USUAL_START = LocalTime.of(9, 0);

    private final TripPressures trips;
    private final Places places;
    private final Tracks tracks;
    private final BikeAdvisor advisor;
    private final MarkWording marks;
    private final Wording wording;
    private final ProblemWording problemWording;

    RideService(
            TripPressures trips,
            Places places,
            Tracks tracks,
            BikeAdvisor advisor,
            MarkWording marks,
            Wording wording,
            ProblemWording problemWording) {
        this.trips = trips;
        this.places = places;
        this.tracks = tracks;
        this.advisor = advisor;
        this.marks = marks;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** A ride as it was read from the form. */
    private record Asked(BikeState bike, LocalDate day, LocalTime time, Optional<Place> goal, Ground ground) {}

    /**
     * @param typed bike, day, time, goal and terrain; what is not typed comes from the next planned ride of the list, else
     *     it is the first bike tomorrow, from where the bikes stand, on its usual terrain
     */
    RidePage page(Map<String, String> typed, DueEntries.All all) {
        List<Place> known = places.inUse();
        List<Place> goals =
                Stream.concat(known.stream(), tracks.routes().stream()).toList();
        Optional<DueEntry> planned = planned(typed, all);
        Map<String, String> fields = filled(typed, planned, goals, all);
        FormReader reader = new FormReader(fields);
        Optional<Asked> asked = read(reader, goals, all);
        Optional<BikeAdvice> advice = asked.flatMap(this::advice);
        Optional<TripPressures.Planned> carried = asked.flatMap(ride -> carried(ride, advice, goals, all));
        FormView form =
                new FormView(fields, problemWording.messages(reader.problems().list()));
        return new RidePage(
                all.bikes().stream()
                        .map(bike -> new RidePage.Choice(bike.id(), bike.name()))
                        .toList(),
                goals.stream()
                        .filter(place -> !place.home())
                        .map(place -> new RidePage.Choice(place.id(), place.name()))
                        .toList(),
                List.of(Ground.values()),
                form,
                planned.map(DueEntry::what).orElse(null),
                asked.map(ride -> title(ride, all.today())).orElse(null),
                asked.map(this::what).orElse(null),
                carried.flatMap(this::trip).orElse(null),
                set(carried, advice, all.rider().pressureUnit()),
                all.rider().pressureUnit().symbol(),
                asked.map(ride -> wheels(ride, advice, all)).orElse(List.of()));
    }

    /** The next day of the list that says a ride: a reminder of its own, as a calendar brings it in. */
    private static Optional<DueEntry> planned(Map<String, String> typed, DueEntries.All all) {
        return typed.containsKey("bike") && typed.containsKey("on")
                ? Optional.empty()
                : all.matters().stream()
                        .filter(DueEntry::isRide)
                        .filter(matter -> !matter.due().isBefore(all.today()))
                        .filter(matter -> typed.containsKey("on")
                                ? matter.due().toString().equals(typed.get("on"))
                                : matter.due().isBefore(all.today().plusDays(SOON)))
                        .findFirst();
    }

    private static Map<String, String> filled(
            Map<String, String> typed, Optional<DueEntry> planned, List<Place> goals, DueEntries.All all) {
        Map<String, String> fields = new HashMap<>();
        List.of("bike", "on", "at", "to", "ground").forEach(field -> fields.put(field, typed.getOrDefault(field, "")));
        String words = planned.map(DueEntry::what).orElse("").toLowerCase(Locale.ROOT);
        if (!typed.containsKey("bike")) {
            all.bikes().stream()
                    .filter(bike -> words.contains(bike.name().toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .or(() -> all.bikes().stream().findFirst())
                    .ifPresent(bike -> fields.put("bike", bike.id().toString()));
        }
        if (!typed.containsKey("on")) {
            fields.put(
                    "on",
                    planned.map(DueEntry::due).orElse(all.today().plusDays(1)).toString());
        }
        if (!typed.containsKey("at")) {
            fields.put("at", USUAL_START.toString());
        }
        if (!typed.containsKey("to")) {
            goals.stream()
                    .filter(place -> words.contains(place.name().toLowerCase(Locale.ROOT)))
                    .findFirst()
                    .ifPresent(place -> fields.put("to", place.id().toString()));
        }
        return fields;
    }

    private static Optional<Asked> read(FormReader reader, List<Place> goals, DueEntries.All all) {
        Optional<BikeState> bike = all.bikes().stream()
                .filter(found -> found.id().toString().equals(reader.text("bike")))
                .findFirst();
        if (bike.isEmpty() && !reader.isBlank("bike")) {
            reader.fault("bike", "unknown-value");
        }
        Optional<LocalDate> day = reader.day("on", all.today(), all.today().plusDays(DAYS_AHEAD));
        if (day.isEmpty() && !reader.isFaulty("on")) {
            reader.add(Problem.of("on", Problem.MISSING));
        }
        LocalTime time = USUAL_START;
        try {
            time = reader.isBlank("at") ? time : LocalTime.parse(reader.text("at"));
        } catch (DateTimeException exception) {
            reader.fault("at", "not-a-moment");
        }
        Optional<Place> goal = goals.stream()
                .filter(place -> place.id().toString().equals(reader.text("to")))
                .findFirst();
        if (goal.isEmpty() && !reader.isBlank("to")) {
            reader.fault("to", "unknown-value");
        }
        Ground ground = reader.choice("ground", Ground.class).orElse(null);
        LocalTime at = time;
        return reader.problems().isEmpty() && bike.isPresent()
                ? day.map(on -> new Asked(bike.get(), on, at, goal, ground))
                : Optional.empty();
    }

    private String what(Asked ride) {
        return ride.goal
                .map(goal -> wording.text("ready.what.to", ride.bike.name(), goal.name()))
                .orElseGet(() -> wording.text("ready.what", ride.bike.name()));
    }

    private String title(Asked ride, LocalDate today) {
        String day = ride.day.equals(today)
                ? wording.text("todo.today")
                : ride.day.equals(today.plusDays(1)) ? wording.text("todo.tomorrow") : DateText.weekday(ride.day);
        return wording.text("ready.title", what(ride), day, ride.time.toString());
    }

    private Optional<BikeAdvice> advice(Asked ride) {
        return ride.ground == null
                ? advisor.adviseUsual(ride.bike)
                : advisor.adviseOn(ride.bike, new GroundMix(Map.of(ride.ground, 1.0)));
    }

    private Optional<TripPressures.Planned> carried(
            Asked ride, Optional<BikeAdvice> advice, List<Place> goals, DueEntries.All all) {
        return ride.goal.flatMap(goal -> advice.flatMap(found -> trips.planned(
                ride.bike,
                found,
                goals,
                goal.id(),
                ride.day.atTime(ride.time).atZone(all.rider().zoneId()).toInstant(),
                all.known().losses(),
                all.rider())));
    }

    private Optional<RidePage.Trip> trip(TripPressures.Planned carried) {
        return Optional.of(carried)
                .filter(planned -> !planned.wheels().isEmpty())
                .map(planned -> new RidePage.Trip(
                        new ClimbDrawing(
                                new ClimbDrawing.End(
                                        planned.hereM(),
                                        both(planned, TripPressures.Wheel::set),
                                        wording.text("ready.height", Numbers.fixed(planned.hereM(), 0))),
                                new ClimbDrawing.End(
                                        planned.thereM(),
                                        both(planned, TripPressures.Wheel::reads),
                                        wording.text("ready.height", Numbers.fixed(planned.thereM(), 0))),
                                wording.text("ready.set"),
                                wording.text("ready.reads")),
                        String.join("; ", planned.hereSaid(), planned.thereSaid()),
                        planned.wheels().get(0).why(),
                        planned.wheels().stream()
                                .flatMap(wheel -> wheel.asItIs().stream()
                                        .map(line -> wording.text("ready.of", wheel.where(), line)))
                                .toList()));
    }

    private static String both(TripPressures.Planned planned, Function<TripPressures.Wheel, String> number) {
        return planned.wheels().stream()
                .map(number)
                .map(text -> Objects.requireNonNullElse(text, "–"))
                .collect(Collectors.joining(" · "));
    }

    /** Carried to where it leads; where that is not known, or the bike stays where it is, the recommendation itself. */
    private List<RidePage.Set> set(
            Optional<TripPressures.Planned> carried, Optional<BikeAdvice> advice, PressureUnit unit) {
        if (carried.isPresent()) {
            return carried.get().wheels().stream()
                    .map(wheel -> new RidePage.Set(wheel.where(), wheel.set(), wheel.beside(), wheel.against()))
                    .toList();
        }
        return advice.flatMap(found -> AdvisedPressures.settable(found, unit))
                .map(told -> Stream.of(WheelPosition.values())
                        .map(position -> new RidePage.Set(
                                wording.of("position", position),
                                PressureText.number(told.pressure(position), unit),
                                PressureText.text(told.pressure(position), PressureText.beside(unit)),
                                null))
                        .toList())
                .orElse(List.of());
    }

    private List<RidePage.Wheel> wheels(Asked ride, Optional<BikeAdvice> advice, DueEntries.All all) {
        List<RidePage.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            ride.bike.wheel(position).ifPresent(wheel -> {
                List<DueItem> items = all.known().all(wheel, DueEntries.window(advice, position));
                String where = wording.of("position", position);
                wheels.add(new RidePage.Wheel(
                        wheel.wheelId(),
                        where,
                        RideReadiness.of(items, ride.day).stream()
                                .map(before -> line(before, where, ride.day, all))
                                .toList(),
                        sealant(wheel, ride.day, all)));
            });
        }
        return wheels;
    }

    private RidePage.Line line(RideReadiness.Before before, String where, LocalDate day, DueEntries.All all) {
        List<String> notes = new ArrayList<>();
        if (before.latest().isBefore(day)) {
            notes.add(wording.text("ready.by", DateText.weekday(before.latest())));
        }
        Mark mark = all.known().marks().get(WheelDues.key(before.item()));
        if (mark != null && !mark.on(before.item()).equals(Optional.of(before.item()))) {
            notes.add(marks.said(mark));
        }
        return new RidePage.Line(
                wording.of("due", before.item().reason()),
                where,
                DueEntries.icon(before.item().reason()),
                DueEntries.path(before.item()),
                before.standing() == RideReadiness.Standing.MUST,
                wording.of("ready", before.standing()),
                String.join("; ", notes));
    }

    private String sealant(WheelState wheel, LocalDate day, DueEntries.All all) {
        SealantState state = all.known().sealant().get(wheel.wheelId());
        if (state == null) {
            return null;
        }
        double percent = PERCENT * state.chanceTooLittle(day);
        return percent < 1
                ? wording.text("ready.sealant.enough")
                : wording.text("ready.sealant", Numbers.fixed(percent, 0));
    }
}
