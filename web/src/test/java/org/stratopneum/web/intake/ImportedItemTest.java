package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What becomes of what a file brought, when the file is taken out again. */
class ImportedItemTest {

    @ParameterizedTest
    @CsvSource({
        "TIRE, false, false, DELETED",
        "TIRE, true, false, RETIRED",
        "TIRE, true, true, LEFT",
        "RIM, false, false, DELETED",
        "RIM, true, true, LEFT",
        "SHELF_ITEM, false, false, DELETED",
        "SHELF_ITEM, true, false, RETIRED",
        "REMINDER, false, false, DELETED",
        "REMINDER, true, true, LEFT"
    })
    void whatIsNamedStaysAndWhatIsInUseIsLeftAlone(
            ImportedItem.Sort sort, boolean named, boolean inUse, ImportedItem.Fate fate) {
        assertThat(new ImportedItem(UUID.randomUUID(), sort, named, inUse).fate())
                .isEqualTo(fate);
    }
}
