package org.stratopneum.web.pressure.ridden;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.InputStreamSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.track.Recording;
import org.stratopneum.core.track.Track;
import org.stratopneum.core.track.TrackReader;
import org.stratopneum.web.fleet.places.Place;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.quota.Quota;

/** Keeps recorded rides with their files, byte for byte; no more of a file than a piece stands in memory. */
@Service
public class Tracks {

    /** Larger than any ride that was ridden (bytes). */
    static final long LARGEST = 100L << 20;

    private static final int PIECE = 256 << 10;
    private static final int LONGEST_NAME = 200;
    static final String FIELD = "file";

    /** More are not offered to be ridden again. */
    private static final int MOST_ROUTES = 12;

    private final TrackMapper mapper;
    private final Logbook logbook;
    private final Quota quota;
    private final Riders riders;

    Tracks(TrackMapper mapper, Logbook logbook, Quota quota, Riders riders) {
        this.riders = riders;
        this.mapper = mapper;
        this.logbook = logbook;
        this.quota = quota;
    }

    /** @throws NotThereException when this rider has no such track */
    @Transactional(readOnly = true)
    public KeptTrack track(UUID id) {
        return mapper.track(id).orElseThrow(NotThereException::new);
    }

    @Transactional(readOnly = true)
    public Optional<KeptTrack> find(UUID id) {
        return mapper.track(id);
    }

    /**
     * Keeps a file; the same file again is the same track.
     *
     * @param file the bytes, which are read twice
     * @throws InvalidInputException when it is too large, or no track
     */
    @Transactional(noRollbackFor = InvalidInputException.class)
    public UUID keep(String name, long bytes, InputStreamSource file) {
        return keep(name, bytes, file, Integer.MAX_VALUE);
    }

    /**
     * The same for a file that is to be one ride.
     *
     * @throws InvalidInputException also when it holds rides of several days
     */
    @Transactional(noRollbackFor = InvalidInputException.class)
    public UUID keepRide(String name, long bytes, InputStreamSource file) {
        return keep(name, bytes, file, 1);
    }

    private UUID keep(String name, long bytes, InputStreamSource file, int mostRides) {
        if (bytes == 0) {
            throw new InvalidInputException(Problem.of(FIELD, Problem.MISSING));
        }
        if (bytes > LARGEST) {
            throw new InvalidInputException(
                    new Problem(FIELD, "too-large", LARGEST / 1024.0 / 1024, bytes / 1024.0 / 1024, "MB"));
        }
        quota.file(FIELD, bytes);
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            Recording recording;
            try (InputStream in = new DigestInputStream(file.getInputStream(), digest)) {
                recording = TrackReader.read(in, FIELD, riders.self().zoneId());
                in.transferTo(OutputStream.nullOutputStream());
            }
            if (recording.rides().size() > mostRides) {
                throw new InvalidInputException(Problem.of(FIELD, "several-days"));
            }
            byte[] sha256 = digest.digest();
            Optional<UUID> known = mapper.sameFile(sha256);
            return known.isPresent() ? known.get() : insert(name, bytes, sha256, recording.whole(), file);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (NoSuchAlgorithmException exception) {
            throw new IllegalStateException(exception);
        }
    }

    /** Recorded rides with their heights, the latest first, each as the place at its highest point. */
    @Transactional(readOnly = true)
    public List<Place> routes() {
        return mapper.highest(MOST_ROUTES).stream()
                .map(track -> new Place(
                        track.id(),
                        track.name(),
                        track.highestM(),
                        false,
                        null,
                        null,
                        track.latitudeDeg(),
                        track.longitudeDeg(),
                        null,
                        0))
                .toList();
    }

    private UUID insert(String name, long bytes, byte[] sha256, Track track, InputStreamSource file)
            throws IOException {
        UUID id = UUID.randomUUID();
        mapper.insert(new KeptTrack(
                id,
                cut(name),
                bytes,
                sha256,
                logbook.now(),
                track.points(),
                track.distanceM(),
                track.climbM(),
                track.start(),
                track.end(),
                track.latitudeDeg(),
                track.longitudeDeg(),
                track.startM(),
                track.highestM(),
                track.temperatureC()));
        try (InputStream in = file.getInputStream()) {
            int number = 0;
            for (byte[] piece = in.readNBytes(PIECE); piece.length > 0; piece = in.readNBytes(PIECE)) {
                mapper.insertPiece(id, number, piece);
                number++;
            }
        }
        return id;
    }

    private static String cut(String name) {
        String plain = name == null ? "" : name.replaceAll("\\p{Cntrl}", "").strip();
        return plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
    }

    /** Whether a ride of the log has this track. */
    @Transactional(readOnly = true)
    public boolean ridden(UUID id) {
        return mapper.ridden(id.toString());
    }

    /**
     * Writes the file of a track as it was kept.
     *
     * @throws NotThereException when this rider has no such track
     */
    @Transactional(readOnly = true)
    public void write(UUID id, OutputStream out) throws IOException {
        int number = 0;
        Optional<TrackMapper.Piece> piece = mapper.piece(id, number);
        while (piece.isPresent()) {
            out.write(piece.get().content());
            number++;
            piece = mapper.piece(id, number);
        }
    }
}
