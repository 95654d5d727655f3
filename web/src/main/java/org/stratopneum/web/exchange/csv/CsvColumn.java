package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a column of a table may hold. */
sealed interface CsvColumn permits CsvField, PartField {

    String name();

    /** What its numbers measure, where they have a unit; null otherwise. */
    Quantity quantity();

    /** Wordings by which its heading is known, each of one word or more. */
    default List<String> wordings() {
        return TableWords.of("column", (Enum<?>) this);
    }

    /** The heading by which our own tables name it. */
    default String heading() {
        return wordings().get(0);
    }

    /** The column that a heading names: of those whose wording stands in it, the one with most words, the first of these. */
    static <C extends CsvColumn> Optional<C> of(String heading, C[] columns) {
        List<String> said = Quantity.words(heading);
        C found = null;
        int most = 0;
        for (C column : columns) {
            for (String wording : column.wordings()) {
                List<String> words = Arrays.asList(wording.split(" "));
                if (words.size() > most && said.containsAll(words)) {
                    found = column;
                    most = words.size();
                }
            }
        }
        return Optional.ofNullable(found);
    }
}
