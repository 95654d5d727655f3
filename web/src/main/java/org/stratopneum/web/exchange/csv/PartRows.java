package org.stratopneum.web.exchange.csv;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.web.parts.garage.PartIntake;
import org.stratopneum.web.parts.shelf.ShelfIntake;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Units;

/**
 * Reads rows of a table into parts, by the forms in which a part is typed. The id of a part comes from what its row says
 * and how many rows before said the same, so that a file that is read again adds nothing.
 */
final class PartRows {

    private static final Range PIECES = Range.closed(1, 20, "");

    private static final int DECIMALS = 6;

    private final CsvPlan plan;
    private final Map<CsvColumn, Integer> places;
    private final Units units;
    private final PartIntake intake;
    private final ShelfIntake shelf;
    private final Map<String, Integer> seen = new HashMap<>();

    PartRows(CsvPlan plan, Units units, PartIntake intake, ShelfIntake shelf) {
        this.plan = plan;
        this.places = plan.places();
        this.units = units;
        this.intake = intake;
        this.shelf = shelf;
    }

    /**
     * A part.
     *
     * @param keep keeps it, and says whether it was not there yet
     */
    record NewPart(PartSort sort, UUID id, String name, BooleanSupplier keep) {}

    /** The parts of a row, or all that is wrong with it, by the names of the fields. */
    record Read(List<NewPart> parts, List<Problem> problems) {}

    Read read(List<String> cells) {
        Problems problems = new Problems();
        Optional<PartSort> sort = sort(text(cells, PartField.PART));
        if (sort.isEmpty()) {
            problems.add(Problem.of(
                    PartField.PART.name(), text(cells, PartField.PART).isEmpty() ? Problem.MISSING : "no-part-word"));
            return new Read(List.of(), problems.list());
        }
        Map<String, String> typed = typed(cells, sort.get(), problems);
        int pieces = pieces(cells, sort.get(), problems);
        if (!problems.isEmpty()) {
            return new Read(List.of(), problems.list());
        }
        List<NewPart> parts = new ArrayList<>();
        for (int i = 0; i < pieces; i++) {
            part(sort.get(), typed, problems).ifPresent(parts::add);
        }
        return new Read(
                problems.isEmpty() ? parts : List.of(),
                problems.list().stream().distinct().toList());
    }

    private Optional<PartSort> sort(String cell) {
        return cell.isEmpty() ? Optional.ofNullable(plan.part()) : PartSort.read(cell);
    }

    private String text(List<String> cells, PartField field) {
        Integer place = places.get(field);
        return place == null || place >= cells.size() ? "" : cells.get(place).strip();
    }

    /** A tire and a rim are one each; of the shelf a row is one thing, and the amount is its own. */
    private int pieces(List<String> cells, PartSort sort, Problems problems) {
        String amount = text(cells, PartField.AMOUNT);
        if (sort.shelf() != null || amount.isEmpty()) {
            return 1;
        }
        Optional<Double> number = CsvNumbers.read(amount, plan.decimal()).filter(found -> found == Math.rint(found));
        if (number.isEmpty()) {
            problems.add(Problem.of(PartField.AMOUNT.name(), "not-whole"));
            return 1;
        }
        PIECES.problemOf(PartField.AMOUNT.name(), number.get()).ifPresent(problems::add);
        return number.get().intValue();
    }

    /** The cells as they would be typed into the form. */
    private Map<String, String> typed(List<String> cells, PartSort sort, Problems problems) {
        Map<String, String> typed = new TreeMap<>();
        for (PartField field : PartField.values()) {
            String cell = text(cells, field);
            String form = field.formField(sort);
            if (form == null || cell.isEmpty()) {
                continue;
            }
            Optional<String> text = typed(field, cell);
            text.ifPresent(known -> typed.put(form, known));
            if (text.isEmpty()) {
                problems.add(Problem.of(field.name(), codeOf(field)));
            }
        }
        return typed;
    }

    private Optional<String> typed(PartField field, String cell) {
        Optional<Answer> answer = TableWords.read("answer", Answer.class, cell.toLowerCase(Locale.ROOT));
        return switch (field.cell()) {
            case NUMBER -> CsvNumbers.plain(cell, plan.decimal()).map(number -> inUnits(field, number));
            case DAY -> DateOrder.read(cell, plan.order()).map(LocalDate::toString);
            case TICK -> answer.map(said -> said == Answer.YES ? "on" : "");
            case YES_OR_NO -> answer.map(said -> said == Answer.YES ? FormReader.YES : FormReader.NO);
            case CHOICE -> Optional.of(cell.toUpperCase(Locale.ROOT).replaceAll("[ -]+", "_"));
            default -> Optional.of(cell);
        };
    }

    /** A number of a column that is in another unit than the others of its kind, in theirs. */
    private String inUnits(PartField field, String number) {
        Quantity quantity = field.quantity();
        QuantityUnit unit = plan.columns().get(places.get(field)).unit();
        if (quantity == null || unit == null || unit == quantity.of(units)) {
            return number;
        }
        return Numbers.plain(quantity.of(units).fromCore(unit.toCore(Double.parseDouble(number))), DECIMALS);
    }

    private static String codeOf(PartField field) {
        return switch (field.cell()) {
            case NUMBER -> "not-a-cell-number";
            case DAY -> "not-a-date";
            default -> "no-yes-or-no";
        };
    }

    private Optional<NewPart> part(PartSort sort, Map<String, String> typed, Problems problems) {
        String says = sort + "|" + typed + "|" + units;
        int before = seen.merge(says, 1, Integer::sum);
        UUID id = UUID.nameUUIDFromBytes(("part:" + says + "|" + before).getBytes(StandardCharsets.UTF_8));
        FormReader reader = new FormReader(typed);
        Optional<BooleanSupplier> keep = switch (sort) {
            case TIRE -> intake.tire(reader, units, id);
            case RIM -> intake.rim(reader, units, id);
            default -> shelf.take(reader, sort.shelf(), units, id);
        };
        reader.problems()
                .list()
                .forEach(problem -> problems.add(new Problem(
                        PartField.ofFormField(sort, problem.field()).name(),
                        problem.code(),
                        problem.limit(),
                        problem.value(),
                        problem.unit())));
        String name = typed.getOrDefault(PartField.NAME.formField(sort), typed.getOrDefault("size", ""));
        return keep.map(kept -> new NewPart(sort, id, name, kept));
    }
}
