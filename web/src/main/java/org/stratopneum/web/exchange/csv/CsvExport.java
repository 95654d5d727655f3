package org.stratopneum.web.exchange.csv;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogLine;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Writes what holds in the log as tables, in the rider's units, with headings by which they are brought in again. */
@Service
public class CsvExport {

    /** What a table holds. */
    public enum Sort {
        READINGS(LogKind.READINGS),
        SEALANT(List.of(LogKind.SEALANT_ADDED, LogKind.SEALANT_DIPPED)),
        RIDES(List.of(LogKind.RIDDEN)),
        LOG(List.of(LogKind.values())),
        PARTS(List.of());

        private final Collection<LogKind> kinds;

        Sort(Collection<LogKind> kinds) {
            this.kinds = kinds;
        }
    }

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");

    /** A spreadsheet takes a text that begins so for a formula, and does what it says. */
    private static final Pattern FORMULA = Pattern.compile("^[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private static final int DECIMALS = 4;
    private static final int PAGE = 10_000;
    private static final long MICROS = 1_000_000;
    private static final String LONG_AGO = "-200 years";
    private static final int BUFFER = 64 << 10;
    private static final int MOST_KNOWN = 10_000;

    private final Logbook logbook;
    private final LogWording wording;
    private final Riders riders;
    private final CsvMapper mapper;
    private final PartTable parts;

    CsvExport(Logbook logbook, LogWording wording, Riders riders, CsvMapper mapper, PartTable parts) {
        this.parts = parts;
        this.mapper = mapper;
        this.logbook = logbook;
        this.wording = wording;
        this.riders = riders;
    }

    /** UTF-8 with its mark, by which spreadsheets know it; commas, lines ended as RFC 4180 says. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(Sort sort, OutputStream out) throws IOException {
        Rider rider = riders.self();
        Writer letters = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), BUFFER);
        letters.write('\uFEFF');
        CSVPrinter printer = new CSVPrinter(letters, CSVFormat.RFC4180);
        printer.printRecord(headings(sort, rider));
        if (sort == Sort.PARTS) {
            for (List<String> row : parts.out(rider)) {
                printer.printRecord(row);
            }
        } else if (sort == Sort.READINGS) {
            readings(printer, rider);
        } else {
            logbook.each(sort.kinds, row -> print(printer, cells(sort, row, rider)));
        }
        printer.flush();
    }

    /** Years of them, some thousand at a time: no more of each is read than its row holds. */
    private void readings(CSVPrinter printer, Rider rider) throws IOException {
        Map<String, String> names = new HashMap<>(Map.of("", ""));
        mapper.names().forEach(named -> names.put(named.id().toString(), named.name()));
        Map<String, String> where = Map.of("REAR", wording.where("REAR"), "FRONT", wording.where("FRONT"), "", "");
        // what a gauge shows comes again and again
        Map<String, String> pressures = new HashMap<>();
        Map<String, String> temperatures = new HashMap<>();
        String after = LONG_AGO;
        long sequence = 0;
        String page = mapper.readings(after, sequence, PAGE);
        while (page != null) {
            for (String row : page.split("\u001E")) {
                List<String> cells = List.of(row.split("\u001F", -1));
                LocalDateTime at = LocalDateTime.ofInstant(
                        Instant.ofEpochSecond(Math.floorDiv(micros(cells.get(0)), MICROS)), rider.zoneId());
                printer.printRecord(List.of(
                        at.toLocalDate().toString(),
                        CLOCK.format(at),
                        text(names.get(cells.get(2))),
                        where.get(names.get(cells.get(3))),
                        number(cells.get(4), rider.pressureUnit(), pressures),
                        isSet(cells.get(5), cells.get(6)) ? "set" : "found",
                        number(cells.get(7), rider.temperatureUnit(), temperatures),
                        text(names.get(cells.get(8))),
                        text(names.get(cells.get(9))),
                        text(cells.get(10))));
                after = cells.get(0) + " seconds";
                sequence = Long.parseLong(cells.get(1));
            }
            page = mapper.readings(after, sequence, PAGE);
        }
    }

    /** Of seconds with six decimals. */
    private static long micros(String seconds) {
        return Long.parseLong(seconds.replace(".", ""));
    }

    private static boolean isSet(String kind, String afterInflation) {
        return kind.equals(LogKind.HOLD_STARTED.name()) || afterInflation.equals("true");
    }

    private static String number(String core, QuantityUnit unit, Map<String, String> known) {
        if (known.size() > MOST_KNOWN) {
            known.clear();
        }
        return core.isEmpty() ? "" : known.computeIfAbsent(core, text -> number(Double.valueOf(text), unit));
    }

    private static void print(CSVPrinter printer, List<String> cells) {
        try {
            printer.printRecord(cells);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    private static List<String> headings(Sort sort, Rider rider) {
        String pressure = "pressure (" + rider.pressureUnit().symbol() + ")";
        String temperature = "temperature (" + rider.temperatureUnit().symbol() + ")";
        return switch (sort) {
            case READINGS ->
                List.of("date", "time", "bike", "wheel", pressure, "state", temperature, "gauge", "tire", "note");
            case SEALANT ->
                List.of(
                        "date",
                        "time",
                        "bike",
                        "wheel",
                        "sealant (" + rider.volumeUnit().symbol() + ")",
                        "depth (" + rider.lengthUnit().symbol() + ")",
                        "bottle",
                        "tire",
                        "note");
            case RIDES ->
                List.of(
                        "date",
                        "time",
                        "bike",
                        "distance (" + rider.distanceUnit().symbol() + ")",
                        "climb (m)",
                        "minutes",
                        "wet",
                        "ground",
                        "note");
            case PARTS -> PartTable.headings(rider);
            case LOG -> List.of("date", "time", "bike", "wheel", "wheelset", "tire", "kind", "what", "note");
        };
    }

    private List<String> cells(Sort sort, LogRow row, Rider rider) {
        List<String> cells = new ArrayList<>(List.of(
                LocalDate.ofInstant(row.happenedAt(), rider.zoneId()).toString(),
                CLOCK.format(LocalTime.ofInstant(row.happenedAt(), rider.zoneId())),
                text(row.names().bike())));
        LogDetail detail = logbook.detailOf(row);
        if (sort == Sort.LOG) {
            LogLine line = wording.line(row, rider);
            cells.addAll(List.of(
                    text(line.where()),
                    text(row.names().wheelset()),
                    text(row.names().tire()),
                    row.kind().name(),
                    text(line.what())));
        } else if (detail instanceof Ridden ridden) {
            cells.addAll(Arrays.asList(
                    number(ridden.distanceM() == null ? null : ridden.distanceM() / 1000, rider.distanceUnit()),
                    ridden.climbM() == null ? "" : Numbers.upTo(ridden.climbM(), DECIMALS),
                    ridden.minutes() == null ? "" : Numbers.upTo(ridden.minutes(), DECIMALS),
                    ridden.wet() ? "yes" : "no",
                    ground(ridden)));
        } else {
            cells.add(
                    row.names().position() == null
                            ? ""
                            : wording.where(row.names().position()));
            cells.addAll(wheel(row, detail, rider));
        }
        cells.add(text(row.note()));
        return cells;
    }

    private static List<String> wheel(LogRow row, LogDetail detail, Rider rider) {
        String ml = detail instanceof LogDetail.SealantAdded added ? number(added.volumeMl(), rider.volumeUnit()) : "";
        String depths = detail instanceof LogDetail.SealantDipped dipped
                ? dipped.depthsMm().stream()
                        .map(depth -> number(depth, rider.lengthUnit()))
                        .collect(Collectors.joining(" "))
                : "";
        return List.of(ml, depths, text(row.names().part()), text(row.names().tire()));
    }

    private static String ground(Ridden ridden) {
        Map<String, Double> shares = new TreeMap<>();
        ridden.ground().forEach((ground, share) -> shares.put(ground.name(), share));
        return shares.entrySet().stream()
                .map(share -> share.getKey() + " " + Numbers.upTo(share.getValue() * 100, 1) + " %")
                .collect(Collectors.joining("; "));
    }

    private static String number(Double value, QuantityUnit unit) {
        return value == null ? "" : Numbers.upTo(unit.fromCore(value), DECIMALS);
    }

    /** A text that a spreadsheet would take for a formula gets an apostrophe, which it shows as nothing. */
    static String text(String text) {
        return text == null ? "" : FORMULA.matcher(text).matches() ? "'" + text : text;
    }
}
