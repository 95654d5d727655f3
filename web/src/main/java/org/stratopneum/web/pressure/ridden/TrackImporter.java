package org.stratopneum.web.pressure.ridden;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.track.Track;
import org.stratopneum.core.track.TrackReader;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.intake.ImportForm;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.intake.ImportStoppedException;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogIntake;
import org.stratopneum.web.log.LogSource;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Brings a recorded ride in: its file untouched, and a ride in the log. */
@Component
class TrackImporter implements Importer {

    private static final String BIKE = "bike";
    private static final int GZIP_1 = 0x1F;
    private static final int GZIP_2 = 0x8B;

    /** A larger one is looked at only when it is checked (bytes). */
    private static final long SHOWN_AT_ONCE = 5L << 20;

    private final Tracks tracks;
    private final Fittings fittings;
    private final Logbook logbook;
    private final LogIntake intake;
    private final Riders riders;
    private final Wording wording;
    private final ProblemWording problemWording;

    TrackImporter(
            Tracks tracks,
            Fittings fittings,
            Logbook logbook,
            LogIntake intake,
            Riders riders,
            Wording wording,
            ProblemWording problemWording) {
        this.tracks = tracks;
        this.fittings = fittings;
        this.logbook = logbook;
        this.intake = intake;
        this.riders = riders;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    @Override
    public ImportFormat format() {
        return ImportFormat.GPX;
    }

    /** Any XML, packed or not: whether it is a track is told where it is read. */
    @Override
    public boolean recognises(byte[] head) {
        if (head.length > 1 && (head[0] & 0xFF) == GZIP_1 && (head[1] & 0xFF) == GZIP_2) {
            return true;
        }
        String text =
                new String(head, StandardCharsets.UTF_8).replace("\uFEFF", "").stripLeading();
        return text.startsWith("<?xml")
                || text.startsWith("<!DOCTYPE")
                || text.startsWith("<gpx")
                || text.startsWith("<TrainingCenterDatabase");
    }

    @Override
    public Map<String, String> guess(Source file) {
        List<ImportForm.Option> bikes = bikes();
        return Map.of(BIKE, bikes.size() == 1 ? bikes.get(0).value() : "");
    }

    private List<ImportForm.Option> bikes() {
        return fittings.all().wheels().stream()
                .map(wheel -> new ImportForm.Option(wheel.bikeId().toString(), wheel.bikeName()))
                .distinct()
                .toList();
    }

    @Override
    public ImportForm form(Source file, Map<String, String> settings) throws IOException {
        return new ImportForm(
                List.of(new ImportForm.Select(BIKE, wording.text("import.plan.ridden"), bikes())),
                List.of(),
                lines(file));
    }

    private List<String> lines(Source file) throws IOException {
        if (file.bytes() > SHOWN_AT_ONCE) {
            return List.of(wording.text("import.gpx.large"));
        }
        try (InputStream in = new BufferedInputStream(file.open())) {
            return TrackReader.read(in, Tracks.FIELD, riders.self().zoneId()).rides().stream()
                    .map(this::said)
                    .toList();
        } catch (InvalidInputException invalid) {
            return List.of(problemWording.message(invalid.problems().get(0)));
        }
    }

    private String said(Track track) {
        Rider rider = riders.self();
        String far = QuantityText.text(track.distanceM() / 1000, rider.units().distance());
        return track.start() == null
                ? wording.text("import.gpx.untimed", far)
                : wording.text("import.gpx.says", DateText.moment(track.start(), rider.zoneId()), far);
    }

    @Override
    public Map<String, String> open(Map<String, String> settings) {
        return bike(settings).isPresent()
                ? Map.of()
                : problemWording.messages(List.of(Problem.of(BIKE, Problem.MISSING)));
    }

    private static Optional<UUID> bike(Map<String, String> settings) {
        try {
            return Optional.of(settings.getOrDefault(BIKE, ""))
                    .filter(text -> !text.isEmpty())
                    .map(UUID::fromString);
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        UUID bike = bike(settings).orElseThrow();
        if (fittings.all().wheels().stream().noneMatch(wheel -> wheel.bikeId().equals(bike))) {
            throw new ImportStoppedException("", problemWording.message(Problem.of(BIKE, "no-bike-of-that-name")));
        }
        progress.row();
        try {
            keep(file, bike, run, progress);
        } catch (InvalidInputException invalid) {
            progress.fault("", problemWording.message(invalid.problems().get(0)));
        }
    }

    private void keep(Source file, UUID bike, UUID run, ImportProgress progress) throws IOException {
        List<Track> rides;
        try (InputStream in = new BufferedInputStream(file.open())) {
            rides = TrackReader.read(in, Tracks.FIELD, riders.self().zoneId()).rides();
        }
        rides.stream().skip(1).forEach(more -> progress.row());
        Instant now = logbook.now();
        rides.stream()
                .flatMap(ride -> wrong(ride, now).stream())
                .findFirst()
                .ifPresent(problem -> progress.fault("", problemWording.message(problem)));
        if (!progress.fine()) {
            return;
        }
        // in whichever file they came
        int known = intake.countAmong(rides.stream().map(ride -> id(bike, ride)).collect(Collectors.toSet()));
        if (known == rides.size()) {
            progress.count(0, known);
            return;
        }
        UUID track = tracks.keep(file.name(), file.bytes(), () -> new BufferedInputStream(file.open()));
        if (rides.size() == 1 && tracks.ridden(track)) {
            progress.count(0, 1);
            return;
        }
        List<LogEntry> entries =
                rides.stream().map(ride -> entry(ride, track, bike, now, run)).toList();
        int added = intake.addNew(entries);
        progress.count(added, entries.size() - added);
        intake.announce(Set.of(bike));
    }

    private static Optional<Problem> wrong(Track ride, Instant now) {
        if (ride.start() == null) {
            return Optional.of(Problem.of(Tracks.FIELD, "track-without-times"));
        }
        if (ride.start().isAfter(now)) {
            return Optional.of(Problem.of(Tracks.FIELD, "in-the-future"));
        }
        return Ridden.DISTANCE_M.problemOf(Tracks.FIELD, ride.distanceM());
    }

    /** No bike begins two rides at one moment: the same ride in another form is the same. */
    private static UUID id(UUID bike, Track ride) {
        return UUID.nameUUIDFromBytes(("track:" + bike + ride.start()).getBytes(StandardCharsets.UTF_8));
    }

    private LogEntry entry(Track ride, UUID track, UUID bike, Instant now, UUID run) {
        Rider rider = riders.self();
        FittedTires tires = fittings.all();
        UUID wheelset = Arrays.stream(WheelPosition.values())
                .flatMap(position -> tires.wheelIn(bike, position, ride.start()).stream())
                .findFirst()
                .map(FittedTires.Wheel::wheelsetId)
                .orElse(null);
        double minutes = Duration.between(ride.start(), ride.end()).toSeconds() / 60.0;
        Ridden ridden = new Ridden(
                ride.distanceM(),
                ride.climbM(),
                Ridden.MINUTES.problemOf("", minutes).isPresent() ? null : minutes,
                Map.of(),
                false,
                rider.pressureUnit(),
                track,
                null,
                null);
        return LogEntry.of(id(bike, ride), ride.start(), now, rider.zone(), LogSubject.wheelset(bike, wheelset), ridden)
                .withTemperature(ride.temperatureC())
                .from(LogSource.IMPORT, run.toString());
    }
}
