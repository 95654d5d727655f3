package org.stratopneum.web.platform.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Map;
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
    private static final long MOST_REMEMBERED = 4_000_000;

    private static final Duration REMEMBERED = Duration.ofMinutes(15);

    private final Cache<Part, String> written = Caffeine.newBuilder()
            .maximumWeight(MOST_REMEMBERED)
            .weigher((Part part, String text) -> text.length())
            .expireAfterAccess(REMEMBERED)
            .build();

    private record Part(String expression, Map<String, Object> parameters, Region region) {}

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
