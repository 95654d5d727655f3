package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TestRider;
import org.stratopneum.web.support.TypedBike;

/**
 * Whatever a log holds, every page of a wheel answers: readings of 0 to 12 bar, seconds to years apart, equal, rising,
 * corrected and struck; little and much sealant, dips of nothing and of more than the tire is high; short rides; tires on
 * and off in any order, one of them on two wheels after an undone removal.
 */
@ExtendWith(RunningApplication.class)
class AnyLogTest {

    private static final int FEW_RIDERS = 1;
    private static final int RIDERS = 8;
    private static final int BIKES = 13;
    private static final int MOST_ENTRIES = 14;
    private static final String TEN_YEARS_AGO =
            LocalDate.now(ZoneOffset.UTC).minusYears(10).toString();
    private static final double LONGEST_GAP_LOG_S = 7.5;
    private static final long OLDEST_S = 300_000_000;

    private static final List<String> OF_WHEEL = List.of("", "/leaks", "/sealant");
    /** Pages that ask little of the log: of every fourth wheel. */
    private static final List<String> OF_SOME =
            List.of("/needs", "/air?cartridgeG=16", "/fit", "/gauge", "/jobs", "/jobs/new?job=CHANGE_TIRE");

    /** Of every second wheel. */
    private static final List<String> OF_HALF = List.of("/history", "/leak", "/what-if");

    private static final List<String> OF_BIKE = List.of("/dialling", "/elsewhere", "/pocket");
    private static final List<String> OF_ALL =
            List.of("/", "/todo", "/todo/month", "/todo?on=2026-12-24", "/garage", "/log", "/trailside/mine.json");

    private final AtomicInteger written = new AtomicInteger();
    private final Site site;
    private final Logbook logbook;
    private final JdbcTemplate jdbc;
    private final PlatformTransactionManager transactions;

    AnyLogTest(Site site, Logbook logbook, JdbcTemplate jdbc, PlatformTransactionManager transactions) {
        this.site = site;
        this.logbook = logbook;
        this.jdbc = jdbc;
        this.transactions = transactions;
    }

    /** A wheel, with the tires that ever go on it. */
    private record Wheel(UUID bike, UUID id, UUID tire) {}

    @Test
    void everyPageOfAWheelAnswersWhateverItsLogHolds() {
        walk(0, FEW_RIDERS);
    }

    /** The same over all of the two hundred logs. */
    @Test
    @Tag("all")
    void everyPageOfEveryWheelAnswers() {
        walk(FEW_RIDERS, RIDERS);
    }

    private void walk(int from, int to) {
        ConcurrentLinkedQueue<String> failed = new ConcurrentLinkedQueue<>();
        written.set(0);
        IntStream.range(from, to).parallel().forEach(number -> failed.addAll(walk(new Random(1900 + number))));
        assertThat(failed).isEmpty();
        assertThat(written.get()).as("entries that a log took").isGreaterThan(5 * (to - from) * BIKES);
    }

    private List<String> walk(Random random) {
        Guest guest = Guest.withAccount(site);
        for (int i = 0; i < BIKES; i++) {
            TypedBike.enter(
                    guest,
                    "name",
                    "Bike " + i,
                    "rear-setup",
                    random.nextInt(4) == 0 ? "BUTYL_TUBE" : "TUBELESS",
                    "since",
                    TEN_YEARS_AGO);
        }
        TestRider rider = TestRider.of(guest.riderId(), transactions);
        List<Wheel> wheels = rider.asks(() -> jdbc.query(
                "select bike_id, wheel_id, tire_id from log_current where kind = 'TIRE_FITTED' order by wheel_id",
                (row, at) -> new Wheel(
                        row.getObject(1, UUID.class), row.getObject(2, UUID.class), row.getObject(3, UUID.class))));
        for (Wheel wheel : wheels) {
            write(rider, wheel, wheels.get(random.nextInt(wheels.size())), random);
        }
        List<String> paths = new ArrayList<>(OF_ALL);
        for (Wheel wheel : wheels) {
            OF_WHEEL.forEach(page -> paths.add("/wheels/" + wheel.id + page));
            if (wheels.indexOf(wheel) % 2 == 0) {
                OF_HALF.forEach(page -> paths.add("/wheels/" + wheel.id + page));
            }
            if (wheels.indexOf(wheel) % 4 == 1) {
                OF_SOME.forEach(page -> paths.add("/wheels/" + wheel.id + page));
            }
        }
        wheels.stream()
                .map(Wheel::bike)
                .distinct()
                .forEach(bike -> OF_BIKE.forEach(page -> paths.add("/bikes/" + bike + page)));
        return paths.stream()
                .map(path -> path + " " + guest.get(path).statusCode())
                .filter(answer -> !answer.endsWith(" 200"))
                .toList();
    }

    private void write(TestRider rider, Wheel wheel, Wheel other, Random random) {
        int entries = 1 + random.nextInt(MOST_ENTRIES);
        double[] before = new double[entries];
        before[entries - 1] = random.nextInt(3) == 0 ? 0 : Math.pow(10, random.nextDouble() * 7);
        for (int i = entries - 1; i > 0; i--) {
            before[i - 1] = before[i] + Math.pow(10, random.nextDouble() * LONGEST_GAP_LOG_S);
        }
        double kpa = 190;
        for (double seconds : before) {
            Instant at = logbook.now().minus(Duration.ofSeconds(Math.min((long) seconds, OLDEST_S)));
            kpa = next(kpa, random);
            one(rider, wheel, other, at, kpa, random);
        }
    }

    private static double next(double kpa, Random random) {
        return switch (random.nextInt(7)) {
            case 0 -> kpa;
            case 1 -> 0;
            case 2 -> Math.min(1200, kpa * 1.01 + 1);
            case 3 -> random.nextDouble() * 1200;
            case 4 -> 10 + random.nextDouble() * 20;
            default -> kpa * (1 - random.nextDouble() * random.nextDouble());
        };
    }

    /** What is refused where it is made is not written. */
    private void one(TestRider rider, Wheel wheel, Wheel other, Instant at, double kpa, Random random) {
        try {
            LogDetail detail = detail(kpa, random);
            boolean fitting = detail instanceof LogDetail.TireFitted && random.nextInt(3) == 0;
            UUID tire = fitting ? other.tire : wheel.tire;
            LogSubject about = detail instanceof Ridden
                    ? new LogSubject(wheel.bike, null, null, null, null, null, null)
                    : LogSubject.wheel(wheel.bike, wheel.id, tire);
            LogEntry entry = LogEntry.of(UUID.randomUUID(), at, logbook.now(), "Europe/Vienna", about, detail)
                    .withTemperature(random.nextInt(3) == 0 ? null : random.nextDouble() * 60 - 20);
            rider.asRider(() -> logbook.write(entry));
            written.incrementAndGet();
            int then = random.nextInt(8);
            if (then == 0) {
                rider.asRider(() -> logbook.strike(List.of(entry.id())));
            }
            if (then == 1 && detail instanceof LogDetail.GaugeRead read) {
                LogDetail right = read.reread(random.nextDouble() * 1200, PressureUnit.BAR);
                rider.asRider(() -> logbook.correct(entry.id(), at.minusSeconds(random.nextInt(9000)), null, right));
            }
            if (then == 2 && detail instanceof LogDetail.TireRemoved) {
                UUID elsewhere = UUID.randomUUID();
                LogSubject there = LogSubject.wheel(other.bike, other.id, wheel.tire);
                LogDetail fitted = new LogDetail.TireFitted(SetupKind.TUBELESS, false, null);
                rider.asRider(() -> {
                    logbook.write(
                            LogEntry.of(elsewhere, at.plusSeconds(5), logbook.now(), "Europe/Vienna", there, fitted));
                    logbook.strike(List.of(entry.id()));
                });
            }
        } catch (InvalidInputException | LogConflictException | NotThereException refused) {
            // the log itself says no
        }
    }

    private static LogDetail detail(double kpa, Random random) {
        return switch (random.nextInt(19)) {
            case 0 -> new LogDetail.HoldStarted(kpa, PressureUnit.BAR);
            case 1 -> new LogDetail.HoldEnded(kpa, PressureUnit.BAR);
            case 2 ->
                new LogDetail.SealantAdded(
                        random.nextInt(3) == 0 ? 0 : random.nextDouble() * 300, random.nextBoolean());
            case 3 ->
                new LogDetail.SealantDipped(List.of(
                        0.0, random.nextInt(3) == 0 ? 0 : random.nextDouble() * 150, random.nextDouble() * 150));
            case 4 -> new LogDetail.SealantHeard(any(LogDetail.SealantHeard.Sound.values(), random));
            case 5 -> new LogDetail.PunctureSealed(random.nextBoolean());
            case 6 -> ride(kpa, random);
            case 7 -> new LogDetail.TireRemoved();
            case 8 -> new LogDetail.TireFitted(any(SetupKind.values(), random), false, null);
            case 9 -> new TreadMeasured(random.nextDouble() * 8, null, null, null);
            case 10 -> new LogDetail.CareDone(any(LogDetail.CareDone.Care.values(), random));
            case 11 -> new LogDetail.SealantFound(random.nextBoolean() ? null : LocalDate.of(2026, 1, 5));
            case 12 -> new LogDetail.SealantLost(1 + random.nextDouble() * 400);
            case 13 ->
                new LogDetail.DipExplained(
                        LocalDate.of(2026, 5, 1 + random.nextInt(28)),
                        any(LogDetail.DipExplained.Reason.values(), random),
                        random.nextBoolean() ? null : 1 + random.nextDouble() * 100);
            default ->
                new LogDetail.PressureRead(kpa, any(PressureUnit.values(), random), random.nextInt(4) == 0, null);
        };
    }

    private static Ridden ride(double kpa, Random random) {
        Double metres = random.nextInt(3) == 0
                ? null
                : Double.valueOf(random.nextInt(3) == 0 ? 0 : random.nextDouble() * 100_000);
        WheelNote note = new WheelNote(
                kpa, 1 + random.nextDouble() * 300, any(Feel.values(), random), false, random.nextBoolean());
        return new Ridden(
                metres, null, null, Map.of(Ground.CROSS_COUNTRY, 1.0), false, PressureUnit.BAR, null, note, null);
    }

    private static <T> T any(T[] values, Random random) {
        return values[random.nextInt(values.length)];
    }
}
