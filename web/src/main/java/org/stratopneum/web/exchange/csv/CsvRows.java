package org.stratopneum.web.exchange.csv;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.rider.Rider;

/**
 * Reads rows of a table into entries of the log. The id of an entry comes from what it says, so that the same row is the
 * same entry, whichever file it stands in, and a file that has grown adds what is new in it.
 */
final class CsvRows {

    /** Shares of ground are rounded. */
    private static final double ROUNDED = 0.02;

    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");

    /** Dips of one row. */
    static final String BETWEEN_DIPS = "[ /;]+";

    private static final Pattern GROUND = Pattern.compile("([\\p{L}_ ]+?) *(\\d{1,3}(?:[.,]\\d+)?) *%");

    private final CsvPlan plan;
    private final Map<CsvColumn, Integer> places;
    private final FittedTires tires;
    private final Rider rider;
    private final Instant now;
    private final String reference;

    /** @param reference of the import */
    CsvRows(CsvPlan plan, FittedTires tires, Rider rider, Instant now, String reference) {
        this.plan = plan;
        this.places = plan.places();
        this.tires = tires;
        this.rider = rider;
        this.now = now;
        this.reference = reference;
    }

    /** The entries of a row, or all that is wrong with it, by the names of the fields. */
    record Read(List<LogEntry> entries, List<Problem> problems) {}

    Read read(List<String> cells) {
        Row row = new Row(cells);
        row.read();
        List<Problem> problems = row.problems.list();
        return new Read(problems.isEmpty() ? row.entries : List.of(), problems);
    }

    /** One row being read. */
    private final class Row {

        private final List<String> cells;
        private final Problems problems = new Problems();
        private final List<LogEntry> entries = new ArrayList<>();
        private Instant at;
        private UUID bike;
        private Double celsius;
        private boolean pumped;

        Row(List<String> cells) {
            this.cells = cells;
        }

        private String text(CsvField field) {
            Integer place = places.get(field);
            return place == null || place >= cells.size()
                    ? ""
                    : cells.get(place).strip();
        }

        private QuantityUnit unit(CsvField field) {
            Integer place = places.get(field);
            return place == null ? null : plan.columns().get(place).unit();
        }

        private void fault(CsvField field, String code) {
            problems.add(Problem.of(field.name(), code));
        }

        void read() {
            at = moment();
            bike = bike();
            celsius = quantity(CsvField.TEMPERATURE, Temperature.CELSIUS).orElse(null);
            String note = text(CsvField.NOTE);
            if (note.length() > LogEntry.NOTE) {
                problems.add(new Problem(
                        CsvField.NOTE.name(), "too-long", (double) LogEntry.NOTE, (double) note.length(), null));
            }
            pumped = pumped();
            pressure(CsvField.REAR, WheelPosition.REAR);
            pressure(CsvField.FRONT, WheelPosition.FRONT);
            if (CsvField.OF_A_WHEEL.stream().anyMatch(field -> !text(field).isEmpty())) {
                WheelPosition position = position();
                pressure(CsvField.PRESSURE, position);
                depth(position);
                quantity(CsvField.FILLED, Range.closed(0, 1000, "ml"))
                        .ifPresent(ml -> add(position, CsvField.FILLED, new LogDetail.SealantAdded(ml)));
            }
            ride();
            if (entries.isEmpty() && problems.isEmpty()) {
                problems.add(Problem.of("", "row-says-nothing"));
            }
            if (!entries.isEmpty() && problems.isEmpty()) {
                entries.set(0, identified(entries.get(0).noted(note)));
            }
        }

        /** The id follows from what the entry says, its note included. */
        private LogEntry identified(LogEntry entry) {
            return entry(entry.subject(), entry.detail(), entry.temperatureC(), entry.note());
        }

        private Instant moment() {
            String date = text(CsvField.DATE);
            Optional<Instant> moment = TableTime.moment(date, text(CsvField.TIME), plan.order(), rider.zoneId());
            if (moment.isEmpty()) {
                boolean day = plan.order() != null && plan.order().read(date).isPresent();
                fault(
                        day ? CsvField.TIME : CsvField.DATE,
                        day ? "not-a-time" : date.isEmpty() ? Problem.MISSING : "not-a-date");
                return null;
            }
            // noon of today may still be ahead
            boolean today = !TableTime.hasClock(date, text(CsvField.TIME))
                    && LocalDate.ofInstant(moment.get(), rider.zoneId())
                            .equals(LocalDate.ofInstant(now, rider.zoneId()));
            if (moment.get().isAfter(now) && !today) {
                fault(CsvField.DATE, "in-the-future");
            }
            if (moment.get().isBefore(EARLIEST)) {
                fault(CsvField.DATE, "too-long-ago");
            }
            return moment.get().isAfter(now) ? now : moment.get();
        }

        /** By the beginning of its name, if only one begins so; the one of the plan where the row names none. */
        private UUID bike() {
            String name = text(CsvField.BIKE).toLowerCase(Locale.ROOT);
            if (name.isEmpty()) {
                if (plan.bike() == null) {
                    fault(CsvField.BIKE, Problem.MISSING);
                } else if (tires.wheels().stream()
                        .noneMatch(wheel -> wheel.bikeId().equals(plan.bike()))) {
                    fault(CsvField.BIKE, "no-bike-of-that-name");
                }
                return plan.bike();
            }
            List<UUID> exact = bikes(other -> other.equals(name));
            List<UUID> begun = exact.isEmpty() ? bikes(other -> other.startsWith(name)) : exact;
            if (begun.size() != 1) {
                fault(CsvField.BIKE, begun.isEmpty() ? "no-bike-of-that-name" : "several-bikes-of-that-name");
                return null;
            }
            return begun.get(0);
        }

        private List<UUID> bikes(java.util.function.Predicate<String> named) {
            return tires.wheels().stream()
                    .filter(wheel -> named.test(wheel.bikeName().toLowerCase(Locale.ROOT)))
                    .map(FittedTires.Wheel::bikeId)
                    .distinct()
                    .toList();
        }

        private WheelPosition position() {
            String said = text(CsvField.WHEEL).toLowerCase(Locale.ROOT);
            if (said.isEmpty()) {
                if (plan.position() == null) {
                    fault(CsvField.WHEEL, Problem.MISSING);
                    return null;
                }
                return WheelPosition.valueOf(plan.position());
            }
            Optional<WheelPosition> known =
                    TableWords.read("position", WheelPosition.class, said.split("[^\\p{L}]+")[0]);
            if (known.isEmpty()) {
                fault(CsvField.WHEEL, "no-wheel-word");
            }
            return known.orElse(null);
        }

        private Optional<Double> quantity(CsvField field, Range range) {
            String text = text(field);
            QuantityUnit unit = unit(field);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            Optional<Double> number = CsvNumbers.read(text, plan.decimal());
            if (number.isEmpty() || unit == null) {
                fault(field, "not-a-cell-number");
                return Optional.empty();
            }
            double value = unit.toCore(number.get());
            Optional<Problem> problem = range.problemOf(field.name(), value);
            problem.ifPresent(known -> problems.add(inUnit(known, unit, number.get())));
            return problem.isPresent() ? Optional.empty() : Optional.of(value);
        }

        /** With the limit in the unit of the file. */
        private static Problem inUnit(Problem problem, QuantityUnit unit, double typed) {
            Double limit = problem.limit() == null ? null : unit.fromCore(problem.limit());
            return new Problem(problem.field(), problem.code(), limit, typed, unit.symbol());
        }

        private void pressure(CsvField field, WheelPosition position) {
            quantity(field, GaugePressure.TIRE_KPA)
                    .ifPresent(kpa -> add(
                            position,
                            field,
                            new LogDetail.PressureRead(kpa, (PressureUnit) unit(field), pumped, null)));
        }

        private boolean pumped() {
            String said = text(CsvField.STATE).toLowerCase(Locale.ROOT);
            if (said.isEmpty()) {
                return plan.pumped();
            }
            Optional<Pumped> known = TableWords.read("state", Pumped.class, said);
            Optional<Answer> answer = TableWords.read("answer", Answer.class, said);
            if (known.isEmpty() && answer.isEmpty()) {
                fault(CsvField.STATE, "no-state-word");
            }
            return known.map(one -> one == Pumped.SET)
                    .orElse(answer.filter(one -> one == Answer.YES).isPresent());
        }

        /** Several dips as they were made, the first of which only clears the stem; one number is the mean of the others. */
        private void depth(WheelPosition position) {
            String text = text(CsvField.DEPTH);
            if (text.isEmpty()) {
                return;
            }
            List<Double> depths = new ArrayList<>();
            for (String one : text.split(BETWEEN_DIPS)) {
                Optional<Double> number = CsvNumbers.read(one, plan.decimal());
                if (number.isEmpty() || unit(CsvField.DEPTH) == null) {
                    fault(CsvField.DEPTH, "not-a-cell-number");
                    return;
                }
                double mm = unit(CsvField.DEPTH).toCore(number.get());
                LogDetail.SealantDipped.DEPTH_MM
                        .problemOf(CsvField.DEPTH.name(), mm)
                        .ifPresent(problems::add);
                depths.add(mm);
            }
            if (depths.size() == 1) {
                depths.add(depths.get(0));
            }
            if (problems.isEmpty()) {
                add(position, CsvField.DEPTH, new LogDetail.SealantDipped(depths));
            }
        }

        private void ride() {
            Optional<Double> km = quantity(CsvField.DISTANCE, Range.above(0, 2000, "km"));
            if (km.isEmpty()) {
                return;
            }
            Double climb = number(CsvField.CLIMB, Ridden.CLIMB_M);
            Double minutes = number(CsvField.MINUTES, Ridden.MINUTES);
            if (problems.isEmpty() && bike != null) {
                entries.add(entry(
                        LogSubject.wheel(bike, null, null),
                        new Ridden(
                                km.get() * 1000,
                                climb,
                                minutes,
                                ground(),
                                wet(),
                                rider.pressureUnit(),
                                null,
                                null,
                                null),
                        celsius,
                        null));
            }
        }

        private boolean wet() {
            String said = text(CsvField.WET).toLowerCase(Locale.ROOT);
            Optional<Answer> answer = TableWords.read("answer", Answer.class, said);
            if (!said.isEmpty() && answer.isEmpty()) {
                fault(CsvField.WET, "no-yes-or-no");
            }
            return answer.filter(one -> one == Answer.YES).isPresent();
        }

        /** "FOREST_TRACK 60 %; ROCK 40 %", as our own tables have it. */
        private Map<Ground, Double> ground() {
            Map<Ground, Double> shares = new EnumMap<>(Ground.class);
            double sum = 0;
            for (String one : text(CsvField.GROUND).split(";")) {
                Matcher found = GROUND.matcher(one.strip());
                Optional<Ground> ground = found.matches() ? ground(found.group(1)) : Optional.empty();
                if (ground.isPresent()) {
                    double share = Double.parseDouble(found.group(2).replace(',', '.')) / 100;
                    shares.put(ground.get(), share);
                    sum += share;
                } else if (!one.isBlank()) {
                    fault(CsvField.GROUND, "no-ground-word");
                }
            }
            if (!shares.isEmpty() && Math.abs(sum - 1) > ROUNDED) {
                fault(CsvField.GROUND, "no-whole-ground");
            }
            double all = sum;
            shares.replaceAll((ground, share) -> share / all);
            return shares;
        }

        private static Optional<Ground> ground(String word) {
            String name = word.strip().toUpperCase(Locale.ROOT).replace(' ', '_');
            return Arrays.stream(Ground.values())
                    .filter(one -> one.name().equals(name))
                    .findFirst();
        }

        private Double number(CsvField field, Range range) {
            String text = text(field);
            if (text.isEmpty()) {
                return null;
            }
            Optional<Double> number = CsvNumbers.read(text, plan.decimal());
            if (number.isEmpty()) {
                fault(field, "not-a-cell-number");
                return null;
            }
            range.problemOf(field.name(), number.get()).ifPresent(problems::add);
            return number.get();
        }

        private void add(WheelPosition position, CsvField field, LogDetail detail) {
            if (position == null || bike == null || at == null) {
                return;
            }
            Optional<FittedTires.Wheel> wheel = tires.wheelIn(bike, position, at);
            if (wheel.isEmpty()) {
                fault(field, "no-such-wheel-then");
                return;
            }
            UUID id = wheel.get().id();
            LogSubject subject = LogSubject.wheel(bike, id, tires.tireOn(id, at).orElse(null));
            entries.add(entry(subject, detail, celsius, null));
        }

        private LogEntry entry(LogSubject subject, LogDetail detail, Double temperature, String note) {
            String says = String.join(
                    "|",
                    Arrays.asList(
                            String.valueOf(subject.wheelId() == null ? subject.bikeId() : subject.wheelId()),
                            String.valueOf(at),
                            detail.toString(),
                            String.valueOf(temperature),
                            String.valueOf(note)));
            UUID id = UUID.nameUUIDFromBytes(("table:" + says).getBytes(StandardCharsets.UTF_8));
            try {
                return LogEntry.of(id, at, now, rider.zone(), subject, detail)
                        .withTemperature(temperature)
                        .noted(note)
                        .from(LogSource.IMPORT, reference);
            } catch (InvalidInputException unexpected) {
                throw new IllegalStateException(unexpected);
            }
        }
    }
}
