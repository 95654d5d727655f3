package org.stratopneum.web.parts.shelf;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;

/** Reads something of the shelf from its form, and fills the form from it. */
final class ShelfForm {

    private static final int LONGEST_NAME = 80;
    private static final Range PIECES = Range.closed(1, 1000, "");
    private static final Range TAPE_M = Range.closed(0.5, 500, "m");
    private static final Range SEALANT_ML = Range.closed(1, 20_000, "ml");
    private static final Range HOLE_MM = Range.closed(0.1, 30, "mm");
    private static final Range PRICE = Range.closed(0, 100_000, "");

    private final Units units;

    ShelfForm(Units units) {
        this.units = units;
    }

    /** @param kept what the form was filled from, or null */
    Optional<ShelfItem> read(FormReader reader, ShelfKind kind, UUID id, int version, ShelfItem kept) {
        Optional<String> name = reader.requiredName("name", LONGEST_NAME);
        Optional<Double> amount = amount(reader, kind, kept);
        Sizes sizes = sizes(reader, kind, kept);
        Optional<ValveKind> valve = reader.choice("valve", ValveKind.class);
        Optional<ValveBase> base = reader.choice("valveBase", ValveBase.class);
        Optional<Article> tool = required(reader, "tool", Article.class, kind == ShelfKind.TOOL);
        tool.filter(Article::staysOnTheWheel).ifPresent(found -> reader.fault("tool", "unknown-value"));
        Optional<SealantFamily> family = required(reader, "family", SealantFamily.class, kind == ShelfKind.SEALANT);
        Optional<Double> hole =
                reader.quantity("largestHole", HOLE_MM, units.length(), kept == null ? null : kept.largestHoleMm());
        Optional<LocalDate> opened = reader.day("opened");
        Optional<LocalDate> bestBefore = reader.day("bestBefore");
        Optional<LocalDate> bought = reader.day("bought");
        Optional<BigDecimal> price = reader.number("price", PRICE)
                .map(paid -> BigDecimal.valueOf(paid).setScale(2, RoundingMode.HALF_UP));
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ShelfItem(
                id,
                kind,
                name.orElseThrow(),
                amount.orElseThrow(),
                sizes.width,
                sizes.length,
                sizes.least,
                sizes.most,
                sizes.beadSeat,
                valve.orElse(null),
                reader.ticked("removableCore"),
                reader.ticked("sideHoles"),
                base.orElse(null),
                tool.orElse(null),
                family.orElse(null),
                reader.ticked("co2Safe"),
                hole.orElse(null),
                opened.orElse(null),
                bestBefore.orElse(null),
                bought.orElse(null),
                price.orElse(null),
                null,
                version,
                0));
    }

    /** Sizes (mm), null where the kind has none or nothing was typed. */
    private record Sizes(Double width, Double length, Double least, Double most, Double beadSeat) {}

    private Sizes sizes(FormReader reader, ShelfKind kind, ShelfItem kept) {
        boolean tube = kind == ShelfKind.TUBE;
        Double width =
                size(reader, "width", TapePlan.TAPE_MM, kind == ShelfKind.TAPE, kept == null ? null : kept.widthMm());
        Double length = size(reader, "length", FitCase.VALVE_LENGTH_MM, false, kept == null ? null : kept.lengthMm());
        Double least = size(reader, "least", TireOnRim.NOMINAL_WIDTH_MM, tube, kept == null ? null : kept.minWidthMm());
        Double most = size(reader, "most", TireOnRim.NOMINAL_WIDTH_MM, tube, kept == null ? null : kept.maxWidthMm());
        Double beadSeat = (tube
                        ? reader.requiredNumber("beadSeat", TireOnRim.BEAD_SEAT_DIAMETER_MM)
                        : reader.number("beadSeat", TireOnRim.BEAD_SEAT_DIAMETER_MM))
                .orElse(null);
        if (least != null && most != null && least > most) {
            reader.add(new Problem(
                    "least",
                    "least-above-most",
                    units.length().fromCore(most),
                    units.length().fromCore(least),
                    units.length().symbol()));
        }
        return new Sizes(width, length, least, most, beadSeat);
    }

    private Double size(FormReader reader, String field, Range range, boolean required, Double kept) {
        return (required
                        ? reader.requiredQuantity(field, range, units.length(), kept)
                        : reader.quantity(field, range, units.length(), kept))
                .orElse(null);
    }

    private Optional<Double> amount(FormReader reader, ShelfKind kind, ShelfItem kept) {
        return switch (kind) {
            case TAPE -> reader.requiredNumber("amount", TAPE_M);
            case SEALANT ->
                reader.requiredQuantity("amount", SEALANT_ML, units.volume(), kept == null ? null : kept.amount());
            default ->
                reader.isBlank("amount")
                        ? Optional.of(1.0)
                        : reader.whole("amount", PIECES).map(Integer::doubleValue);
        };
    }

    private static <E extends Enum<E>> Optional<E> required(
            FormReader reader, String field, Class<E> type, boolean required) {
        if (required && reader.isBlank(field)) {
            reader.fault(field, Problem.MISSING);
        }
        return required ? reader.choice(field, type) : Optional.empty();
    }

    Map<String, String> texts(ShelfItem item) {
        Map<String, String> texts = new TreeMap<>();
        texts.put("name", item.name());
        texts.put(
                "amount",
                item.kind() == ShelfKind.SEALANT
                        ? QuantityText.typed(item.amount(), units.volume())
                        : Numbers.upTo(item.amount(), 2));
        texts.put("width", QuantityText.typed(item.widthMm(), units.length()));
        texts.put("length", QuantityText.typed(item.lengthMm(), units.length()));
        texts.put("least", QuantityText.typed(item.minWidthMm(), units.length()));
        texts.put("most", QuantityText.typed(item.maxWidthMm(), units.length()));
        texts.put("beadSeat", item.bsdMm() == null ? "" : Numbers.upTo(item.bsdMm(), 1));
        texts.put("valve", plain(item.valve()));
        texts.put("removableCore", item.removableCore() ? "on" : "");
        texts.put("sideHoles", item.sideHoles() ? "on" : "");
        texts.put("valveBase", plain(item.valveBase()));
        texts.put("tool", plain(item.tool()));
        texts.put("family", plain(item.family()));
        texts.put("co2Safe", item.co2Safe() ? "on" : "");
        texts.put("largestHole", QuantityText.typed(item.largestHoleMm(), units.length()));
        texts.put("opened", plain(item.openedOn()));
        texts.put("bestBefore", plain(item.bestBefore()));
        texts.put("bought", plain(item.boughtOn()));
        texts.put("price", plain(item.price()));
        return texts;
    }

    private static String plain(Object value) {
        return value == null ? "" : value.toString();
    }
}
