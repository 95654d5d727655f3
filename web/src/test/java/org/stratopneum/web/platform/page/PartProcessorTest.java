package org.stratopneum.web.platform.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.stratopneum.web.platform.wording.Region;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.StringTemplateResolver;

class PartProcessorTest {

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Pattern PART = Pattern.compile("page:part=\"~\\{([\\w/-]+) :: ([\\w-]+)\\(");
    private static final String PAGE = """
            <p th:each="row : ${rows}" page:part="~{this :: row(row=${row},name=${name})}"></p>\
            <b th:fragment="row(row, name)" th:if="${row != null}" th:text="${row.text() + name}">text</b>""";

    private final SpringTemplateEngine engine = new SpringTemplateEngine();
    private final AtomicInteger written = new AtomicInteger();

    PartProcessorTest() {
        engine.setTemplateResolver(new StringTemplateResolver());
        engine.addDialect(new PageDialect(mock(ResourceUrlProvider.class)));
    }

    /** Says that it was written; the same as another one of that name. */
    public record Row(String name, AtomicInteger written) {

        public String text() {
            written.incrementAndGet();
            return name;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Row row && row.name.equals(name);
        }

        @Override
        public int hashCode() {
            return name.hashCode();
        }
    }

    private String page(String name, String... rows) {
        Context context = new Context();
        context.setVariable("name", name);
        context.setVariable(
                "rows", Stream.of(rows).map(row -> new Row(row, written)).toList());
        return engine.process(PAGE, context);
    }

    @Test
    void aPartIsWrittenOnceForTheSameParameters() {
        assertThat(page("!", "a", "b<", "a")).startsWith("<b>a!</b><b>b&lt;!</b><b>a!</b>");
        assertThat(written).hasValue(2);
        assertThat(page("!", "b<", "c")).startsWith("<b>b&lt;!</b><b>c!</b>");
        assertThat(written).hasValue(3);
        assertThat(page("?", "a")).startsWith("<b>a?</b>");
        assertThat(written).hasValue(4);
    }

    @Test
    void whoReadsOtherwiseIsWrittenToAnew() {
        page("!", "a");
        Region.use(Region.USUAL.in("de"));
        try {
            page("!", "a");
        } finally {
            Region.use(null);
        }
        assertThat(written).hasValue(2);
    }

    /** A token or an id of somebody else's page would be sent. */
    @Test
    void noPartHasAFormThatIsPostedOrAFreshId() throws IOException {
        List<String> parts = new ArrayList<>();
        try (Stream<Path> templates = Files.walk(TEMPLATES)) {
            for (Path template : templates.filter(Files::isRegularFile).toList()) {
                Matcher part = PART.matcher(Files.readString(template));
                while (part.find()) {
                    parts.add(part.group(1) + " :: " + part.group(2));
                    assertThat(fragment(part.group(1), part.group(2)))
                            .as(part.group())
                            .doesNotContain("th:action", "method=\"post\"", "fresh", "_csrf");
                }
            }
        }
        assertThat(parts).contains("due/row :: row", "fragments/frame :: top", "log/line :: line");
    }

    private static String fragment(String template, String name) throws IOException {
        String text = Files.readString(TEMPLATES.resolve(template + ".html"));
        int from = text.indexOf("th:fragment=\"" + name + "(");
        assertThat(from).as(template + " has " + name).isPositive();
        int next = text.indexOf("th:fragment=", from + 1);
        return text.substring(from, next < 0 ? text.length() : next);
    }
}
