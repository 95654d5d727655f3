package org.stratopneum.web.platform.page;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templateresource.ITemplateResource;
import org.thymeleaf.templateresource.StringTemplateResource;

/** The templates of pages, without their indentation: it is a sixth of a long page. */
@Component("defaultTemplateResolver")
class PageTemplates extends SpringResourceTemplateResolver {

    PageTemplates() {
        setPrefix("classpath:/templates/");
        setSuffix(".html");
        setCharacterEncoding("UTF-8");
    }

    @Override
    protected ITemplateResource computeTemplateResource(
            IEngineConfiguration configuration,
            String owner,
            String template,
            String name,
            String encoding,
            Map<String, Object> attributes) {
        ITemplateResource resource =
                super.computeTemplateResource(configuration, owner, template, name, encoding, attributes);
        if (!resource.exists()) {
            return resource;
        }
        try (BufferedReader lines = new BufferedReader(resource.reader())) {
            return new StringTemplateResource(lines.lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty())
                    .collect(Collectors.joining("\n")));
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }
}
