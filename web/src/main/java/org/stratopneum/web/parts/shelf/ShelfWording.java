package org.stratopneum.web.parts.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** Says what something on the shelf is, and how much of it is left. */
@Component
public class ShelfWording {

    private final Wording wording;

    ShelfWording(Wording wording) {
        this.wording = wording;
    }

    /** What matters of its kind, in one line. */
    public String facts(ShelfItem item, Units units) {
        List<String> facts = new ArrayList<>();
        switch (item.kind()) {
            case VALVE -> {
                add(facts, item.lengthMm(), units);
                addValve(facts, item);
                if (item.valveBase() != null) {
                    facts.add(wording.text("shelf.fact.base", wording.of("base", item.valveBase())));
                }
                if (item.sideHoles()) {
                    facts.add(wording.text("shelf.fact.side-holes"));
                }
            }
            case TUBE -> {
                facts.add(range(item, units));
                addValve(facts, item);
            }
            case INSERT -> {
                if (item.minWidthMm() != null && item.maxWidthMm() != null) {
                    facts.add(range(item, units));
                }
            }
            case TAPE -> facts.add(wording.text("shelf.fact.wide", QuantityText.size(item.widthMm(), units.length())));
            case SEALANT -> sealant(facts, item, units);
            case TOOL -> facts.add(wording.of("article", item.tool()));
        }
        return String.join(", ", facts);
    }

    private void sealant(List<String> facts, ShelfItem item, Units units) {
        facts.add(wording.of("family", item.family()));
        if (item.largestHoleMm() != null) {
            facts.add(wording.text("shelf.fact.hole", QuantityText.size(item.largestHoleMm(), units.length())));
        }
        facts.add(wording.text(item.co2Safe() ? "shelf.fact.co2-safe" : "shelf.fact.co2-unsafe"));
        if (item.openedOn() != null) {
            facts.add(wording.text("shelf.fact.opened", DateText.date(item.openedOn())));
        }
        if (item.bestBefore() != null) {
            facts.add(wording.text("shelf.fact.best-before", DateText.date(item.bestBefore())));
        }
    }

    private void addValve(List<String> facts, ShelfItem item) {
        if (item.valve() != null) {
            facts.add(wording.of("valve", item.valve()));
        }
        facts.add(wording.text(item.removableCore() ? "shelf.fact.core-out" : "shelf.fact.core-fixed"));
    }

    private static void add(List<String> facts, Double mm, Units units) {
        if (mm != null) {
            facts.add(QuantityText.size(mm, units.length()));
        }
    }

    private String range(ShelfItem item, Units units) {
        String widths = wording.text(
                "window.range",
                Numbers.upTo(
                        units.length().fromCore(item.minWidthMm()),
                        units.length().decimals()),
                QuantityText.size(item.maxWidthMm(), units.length()));
        return item.bsdMm() == null ? widths : widths + " x " + Numbers.upTo(item.bsdMm(), 0);
    }

    /** "740 ml of 1000 ml". */
    public String left(ShelfItem item, Units units) {
        if (item.kind() == ShelfKind.TOOL) {
            return "";
        }
        return wording.text("shelf.left", amount(item.left(), item, units), amount(item.amount(), item, units));
    }

    /** An amount in the unit of the kind. */
    public String amount(double amount, ShelfItem item, Units units) {
        return switch (item.kind()) {
            case TAPE -> Numbers.upTo(amount, 1) + " m";
            case SEALANT -> QuantityText.text(amount, units.volume());
            default -> Numbers.upTo(amount, 0);
        };
    }

    /** What speaks against using it today; empty where nothing does. */
    public String care(ShelfItem item, LocalDate today) {
        if (item.left() <= 0 && item.kind() != ShelfKind.TOOL) {
            return wording.text("shelf.used-up");
        }
        return item.pastBestBefore(today) ? wording.text("shelf.past-best-before") : "";
    }
}
