package org.stratopneum.web.pressure.whatif;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.GroundMix;
import org.stratopneum.core.pressure.Ride;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.pressure.WheelCase;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads the columns of what would be; a field that is not in the address is as the wheel stands. */
final class WhatIfForm {

    /** The letters that the fields of a column begin with. */
    static final List<String> COLUMNS = List.of("b-", "c-");

    private static final Range LOAD = Range.closed(5, 400, "kg");

    /** Told by the form, so that an empty tick is one. */
    private static final String ASKED = "asked";

    private static final Map<String, String> FIELD_OF = Map.of(
            "nominalWidthMm", "width", "rimInternalWidthMm", "rim", "measuringRimWidthMm", "width", "insert", "insert");

    private final WheelCase stands;
    private final Units units;
    private final FormReader reader;

    private WhatIfForm(WheelCase stands, Units units, FormReader reader) {
        this.stands = stands;
        this.units = units;
        this.reader = reader;
    }

    static WhatIfForm of(WheelCase stands, Units units, Map<String, String> parameters) {
        Map<String, String> typed = new TreeMap<>(parameters);
        for (String column : COLUMNS) {
            typed.putIfAbsent(column + "width", QuantityText.typed(stands.tire().nominalWidthMm(), units.length()));
            typed.putIfAbsent(column + "rim", QuantityText.typed(stands.tire().rimInternalWidthMm(), units.length()));
            typed.putIfAbsent(column + "load", QuantityText.typed(stands.load().kg(), units.mass()));
            typed.putIfAbsent(column + "ground", "");
            typed.putIfAbsent(column + "setup", stands.setup().kind().name());
            if (!typed.containsKey(ASKED)) {
                typed.putIfAbsent(column + "insert", stands.setup().insert() ? "on" : "");
            }
        }
        return new WhatIfForm(stands, units, new FormReader(typed));
    }

    FormReader reader() {
        return reader;
    }

    /** The wheel of a column; empty with faults in the reader. */
    Optional<WheelCase> column(String column) {
        FormReader fields = reader.part(column);
        TireOnRim tire = stands.tire();
        Optional<Double> width =
                fields.requiredQuantity("width", TireOnRim.NOMINAL_WIDTH_MM, units.length(), tire.nominalWidthMm());
        Optional<Double> rim = fields.requiredQuantity(
                "rim", TireOnRim.RIM_INTERNAL_WIDTH_MM, units.length(), tire.rimInternalWidthMm());
        Optional<Double> load = fields.requiredQuantity(
                "load", LOAD, units.mass(), stands.load().kg());
        Optional<Ground> ground = fields.choice("ground", Ground.class);
        Optional<SetupKind> kind = fields.choice("setup", SetupKind.class);
        boolean whole = width.isPresent() && rim.isPresent() && load.isPresent() && !fields.isFaulty("ground");
        if (!whole || fields.isFaulty("setup")) {
            return Optional.empty();
        }
        try {
            return Optional.of(new WheelCase(
                    tire(width.get(), rim.get()),
                    setup(kind.orElse(stands.setup().kind()), fields.ticked("insert")),
                    Mass.kg(load.get()),
                    ground.map(this::ride).orElse(stands.ride()),
                    stands.personalFactor()));
        } catch (InvalidInputException exception) {
            exception.problems().forEach(problem -> fields.add(at(problem)));
            return Optional.empty();
        }
    }

    /** What was measured on this rim holds for this tire on it only. */
    private TireOnRim tire(double widthMm, double rimMm) {
        TireOnRim tire = stands.tire();
        boolean same = widthMm == tire.nominalWidthMm();
        return new TireOnRim(
                widthMm,
                tire.beadSeatDiameterMm(),
                same ? tire.measuringRimWidthMm() : null,
                rimMm,
                same && rimMm == tire.rimInternalWidthMm() ? tire.measuredWidthMm() : null);
    }

    private Setup setup(SetupKind kind, boolean insert) {
        Setup setup = stands.setup();
        return new Setup(
                kind,
                insert,
                setup.casing(),
                setup.hookless(),
                setup.tireMaxKpa(),
                setup.tireMinKpa(),
                setup.rimMaxKpa(),
                setup.tubelessCasing());
    }

    private Ride ride(Ground ground) {
        Ride ride = stands.ride();
        return new Ride(ride.drop(), GroundMix.only(ground), ride.wet(), ride.cargo());
    }

    private Problem at(Problem problem) {
        boolean length = "mm".equals(problem.unit());
        return new Problem(
                FIELD_OF.getOrDefault(problem.field(), "width"),
                problem.code(),
                length && problem.limit() != null ? (Double) units.length().fromCore(problem.limit()) : problem.limit(),
                length && problem.value() != null ? (Double) units.length().fromCore(problem.value()) : problem.value(),
                length ? units.length().symbol() : problem.unit());
    }
}
