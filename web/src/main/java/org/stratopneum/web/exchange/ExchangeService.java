package org.stratopneum.web.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.web.exchange.csv.CsvPreview;
import org.stratopneum.web.exchange.csv.CsvService;
import org.stratopneum.web.intake.ImportForm;
import org.stratopneum.web.intake.ImportFormat;
import org.stratopneum.web.intake.ImportRun;
import org.stratopneum.web.intake.Imports;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lays out what is brought in and what may be taken out. */
@Service
class ExchangeService {

    private final Imports imports;
    private final CsvService csv;
    private final Riders riders;
    private final ProblemWording problemWording;

    ExchangeService(Imports imports, CsvService csv, Riders riders, ProblemWording problemWording) {
        this.imports = imports;
        this.csv = csv;
        this.riders = riders;
        this.problemWording = problemWording;
    }

    /** The page of both. */
    public record Overview(List<Line> runs, FormView form, UUID newId) {}

    /** A file that was brought in, or is being. */
    public record Line(UUID id, String name, String made, String state, int added, int faultCount) {}

    /** What came of sending a file: the page again, or the import. */
    record Received(Overview again, UUID id) {}

    @Transactional(readOnly = true)
    Overview overview() {
        return overview(new FormView(Map.of(), Map.of()));
    }

    private Overview overview(FormView form) {
        Rider rider = riders.self();
        return new Overview(
                imports.runs().stream()
                        .map(run -> new Line(
                                run.id(),
                                run.fileName(),
                                when(run, rider),
                                run.state().name(),
                                run.added(),
                                run.faultCount()))
                        .toList(),
                form,
                UUID.randomUUID());
    }

    private static String when(ImportRun run, Rider rider) {
        return DateText.date(run.madeAt(), rider.zoneId()) + ", " + DateText.time(run.madeAt(), rider.zoneId());
    }

    @Transactional(noRollbackFor = InvalidInputException.class)
    Received receive(UUID id, MultipartFile file) {
        try {
            long bytes = file == null ? 0 : file.getSize();
            imports.receive(id, file == null ? "" : file.getOriginalFilename(), bytes, file);
            ImportRun run = imports.run(id);
            if (run.version() == 1) {
                imports.understand(
                        id,
                        run.format() == ImportFormat.CSV ? csv.guess(imports.source(run)) : imports.guess(run),
                        run.version());
            }
            return new Received(null, id);
        } catch (InvalidInputException invalid) {
            return new Received(overview(new FormView(Map.of(), problemWording.messages(invalid.problems()))), null);
        }
    }

    @Transactional(readOnly = true)
    ImportPage page(UUID id) {
        ImportRun run = imports.run(id);
        Map<String, String> settings = imports.settings(run);
        boolean waits =
                !run.state().busy() && run.state() != ImportRun.State.DONE && run.state() != ImportRun.State.UNDONE;
        boolean table = run.format() == ImportFormat.CSV && waits;
        CsvPreview preview = table ? csv.preview(imports.source(run), settings) : null;
        Map<String, String> open = table ? csv.open(settings) : waits ? imports.open(run) : Map.of();
        return new ImportPage(
                run,
                when(run, riders.self()),
                new FormView(settings, open),
                open,
                preview,
                !table && waits ? imports.form(run) : ImportForm.NOTHING,
                table ? choices(settings) : Map.of(),
                imports.faults(run),
                imports.notes(run),
                waits ? imports.same(id).orElse(null) : null,
                imports.undoable(run),
                run.state() == ImportRun.State.UNDONE
                        && imports.redoable(run)
                        && (run.format() != ImportFormat.CSV || csv.redoable(settings)),
                run.state().busy() ? 0 : imports.leftOut(id).size(),
                table ? csv.asked(settings) : List.of());
    }

    private Map<String, List<CsvService.Choice>> choices(Map<String, String> settings) {
        Map<String, List<CsvService.Choice>> choices = new HashMap<>();
        choices.put("fields", csv.fields(settings));
        choices.put("holds", csv.holds());
        choices.put("part", csv.partSorts());
        choices.put("order", csv.orders());
        choices.put("encoding", csv.encodings());
        choices.put("separator", csv.separators());
        choices.put("decimal", csv.decimals());
        choices.put("bike", csv.bikes());
        choices.put("position", csv.positions());
        return choices;
    }

    /** Keeps how a table is to be understood. */
    @Transactional
    void understand(UUID id, Map<String, String> typed, int version) {
        ImportRun run = imports.run(id);
        imports.understand(
                id,
                run.format() == ImportFormat.CSV
                        ? csv.kept(typed, imports.settings(run), imports.source(run))
                        : asked(run, typed),
                version);
    }

    /** What was answered of that which is asked, and nothing else. */
    private Map<String, String> asked(ImportRun run, Map<String, String> typed) {
        ImportForm form = imports.form(run);
        Map<String, String> answers = new HashMap<>();
        form.selects()
                .forEach(select -> select.options().stream()
                        .map(ImportForm.Option::value)
                        .filter(value -> value.equals(typed.get(select.name())))
                        .forEach(value -> answers.put(select.name(), value)));
        form.ticks().stream()
                .filter(tick -> typed.containsKey(tick.name()))
                .forEach(tick -> answers.put(tick.name(), "on"));
        return answers;
    }

    /** Writes the rows of a table that something was wrong with. */
    @Transactional(readOnly = true)
    void rowsToMend(ImportRun run, Set<Integer> rows, OutputStream out) throws IOException {
        csv.rowsToMend(imports.source(run), imports.settings(run), rows, imports.faults(run), out);
    }

    /** Whether nothing is left open that must be said before a row can be read. */
    @Transactional(readOnly = true)
    boolean clear(UUID id) {
        ImportRun run = imports.run(id);
        return (run.format() == ImportFormat.CSV ? csv.open(imports.settings(run)) : imports.open(run)).isEmpty();
    }
}
