package org.stratopneum.web.exchange.csv;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * The words by which columns and cells of tables are known: of all languages at once, since a table does not say which it
 * is in. A language is a file more, {@code exchange/table-words_<language>.properties}.
 */
final class TableWords {

    /** The language of the words that our own tables use. */
    private static final String OURS = "table-words_en.properties";

    private static final Map<String, List<String>> WORDS = read();

    private TableWords() {}

    private static Map<String, List<String>> read() {
        Map<String, Set<String>> words = new HashMap<>();
        try {
            Resource[] files = new PathMatchingResourcePatternResolver()
                    .getResources("classpath*:exchange/table-words_*.properties");
            Stream<Resource> oursFirst = Stream.concat(
                    Arrays.stream(files).filter(TableWords::isOurs),
                    Arrays.stream(files).filter(file -> !isOurs(file)));
            oursFirst.forEach(file -> add(file, words));
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
        Map<String, List<String>> lists = new HashMap<>();
        words.forEach((key, all) -> lists.put(key, List.copyOf(all)));
        return lists;
    }

    private static boolean isOurs(Resource file) {
        return OURS.equals(file.getFilename());
    }

    private static void add(Resource file, Map<String, Set<String>> words) {
        Properties lines = new Properties();
        try (Reader reader = new InputStreamReader(file.getInputStream(), StandardCharsets.UTF_8)) {
            lines.load(reader);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
        lines.stringPropertyNames()
                .forEach(key -> words.computeIfAbsent(key, one -> new LinkedHashSet<>())
                        .addAll(List.of(lines.getProperty(key).split(", *"))));
    }

    /** The words of a constant, in lower case, our own first; none where no language has any. */
    static List<String> of(String prefix, Enum<?> constant) {
        return WORDS.getOrDefault(prefix + "." + constant.name(), List.of());
    }

    /** The word that our own tables use. */
    static String ours(String prefix, Enum<?> constant) {
        return of(prefix, constant).get(0);
    }

    /** The constant that a cell names. */
    static <E extends Enum<E>> Optional<E> read(String prefix, Class<E> type, String lowerCase) {
        return Arrays.stream(type.getEnumConstants())
                .filter(one -> of(prefix, one).contains(lowerCase))
                .findFirst();
    }
}
