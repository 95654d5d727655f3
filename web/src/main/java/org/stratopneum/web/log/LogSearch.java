package org.stratopneum.web.log;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Reads what was typed to be found: words, all of which must be there, "words that belong together" in quotes, and a
 * minus before what must not be there. An entry has a word by what it says, or by the name of what it is about.
 */
final class LogSearch {

    private static final Pattern TERM = Pattern.compile("(-?)(?:\"([^\"]*)\"|(\\S+))");
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}]+");
    private static final int MOST_TERMS = 12;

    private LogSearch() {}

    /** Something of the rider's, and the column of the log that names it. */
    record Named(String column, UUID id, String name) {

        /** Whether the name has these words side by side, the last one at least begun. */
        private boolean has(List<String> words) {
            List<String> own = wordsOf(name);
            int last = words.size() - 1;
            return IntStream.rangeClosed(0, own.size() - words.size())
                    .anyMatch(at -> own.subList(at, at + last).equals(words.subList(0, last))
                            && own.get(at + last).startsWith(words.get(last)));
        }
    }

    /**
     * One thing that is looked for.
     *
     * @param without whether it must not be there
     * @param named ids of what has it in its name, by the column of the log
     */
    record Term(String words, boolean without, Map<String, List<UUID>> named) {

        Term naming(List<Named> names) {
            List<String> own = wordsOf(words);
            return new Term(
                    words,
                    without,
                    names.stream()
                            .filter(name -> name.has(own))
                            .collect(Collectors.groupingBy(
                                    Named::column, Collectors.mapping(Named::id, Collectors.toList()))));
        }
    }

    /** @param typed as it was typed, or null */
    static List<Term> terms(String typed) {
        return TERM.matcher(typed == null ? "" : typed)
                .results()
                .map(found -> new Term(
                        String.join(" ", wordsOf(found.group(2) == null ? found.group(3) : found.group(2))),
                        !found.group(1).isEmpty(),
                        Map.of()))
                .filter(term -> !term.words().isEmpty())
                .limit(MOST_TERMS)
                .toList();
    }

    private static List<String> wordsOf(String text) {
        return WORD.matcher(text.toLowerCase(Locale.ROOT))
                .results()
                .map(MatchResult::group)
                .toList();
    }
}
