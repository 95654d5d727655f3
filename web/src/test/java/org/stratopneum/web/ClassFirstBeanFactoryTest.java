package org.stratopneum.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.ResolvableType;

/** It finds what Spring's own finds. */
class ClassFirstBeanFactoryTest {

    @Configuration(proxyBeanMethods = false)
    static class Beans {

        @Bean
        Consumer<String> ofWords() {
            return word -> {};
        }

        @Bean
        Consumer<Integer> ofNumbers() {
            return number -> {};
        }

        @Bean
        Comparator<String> byLength() {
            return Comparator.comparing(String::length);
        }

        @Bean
        List<Map<String, Integer>> tables() {
            return List.of();
        }
    }

    static Stream<ResolvableType> types() {
        return Stream.of(
                ResolvableType.forClassWithGenerics(Consumer.class, String.class),
                ResolvableType.forClassWithGenerics(Consumer.class, Integer.class),
                ResolvableType.forClassWithGenerics(Consumer.class, Long.class),
                ResolvableType.forClassWithGenerics(Comparator.class, String.class),
                ResolvableType.forClassWithGenerics(Function.class, String.class, String.class),
                ResolvableType.forClassWithGenerics(Iterable.class, Map.class),
                ResolvableType.forClass(Consumer.class),
                ResolvableType.forClass(Function.class));
    }

    @ParameterizedTest
    @MethodSource("types")
    void findsTheSame(ResolvableType type) {
        assertThat(names(new ClassFirstBeanFactory(), type)).isEqualTo(names(new DefaultListableBeanFactory(), type));
    }

    private static List<String> names(DefaultListableBeanFactory factory, ResolvableType type) {
        try (var context = new AnnotationConfigApplicationContext(factory)) {
            context.register(Beans.class);
            context.refresh();
            return List.of(context.getBeanNamesForType(type));
        }
    }
}
