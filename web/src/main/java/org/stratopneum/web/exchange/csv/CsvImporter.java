package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.intake.ImportStoppedException;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogIntake;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Riders;

/** Brings a table in, a thousand rows at a time. */
@Component
class CsvImporter implements Importer {

    private static final int BATCH = 1000;

    private final Fittings fittings;
    private final Riders riders;
    private final Logbook logbook;
    private final LogIntake intake;
    private final PartTable parts;
    private final Wording wording;
    private final ProblemWording problemWording;

    CsvImporter(
            Fittings fittings,
            Riders riders,
            Logbook logbook,
            LogIntake intake,
            PartTable parts,
            Wording wording,
            ProblemWording problemWording) {
        this.fittings = fittings;
        this.riders = riders;
        this.logbook = logbook;
        this.intake = intake;
        this.parts = parts;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    @Override
    public ImportFormat format() {
        return ImportFormat.CSV;
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        CsvPlan plan = CsvPlan.of(settings);
        Rows rows =
                plan.holds() == CsvPlan.Holds.PARTS ? new Parts(plan, run, progress) : new Notes(plan, run, progress);
        long line = 0;
        try {
            Iterator<CSVRecord> records = CsvTable.rows(file.open(), plan);
            while (records.hasNext()) {
                CSVRecord cells = records.next();
                line = cells.getRecordNumber();
                if (line == 1 && plan.heading() || isBlank(cells)) {
                    continue;
                }
                progress.row();
                String where = wording.text("import.row", line);
                rows.read(cells.toList()).forEach(problem -> progress.fault(where, words(problem)));
            }
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new ImportStoppedException(wording.text("import.after-row", line), broken(broken, plan));
        }
        rows.end();
    }

    /** Takes row after row. */
    private interface Rows {

        /** All that is wrong with a row. */
        List<Problem> read(List<String> cells);

        default void end() {}
    }

    /** Entries for the log, written a thousand rows at a time. */
    private final class Notes implements Rows {

        private final CsvRows rows;
        private final ImportProgress progress;
        private final Set<UUID> bikes = new HashSet<>();
        private final List<LogEntry> batch = new ArrayList<>();

        Notes(CsvPlan plan, UUID run, ImportProgress progress) {
            this.rows = new CsvRows(plan, fittings.all(), riders.self(), logbook.now(), run.toString());
            this.progress = progress;
        }

        @Override
        public List<Problem> read(List<String> cells) {
            CsvRows.Read read = rows.read(cells);
            read.entries().stream()
                    .filter(entry -> LogKind.LEARNING.contains(entry.kind()))
                    .forEach(entry -> bikes.add(entry.subject().bikeId()));
            if (read.problems().isEmpty() && progress.fine()) {
                batch.addAll(read.entries());
            }
            if (batch.size() >= BATCH) {
                keep(batch, progress);
            }
            return read.problems();
        }

        @Override
        public void end() {
            keep(batch, progress);
            if (progress.fine()) {
                intake.announce(bikes);
            }
        }
    }

    /** Parts for garage and shelf. */
    private final class Parts implements Rows {

        private final PartRows rows;
        private final UUID run;
        private final ImportProgress progress;

        Parts(CsvPlan plan, UUID run, ImportProgress progress) {
            this.rows = parts.rows(plan, riders.self());
            this.run = run;
            this.progress = progress;
        }

        @Override
        public List<Problem> read(List<String> cells) {
            PartRows.Read read = rows.read(cells);
            if (read.problems().isEmpty() && progress.fine()) {
                read.parts().forEach(part -> {
                    boolean fresh = parts.keep(part, run);
                    progress.count(fresh ? 1 : 0, fresh ? 0 : 1);
                });
            }
            return read.problems();
        }
    }

    private static boolean isBlank(CSVRecord cells) {
        return cells.stream().allMatch(String::isBlank);
    }

    private void keep(List<LogEntry> batch, ImportProgress progress) {
        if (progress.fine() && !batch.isEmpty()) {
            int added = intake.addNew(batch);
            progress.count(added, batch.size() - added);
        }
        batch.clear();
    }

    /** "pressure: must be at most 1200 kPa, was 5000 kPa". */
    String words(Problem problem) {
        String what = problemWording.message(problem);
        return problem.field().isEmpty() ? what : wording.text("import.column." + problem.field()) + ": " + what;
    }

    private String broken(Exception broken, CsvPlan plan) {
        Throwable cause = broken instanceof UncheckedIOException unchecked ? unchecked.getCause() : broken;
        if (cause instanceof CharacterCodingException) {
            return wording.text("import.not-encoding", wording.of("encoding", plan.encoding()));
        }
        return cause instanceof CsvTable.RowTooLongException
                ? wording.text("import.row-too-long", CsvTable.LONGEST_ROW)
                : wording.text("import.quotes");
    }
}
