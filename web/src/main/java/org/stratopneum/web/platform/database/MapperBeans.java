package org.stratopneum.web.platform.database;

import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.mapper.MapperFactoryBean;
import org.springframework.beans.factory.annotation.AnnotatedBeanDefinition;
import org.springframework.beans.factory.config.RuntimeBeanReference;
import org.springframework.beans.factory.support.BeanDefinitionRegistry;
import org.springframework.beans.factory.support.RootBeanDefinition;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.ImportBeanDefinitionRegistrar;
import org.springframework.core.ResolvableType;
import org.springframework.core.type.AnnotationMetadata;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.util.ClassUtils;
import org.springframework.util.StringUtils;

/**
 * Finds the mappers. What MyBatis brings for it looks at every start, and says of its beans too little for them to be
 * written down when the application is built.
 */
public final class MapperBeans implements ImportBeanDefinitionRegistrar {

    private static final String HOUSE = "org.stratopneum.web";

    @Override
    public void registerBeanDefinitions(AnnotationMetadata importing, BeanDefinitionRegistry registry) {
        new Interfaces()
                .findCandidateComponents(HOUSE)
                .forEach(found -> register(ClassUtils.resolveClassName(found.getBeanClassName(), null), registry));
    }

    private static void register(Class<?> mapper, BeanDefinitionRegistry registry) {
        RootBeanDefinition bean = new RootBeanDefinition(MapperFactoryBean.class);
        bean.setTargetType(ResolvableType.forClassWithGenerics(MapperFactoryBean.class, mapper));
        bean.getPropertyValues().add("mapperInterface", mapper);
        bean.getPropertyValues().add("sqlSessionTemplate", new RuntimeBeanReference("sqlSessionTemplate"));
        registry.registerBeanDefinition(StringUtils.uncapitalize(mapper.getSimpleName()), bean);
    }

    private static final class Interfaces extends ClassPathScanningCandidateComponentProvider {

        Interfaces() {
            super(false);
            addIncludeFilter(new AnnotationTypeFilter(Mapper.class));
        }

        @Override
        protected boolean isCandidateComponent(AnnotatedBeanDefinition found) {
            return found.getMetadata().isInterface();
        }
    }
}
