package org.stratopneum.web;

import java.time.Clock;
import org.springframework.aot.AotDetector;
import org.springframework.boot.ApplicationContextFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.core.env.ConfigurableEnvironment;
import org.stratopneum.web.platform.database.MapperBeans;

/** Starts the web application. */
@Import(MapperBeans.class)
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class StratopneumApplication {

    public static void main(String[] args) {
        SpringApplication application = new SpringApplication(StratopneumApplication.class);
        if (AotDetector.useGeneratedArtifacts()) {
            application.setApplicationContextFactory(new WrittenDown());
        }
        application.run(args);
    }

    /** The context of what was found out when the application was built. */
    private static final class WrittenDown implements ApplicationContextFactory {

        @Override
        public ConfigurableApplicationContext create(WebApplicationType type) {
            return new ServletWebServerApplicationContext(new ClassFirstBeanFactory());
        }

        @Override
        public Class<? extends ConfigurableEnvironment> getEnvironmentType(WebApplicationType type) {
            return DEFAULT.getEnvironmentType(type);
        }

        @Override
        public ConfigurableEnvironment createEnvironment(WebApplicationType type) {
            return DEFAULT.createEnvironment(type);
        }
    }

    /** The one clock; core never has its own. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
