package org.stratopneum.web.platform.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import org.stratopneum.web.platform.wording.Region;
import org.thymeleaf.context.IEngineContext;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.Fragment;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.util.FastStringWriter;

/**
 * {@code <li page:part="~{due/rows :: row(row=${row})}">}: a fragment that says the same whenever its named parameters are the
 * same, such as a line of a list; it is written once and remembered. It must ask for nothing else, have no form that is
 * posted, and no id that is drawn anew.
 */
final class PartProcessor extends AbstractAttributeTagProcessor {

    private static final int PRECEDENCE = 1000;

    /** Of all parts together (characters). */
    private static final long MOST_REMEMBERED = 2_000_000;

    private static final Duration REMEMBERED = Duration.ofMinutes(15);

    private final Cache<Part, String> written = Caffeine.newBuilder()
            .maximumWeight(MOST_REMEMBERED)
            .weigher((Part part, String text) -> text.length())
            .expireAfterAccess(REMEMBERED)
            .build();

    /** Its hash is worked out once: a drawing has thousands of points. */
    private static final class Part {

        private final String expression;
        private final Map<String, Object> parameters;
        private final Region region;
        private final int hash;

        private Part(String expression, Map<String, Object> parameters, Region region) {
            this.expression = expression;
            this.parameters = parameters;
            this.region = region;
            hash = Objects.hash(expression, parameters, region);
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Part part
                    && hash == part.hash
                    && expression.equals(part.expression)
                    && parameters.equals(part.parameters)
                    && region.equals(part.region);
        }

        @Override
        public int hashCode() {
            return hash;
        }
    }

    PartProcessor(String prefix) {
        super(TemplateMode.HTML, prefix, null, false, "part", true, PRECEDENCE, true);
    }

    @Override
    protected void doProcess(
            ITemplateContext context,
            IProcessableElementTag tag,
            AttributeName attribute,
            String value,
            IElementTagStructureHandler structure) {
        Fragment fragment = (Fragment) StandardExpressions.getExpressionParser(context.getConfiguration())
                .parseExpression(context, value)
                .execute(context);
        Part part = new Part(value, fragment.getParameters(), Region.current());
        String text = written.getIfPresent(part);
        if (text == null) {
            text = write(fragment, (IEngineContext) context);
            written.put(part, text);
        }
        structure.replaceWith(text, false);
    }

    private static String write(Fragment fragment, IEngineContext context) {
        context.increaseLevel();
        try {
            context.setVariables(fragment.getParameters());
            FastStringWriter writer = new FastStringWriter();
            context.getConfiguration().getTemplateManager().process(fragment.getTemplateModel(), context, writer);
            return writer.toString();
        } finally {
            context.decreaseLevel();
        }
    }
}
