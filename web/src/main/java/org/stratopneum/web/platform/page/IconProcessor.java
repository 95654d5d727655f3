package org.stratopneum.web.platform.page;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * {@code <svg page:icon="bell">}: one of the drawn signs; what it stands beside says it in words. A page has hundreds, which
 * a fragment would take a good part of its time for.
 */
final class IconProcessor extends AbstractAttributeTagProcessor {

    private static final int PRECEDENCE = 1000;
    private static final String EXPRESSION = "${";

    private final ResourceUrlProvider urls;
    private final Map<String, String> drawn = new ConcurrentHashMap<>();

    IconProcessor(String prefix, ResourceUrlProvider urls) {
        super(TemplateMode.HTML, prefix, "svg", false, "icon", true, PRECEDENCE, true);
        this.urls = urls;
    }

    /** @param value the name of a sign, or an expression for it */
    @Override
    protected void doProcess(
            ITemplateContext context,
            IProcessableElementTag tag,
            AttributeName attribute,
            String value,
            IElementTagStructureHandler structure) {
        String name = value.startsWith(EXPRESSION)
                ? String.valueOf(StandardExpressions.getExpressionParser(context.getConfiguration())
                        .parseExpression(context, value)
                        .execute(context))
                : value;
        structure.replaceWith(drawn.computeIfAbsent(name, this::draw), false);
    }

    private String draw(String name) {
        return "<svg class=\"ic\" aria-hidden=\"true\"><use href=\"%s#%s\"/></svg>"
                .formatted(urls.getForLookupPath("/assets/icons.svg"), name);
    }
}
