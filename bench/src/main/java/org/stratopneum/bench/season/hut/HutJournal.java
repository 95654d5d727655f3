package org.stratopneum.bench.season.hut;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.stratopneum.bench.season.riders.Journal;
import org.stratopneum.bench.season.riders.Shed.Ride;
import org.stratopneum.bench.season.riders.Shed.Wheel;
import org.stratopneum.bench.season.truth.Climate;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes down the demo's year as entries of the log: a line of JSON each, with its day before the demo's, its hour, what it is
 * about by the numbers of the demo's ids, and its detail as the log keeps it. A gauge is read to half a psi, a stick to half a
 * millimetre.
 */
final class HutJournal implements Journal {

    private static final JsonMapper JSON = new JsonMapper();
    private static final LocalTime NOON = LocalTime.NOON;
    private static final int BOTTLE = 805;
    private static final int BOTTLE_SINCE_DAYS = 120;
    private static final double STEM_MM = 2;

    /** A line, and when it is of. */
    private record Line(int daysAgo, LocalTime at, Map<String, Object> said) {

        private String json() {
            return JSON.writeValueAsString(said);
        }
    }

    private final List<Line> lines = new ArrayList<>();
    private final Random random;
    private LocalDate first;

    HutJournal(Random random) {
        this.random = random;
    }

    /** All of them, oldest first. */
    List<String> lines() {
        return lines.stream()
                .sorted(Comparator.comparingInt((Line line) -> -line.daysAgo).thenComparing(Line::at))
                .map(Line::json)
                .toList();
    }

    private void write(LocalDate on, LocalTime at, String kind, Map<String, Object> about, Map<String, Object> detail) {
        first = first == null ? on : first;
        int daysAgo = Climate.DAYS - (int) ChronoUnit.DAYS.between(first, on);
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("daysAgo", daysAgo);
        said.put("at", at.toString());
        said.put("kind", kind);
        said.putAll(about);
        said.put("detail", detail);
        lines.add(new Line(daysAgo, at, said));
    }

    /** @param pairs names and what they are of, by turns; null is left out */
    private static Map<String, Object> of(Object... pairs) {
        Map<String, Object> made = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            if (pairs[i + 1] != null) {
                made.put((String) pairs[i], pairs[i + 1]);
            }
        }
        return made;
    }

    private static Map<String, Object> wheel(Wheel seen) {
        HutWheel own = HutWheel.of(seen);
        return of("bike", own.pair.bike.number(), "wheel", own.wheel, "tire", own.tire);
    }

    private static Map<String, Object> pair(HutWheel.Pair pair) {
        return of("bike", pair.bike.number(), "wheelset", pair.number);
    }

    private static Map<String, Object> readOf(Wheel seen, double celsius) {
        Map<String, Object> about = wheel(seen);
        about.put("gauge", 201);
        about.put("place", 101);
        about.put("celsius", Math.round(celsius));
        return about;
    }

    /** The two wheels of a bike are looked at one after the other. */
    private static LocalTime time(Wheel seen, int hour, int minute) {
        return LocalTime.of(hour, minute).plusMinutes(seen.rear() ? 0 : 1);
    }

    /** Around seven in the morning, or in the evening. */
    private static LocalTime gauged(Instant at, Wheel seen) {
        int hour = at.atZone(ZoneOffset.UTC).getHour();
        int day = (int) (at.getEpochSecond() / ChronoUnit.DAYS.getDuration().toSeconds());
        return hour < NOON.getHour() ? time(seen, 7, (day * 7) % 24) : time(seen, 19, 50);
    }

    private static LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, ZoneOffset.UTC);
    }

    private static double halfPsi(double kpa) {
        return PressureUnit.PSI.toKpa(Math.round(2 * PressureUnit.PSI.fromKpa(kpa)) / 2.0);
    }

    private static Map<String, Object> gauge(double kpa) {
        return of("gaugeKpa", halfPsi(kpa), "readIn", "PSI");
    }

    @Override
    public void fitted(LocalDate on, Wheel seen, double ml) {
        HutWheel own = HutWheel.of(seen);
        boolean tubeless = seen.setup().kind() == SetupKind.TUBELESS;
        write(
                on,
                time(seen, 16, 40),
                "TIRE_FITTED",
                wheel(seen),
                of("setup", seen.setup().kind().name(), "insert", false));
        if (own.from == 0 && seen.rear() && own.pair != HutWheel.Pair.WINTER) {
            mounted(on, own.pair);
        }
        if (tubeless) {
            write(on, time(seen, 16, 45), "SEALANT_ADDED", filled(seen, on), of("volumeMl", Math.rint(ml)));
        }
    }

    @Override
    public void removed(LocalDate on, Wheel seen) {
        write(on, time(seen, 16, 0), "TIRE_REMOVED", wheel(seen), of());
    }

    void mounted(LocalDate on, HutWheel.Pair pair) {
        write(on, LocalTime.of(18, 30), "WHEELSET_MOUNTED", pair(pair), of());
    }

    /** From the bottle that is still there, or from the one before. */
    private Map<String, Object> filled(Wheel seen, LocalDate on) {
        Map<String, Object> about = wheel(seen);
        if (first != null && ChronoUnit.DAYS.between(first, on) >= Climate.DAYS - BOTTLE_SINCE_DAYS) {
            about.put("part", BOTTLE);
        }
        return about;
    }

    @Override
    public void read(Instant at, Wheel seen, double kpa, double celsius) {
        Map<String, Object> detail = gauge(kpa);
        detail.put("afterInflation", false);
        write(day(at), gauged(at, seen), "PRESSURE_READ", readOf(seen, celsius), detail);
    }

    @Override
    public void set(Instant at, Wheel seen, double told, double celsius) {
        Map<String, Object> detail = gauge(told);
        detail.put("afterInflation", true);
        detail.put("toldKpa", told);
        write(day(at), gauged(at, seen).plusMinutes(4), "PRESSURE_READ", readOf(seen, celsius), detail);
    }

    void holdStarted(LocalDate on, Wheel seen, double kpa, double celsius) {
        write(on, time(seen, 17, 20), "HOLD_STARTED", readOf(seen, celsius), gauge(kpa));
    }

    void holdEnded(LocalDate on, Wheel seen, double kpa, double celsius) {
        write(on, time(seen, 19, 20), "HOLD_ENDED", readOf(seen, celsius), gauge(kpa));
    }

    /** The first time clears the stem. */
    @Override
    public void dipped(LocalDate on, Wheel seen, double mm) {
        List<Double> depths = Stream.of(mm - STEM_MM, mm + random.nextDouble(), mm, mm - random.nextDouble())
                .map(depth -> Math.max(0, Math.round(2 * depth) / 2.0))
                .toList();
        write(on, time(seen, 19, 20), "SEALANT_DIPPED", wheel(seen), of("depthsMm", depths));
    }

    @Override
    public void sealed(LocalDate on, Wheel seen) {
        write(on, time(seen, 19, 0), "PUNCTURE_SEALED", wheel(seen), of());
    }

    @Override
    public void filled(LocalDate on, Wheel seen, double ml) {
        write(on, time(seen, 19, 30), "SEALANT_ADDED", filled(seen, on), of("volumeMl", ml));
    }

    @Override
    public void found(LocalDate on, Wheel seen, Cause cause) {
        write(on, time(seen, 19, 10), "LEAK_FOUND", wheel(seen), of("cause", cause.name()));
    }

    @Override
    public void rode(LocalDate on, Ride ride, Map<Wheel, Note> notes) {
        HutWheel.Pair pair = HutWheel.Pair.values()[ride.bike()];
        Map<String, Object> about = pair(pair);
        about.put("gauge", 201);
        about.put("place", 101);
        Map<String, Object> detail = of(
                "distanceM",
                1000 * ride.km(),
                "climbM",
                20 * random.nextInt(45),
                "minutes",
                4.2 * ride.km(),
                "ground",
                Map.of(ride.ground().name(), 1),
                "wet",
                random.nextInt(5) == 0,
                "readIn",
                "PSI");
        notes.forEach((seen, note) -> detail.put(seen.rear() ? "rear" : "front", note(note)));
        write(on, LocalTime.of(8, 10 * random.nextInt(6)), "RIDDEN", about, detail);
    }

    private static Map<String, Object> note(Note note) {
        boolean struck = note.said() == Feel.BURP_OR_STRIKE;
        return of(
                "startKpa",
                halfPsi(note.startKpa()),
                "chainKpa",
                note.chainKpa(),
                "feel",
                struck ? null : note.said().name(),
                "burp",
                struck && note.burst(),
                "strike",
                struck && !note.burst());
    }
}
