package org.stratopneum.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.web.StratopneumApplication;
import org.stratopneum.web.platform.database.Migration;

/**
 * Starts the application once for the whole test run, on a port of its own and a throw-away PostgreSQL, and hands out
 * its beans and its {@link Site}. Spring's own extension wants a newer JUnit.
 */
public final class RunningApplication implements BeforeAllCallback, ParameterResolver {

    private static final Namespace NAMESPACE = Namespace.create(RunningApplication.class);

    /** The application with its database; closing ends both, and the other application where one was asked for. */
    public static final class Started implements AutoCloseable {

        private final ThrowAwayDatabase database = ThrowAwayDatabase.start();
        private final int watchPort = freePort();
        private final ConfigurableApplicationContext context =
                startOn(database.settings(), "--stratopneum.watch.port=" + watchPort);
        private ConfigurableApplicationContext other;

        Started() {
            Guest.accountsIn(context.getBean(JdbcTemplate.class));
        }

        public ConfigurableApplicationContext context() {
            return context;
        }

        /** The port of the figures. */
        public Site watch() {
            return new Site("http://127.0.0.1:" + watchPort);
        }

        private static int freePort() {
            try (ServerSocket free = new ServerSocket(0)) {
                return free.getLocalPort();
            } catch (IOException exception) {
                throw new UncheckedIOException(exception);
            }
        }

        public ThrowAwayDatabase database() {
            return database;
        }

        /** A second application on the same database, which knows only what stands there. All tests share it. */
        public synchronized Site other() {
            if (other == null) {
                other = startAnother();
            }
            return siteOf(other);
        }

        /** Another application on the same database, as after a restart; perhaps with more settings, such as "--server.ssl.enabled=true". */
        public ConfigurableApplicationContext startAnother(String... more) {
            return startOn(database.settings(), lazily(more));
        }

        /** Beans that nobody asks for are not made: half of the time of a start. */
        private static String[] lazily(String... more) {
            List<String> all = new ArrayList<>(List.of(more));
            all.add("--spring.main.lazy-initialization=true");
            return all.toArray(String[]::new);
        }

        /** An application on a database of its own. */
        public static ConfigurableApplicationContext startOn(ThrowAwayDatabase database, String... more) {
            return startOn(database.settings(), lazily(more));
        }

        /** One after the other: the logging of a process is set up by the first, and is not made for two at once. */
        private static synchronized ConfigurableApplicationContext startOn(Path settings, String... more) {
            List<String> arguments = new ArrayList<>(List.of(more));
            try {
                Migration.apply(new ThrowAwayDatabase(settings).owner());
            } catch (IOException exception) {
                throw new UncheckedIOException(exception);
            }
            SpringApplication application = new SpringApplication(StratopneumApplication.class);
            application.addInitializers(context -> {
                context.getBeanFactory().addBeanPostProcessor(new CountedQueries());
                context.getBeanFactory().addBeanPostProcessor(new MovableClock());
                context.getBeanFactory().addBeanPostProcessor(new QuickHashes());
            });
            if (arguments.stream().noneMatch(argument -> argument.startsWith("--server.port="))) {
                arguments.add("--server.port=0");
            }
            arguments.add("--stratopneum.gauge.port=0");
            arguments.add("--stratopneum.mail.simulated-port=0");
            arguments.add("--stratopneum.webhooks.stand-in-port=0");
            arguments.add("--spring.main.banner-mode=off");
            arguments.add("--logging.level.root=warn");
            arguments.add("--spring.config.additional-location=" + settings.toUri());
            ConfigurableApplicationContext started = application.run(arguments.toArray(String[]::new));
            System.setProperty(LoggingSystem.SYSTEM_PROPERTY, LoggingSystem.NONE);
            return started;
        }

        @Override
        public synchronized void close() {
            if (other != null) {
                other.close();
            }
            context.close();
            database.stop();
        }
    }

    /** Where a running application answers. */
    public static Site siteOf(ConfigurableApplicationContext context) {
        int port = ((ServletWebServerApplicationContext) context).getWebServer().getPort();
        return new Site("http://127.0.0.1:" + port);
    }

    /** All tests come from one address, from which only so many accounts are made in a day: each class begins its own. */
    @Override
    public void beforeAll(ExtensionContext context) {
        started(context)
                .context()
                .getBean(JdbcTemplate.class)
                .update("delete from visits.sign_in_guard where key = 'new 127.0.0.1'");
    }

    private static Started started(ExtensionContext context) {
        return context.getRoot()
                .getStore(NAMESPACE)
                .getOrComputeIfAbsent(Started.class, type -> new Started(), Started.class);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Site.class
                || type == Started.class
                || started(context).context().getBeanNamesForType(type).length > 0;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        if (type == Started.class) {
            return started(context);
        }
        return type == Site.class
                ? siteOf(started(context).context())
                : started(context).context().getBean(type);
    }
}
