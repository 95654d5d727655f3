package org.stratopneum.web.platform.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The application speaks the trade's words and the web's words: none of its own comes back. */
class PlainWordsTest {

    /** Words that riders did not understand; each has a plain one. */
    private static final Pattern PRIVATE = Pattern.compile(
            String.join(
                    "|",
                    "\\btold\\b",
                    "\\bwindows?\\b(?!-1252)",
                    "(?<!repair )\\bstands?\\b",
                    "\\bstood\\b",
                    "strik\\w+ .*through",
                    "struck through",
                    "\\bflanks?\\b",
                    "\\banew\\b",
                    "\\breckon",
                    "in five\\b",
                    "\\bset-up\\b",
                    "\\bwants?\\b",
                    "\\b(goes|gone|go) on\\b",
                    "\\bschools?\\b",
                    "\\bput(s|ting)? (it |them |that )?(right|back)\\b",
                    "\\bleft out\\b",
                    "\\bjob cards?\\b",
                    "\\bhold tests?\\b",
                    "\\be-mail",
                    "\\bnote it\\b",
                    "\\bwrite (it |this )?down\\b",
                    "\\bkeep it\\b(?! (from|off|away))",
                    "at its word",
                    "in the mean\\b",
                    "foot of the valve",
                    "does not sit\\b",
                    "what a wheel loses",
                    "\\bthe shed\\b",
                    "belong together",
                    "\\bwork(s|ed)? it out\\b",
                    "\\bin hand\\b",
                    "\\bprevention look",
                    "\\bmake (an|the) account",
                    "\\bbring (it )?in\\b",
                    "\\bbrought in\\b",
                    "leave it lying"),
            Pattern.CASE_INSENSITIVE);

    private static final Pattern TEXT = Pattern.compile(">([^<>]+)<");

    /** What stands on paper is styled inside its page. */
    private static final Pattern STYLE = Pattern.compile("<style.*?</style>", Pattern.DOTALL);

    private static List<Resource> all(String pattern) throws IOException {
        Resource[] found = new PathMatchingResourcePatternResolver().getResources("classpath*:" + pattern);
        assertThat(found).as(pattern).hasSizeGreaterThan(20);
        return List.of(found);
    }

    @Test
    void messagesUseNoWordOfOurOwn() throws IOException {
        List<String> found = new ArrayList<>();
        for (Resource resource : all("messages/*.properties")) {
            Properties messages = new Properties();
            try (var reader = new java.io.InputStreamReader(resource.getInputStream(), StandardCharsets.UTF_8)) {
                messages.load(reader);
            }
            for (Map.Entry<Object, Object> message : messages.entrySet()) {
                if (PRIVATE.matcher(message.getValue().toString()).find()) {
                    found.add(message.toString());
                }
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void templatesUseNoneEither() throws IOException {
        assertThat(all("templates/**/*.html").stream().flatMap(resource -> texts(resource).stream()))
                .filteredOn(text -> PRIVATE.matcher(text).find())
                .isEmpty();
    }

    private static List<String> texts(Resource template) {
        try {
            List<String> texts = new ArrayList<>();
            String page = STYLE.matcher(template.getContentAsString(StandardCharsets.UTF_8))
                    .replaceAll("");
            Matcher text = TEXT.matcher(page);
            while (text.find()) {
                texts.add(template.getFilename() + ": " + text.group(1).strip());
            }
            return texts;
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "inside the window",
                "Strike the ticked ones through",
                "left flank",
                "four times in five",
                "your set-up",
                "Keep it",
                "A job card goes on"
            })
    void theRuleKnowsThem(String words) {
        assertThat(PRIVATE.matcher(words).find()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Set up with", "Hold it in a repair stand", "keep it from children", "Save reading"})
    void andLetsOthersPass(String words) {
        assertThat(PRIVATE.matcher(words).find()).isFalse();
    }
}
