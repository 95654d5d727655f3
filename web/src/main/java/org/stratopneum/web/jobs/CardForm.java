package org.stratopneum.web.jobs;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.Measured;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.job.SeatingSchool;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads how a job is to be done, and fills the form with what is usual. Asks only for what the job depends on. */
public final class CardForm {

    private final Job job;
    private final Units units;

    CardForm(Job job, Units units) {
        this.job = job;
        this.units = units;
    }

    public boolean asks(String condition) {
        return job.asked().contains(Condition.valueOf(condition));
    }

    public boolean seats() {
        return job.names(Amount.SEATING);
    }

    public boolean doses() {
        return job.names(Amount.DOSE);
    }

    public boolean topsUp() {
        return job.names(Amount.TOP_UP);
    }

    public boolean chamber() {
        return job.names(Amount.CHAMBER_CHARGE);
    }

    public boolean cartridge() {
        return job.names(Amount.CARTRIDGE_GIVES);
    }

    public boolean tube() {
        return job.reaches(Milestone.TUBE_ON);
    }

    /** Whether the rider chooses between dry and wet; two jobs are named after one of them. */
    public boolean way() {
        return asks("WET") && job != Job.FIT_DRY && job != Job.FIT_WET;
    }

    public boolean takes(String milestone) {
        return job.reaches(Milestone.valueOf(milestone));
    }

    public boolean mounts() {
        return job.mounts();
    }

    /** The choices; empty with faults in {@code reader}. */
    Optional<CardChoices> read(FormReader reader) {
        Optional<TapeStart> start = reader.choice("tapeStart", TapeStart.class);
        Optional<Double> litres = chamber() ? reader.number("chamberL", ChargeChamber.CHAMBER_L) : Optional.empty();
        Optional<Double> charged = chamber()
                ? reader.quantity("chamberCharge", GaugePressure.READING_KPA, units.pressure(), null)
                : Optional.empty();
        if (litres.isPresent() && charged.isEmpty() && !reader.isFaulty("chamberCharge")) {
            reader.fault("chamberCharge", Problem.MISSING);
        }
        Optional<Double> grams = cartridge() ? reader.number("cartridgeG", Cartridge.MASS_G) : Optional.empty();
        Optional<SeatingSchool> school = reader.choice("school", SeatingSchool.class);
        Optional<DoseSchool> dose = reader.choice("dose", DoseSchool.class);
        Optional<Double> topUp =
                topsUp() ? reader.quantity("topUp", Measured.SEALANT.range(), units.volume(), null) : Optional.empty();
        Optional<SetupKind> tubeKind = reader.choice("tubeKind", SetupKind.class);
        tubeKind.filter(SetupKind.TUBELESS::equals).ifPresent(kind -> reader.fault("tubeKind", "unknown-value"));
        CardChoices.FromShelf from = new CardChoices.FromShelf(
                shelf(reader, "sealant"),
                shelf(reader, "tape"),
                shelf(reader, "valve"),
                shelf(reader, "tube"),
                shelf(reader, "insertItem"));
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        CardChoices usual = CardChoices.USUAL;
        return Optional.of(new CardChoices(
                reader.ticked("eBike"),
                reader.ticked("disc"),
                reader.ticked("newTire"),
                reader.ticked("insert"),
                reader.ticked("coreRemovable"),
                reader.ticked("injector"),
                reader.ticked("wet"),
                reader.ticked("twoTurns"),
                start.orElse(usual.tapeStart()),
                litres.orElse(null),
                litres.isPresent() ? charged.orElse(null) : null,
                reader.ticked("compressor"),
                grams.orElse(null),
                reader.ticked("ring"),
                reader.ticked("overnight"),
                school.orElse(usual.school()),
                dose.orElse(usual.dose()),
                topUp.orElse(null),
                tubeKind.orElse(usual.tubeKind()),
                from));
    }

    private static UUID shelf(FormReader reader, String field) {
        return id(reader, field).orElse(null);
    }

    /** The id in {@code field}, empty where nothing was chosen; a fault where it is none. */
    static Optional<UUID> id(FormReader reader, String field) {
        if (reader.isBlank(field)) {
            return Optional.empty();
        }
        try {
            return Optional.of(UUID.fromString(reader.text(field)));
        } catch (IllegalArgumentException exception) {
            reader.fault(field, "unknown-value");
            return Optional.empty();
        }
    }

    /** The form as it stands before anybody touched it. */
    Map<String, String> texts(CardChoices usual) {
        Map<String, String> texts = new TreeMap<>();
        tick(texts, "eBike", usual.eBike());
        tick(texts, "disc", usual.disc());
        tick(texts, "insert", usual.insert());
        tick(texts, "coreRemovable", usual.coreRemovable());
        tick(texts, "injector", usual.injector());
        tick(texts, "wet", usual.wet());
        tick(texts, "compressor", usual.compressor());
        tick(texts, "ring", usual.ring());
        tick(texts, "overnight", usual.overnight());
        tick(texts, "twoTurns", usual.twoTurns());
        texts.put("tapeStart", usual.tapeStart().name());
        texts.put("chamberL", usual.chamberL() == null ? "" : Numbers.upTo(usual.chamberL(), 2));
        texts.put("chamberCharge", QuantityText.typed(usual.chamberKpa(), units.pressure()));
        texts.put("cartridgeG", usual.cartridgeG() == null ? "" : Numbers.upTo(usual.cartridgeG(), 1));
        texts.put("school", usual.school().name());
        texts.put("dose", usual.dose().name());
        texts.put("tubeKind", usual.tubeKind().name());
        return texts;
    }

    private static void tick(Map<String, String> texts, String field, boolean ticked) {
        texts.put(field, ticked ? "on" : "");
    }
}
