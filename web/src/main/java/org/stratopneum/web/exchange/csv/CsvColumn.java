package org.stratopneum.web.exchange.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a table may hold. */
sealed interface CsvColumn permits CsvField, PartField {

    String name();

    /** Wordings by which its heading is known, each of one word or more. */
    List<String> wordings();

    /** The column that a heading names: of those whose wording stands in it, the one with most words, the first of these. */
    static <C extends CsvColumn> Optional<C> of(String heading, C[] columns) {
        List<String> said = Arrays.asList(heading.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"));
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
