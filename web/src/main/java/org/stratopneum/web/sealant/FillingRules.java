package org.stratopneum.web.sealant;

import java.time.LocalDate;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.platform.wording.FormReader;

/**
 * One product per tire (common practice): another one of the same family may curdle with the old and is warned of, one of
 * another family is refused until the tire was cleaned out; so is what is past its best-before warned of.
 */
public final class FillingRules {

    static final String OTHER_FAMILY = "other-family";
    static final String OTHER_PRODUCT = "other-product";
    static final String PAST_BEST_BEFORE = "past-best-before";

    private FillingRules() {}

    /**
     * What the rider says to it.
     *
     * @param renewed that the tire is cleaned out first
     * @param known that they know about a warning
     */
    public record Said(boolean renewed, boolean known) {}

    /**
     * A warning is a fault only while the rider has not said that they know.
     *
     * @param field the field that faults go to
     * @param chosen the bottle that it is taken from
     * @param inside the bottle of what is in the tire, or null where nobody noted it
     */
    public static void check(
            FormReader reader, String field, ShelfItem chosen, ShelfItem inside, Said said, LocalDate today) {
        if (inside != null && !said.renewed) {
            if (inside.family() != chosen.family()) {
                reader.fault(field, OTHER_FAMILY);
                return;
            }
            if (!inside.id().equals(chosen.id()) && !inside.name().equals(chosen.name()) && !said.known) {
                reader.fault(field, OTHER_PRODUCT);
                return;
            }
        }
        if (chosen.pastBestBefore(today) && !said.known) {
            reader.fault(field, PAST_BEST_BEFORE);
        }
    }
}
