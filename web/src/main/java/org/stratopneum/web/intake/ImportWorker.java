package org.stratopneum.web.intake;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.quota.Quota;
import tools.jackson.databind.json.JsonMapper;

/** Reads files in the background, a few at once, each in one transaction; tells in others how far it is. */
@Component
class ImportWorker {

    private static final Logger LOG = LoggerFactory.getLogger(ImportWorker.class);
    private static final Duration BEAT = Duration.ofSeconds(1);
    private static final int PATIENCE_S = 20;
    private static final int MANY = 1000;

    /** Each has a connection to the database, of which pages need most. */
    private static final int AT_ONCE = 3;

    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE, task -> new Thread(task, "imports"));
    private final FairTurns turns = new FairTurns(threads);
    private final ImportMapper mapper;
    private final ObjectProvider<Importer> importers;
    private final Quota quota;
    private final Logbook logbook;
    private final Wording wording;
    private final JsonMapper json;
    private final TransactionTemplate whole;
    private final TransactionTemplate alone;

    ImportWorker(
            ImportMapper mapper,
            ObjectProvider<Importer> importers,
            Quota quota,
            Logbook logbook,
            Wording wording,
            JsonMapper json,
            PlatformTransactionManager transactions) {
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
    <T> T alone(Supplier<T> work) {
        return alone.execute(status -> work.get());
    }

    void begin(ImportRun run, Map<String, String> settings, boolean dry) {
        RiderPrincipal rider = new RiderPrincipal(CurrentRider.id().orElseThrow(), false);
        turns.add(rider.riderId(), () -> CurrentRider.runAs(rider, () -> read(run, settings, dry)));
    }

    private void read(ImportRun run, Map<String, String> settings, boolean dry) {
        boolean[] wasEmpty = new boolean[1];
        ImportResult result;
        try {
            result = whole.execute(status -> {
                wasEmpty[0] = mapper.emptyGarage();
                ImportResult read = readAll(run, settings);
                if (dry || !read.fine()) {
                    status.setRollbackOnly();
                } else {
                    mapper.end(run.id(), ImportRun.State.DONE, read, "[]", wasEmpty[0], logbook.now());
                    mapper.forgetPieces(run.id());
                    if (read.added() >= MANY) {
                        mapper.lookAnew();
                    }
                }
                return read;
            });
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError broken) {
            // whatever a file does to its reading, the next one is read
            LOG.error("Import {} broke off", run.id(), broken);
            result = new ImportResult(0, 0, 0, 1, List.of(new ImportFault("", wording.text("import.broken"))));
        }
        int rows = result.rows();
        alone.executeWithoutResult(status -> quota.rows(rows));
        if (dry || !result.fine()) {
            ImportResult told = result;
            ImportRun.State state = result.fine() ? ImportRun.State.CHECKED : ImportRun.State.FAILED;
            alone(() -> mapper.end(
                    run.id(), state, told, json.writeValueAsString(told.faults()), wasEmpty[0], logbook.now()));
        }
    }

    private ImportResult readAll(ImportRun run, Map<String, String> settings) {
        Map<ImportFormat, Importer> byFormat =
                importers.stream().collect(Collectors.toMap(Importer::format, Function.identity()));
        Pieces file = new Pieces(mapper, run);
        Beat beat = new Beat(run.id(), file);
        ImportProgress progress = new ImportProgress(beat, quota.rowsLeft(), wording.text("import.rows-of-today"));
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

        Beat(UUID run, Pieces file) {
            this.run = run;
            this.file = file;
        }

        @Override
        public void at(int rows) {
            Instant now = logbook.now();
            if (Duration.between(last, now).compareTo(BEAT) >= 0) {
                last = now;
                alone(() -> mapper.beat(run, file.bytesRead(), rows, now));
            }
        }
    }

    @PreDestroy
    void stop() throws InterruptedException {
        threads.shutdownNow();
        threads.awaitTermination(PATIENCE_S, TimeUnit.SECONDS);
    }
}
