package org.stratopneum.web.platform.page;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.standard.StandardDialect;

/** What templates may say beside the standard: {@code page:icon} and {@code page:part}. */
@Component
class PageDialect extends AbstractProcessorDialect {

    private final ResourceUrlProvider urls;

    PageDialect(ResourceUrlProvider urls) {
        super("pages", "page", StandardDialect.PROCESSOR_PRECEDENCE);
        this.urls = urls;
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new IconProcessor(prefix, urls), new PartProcessor(prefix));
    }
}
