package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
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
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
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

/** Writes what holds in the log as tables, in the rider's units, with headings and ids by which they are brought in again. */
@Service
public class CsvExport {

    /** What a table holds. */
    public enum Sort {
        READINGS(
                LogKind.READINGS, CsvField.PRESSURE, CsvField.STATE, CsvField.TEMPERATURE, Besides.GAUGE, Besides.TIRE),
        SEALANT(
                List.of(LogKind.SEALANT_ADDED, LogKind.SEALANT_DIPPED),
                CsvField.FILLED,
                CsvField.DEPTH,
                Besides.BOTTLE,
                Besides.TIRE),
        RIDES(
                List.of(LogKind.RIDDEN),
                CsvField.DISTANCE,
                CsvField.CLIMB,
                CsvField.MINUTES,
                CsvField.WET,
                CsvField.GROUND),
        LOG(List.of(LogKind.values()), Besides.WHEELSET, Besides.TIRE, Besides.KIND, Besides.WHAT),
        PARTS(List.of());

        private final Collection<LogKind> kinds;

        /** What stands between the wheel and the note. */
        private final List<Enum<?>> own;

        Sort(Collection<LogKind> kinds, Enum<?>... own) {
            this.kinds = kinds;
            this.own = List.of(own);
        }
    }

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss");

    private static final String METRES = "m";
    private static final int DECIMALS = 4;
    private static final int PAGE = 10_000;
    private static final long MICROS = 1_000_000;
    private static final String LONG_AGO = "-200 years";
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

    /** What a table is written as. */
    public enum Form {
        CSV("text/csv;charset=UTF-8"),
        XLSX("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");

        private final String mediaType;

        Form(String mediaType) {
            this.mediaType = mediaType;
        }

        public String mediaType() {
            return mediaType;
        }
    }

    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(Sort sort, Form form, OutputStream out) throws IOException {
        Rider rider = riders.self();
        List<Sheet.Column> columns = columns(sort, rider);
        // closed only when it is whole: what breaks off must not look so
        Sheet sheet = form == Form.CSV
                ? new CsvSheet(out, columns)
                : new XlsxSheet(out, sort.name().toLowerCase(Locale.ROOT), columns);
        if (sort == Sort.PARTS) {
            for (List<String> row : parts.out(rider)) {
                sheet.row(row);
            }
        } else if (sort == Sort.READINGS) {
            readings(sheet, rider);
        } else {
            logbook.each(sort.kinds, row -> print(sheet, cells(sort, row, rider)));
        }
        sheet.close();
    }

    /** Years of them, some thousand at a time: no more of each is read than its row holds. */
    private void readings(Sheet sheet, Rider rider) throws IOException {
        Map<String, String> names = new HashMap<>(Map.of("", ""));
        mapper.names().forEach(named -> names.put(named.id().toString(), named.name()));
        Map<String, String> where = Map.of("REAR", wording.where("REAR"), "FRONT", wording.where("FRONT"), "", "");
        String set = TableWords.ours("state", Pumped.SET);
        String found = TableWords.ours("state", Pumped.FOUND);
        // what a gauge shows comes again and again
        Map<String, String> pressures = new HashMap<>();
        Map<String, String> temperatures = new HashMap<>();
        Map<LocalDate, String> days = new HashMap<>();
        Map<LocalTime, String> clocks = new HashMap<>();
        String after = LONG_AGO;
        long sequence = 0;
        String page = mapper.readings(after, sequence, PAGE);
        while (page != null) {
            for (String row : page.split("\u001E")) {
                List<String> cells = List.of(row.split("\u001F", -1));
                LocalDateTime at = LocalDateTime.ofInstant(
                        Instant.ofEpochSecond(Math.floorDiv(micros(cells.get(0)), MICROS)), rider.zoneId());
                sheet.row(List.of(
                        cells.get(2),
                        days.computeIfAbsent(at.toLocalDate(), LocalDate::toString),
                        clocks.computeIfAbsent(at.toLocalTime(), CLOCK::format),
                        names.get(cells.get(3)),
                        where.get(names.get(cells.get(4))),
                        number(cells.get(5), rider.pressureUnit(), pressures),
                        isSet(cells.get(6), cells.get(7)) ? set : found,
                        number(cells.get(8), rider.temperatureUnit(), temperatures),
                        names.get(cells.get(9)),
                        names.get(cells.get(10)),
                        cells.get(11)));
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

    private static void print(Sheet sheet, List<String> cells) {
        try {
            sheet.row(cells);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    private static List<Sheet.Column> columns(Sort sort, Rider rider) {
        if (sort == Sort.PARTS) {
            return PartTable.columns(rider);
        }
        List<Enum<?>> columns = new ArrayList<>(List.of(CsvField.ID, CsvField.DATE, CsvField.TIME, CsvField.BIKE));
        if (sort != Sort.RIDES) {
            columns.add(CsvField.WHEEL);
        }
        columns.addAll(sort.own);
        columns.add(CsvField.NOTE);
        return columns.stream().map(column -> column(rider, column)).toList();
    }

    /** Columns that are written and not read. */
    private enum Besides {
        GAUGE,
        TIRE,
        BOTTLE,
        WHEELSET,
        KIND,
        WHAT
    }

    private static Sheet.Column column(Rider rider, Enum<?> column) {
        Quantity quantity = column instanceof CsvField field ? field.quantity() : null;
        String unit = column == CsvField.CLIMB
                ? METRES
                : quantity == null ? null : quantity.of(rider.units()).symbol();
        return new Sheet.Column(
                TableWords.ours("column", column) + (unit == null ? "" : " (" + unit + ")"), type(column));
    }

    private static Sheet.Type type(Enum<?> column) {
        if (column == CsvField.DATE) {
            return Sheet.Type.DAY;
        }
        if (column == CsvField.TIME) {
            return Sheet.Type.CLOCK;
        }
        // several dips stand in one cell
        if (column == CsvField.DEPTH) {
            return Sheet.Type.NUMBERS;
        }
        return CsvField.NUMBERS.contains(column) ? Sheet.Type.NUMBER : Sheet.Type.TEXT;
    }

    private List<String> cells(Sort sort, LogRow row, Rider rider) {
        List<String> cells = new ArrayList<>(List.of(
                row.id().toString(),
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
                    ridden.climbM() == null ? "" : Numbers.plain(ridden.climbM(), DECIMALS),
                    ridden.minutes() == null ? "" : Numbers.plain(ridden.minutes(), DECIMALS),
                    PartTable.answer(ridden.wet()),
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
                .map(share -> share.getKey() + " " + Numbers.plain(share.getValue() * 100, 1) + " %")
                .collect(Collectors.joining("; "));
    }

    private static String number(Double value, QuantityUnit unit) {
        return value == null ? "" : Numbers.plain(unit.fromCore(value), DECIMALS);
    }

    private static String text(String text) {
        return text == null ? "" : text;
    }
}
