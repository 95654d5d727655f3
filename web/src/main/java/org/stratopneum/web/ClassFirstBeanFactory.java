package org.stratopneum.web;

import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.core.ResolvableType;

/**
 * Looks for beans of a generic type only where there are some of its class, which is known. The chains of filters are made by
 * asking for customizers of each of their parts, and for each of these every bean was looked at, in vain.
 */
class ClassFirstBeanFactory extends DefaultListableBeanFactory {

    private static final String[] NONE = {};

    @Override
    public String[] getBeanNamesForType(ResolvableType type, boolean includeNonSingletons, boolean allowEagerInit) {
        Class<?> raw = type.resolve();
        boolean none = raw != null
                && type.hasGenerics()
                && getBeanNamesForType(raw, includeNonSingletons, allowEagerInit).length == 0;
        return none ? NONE : super.getBeanNamesForType(type, includeNonSingletons, allowEagerInit);
    }
}
