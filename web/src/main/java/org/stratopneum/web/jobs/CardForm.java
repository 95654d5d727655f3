package org.stratopneum.web.jobs;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.TapeMaterial;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.fit.ValveKind;
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
import tools.jackson.databind.node.ObjectNode;

/** Reads how a job is to be done, and fills the form with what is usual. Asks only for what the job depends on. */
public final class CardForm {

    private final Job job;
    private final Units units;

    CardForm(Job job, Units units) {
        this.job = job;
        this.units = units;
    }

    /** What is answered with a tick, by the name of its choice and its field. */
    public enum Tick {
        E_BIKE("eBike", Condition.E_BIKE),
        DISC("disc", Condition.DISC),
        CORE_REMOVABLE("coreRemovable", Condition.CORE_REMOVABLE),
        NEW_TIRE("newTire", Condition.NEW_TIRE),
        INSERT("insert", Condition.INSERT),
        INJECTOR("injector", Condition.INJECTOR),
        GLOVES("gloves", Condition.GLOVES),
        WET("wet", Condition.WET),
        TWO_TURNS("twoTurns", Condition.TWO_TURNS),
        SOAP_FIRST("soapFirst", Condition.SOAP_FIRST),
        CORE_FIRST("coreFirst", Condition.CORE_FIRST),
        COMPRESSOR("compressor", Condition.COMPRESSOR),
        O_RING("ring", Condition.O_RING),
        OVERNIGHT("overnight", Condition.OVERNIGHT);

        private final String field;
        private final Condition condition;

        Tick(String field, Condition condition) {
            this.field = field;
            this.condition = condition;
        }

        public String field() {
            return field;
        }

        /** Whether the bike or the wheel has it, so that it is asked once. */
        public boolean ofWheel() {
            return this == E_BIKE || this == DISC || this == CORE_REMOVABLE;
        }

        private boolean in(CardChoices usual) {
            return switch (this) {
                case E_BIKE -> usual.eBike();
                case DISC -> usual.disc();
                case CORE_REMOVABLE -> usual.coreRemovable();
                case NEW_TIRE -> usual.newTire();
                case INSERT -> usual.insert();
                case INJECTOR -> usual.injector();
                case GLOVES -> usual.gloves();
                case WET -> usual.wet();
                case TWO_TURNS -> usual.twoTurns();
                case SOAP_FIRST -> usual.soapFirst();
                case CORE_FIRST -> usual.coreFirst();
                case COMPRESSOR -> usual.compressor();
                case O_RING -> usual.ring();
                case OVERNIGHT -> usual.overnight();
            };
        }
    }

    private boolean asks(Condition condition) {
        return job.asked().contains(condition);
    }

    /** Two jobs are named after how the sealant goes in. */
    public boolean asks(Tick tick) {
        return switch (tick) {
            case INSERT -> job.asksInsert();
            case WET -> asks(tick.condition) && job != Job.FIT_DRY && job != Job.FIT_WET;
            default -> asks(tick.condition);
        };
    }

    public boolean valve() {
        return asks(Condition.SCHRADER) || asks(Condition.CORE_REMOVABLE);
    }

    public boolean hub() {
        return asks(Condition.THRU_AXLE);
    }

    public boolean tapes() {
        return asks(Condition.TAPE_OPPOSITE);
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

    public boolean takes(String milestone) {
        return job.reaches(Milestone.valueOf(milestone));
    }

    public boolean mounts() {
        return job.mounts();
    }

    /** What was asked and answered goes into {@code said}, under the names of {@link CardChoices}. */
    void read(FormReader reader, ObjectNode said) {
        for (Tick tick : Tick.values()) {
            if (asks(tick)) {
                said.put(tick.field, reader.ticked(tick.field));
            }
        }
        reader.choice("valveKind", ValveKind.class)
                .filter(kind -> valve())
                .ifPresent(kind -> said.put("valve", kind.name()));
        choice(hub(), reader, "hub", Hub.class, said);
        choice(tapes(), reader, "tapeStart", TapeStart.class, said);
        choice(tapes(), reader, "tapeMaterial", TapeMaterial.class, said)
                .filter(material -> !material.seals())
                .ifPresent(electrical -> reader.fault("tapeMaterial", "does-not-seal"));
        choice(seats(), reader, "school", SeatingSchool.class, said);
        choice(doses(), reader, "dose", DoseSchool.class, said);
        choice(tube(), reader, "tubeKind", SetupKind.class, said)
                .filter(SetupKind.TUBELESS::equals)
                .ifPresent(none -> reader.fault("tubeKind", "unknown-value"));
        if (chamber()) {
            chamber(reader, said);
        }
        if (cartridge()) {
            said.put("cartridgeG", reader.number("cartridgeG", Cartridge.MASS_G).orElse(null));
        }
        if (topsUp()) {
            said.put(
                    "topUpMl",
                    reader.quantity("topUp", Measured.SEALANT.range(), units.volume(), null)
                            .orElse(null));
        }
        ObjectNode from = said.putObject("from");
        for (String field : List.of("sealant", "tape", "valve", "tube")) {
            from.put(field, idText(reader, field));
        }
        from.put("insert", idText(reader, "insertItem"));
    }

    private static String idText(FormReader reader, String field) {
        return id(reader, field).map(UUID::toString).orElse(null);
    }

    private void chamber(FormReader reader, ObjectNode said) {
        Optional<Double> litres = reader.number("chamberL", ChargeChamber.CHAMBER_L);
        Optional<Double> charged = reader.quantity("chamberCharge", GaugePressure.READING_KPA, units.pressure(), null);
        if (litres.isPresent() && charged.isEmpty() && !reader.isFaulty("chamberCharge")) {
            reader.fault("chamberCharge", Problem.MISSING);
        }
        said.put("chamberL", litres.orElse(null));
        said.put("chamberKpa", litres.isPresent() ? charged.orElse(null) : null);
    }

    private static <E extends Enum<E>> Optional<E> choice(
            boolean asked, FormReader reader, String field, Class<E> type, ObjectNode said) {
        Optional<E> chosen = asked ? reader.choice(field, type) : Optional.empty();
        chosen.ifPresent(found -> said.put(field, found.name()));
        return chosen;
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
        for (Tick tick : Tick.values()) {
            texts.put(tick.field, tick.in(usual) ? "on" : "");
        }
        texts.put("valveKind", usual.valve().name());
        texts.put("hub", usual.hub() == null ? "" : usual.hub().name());
        texts.put("tapeStart", usual.tapeStart().name());
        texts.put("tapeMaterial", usual.tapeMaterial().name());
        texts.put("chamberL", usual.chamberL() == null ? "" : Numbers.upTo(usual.chamberL(), 2));
        texts.put("chamberCharge", QuantityText.typed(usual.chamberKpa(), units.pressure()));
        texts.put("cartridgeG", usual.cartridgeG() == null ? "" : Numbers.upTo(usual.cartridgeG(), 1));
        texts.put("school", usual.school().name());
        texts.put("dose", usual.dose().name());
        texts.put("tubeKind", usual.tubeKind().name());
        return texts;
    }
}
