package org.stratopneum.web.intake;

import io.micrometer.core.instrument.MeterRegistry;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.quota.Quota;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Reads a file in one transaction; tells in others how far it is. */
@Component
class ImportWorker {

    private static final Logger LOG = LoggerFactory.getLogger(ImportWorker.class);
    private static final Duration BEAT = Duration.ofSeconds(1);
    private static final int MANY = 1000;

    /** A file that ended as many readers is not given to another. */
    private static final int MOST_ATTEMPTS = 3;

    private final ImportMapper mapper;
    private final ObjectProvider<Importer> importers;
    private final Quota quota;
    private final Logbook logbook;
    private final Wording wording;
    private final JsonMapper json;
    private final MeterRegistry meters;
    private final TransactionTemplate whole;
    private final TransactionTemplate alone;

    ImportWorker(
            ImportMapper mapper,
            ObjectProvider<Importer> importers,
            Quota quota,
            Logbook logbook,
            Wording wording,
            JsonMapper json,
            PlatformTransactionManager transactions,
            MeterRegistry meters) {
        this.meters = meters;
        this.mapper = mapper;
        this.importers = importers;
        this.quota = quota;
        this.logbook = logbook;
        this.wording = wording;
        this.json = json;
        this.whole = new TransactionTemplate(transactions);
        this.alone = new TransactionTemplate(transactions);
        alone.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** Does something in a transaction of its own, so that others see it at once. */
    private <T> T alone(Supplier<T> work) {
        return alone.execute(status -> work.get());
    }

    /** How it ended. */
    enum Outcome {
        ENDED,
        /** Another file of the same rider is being read. */
        NOT_ITS_TURN
    }

    /**
     * Reads a file to its end, for the rider of the thread.
     *
     * @param version of the import when it was to be read; nothing is done where it was changed since
     * @param stopping whether whoever reads is to leave off
     * @throws RuntimeException where it is to be tried again
     */
    Outcome read(UUID id, int version, BooleanSupplier stopping) {
        Optional<ImportRun> run = alone(() -> mapper.run(id))
                .filter(found -> found.version() == version && found.state().busy());
        if (run.isEmpty()) {
            return Outcome.ENDED;
        }
        return read(run.get(), stopping);
    }

    private Outcome read(ImportRun run, BooleanSupplier stopping) {
        boolean dry = run.state() == ImportRun.State.CHECKING;
        boolean[] turn = new boolean[1];
        boolean[] wasEmpty = new boolean[1];
        ImportResult result;
        try {
            result = whole.execute(status -> {
                turn[0] = mapper.takeTurn();
                if (!turn[0]) {
                    return null;
                }
                if (alone(() -> mapper.begin(run.id(), run.version(), MOST_ATTEMPTS)) == 0) {
                    return ImportResult.broken(wording.text("import.broke-readers"));
                }
                wasEmpty[0] = mapper.emptyGarage();
                ImportResult read = readAll(run, dry, stopping);
                if (dry || !read.mayStand()) {
                    status.setRollbackOnly();
                } else {
                    end(run, ImportRun.State.DONE, read, wasEmpty[0]);
                    if (read.fine()) {
                        mapper.forgetPieces(run.id());
                    }
                    if (read.added() >= MANY) {
                        mapper.lookAnew();
                    }
                }
                return read;
            });
        } catch (ImportPausedException | DataAccessResourceFailureException | TransactionException later) {
            throw later;
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError broken) {
            // whatever a file does to its reading, the next one is read
            LOG.error("Import {} broke off", run.id(), broken);
            result = ImportResult.broken(wording.text("import.broken"));
        }
        if (!turn[0]) {
            return Outcome.NOT_ITS_TURN;
        }
        int rows = result.rows();
        meters.summary("stratopneum.import.rows", "format", run.format().name(), "dry", String.valueOf(dry))
                .record(rows);
        alone.executeWithoutResult(status -> quota.rows(rows));
        if (dry || !result.mayStand()) {
            ImportResult told = result;
            ImportRun.State state = result.mayStand() ? ImportRun.State.CHECKED : ImportRun.State.FAILED;
            alone(() -> end(run, state, told, wasEmpty[0]));
        }
        return Outcome.ENDED;
    }

    private int end(ImportRun run, ImportRun.State state, ImportResult result, boolean wasEmpty) {
        return mapper.end(
                run.id(),
                state,
                result,
                json.writeValueAsString(result.faults()),
                json.writeValueAsString(result.notes()),
                wasEmpty,
                logbook.now());
    }

    private ImportResult readAll(ImportRun run, boolean dry, BooleanSupplier stopping) {
        Map<ImportFormat, Importer> byFormat =
                importers.stream().collect(Collectors.toMap(Importer::format, Function.identity()));
        Map<String, String> settings = json.readValue(run.settings(), new TypeReference<Map<String, String>>() {});
        Pieces file = new Pieces(mapper, run);
        Beat beat = new Beat(run.id(), file, stopping);
        ImportProgress progress = new ImportProgress(
                beat, quota.rowsLeft(), wording.text("import.rows-of-today"), dry, dry || run.leavesOut());
        try {
            byFormat.get(run.format()).read(file, settings, run.id(), progress);
        } catch (ImportStoppedException stopped) {
            progress.fault(stopped.where(), stopped.what());
        } catch (IOException unreadable) {
            progress.fault("", wording.text("import.unreadable"));
        }
        return progress.result();
    }

    /** Tells how far it is, once a second. */
    private final class Beat implements ImportProgress.Listener {

        private final UUID run;
        private final Pieces file;
        private Instant last = Instant.EPOCH;

        private final BooleanSupplier stopping;

        Beat(UUID run, Pieces file, BooleanSupplier stopping) {
            this.run = run;
            this.file = file;
            this.stopping = stopping;
        }

        @Override
        public void at(int rows) {
            if (stopping.getAsBoolean() || Thread.currentThread().isInterrupted()) {
                throw new ImportPausedException();
            }
            Instant now = logbook.now();
            if (Duration.between(last, now).compareTo(BEAT) >= 0) {
                last = now;
                alone(() -> mapper.beat(run, file.bytesRead(), rows, now));
            }
        }
    }
}
