package org.stratopneum.web.platform.page;

import org.springframework.stereotype.Component;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** Has all pages be a {@link PageView}. */
@Component
class PageViews {

    PageViews(ThymeleafViewResolver resolver) {
        resolver.setViewClass(PageView.class);
    }
}
