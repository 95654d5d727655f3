package org.stratopneum.web.platform.wording;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.quantity.QuantityUnit;

/**
 * Reads the fields of a form as people type numbers, with point or comma, and gathers every fault with its field. What
 * was typed is not changed.
 */
public final class FormReader {

    /** How a choice of yes and no is typed; empty where nobody knows. */
    public static final String YES = "on";

    public static final String NO = "no";

    /** The unit of a limit that is a day, counted from 1970. */
    static final String DATE = "date";

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,9}(?:[.,]\\d{0,9})?|[+-]?[.,]\\d{1,9}");

    /** Longest that a clock may run ahead of ours before a moment counts as the future (s). */
    private static final long CLOCK_SKEW_S = 300;

    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");

    /** What conversion may have taken from a limit that is a round number (in any unit). */
    private static final double SLACK = 1e-9;

    private final Map<String, String> typed;
    private final Problems problems;
    private final String prefix;

    public FormReader(Map<String, String> typed) {
        this(Map.copyOf(typed), new Problems(), "");
    }

    private FormReader(Map<String, String> typed, Problems problems, String prefix) {
        this.typed = typed;
        this.problems = problems;
        this.prefix = prefix;
    }

    /** The same form, seen from a part whose fields begin with {@code prefix}; faults go to the same place. */
    public FormReader part(String partPrefix) {
        return new FormReader(typed, problems, prefix + partPrefix);
    }

    public String text(String field) {
        return typed.getOrDefault(prefix + field, "").strip();
    }

    /** Adds a fault of {@code field} of this part. */
    public void fault(String field, String code) {
        add(Problem.of(field, code));
    }

    /** The same with the day that it is held against. */
    public void fault(String field, String code, LocalDate limit) {
        add(new Problem(field, code, (double) limit.toEpochDay(), null, DATE));
    }

    /** Adds a fault whose field is one of this part. */
    public void add(Problem problem) {
        problems.add(new Problem(
                prefix + problem.field(), problem.code(), problem.limit(), problem.value(), problem.unit()));
    }

    /** Whether a fault was found in {@code field} of this part. */
    public boolean isFaulty(String field) {
        return problems.touches(prefix + field);
    }

    public boolean isBlank(String field) {
        return text(field).isEmpty();
    }

    /** The number typed into {@code field}, empty where nothing was; a fault where it is none, or outside. */
    public Optional<Double> number(String field, Range range) {
        String text = text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (!NUMBER.matcher(text).matches()) {
            add(Problem.of(field, Problem.WRONG_TYPE));
            return Optional.empty();
        }
        double value = Double.parseDouble(text.replace(',', '.'));
        Optional<Problem> problem = range.problemOf(field, value);
        problem.ifPresent(this::add);
        return problem.isPresent() ? Optional.empty() : Optional.of(value);
    }

    /** The same for a field that must be filled in. */
    public Optional<Double> requiredNumber(String field, Range range) {
        if (isBlank(field)) {
            add(Problem.of(field, Problem.MISSING));
            return Optional.empty();
        }
        return number(field, range);
    }

    /**
     * The number typed in {@code unit}, in the core's unit. Limits are said in the unit that was typed, rounded inwards to
     * what it is shown with. Where the text is that of {@code kept}, nothing was changed and {@code kept} itself is
     * answered, so that looking at a form in other units changes no number.
     *
     * @param range what is allowed (in the core's unit)
     * @param kept what the field was filled with (in the core's unit), or null
     */
    public Optional<Double> quantity(String field, Range range, QuantityUnit unit, Double kept) {
        if (kept != null && QuantityText.typed(kept, unit).equals(text(field))) {
            return Optional.of(kept);
        }
        return number(field, inUnit(range, unit)).map(unit::toCore);
    }

    /** The same for a field that must be filled in. */
    public Optional<Double> requiredQuantity(String field, Range range, QuantityUnit unit, Double kept) {
        if (isBlank(field)) {
            add(Problem.of(field, Problem.MISSING));
            return Optional.empty();
        }
        return quantity(field, range, unit, kept);
    }

    private static Range inUnit(Range range, QuantityUnit unit) {
        double least = rounded(unit.fromCore(range.minimum()) - SLACK, unit, RoundingMode.CEILING);
        double most = rounded(unit.fromCore(range.maximum()) + SLACK, unit, RoundingMode.FLOOR);
        return new Range(least, range.minimumIncluded(), most, unit.symbol());
    }

    private static double rounded(double value, QuantityUnit unit, RoundingMode mode) {
        return BigDecimal.valueOf(value).setScale(unit.decimals() + 1, mode).doubleValue();
    }

    /** The day typed into {@code field}, empty where nothing was; a fault where it is none. */
    public Optional<LocalDate> day(String field) {
        if (isBlank(field)) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(text(field)));
        } catch (DateTimeException exception) {
            add(Problem.of(field, "not-a-day"));
            return Optional.empty();
        }
    }

    /** The same, not before {@code first} and not after {@code last}. */
    public Optional<LocalDate> day(String field, LocalDate first, LocalDate last) {
        Optional<LocalDate> day = day(field);
        if (day.filter(found -> found.isBefore(first)).isPresent()) {
            fault(field, "before-day", first);
            return Optional.empty();
        }
        if (day.filter(found -> found.isAfter(last)).isPresent()) {
            fault(field, "after-day", last);
            return Optional.empty();
        }
        return day;
    }

    /** A whole number; a part of one is a fault. */
    public Optional<Integer> whole(String field, Range range) {
        Optional<Double> number = number(field, range);
        if (number.filter(found -> found != Math.rint(found)).isPresent()) {
            fault(field, "not-whole");
            return Optional.empty();
        }
        return number.map(Double::intValue);
    }

    /** The same for a field that must be filled in. */
    public Optional<Integer> requiredWhole(String field, Range range) {
        if (isBlank(field)) {
            add(Problem.of(field, Problem.MISSING));
            return Optional.empty();
        }
        return whole(field, range);
    }

    /** The moment typed into {@code field} as a local date and time, empty where nothing was; a fault where it cannot be. */
    public Optional<Instant> moment(String field, ZoneId zone, Instant now) {
        if (isBlank(field)) {
            return Optional.empty();
        }
        try {
            Instant at = LocalDateTime.parse(text(field)).atZone(zone).toInstant();
            if (at.isAfter(now.plusSeconds(CLOCK_SKEW_S))) {
                fault(field, "in-the-future");
            } else if (at.isBefore(EARLIEST)) {
                fault(field, "too-long-ago");
            }
            return Optional.of(at);
        } catch (DateTimeException exception) {
            fault(field, "not-a-moment");
            return Optional.empty();
        }
    }

    /** What is chosen of yes and no: null where it is neither, so that what nobody knows is not taken for a no. */
    public Boolean yesOrNo(String field) {
        return YES.equals(text(field)) ? Boolean.TRUE : NO.equals(text(field)) ? Boolean.FALSE : null;
    }

    /** Whether the box {@code field} is ticked. */
    public boolean ticked(String field) {
        return !isBlank(field);
    }

    /** A name of at most {@code longest} letters, empty where nothing was typed. */
    public Optional<String> name(String field, int longest) {
        return text(field, longest, text(field));
    }

    /** Several lines of text; empty when nothing is there, or with a fault. */
    public Optional<String> prose(String field, int longest) {
        String text = text(field).replaceAll("\\r\\n?", "\n");
        return text(field, longest, text.replaceAll("[\\n\\t]", " ")).map(known -> text);
    }

    private Optional<String> text(String field, int longest, String text) {
        if (text.length() > longest) {
            add(new Problem(field, "too-long", (double) longest, (double) text.length(), null));
            return Optional.empty();
        }
        if (text.chars().anyMatch(Character::isISOControl)) {
            fault(field, "not-readable");
            return Optional.empty();
        }
        return text.isEmpty() ? Optional.empty() : Optional.of(text);
    }

    /** The same for a field that must be filled in. */
    public Optional<String> requiredName(String field, int longest) {
        if (isBlank(field)) {
            add(Problem.of(field, Problem.MISSING));
        }
        return name(field, longest);
    }

    /** The constant named in {@code field}, empty where nothing was; a fault where there is no such constant. */
    public <E extends Enum<E>> Optional<E> choice(String field, Class<E> type) {
        if (isBlank(field)) {
            return Optional.empty();
        }
        for (E constant : type.getEnumConstants()) {
            if (constant.name().equals(text(field))) {
                return Optional.of(constant);
            }
        }
        add(Problem.of(field, "unknown-value"));
        return Optional.empty();
    }

    /** Everything that was typed. */
    public Map<String, String> typed() {
        return typed;
    }

    public Problems problems() {
        return problems;
    }
}
