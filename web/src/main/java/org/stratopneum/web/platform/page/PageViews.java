package org.stratopneum.web.platform.page;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** Has all pages be a {@link PageView}. */
@Component
class PageViews implements BeanPostProcessor {

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (bean instanceof ThymeleafViewResolver resolver) {
            resolver.setViewClass(PageView.class);
        }
        return bean;
    }
}
