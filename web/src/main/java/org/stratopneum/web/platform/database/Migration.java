package org.stratopneum.web.platform.database;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Properties;
import org.flywaydb.core.Flyway;

/**
 * Brings the tables up to date, as their owner, in a process of its own: the application that serves riders never has
 * that password.
 */
public final class Migration {

    /** The role that the application signs in as. */
    private static final String APPLICATION = "stratopneum_app";

    private Migration() {}

    /** @param arguments the file with {@code url}, {@code user} and {@code password} of the owner */
    public static void main(String[] arguments) throws IOException {
        apply(Path.of(arguments[0]));
    }

    /** @return how many steps were taken */
    public static int apply(Path owner) throws IOException {
        Properties settings = new Properties();
        try (Reader reader = Files.newBufferedReader(owner, StandardCharsets.UTF_8)) {
            settings.load(reader);
        }
        return Flyway.configure()
                .dataSource(settings.getProperty("url"), settings.getProperty("user"), settings.getProperty("password"))
                .locations("classpath:db/migration")
                .placeholders(Map.of("appRole", APPLICATION))
                .load()
                .migrate()
                .migrationsExecuted;
    }
}
