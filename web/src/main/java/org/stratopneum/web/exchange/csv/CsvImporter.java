package org.stratopneum.web.exchange.csv;

import com.carrotsearch.hppc.LongHashSet;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.core.io.InputStreamSource;
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
    private static final double MB = 1 << 20;
    private static final int FIT_MARK = 8;
    private static final int LONGEST_CELL = 40;
    private static final Pattern UUID_TEXT =
            Pattern.compile("[0-9a-fA-F]{8}-[0-9a-fA-F]{4}-[0-9a-fA-F]{4}-[0-9a-fA-F]{4}-[0-9a-fA-F]{12}");

    private final CsvMapper mapper;
    private final Fittings fittings;
    private final Riders riders;
    private final Logbook logbook;
    private final LogIntake intake;
    private final PartTable parts;
    private final Wording wording;
    private final ProblemWording problemWording;

    CsvImporter(
            CsvMapper mapper,
            Fittings fittings,
            Riders riders,
            Logbook logbook,
            LogIntake intake,
            PartTable parts,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
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
    public Optional<Problem> refuses(byte[] head, InputStreamSource file) throws IOException {
        if (XlsxTable.isZip(head)) {
            try (InputStream in = file.getInputStream()) {
                return switch (XlsxTable.kindOf(in)) {
                    case WORKBOOK -> Optional.empty();
                    case TOO_LARGE ->
                        Optional.of(new Problem("", "workbook-too-large", XlsxTable.MOST_UNPACKED / MB, null, "MB"));
                    case SOMETHING_ELSE -> Optional.of(Problem.of("", "not-a-workbook"));
                };
            }
        }
        if (TableHead.hasUtf16Mark(head)) {
            return Optional.empty();
        }
        if (head.length > FIT_MARK + 4 && new String(head, FIT_MARK, 4, StandardCharsets.US_ASCII).equals(".FIT")) {
            return Optional.of(Problem.of("", "fit-not-read"));
        }
        int zeros = 0;
        for (byte one : head) {
            zeros += one == 0 ? 1 : 0;
        }
        // every other byte of letters in UTF-16 is 0; no text in another encoding has one
        return zeros == 0
                ? Optional.empty()
                : Optional.of(Problem.of("", zeros * 3 > head.length ? "utf-16-without-mark" : "not-a-table"));
    }

    @Override
    public void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException {
        CsvPlan plan = CsvPlan.of(settings);
        Taker taker =
                plan.holds() == CsvPlan.Holds.PARTS ? new Parts(plan, run, progress) : new Notes(plan, run, progress);
        int line = 0;
        List<TableRow> batch = new ArrayList<>();
        try (CsvTable.Rows rows = CsvTable.rows(file, plan)) {
            boolean heading = plan.heading();
            while (rows.hasNext()) {
                TableRow row = rows.next();
                line = row.number();
                if (row.isBlank()) {
                    continue;
                }
                if (heading) {
                    heading = false;
                    continue;
                }
                progress.row();
                batch.add(row);
                if (batch.size() == BATCH) {
                    take(batch, taker, plan, progress);
                }
            }
            take(batch, taker, plan, progress);
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new ImportStoppedException(wording.text("import.after-row", line), broken(broken, plan));
        }
        taker.end();
    }

    /** Rows that bear the id of what is there already are there already. */
    private void take(List<TableRow> batch, Taker taker, CsvPlan plan, ImportProgress progress) {
        Set<UUID> known = known(batch, plan);
        for (TableRow row : batch) {
            if (idOf(row, plan).filter(known::contains).isPresent()) {
                progress.count(0, 1);
                continue;
            }
            taker.take(row.cells())
                    .forEach(problem -> progress.fault(
                            row.number(), wording.text("import.row", row.number()), words(problem, row, plan)));
        }
        batch.clear();
        taker.keep();
    }

    private Set<UUID> known(List<TableRow> batch, CsvPlan plan) {
        String ids = batch.stream()
                .flatMap(row -> idOf(row, plan).stream())
                .map(UUID::toString)
                .collect(Collectors.joining(",", "{", "}"));
        return ids.length() == 2 ? Set.of() : mapper.known(ids);
    }

    private static Optional<UUID> idOf(TableRow row, CsvPlan plan) {
        Integer place = plan.idPlace();
        String cell = place == null ? "" : row.cell(place);
        return UUID_TEXT.matcher(cell).matches() ? Optional.of(UUID.fromString(cell)) : Optional.empty();
    }

    /** Takes row after row. */
    private interface Taker {

        /** All that is wrong with a row. */
        List<Problem> take(List<String> cells);

        /** Writes what was taken so far. */
        default void keep() {}

        default void end() {}
    }

    /** Entries for the log, written a thousand rows at a time. */
    private final class Notes implements Taker {

        private final CsvRows rows;
        private final ImportProgress progress;
        private final Set<UUID> bikes = new HashSet<>();
        private int struck;
        private final LongHashSet counted = new LongHashSet();
        private final List<LogEntry> batch = new ArrayList<>();

        Notes(CsvPlan plan, UUID run, ImportProgress progress) {
            this.rows = new CsvRows(plan, fittings.all(), riders.self(), logbook.now(), run.toString());
            this.progress = progress;
        }

        @Override
        public List<Problem> take(List<String> cells) {
            CsvRows.Read read = rows.read(cells);
            if (read.problems().isEmpty() && progress.fine()) {
                batch.addAll(read.entries());
            }
            return read.problems();
        }

        @Override
        public void keep() {
            if (progress.fine() && !batch.isEmpty()) {
                int added = progress.dry() ? countNew() : intake.addNew(batch);
                progress.count(added, batch.size() - added);
                if (added < batch.size()) {
                    struck +=
                            intake.countStruck(batch.stream().map(LogEntry::id).toList());
                }
                batch.stream()
                        .filter(entry -> LogKind.LEARNING.contains(entry.kind()))
                        .forEach(entry -> bikes.add(entry.subject().bikeId()));
            }
            batch.clear();
        }

        /** How many would be added, which is several times faster than to add them. */
        private int countNew() {
            Set<UUID> fresh = new HashSet<>();
            for (LogEntry entry : batch) {
                UUID id = entry.id();
                // two of some millions of random ids do not agree in 64 bits
                if (counted.add(id.getMostSignificantBits() ^ id.getLeastSignificantBits())) {
                    fresh.add(id);
                }
            }
            return fresh.size() - intake.countAmong(fresh);
        }

        @Override
        public void end() {
            if (struck > 0) {
                progress.note(wording.text("import.struck", struck));
            }
            if (progress.fine() && !progress.dry()) {
                intake.announce(bikes);
            }
        }
    }

    /** Parts for garage and shelf. */
    private final class Parts implements Taker {

        private final PartRows rows;
        private final UUID run;
        private final ImportProgress progress;

        Parts(CsvPlan plan, UUID run, ImportProgress progress) {
            this.rows = parts.rows(plan, riders.self());
            this.run = run;
            this.progress = progress;
        }

        @Override
        public List<Problem> take(List<String> cells) {
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

    /** "pressure: must be at most 1200 kPa, was 5000 kPa". */
    String words(Problem problem) {
        String what = problemWording.message(problem);
        return problem.field().isEmpty() ? what : wording.text("import.column." + problem.field()) + ": " + what;
    }

    /** The same with what stands in the cell, where the problem does not say it. */
    private String words(Problem problem, TableRow row, CsvPlan plan) {
        String whole = plan.place(problem.field()).map(row::cell).orElse("");
        String cell = whole.length() > LONGEST_CELL ? whole.substring(0, LONGEST_CELL) + "…" : whole;
        return problem.value() != null || cell.isEmpty()
                ? words(problem)
                : wording.text("import.cell", words(problem), cell);
    }

    private String broken(Exception broken, CsvPlan plan) {
        Throwable cause = broken instanceof UncheckedIOException unchecked ? unchecked.getCause() : broken;
        if (plan.encoding() == CsvPlan.Encoding.XLSX) {
            return wording.text("import.broken-workbook");
        }
        if (cause instanceof CharacterCodingException) {
            return wording.text("import.not-encoding", wording.of("encoding", plan.encoding()));
        }
        return cause instanceof CsvTable.RowTooLongException
                ? wording.text("import.row-too-long", CsvTable.LONGEST_ROW)
                : wording.text("import.quotes");
    }
}
