package org.stratopneum.web.fleet.correction;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.Temperature;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.rider.Rider;

/** An entry as it stands in the form that puts it right; what is not touched stays exactly as it was. */
final class CorrectionForm {

    private final LogRow row;
    private final LogDetail detail;
    private final Rider rider;

    CorrectionForm(LogRow row, LogDetail detail, Rider rider) {
        this.row = row;
        this.detail = detail;
        this.rider = rider;
    }

    /** What the entry will say. */
    record Corrected(Instant at, Double temperatureC, LogDetail detail) {}

    /** The entry as texts of the form. */
    Map<String, String> texts() {
        Map<String, String> texts = new TreeMap<>();
        texts.put("at", localMinute().toString());
        if (detail instanceof LogDetail.GaugeRead read) {
            texts.put("unit", read.readIn().name());
            texts.put("value", QuantityText.typed(read.gaugeKpa(), read.readIn()));
            texts.put("state", read.afterInflation() ? "SET" : "FOUND");
            texts.put("temperature", QuantityText.typed(row.temperatureC(), rider.temperatureUnit()));
        } else if (detail instanceof LogDetail.SealantAdded added) {
            texts.put("volume", QuantityText.typed(added.volumeMl(), rider.volumeUnit()));
        } else if (detail instanceof LogDetail.TireFitted fitted) {
            texts.put("setup", fitted.setup().name());
            texts.put("insert", fitted.insert() ? "on" : "");
            texts.put("measured", QuantityText.typed(fitted.measuredWidthMm(), rider.lengthUnit()));
        }
        return texts;
    }

    private LocalDateTime localMinute() {
        return LocalDateTime.ofInstant(row.happenedAt(), rider.zoneId()).truncatedTo(ChronoUnit.MINUTES);
    }

    /** Reads what was typed over it; empty with faults in {@code reader}. */
    Optional<Corrected> read(FormReader reader, Instant now) {
        Instant at = reader.text("at").equals(localMinute().toString())
                ? row.happenedAt()
                : reader.moment("at", rider.zoneId(), now).orElse(null);
        if (reader.isBlank("at")) {
            reader.fault("at", Problem.MISSING);
        }
        Double temperature = row.temperatureC();
        LogDetail corrected = detail;
        if (detail instanceof LogDetail.GaugeRead read) {
            temperature = reader.quantity(
                            "temperature", Temperature.CELSIUS, rider.temperatureUnit(), row.temperatureC())
                    .orElse(null);
            corrected = reading(reader, read).orElse(null);
        } else if (detail instanceof LogDetail.SealantAdded added) {
            corrected = reader.requiredQuantity(
                            "volume", Measured.SEALANT.range(), rider.volumeUnit(), added.volumeMl())
                    .map(ml -> new LogDetail.SealantAdded(ml, added.renewed()))
                    .orElse(null);
        } else if (detail instanceof LogDetail.TireFitted fitted) {
            corrected = fitting(reader, fitted).orElse(null);
        }
        return reader.problems().isEmpty() ? Optional.of(new Corrected(at, temperature, corrected)) : Optional.empty();
    }

    private static Optional<LogDetail> reading(FormReader reader, LogDetail.GaugeRead read) {
        Optional<PressureUnit> unit = reader.choice("unit", PressureUnit.class);
        if (reader.isBlank("unit")) {
            reader.fault("unit", Problem.MISSING);
        }
        Double kept = unit.filter(found -> found == read.readIn())
                .map(found -> read.gaugeKpa())
                .orElse(null);
        return unit.flatMap(found -> reader.requiredQuantity("value", GaugePressure.TIRE_KPA, found, kept)
                .map(kpa -> read instanceof LogDetail.PressureRead plain
                        ? new LogDetail.PressureRead(kpa, found, "SET".equals(reader.text("state")), plain.toldKpa())
                        : read.reread(kpa, found)));
    }

    private Optional<LogDetail> fitting(FormReader reader, LogDetail.TireFitted fitted) {
        Optional<SetupKind> setup = reader.choice("setup", SetupKind.class);
        if (reader.isBlank("setup")) {
            reader.fault("setup", Problem.MISSING);
        }
        boolean insert = reader.ticked("insert");
        if (insert && setup.filter(kind -> kind != SetupKind.TUBELESS).isPresent()) {
            reader.fault("insert", Setup.INSERT_WITH_TUBE);
        }
        Optional<Double> measured =
                reader.quantity("measured", TireOnRim.MEASURED_WIDTH_MM, rider.lengthUnit(), fitted.measuredWidthMm());
        return setup.map(kind -> new LogDetail.TireFitted(kind, insert, measured.orElse(null)));
    }
}
