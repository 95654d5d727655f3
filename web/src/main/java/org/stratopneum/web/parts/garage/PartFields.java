package org.stratopneum.web.parts.garage;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads the fields of a tire and of a rim, and fills them from one. */
final class PartFields {

    static final int LONGEST_NAME = 80;

    private static final Range MAX_LOAD_KG = Range.closed(5, 1000, "kg");
    private static final Range DEPTH_MM = Range.closed(5, 120, "mm");
    private static final Range SPOKES = Range.closed(8, 72, "");
    private static final Range PRICE = Range.closed(0, 100_000, "");

    private final Units units;

    PartFields(Units units) {
        this.units = units;
    }

    /** @param kept the tire that the form was filled from, or null */
    Optional<TireSpec> tire(FormReader reader, TireSpec kept) {
        Optional<TireSize> size = size(reader);
        Optional<String> name = reader.name("tire", LONGEST_NAME);
        Optional<Double> measuringRim = reader.quantity(
                "measuringRim",
                TireOnRim.MEASURING_RIM_WIDTH_MM,
                units.length(),
                kept == null ? null : kept.measuringRimWidthMm());
        Optional<Casing> casing = reader.choice("casing", Casing.class);
        Optional<Double> max = reader.quantity(
                "tireMax", Setup.PRINTED_MAX_KPA, units.pressure(), kept == null ? null : kept.maxKpa());
        Optional<Double> min = reader.quantity(
                "tireMin", Setup.PRINTED_MIN_KPA, units.pressure(), kept == null ? null : kept.minKpa());
        Optional<Double> load =
                reader.quantity("maxLoad", MAX_LOAD_KG, units.mass(), kept == null ? null : kept.maxLoadKg());
        if (max.isPresent() && min.isPresent() && min.get() > max.get()) {
            reader.add(new Problem(
                    "tireMin",
                    Setup.MIN_ABOVE_MAX,
                    units.pressure().fromCore(max.get()),
                    units.pressure().fromCore(min.get()),
                    units.pressure().symbol()));
        }
        size.filter(found -> measuringRim.isPresent() && measuringRim.get() >= found.nominalWidthMm())
                .ifPresent(found -> reader.add(FitChecks.inUnits(
                        new Problem(
                                "measuringRim",
                                TireOnRim.MEASURING_RIM_TOO_WIDE,
                                found.nominalWidthMm(),
                                measuringRim.get(),
                                "mm"),
                        units)));
        var bought = reader.day("tireBought");
        Optional<BigDecimal> price = reader.number("tirePrice", PRICE).map(PartFields::money);
        return size.map(found -> new TireSpec(
                name.orElse(found.designation()),
                found,
                measuringRim.orElse(null),
                casing.orElse(Casing.STANDARD),
                reader.yesOrNo("tubeless"),
                reader.yesOrNo("hooklessOk"),
                reader.ticked("arrow"),
                max.orElse(null),
                min.orElse(null),
                load.orElse(null),
                bought.orElse(null),
                price.orElse(null)));
    }

    /** The one size that was typed, or chosen where the name that was typed is that of several. */
    private static Optional<TireSize> size(FormReader reader) {
        if (reader.isBlank("size")) {
            reader.fault("size", Problem.MISSING);
            return Optional.empty();
        }
        List<TireSize> meant = SizeText.read(reader.text("size"));
        if (meant.isEmpty()) {
            reader.fault("size", "not-a-size");
            return Optional.empty();
        }
        Optional<TireSize> chosen = meant.size() == 1
                ? Optional.of(meant.get(0))
                : meant.stream()
                        .filter(size -> size.designation().equals(reader.text("which")))
                        .findFirst();
        if (chosen.isEmpty()) {
            reader.fault("size", "which-size");
        }
        return chosen;
    }

    /**
     * A rim without a name is called by its bead seat diameter and its width.
     *
     * @param beadSeatDiameterMm of the tire that goes on it (mm), or null where the form asks for it
     * @param usualWidthMm what the width is taken for where none is typed (mm), or null where it has to be typed
     * @param usualBed what the bed is where nothing is chosen
     * @param kept the rim that the form was filled from, or null
     */
    Optional<RimSpec> rim(
            FormReader reader, Double beadSeatDiameterMm, Double usualWidthMm, RimBed usualBed, RimSpec kept) {
        Optional<Double> diameter = beadSeatDiameterMm != null
                ? Optional.of(beadSeatDiameterMm)
                : reader.requiredNumber("rimDiameter", TireOnRim.BEAD_SEAT_DIAMETER_MM);
        boolean assumed = usualWidthMm != null && reader.isBlank("rimWidth");
        Optional<Double> width = assumed
                ? Optional.of(usualWidthMm)
                : reader.requiredQuantity(
                        "rimWidth",
                        TireOnRim.RIM_INTERNAL_WIDTH_MM,
                        units.length(),
                        kept == null ? null : kept.internalWidthMm());
        Optional<String> name = reader.name("rim", LONGEST_NAME);
        Optional<Double> depth =
                reader.quantity("rimDepth", DEPTH_MM, units.length(), kept == null ? null : kept.depthMm());
        Optional<Double> hole = reader.quantity(
                "valveHole",
                FitCase.VALVE_HOLE_MM,
                units.length(),
                kept == null ? null : kept.valveHole().diameterMm());
        Optional<ValveBase> seat = reader.choice("valveSeat", ValveBase.class);
        Optional<RimBed> bed = reader.choice("bed", RimBed.class);
        Optional<Double> max =
                reader.quantity("rimMax", Setup.PRINTED_MAX_KPA, units.pressure(), kept == null ? null : kept.maxKpa());
        Optional<Integer> spokes = reader.whole("spokes", SPOKES);
        var bought = reader.day("rimBought");
        Optional<BigDecimal> price = reader.number("rimPrice", PRICE).map(PartFields::money);
        if (diameter.isEmpty() || width.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new RimSpec(
                name.orElseGet(() -> Numbers.upTo(diameter.get(), 0) + " x " + Numbers.upTo(width.get(), 1)),
                diameter.get(),
                width.get(),
                depth.orElse(null),
                reader.yesOrNo("hookless"),
                bed.orElse(usualBed),
                new ValveHole(hole.orElse(null), seat.orElse(null), reader.ticked("valveOffCentre")),
                max.orElse(null),
                spokes.orElse(null),
                bought.orElse(null),
                price.orElse(null),
                assumed));
    }

    private static BigDecimal money(double price) {
        return BigDecimal.valueOf(price).setScale(2, RoundingMode.HALF_UP);
    }

    void fill(Map<String, String> texts, TireSpec tire) {
        texts.put("tire", tire.name());
        texts.put("size", tire.size().designation());
        texts.put("measuringRim", QuantityText.typed(tire.measuringRimWidthMm(), units.length()));
        texts.put("casing", tire.casing().name());
        texts.put("tubeless", yesOrNo(tire.tubelessMarked()));
        texts.put("hooklessOk", yesOrNo(tire.hooklessAllowed()));
        texts.put("arrow", tick(tire.directional()));
        texts.put("tireMax", QuantityText.typed(tire.maxKpa(), units.pressure()));
        texts.put("tireMin", QuantityText.typed(tire.minKpa(), units.pressure()));
        texts.put("maxLoad", QuantityText.typed(tire.maxLoadKg(), units.mass()));
        texts.put("tireBought", plain(tire.boughtOn()));
        texts.put("tirePrice", plain(tire.price()));
    }

    void fill(Map<String, String> texts, RimSpec rim) {
        texts.put("rim", rim.name());
        texts.put("rimDiameter", QuantityText.typed(rim.beadSeatDiameterMm(), RiderUnit.MM));
        texts.put("rimWidth", QuantityText.typed(rim.internalWidthMm(), units.length()));
        texts.put("rimDepth", QuantityText.typed(rim.depthMm(), units.length()));
        texts.put("hookless", yesOrNo(rim.hookless()));
        texts.put("bed", rim.bed().name());
        texts.put("valveHole", QuantityText.typed(rim.valveHole().diameterMm(), units.length()));
        texts.put("valveSeat", plain(rim.valveHole().seat()));
        texts.put("valveOffCentre", tick(rim.valveHole().offCentre()));
        texts.put("rimMax", QuantityText.typed(rim.maxKpa(), units.pressure()));
        texts.put("spokes", plain(rim.spokes()));
        texts.put("rimBought", plain(rim.boughtOn()));
        texts.put("rimPrice", plain(rim.price()));
    }

    private static String tick(boolean ticked) {
        return ticked ? "on" : "";
    }

    private static String yesOrNo(Boolean said) {
        return said == null ? "" : said ? FormReader.YES : FormReader.NO;
    }

    private static String plain(Object value) {
        return value == null ? "" : value.toString();
    }
}
