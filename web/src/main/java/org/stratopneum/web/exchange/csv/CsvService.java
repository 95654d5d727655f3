package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.intake.ImportFault;
import org.stratopneum.web.intake.Importer;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Shows how a table is understood. */
@Service
public class CsvService {

    private static final int SAMPLES = 3;
    private static final int LINES = 8;

    private final Fittings fittings;
    private final Riders riders;
    private final Logbook logbook;
    private final LogWording logWording;
    private final CsvImporter importer;
    private final PartTable parts;
    private final Wording wording;
    private final ProblemWording problemWording;

    CsvService(
            Fittings fittings,
            Riders riders,
            Logbook logbook,
            LogWording logWording,
            CsvImporter importer,
            PartTable parts,
            Wording wording,
            ProblemWording problemWording) {
        this.fittings = fittings;
        this.riders = riders;
        this.logbook = logbook;
        this.logWording = logWording;
        this.importer = importer;
        this.parts = parts;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What may be chosen, in words by value. */
    public record Choice(String value, String words) {}

    /** The guess for a new file, as the texts of its form. */
    @Transactional(readOnly = true)
    public Map<String, String> guess(Importer.Source file) {
        List<UUID> bikes = fittings.all().wheels().stream()
                .map(FittedTires.Wheel::bikeId)
                .distinct()
                .toList();
        return guessOf(file).plan(bikes.size() == 1 ? bikes.get(0) : null).texts();
    }

    private CsvGuess guessOf(Importer.Source file) {
        return new CsvGuess(head(file), riders.self().units());
    }

    private static TableHead head(Importer.Source file) {
        try {
            return TableHead.of(file);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    public List<Choice> positions() {
        return choices("position", WheelPosition.values());
    }

    /**
     * What is kept of a form: what means something, and nothing else. Where the rows are said to be something else than
     * before, the columns are guessed anew, and the unit of a column that holds something else than before.
     */
    @Transactional(readOnly = true)
    public Map<String, String> kept(Map<String, String> typed, Map<String, String> before, Importer.Source file) {
        CsvPlan plan = CsvPlan.of(typed);
        CsvGuess guess = guessOf(file);
        return plan.holds() == CsvPlan.of(before).holds()
                ? guess.completed(plan).texts()
                : guess.plan(plan.holds(), plan.bike()).texts();
    }

    /** Whether what a file brought can be put back without it: notes can, parts are gone. */
    public boolean redoable(Map<String, String> settings) {
        return CsvPlan.of(settings).holds() == CsvPlan.Holds.NOTES;
    }

    /** The fields of the form that matter for the columns that there are, in the order of the form. */
    public List<String> asked(Map<String, String> settings) {
        return CsvPlan.of(settings).asked();
    }

    /** What is left open, in words by the field of the form. */
    public Map<String, String> open(Map<String, String> settings) {
        return problemWording.messages(CsvPlan.of(settings).open().list());
    }

    @Transactional(readOnly = true)
    public CsvPreview preview(Importer.Source file, Map<String, String> settings) {
        CsvPlan plan = CsvPlan.of(settings);
        Rider rider = riders.self();
        List<List<String>> rows = head(file).cells(plan.encoding(), plan.separator());
        boolean named = plan.heading() && !rows.isEmpty();
        List<List<String>> cells = (named ? rows.subList(1, rows.size()) : rows)
                .stream()
                        .filter(row -> row.stream().anyMatch(cell -> !cell.isBlank()))
                        .toList();
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        List<List<String>> samples = IntStream.range(0, width)
                .mapToObj(i -> cells.stream()
                        .filter(row -> i < row.size() && !row.get(i).isEmpty())
                        .map(row -> row.get(i))
                        .limit(SAMPLES)
                        .toList())
                .toList();
        List<CsvPreview.Line> lines = new ArrayList<>();
        if (plan.open().isEmpty()) {
            List<List<String>> first = cells.stream().limit(LINES).toList();
            lines.addAll(
                    plan.holds() == CsvPlan.Holds.PARTS
                            ? partLines(first, plan, rider)
                            : noteLines(first, plan, rider));
        }
        return new CsvPreview(named ? rows.get(0) : List.of(), samples, units(plan), lines);
    }

    /** What each column may be in; nothing for one without a unit. */
    private static List<List<Choice>> units(CsvPlan plan) {
        return plan.columns().stream()
                .map(column -> column.quantity() == null
                        ? List.<Choice>of()
                        : column.quantity().units().stream()
                                .map(unit -> new Choice(Quantity.name(unit), unit.symbol()))
                                .toList())
                .toList();
    }

    /**
     * Writes those rows of a table that something is wrong with, with what that is, as a table to mend and bring in.
     *
     * @param numbers of the rows
     * @param faults as many as are known
     */
    public void rowsToMend(
            Importer.Source file,
            Map<String, String> settings,
            Set<Integer> numbers,
            List<ImportFault> faults,
            OutputStream out)
            throws IOException {
        CsvPlan plan = CsvPlan.of(settings);
        Map<String, String> wrong = faults.stream()
                .collect(Collectors.toMap(ImportFault::where, ImportFault::what, (one, other) -> one + "; " + other));
        try (CsvTable.Rows rows = CsvTable.rows(file, plan)) {
            int width = plan.columns().size();
            List<Sheet.Column> columns = new ArrayList<>();
            List<String> heading =
                    plan.heading() && rows.hasNext() ? rows.next().cells() : List.of();
            for (int i = 0; i < width; i++) {
                columns.add(new Sheet.Column(
                        i < heading.size() ? heading.get(i) : wording.text("import.col.nr", i + 1), Sheet.Type.TEXT));
            }
            columns.add(new Sheet.Column(TableWords.ours("column", Mending.PROBLEM), Sheet.Type.TEXT));
            CsvSheet sheet = new CsvSheet(out, columns);
            while (rows.hasNext()) {
                TableRow row = rows.next();
                if (numbers.contains(row.number())) {
                    List<String> cells = new ArrayList<>();
                    IntStream.range(0, width).mapToObj(row::cell).forEach(cells::add);
                    cells.add(wrong.getOrDefault(wording.text("import.row", row.number()), ""));
                    sheet.row(cells);
                }
            }
            sheet.close();
        }
    }

    /** The column that a table to mend has besides. */
    private enum Mending {
        PROBLEM
    }

    private List<CsvPreview.Line> noteLines(List<List<String>> rows, CsvPlan plan, Rider rider) {
        FittedTires tires = fittings.all();
        CsvRows reader = new CsvRows(plan, tires, rider, logbook.now(), null);
        return rows.stream()
                .map(row -> {
                    CsvRows.Read read = reader.read(row);
                    return new CsvPreview.Line(
                            row,
                            read.entries().stream()
                                    .map(entry -> says(entry, tires, rider))
                                    .toList(),
                            read.problems().stream().map(importer::words).toList());
                })
                .toList();
    }

    private List<CsvPreview.Line> partLines(List<List<String>> rows, CsvPlan plan, Rider rider) {
        PartRows reader = parts.rows(plan, rider);
        return rows.stream()
                .map(row -> {
                    PartRows.Read read = reader.read(row);
                    return new CsvPreview.Line(
                            row,
                            read.parts().stream()
                                    .map(part -> (wording.of("part", part.sort()) + " " + part.name()).strip())
                                    .toList(),
                            read.problems().stream().map(importer::words).toList());
                })
                .toList();
    }

    private String says(LogEntry entry, FittedTires tires, Rider rider) {
        String where = entry.subject().wheelId() == null
                ? ""
                : tires.wheel(entry.subject().wheelId())
                        .map(wheel -> wheel.bikeName() + " " + wording.of("position", wheel.position()) + ": ")
                        .orElse("");
        return DateText.date(entry.happenedAt(), rider.zoneId()) + ", "
                + DateText.time(entry.happenedAt(), rider.zoneId()) + " · " + where + logWording.says(entry, rider);
    }

    public List<Choice> fields(Map<String, String> settings) {
        CsvColumn[] columns = CsvPlan.of(settings).holds().columns();
        return Stream.of(columns)
                .map(column -> new Choice(column.name(), wording.text("import.column." + column.name())))
                .toList();
    }

    public List<Choice> holds() {
        return choices("import.holds", CsvPlan.Holds.values());
    }

    public List<Choice> partSorts() {
        return choices("part", PartSort.values());
    }

    public List<Choice> orders() {
        return choices("order", DateOrder.values());
    }

    public List<Choice> encodings() {
        return choices("encoding", CsvPlan.Encoding.values());
    }

    public List<Choice> separators() {
        return choices("separator", CsvPlan.Separator.values());
    }

    public List<Choice> decimals() {
        return choices("decimal", CsvPlan.Decimal.values());
    }

    @Transactional(readOnly = true)
    public List<Choice> bikes() {
        return fittings.all().wheels().stream()
                .map(wheel -> new Choice(wheel.bikeId().toString(), wheel.bikeName()))
                .distinct()
                .toList();
    }

    private List<Choice> choices(String prefix, Enum<?>[] values) {
        return Stream.of(values)
                .map(value -> new Choice(value.name(), wording.of(prefix, value)))
                .toList();
    }
}
