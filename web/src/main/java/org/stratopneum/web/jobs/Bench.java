package org.stratopneum.web.jobs;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Keeps the answers of job cards where they belong: what a bike and a wheel have with them, what is at hand and how jobs
 * are done with the rider. A card changes only what it asked.
 */
@Component
class Bench {

    private static final Set<String> OF_BIKE = Set.of("eBike", "disc");
    private static final Set<String> OF_WHEEL = Set.of("valve", "coreRemovable", "hub");
    private static final Set<String> OF_CARD = Set.of("newTire", "insert", "topUpMl", "from");

    /** A chamber whose size nobody typed (our judgement; l, psi). */
    private static final double USUAL_CHAMBER_L = 1;

    private static final double USUAL_CHARGE_PSI = 150;

    private final BenchMapper mapper;
    private final Shelf shelf;
    private final JsonMapper json;

    Bench(BenchMapper mapper, Shelf shelf, JsonMapper json) {
        this.mapper = mapper;
        this.shelf = shelf;
        this.json = json;
    }

    /**
     * What is usual for a wheel.
     *
     * @param known names of what the wheel and its bike are known to have
     */
    record Usual(CardChoices choices, Set<String> known) {}

    /** What was answered before, on this wheel or by this rider; else what the shelf has, else what is usual. */
    Usual of(WheelState wheel, List<ShelfItem> stock) {
        ObjectNode usual = json.valueToTree(CardChoices.USUAL);
        BenchMapper.BenchRow row = mapper.bench(wheel.wheelId());
        usual.setAll(tree(row.rider()));
        tools(usual, stock);
        valve(usual, wheel);
        ObjectNode known = known(row.wheel());
        usual.setAll(known);
        Set<String> names = known.propertyStream().map(Map.Entry::getKey).collect(Collectors.toSet());
        return new Usual(json.treeToValue(usual, CardChoices.class), names);
    }

    /** What a wheel is known to have, under the names of the choices; its bike is left out. */
    ObjectNode ofWheel(WheelState wheel) {
        ObjectNode known = known(mapper.bench(wheel.wheelId()).wheel());
        known.retain(OF_WHEEL);
        return known;
    }

    private ObjectNode known(BenchMapper.WheelRow row) {
        ObjectNode kept = json.valueToTree(row);
        ObjectNode known = json.createObjectNode();
        kept.propertyStream()
                .filter(field -> !field.getValue().isNull())
                .forEach(field -> known.set(field.getKey(), field.getValue()));
        return known;
    }

    String write(CardChoices choices) {
        return json.writeValueAsString(choices);
    }

    private ObjectNode tree(String text) {
        return (ObjectNode) json.readTree(text);
    }

    private static void tools(ObjectNode usual, List<ShelfItem> stock) {
        tool(usual, "injector", has(stock, Article.INJECTOR));
        tool(usual, "gloves", has(stock, Article.GLOVES));
        tool(usual, "compressor", has(stock, Article.COMPRESSOR));
        if (has(stock, Article.CHAMBER) && usual.get("chamberL").isNull()) {
            usual.put("chamberL", USUAL_CHAMBER_L);
            usual.put(
                    "chamberKpa",
                    GaugePressure.of(USUAL_CHARGE_PSI, PressureUnit.PSI).kpa());
        }
    }

    /** What lies on the shelf is at hand, whatever was said before. */
    private static void tool(ObjectNode usual, String name, boolean onTheShelf) {
        if (onTheShelf) {
            usual.put(name, true);
        }
    }

    private static boolean has(List<ShelfItem> stock, Article tool) {
        return stock.stream().anyMatch(item -> item.kind() == ShelfKind.TOOL && item.tool() == tool);
    }

    /** The valve or tube that went on from the shelf, else what the hole was drilled for. */
    private void valve(ObjectNode usual, WheelState wheel) {
        List<ShelfItem> on = shelf.onWheel(wheel.wheelId());
        ShelfKind kind = wheel.tubed() ? ShelfKind.TUBE : ShelfKind.VALVE;
        Shelf.first(on, kind)
                .ifPresentOrElse(
                        item -> {
                            if (item.valve() != null) {
                                usual.put("valve", item.valve().name());
                            }
                            usual.put("coreRemovable", item.removableCore());
                        },
                        () -> wheel.rim().valveHole().madeFor().ifPresent(made -> usual.put("valve", made.name())));
    }

    /** {@code usual} with what was said now; what was not asked stays. */
    CardChoices with(CardChoices usual, ObjectNode said) {
        ObjectNode merged = json.valueToTree(usual);
        merged.setAll(said);
        return json.treeToValue(merged, CardChoices.class);
    }

    ObjectNode nothing() {
        return json.createObjectNode();
    }

    /** A card's choices as they were kept; what is younger than the card is as usual. */
    CardChoices read(String kept) {
        return with(CardChoices.USUAL, tree(kept));
    }

    /**
     * Keeps what was said.
     *
     * @param valveStays whether the valve that was named is the one that is on now; one that goes in is kept once it is in
     */
    void keep(UUID bikeId, List<UUID> wheels, ObjectNode said, boolean valveStays) {
        BenchMapper.WheelRow row = row(said);
        if (OF_BIKE.stream().anyMatch(said::has)) {
            mapper.keepBike(bikeId, row);
        }
        if (OF_WHEEL.stream().anyMatch(said::has)) {
            BenchMapper.WheelRow ofWheel =
                    valveStays ? row : new BenchMapper.WheelRow(null, null, null, null, row.hub());
            wheels.forEach(wheel -> mapper.keepWheel(wheel, ofWheel));
        }
        ObjectNode ofRider = said.deepCopy();
        ofRider.remove(OF_BIKE);
        ofRider.remove(OF_WHEEL);
        ofRider.remove(OF_CARD);
        if (!ofRider.isEmpty()) {
            mapper.keepRider(ofRider.toString());
        }
    }

    /** The valve that a card has put in. */
    void fitted(UUID wheelId, ValveKind valve, boolean coreRemovable) {
        mapper.keepWheel(wheelId, new BenchMapper.WheelRow(null, null, valve, coreRemovable, null));
    }

    private static BenchMapper.WheelRow row(ObjectNode said) {
        return new BenchMapper.WheelRow(
                flag(said, "eBike"),
                flag(said, "disc"),
                said.hasNonNull("valve") ? ValveKind.valueOf(said.get("valve").asString()) : null,
                flag(said, "coreRemovable"),
                said.hasNonNull("hub") ? Hub.valueOf(said.get("hub").asString()) : null);
    }

    private static Boolean flag(ObjectNode said, String name) {
        return said.has(name) ? said.get(name).asBoolean() : null;
    }
}
