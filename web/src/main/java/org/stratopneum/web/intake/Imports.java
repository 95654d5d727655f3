package org.stratopneum.web.intake;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.io.InputStreamSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.log.LogIntake;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.ChangedMeanwhileException;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.work.BackgroundWork;
import org.stratopneum.web.rider.quota.Quota;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Receives files, keeps how each is understood, has it read, and takes out again what it brought. */
@Service
public class Imports {

    static final String FIELD = "file";

    /** Larger than any notebook (bytes). */
    static final long LARGEST = 200L << 20;

    private static final int PIECE = 256 << 10;
    private static final int HEAD = 64 << 10;
    private static final int LONGEST_NAME = 200;
    private static final Duration KEPT = Duration.ofDays(7);

    private final ImportMapper mapper;
    private final Logbook logbook;
    private final LogIntake intake;
    private final ImportedItems items;
    private final BackgroundWork work;
    private final ObjectProvider<Importer> importers;
    private final JsonMapper json;
    private final Quota quota;

    Imports(
            ImportMapper mapper,
            Logbook logbook,
            LogIntake intake,
            ImportedItems items,
            BackgroundWork work,
            ObjectProvider<Importer> importers,
            JsonMapper json,
            Quota quota) {
        this.mapper = mapper;
        this.logbook = logbook;
        this.intake = intake;
        this.items = items;
        this.work = work;
        this.importers = importers;
        this.json = json;
        this.quota = quota;
    }

    /** @throws NotThereException when this rider brought no such file */
    @Transactional(readOnly = true)
    public ImportRun run(UUID id) {
        return mapper.run(id).orElseThrow(NotThereException::new);
    }

    @Transactional(readOnly = true)
    public List<ImportRun> runs() {
        return mapper.runs();
    }

    /** Another import by which the same file is in already. */
    @Transactional(readOnly = true)
    public Optional<UUID> same(UUID id) {
        return mapper.digest(id).flatMap(digest -> mapper.same(id, digest.content()));
    }

    /** How a file is understood so far. */
    public Map<String, String> settings(ImportRun run) {
        return new HashMap<>(json.readValue(run.settings(), new TypeReference<Map<String, String>>() {}));
    }

    public List<ImportFault> faults(ImportRun run) {
        return json.readValue(run.faults(), new TypeReference<List<ImportFault>>() {});
    }

    /** What else is to be known of a file that was read. */
    public List<String> notes(ImportRun run) {
        return json.readValue(run.notes(), new TypeReference<List<String>>() {});
    }

    /**
     * Receives a file, piece by piece.
     *
     * @throws InvalidInputException when it is empty or too large
     */
    @Transactional(noRollbackFor = InvalidInputException.class)
    public UUID receive(UUID id, String name, long bytes, InputStreamSource file) {
        if (bytes == 0) {
            throw new InvalidInputException(Problem.of(FIELD, Problem.MISSING));
        }
        if (bytes > LARGEST) {
            throw new InvalidInputException(
                    new Problem(FIELD, "too-large", LARGEST / 1024.0 / 1024, bytes / 1024.0 / 1024, "MB"));
        }
        quota.file(FIELD, bytes);
        Instant now = logbook.now();
        mapper.forget(now.minus(KEPT));
        mapper.forgetLeftOut(now.minus(KEPT));
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            byte[] head;
            try (InputStream in = file.getInputStream()) {
                head = in.readNBytes(HEAD);
            }
            ImportFormat format = formatOf(head);
            Optional<Problem> refused = importerOf(format).refuses(head, file);
            if (refused.isPresent()) {
                throw new InvalidInputException(refused.get().under(FIELD));
            }
            try (InputStream in = new DigestInputStream(file.getInputStream(), digest)) {
                in.transferTo(java.io.OutputStream.nullOutputStream());
            }
            if (mapper.insert(id, format, cut(name), bytes, digest.digest(), now) == 0) {
                return id;
            }
            try (InputStream in = file.getInputStream()) {
                int number = 0;
                for (byte[] piece = in.readNBytes(PIECE); piece.length > 0; piece = in.readNBytes(PIECE)) {
                    mapper.insertPiece(id, number, piece);
                    number++;
                }
            }
            return id;
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (NoSuchAlgorithmException exception) {
            throw new IllegalStateException(exception);
        }
    }

    private ImportFormat formatOf(byte[] head) {
        return importers.stream()
                .filter(importer -> importer.recognises(head))
                .map(Importer::format)
                .min(Comparator.naturalOrder())
                .orElse(ImportFormat.CSV);
    }

    private Importer importerOf(ImportRun run) {
        return importerOf(run.format());
    }

    private Importer importerOf(ImportFormat format) {
        return importers.stream()
                .filter(importer -> importer.format() == format)
                .findFirst()
                .orElseThrow();
    }

    /** How a new file would be understood. */
    @Transactional(readOnly = true)
    public Map<String, String> guess(ImportRun run) {
        try {
            return importerOf(run).guess(new Pieces(mapper, run));
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    /** What is asked about a file, and seen of it. */
    @Transactional(readOnly = true)
    public ImportForm form(ImportRun run) {
        try {
            return importerOf(run).form(new Pieces(mapper, run), settings(run));
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    /** What must still be said before it can be read, in words by the field of the form. */
    public Map<String, String> open(ImportRun run) {
        return importerOf(run).open(settings(run));
    }

    private static String cut(String name) {
        String plain = name == null ? "" : name.replaceAll("\\p{Cntrl}", "").strip();
        return plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
    }

    /** @throws ChangedMeanwhileException when it was changed since {@code version}, or is being read */
    @Transactional
    public void understand(UUID id, Map<String, String> settings, int version) {
        run(id);
        if (mapper.understand(id, json.writeValueAsString(settings), version) == 0) {
            throw new ChangedMeanwhileException();
        }
    }

    /**
     * Has the file read from its first row to its last, in the background; nothing where that is being done already.
     *
     * @param dry whether it is only checked
     * @param leaveOut whether rows with faults are left out and the others brought in
     */
    @Transactional
    public void read(UUID id, boolean dry, boolean leaveOut) {
        int version = run(id).version();
        if (mapper.ask(id, dry ? ImportRun.State.CHECKING : ImportRun.State.RUNNING, leaveOut, logbook.now()) == 1) {
            work.add(ImportQueue.place(id, version + 1));
        }
    }

    /** A file as it was received, where it still is; of one that is in, only while rows of it wait to be mended. */
    @Transactional(readOnly = true)
    public Importer.Source source(ImportRun run) {
        return new Pieces(mapper, run);
    }

    /** Numbers of the rows that were left out for their faults. */
    @Transactional(readOnly = true)
    public Set<Integer> leftOut(UUID id) {
        return mapper.leftOut(id);
    }

    /** Forgets a file that is not in. */
    @Transactional
    public void drop(UUID id) {
        run(id);
        mapper.drop(id);
    }

    /** Whether an import can be taken out again: notes always, a whole garage until something was written. */
    @Transactional(readOnly = true)
    public boolean undoable(ImportRun run) {
        return run.state() == ImportRun.State.DONE
                && (run.format() != ImportFormat.ARCHIVE
                        || run.wasEmpty()
                                && run.lastSequence() != null
                                && run.lastSequence().equals(mapper.lastSequence()));
    }

    /**
     * Takes out again what a file brought: its entries are struck through, parts that nothing used since are
     * gone and others retired, a whole garage is emptied.
     *
     * @throws ChangedMeanwhileException when that cannot be any more
     */
    @Transactional
    public void undo(UUID id) {
        ImportRun run = run(id);
        if (run.format() == ImportFormat.ARCHIVE) {
            if (!mapper.takeGarageOut(id)) {
                throw new ChangedMeanwhileException();
            }
            mapper.turn(id, ImportRun.State.DONE, ImportRun.State.UNDONE, logbook.now());
            return;
        }
        if (mapper.turn(id, ImportRun.State.DONE, ImportRun.State.UNDONE, logbook.now()) == 0) {
            throw new ChangedMeanwhileException();
        }
        intake.supersedeAll(id.toString(), true);
        items.takeOut(id);
    }

    /** Whether what was taken out can be put back: a garage and reminders cannot. */
    public boolean redoable(ImportRun run) {
        return run.format() == ImportFormat.CSV || run.format() == ImportFormat.GPX;
    }

    /** Puts back what was taken out. */
    @Transactional
    public void redo(UUID id) {
        if (!redoable(run(id)) || mapper.turn(id, ImportRun.State.UNDONE, ImportRun.State.DONE, logbook.now()) == 0) {
            throw new ChangedMeanwhileException();
        }
        intake.supersedeAll(id.toString(), false);
    }
}
