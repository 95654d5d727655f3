package org.stratopneum.web.platform.wording;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * The languages that the pages speak: English, and each for which there is a file {@code messages/pages_<language>.properties}.
 * What its files do not say is said in English.
 */
@Component
public class Languages {

    /** Of the message files without a language in their name. */
    public static final String FIRST = "en";

    private static final String PREFIX = "pages_";
    private static final String ENDING = ".properties";

    private final List<String> known;

    Languages(ResourcePatternResolver resources) throws IOException {
        known = Stream.concat(
                        Stream.of(FIRST),
                        Arrays.stream(resources.getResources("classpath*:messages/" + PREFIX + "*" + ENDING))
                                .map(Resource::getFilename)
                                .map(name -> name.substring(PREFIX.length(), name.length() - ENDING.length())))
                .distinct()
                .toList();
    }

    public boolean has(String language) {
        return known.contains(language);
    }

    /** The first that we speak of those that a browser asks for, else English. */
    public String of(List<Locale> asked) {
        return asked.stream()
                .map(Locale::getLanguage)
                .filter(this::has)
                .findFirst()
                .orElse(FIRST);
    }

    /** The same ways of writing in a language that we speak: a file may be gone since it was chosen. */
    public Region spoken(Region region) {
        return has(region.language()) ? region : region.in(FIRST);
    }

    /** What each calls itself, by its code. */
    public Map<String, String> names() {
        return known.stream()
                .collect(Collectors.toMap(
                        Function.identity(),
                        language -> Locale.forLanguageTag(language).getDisplayName(Locale.forLanguageTag(language)),
                        (one, other) -> one,
                        TreeMap::new));
    }
}
