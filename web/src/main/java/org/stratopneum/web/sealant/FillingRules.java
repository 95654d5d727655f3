package org.stratopneum.web.sealant;

import java.time.LocalDate;
import org.stratopneum.web.shelf.ShelfItem;
import org.stratopneum.web.wording.FormReader;

/**
 * One product per tire (common practice): another one of the same family may curdle with the old and is warned of, one of
 * another family is refused until the tire was cleaned out; so is what is past its best-before warned of.
 */
final class FillingRules {

    static final String OTHER_FAMILY = "other-family";
    static final String OTHER_PRODUCT = "other-product";
    static final String PAST_BEST_BEFORE = "past-best-before";

    private FillingRules() {}

    /**
     * Faults go to the field {@code bottle}; a warning only while the rider has not said that they know.
     *
     * @param chosen the bottle that it is taken from
     * @param inside the bottle of what is in the tire, or null where nobody noted it
     * @param renewed whether the tire is cleaned out first
     */
    static void check(
            FormReader reader, ShelfItem chosen, ShelfItem inside, boolean renewed, boolean known, LocalDate today) {
        if (inside != null && !renewed) {
            if (inside.family() != chosen.family()) {
                reader.fault("bottle", OTHER_FAMILY);
                return;
            }
            if (!inside.id().equals(chosen.id()) && !inside.name().equals(chosen.name()) && !known) {
                reader.fault("bottle", OTHER_PRODUCT);
                return;
            }
        }
        if (chosen.pastBestBefore(today) && !known) {
            reader.fault("bottle", PAST_BEST_BEFORE);
        }
    }
}
