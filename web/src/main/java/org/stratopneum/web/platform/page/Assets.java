package org.stratopneum.web.platform.page;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ContentVersionStrategy;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Styles, scripts and signs carry a digest of what is in them in their names, so that they are kept for a year. A page names
 * the signs hundreds of times: ten digits tell two builds apart as well as all 32. Nothing else is looked up as a file.
 */
@Configuration(proxyBeanMethods = false)
class Assets implements WebMvcConfigurer {

    private static final int DIGITS = 10;
    private static final Duration KEPT = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(KEPT).cachePublic())
                .resourceChain(true)
                .addResolver(new VersionResourceResolver().addVersionStrategy(new ShortDigest(), "/**"));
    }

    private static final class ShortDigest extends ContentVersionStrategy {
        @Override
        public String getResourceVersion(Resource resource) {
            return super.getResourceVersion(resource).substring(0, DIGITS);
        }
    }
}
