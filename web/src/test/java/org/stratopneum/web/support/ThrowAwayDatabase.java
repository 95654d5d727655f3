package org.stratopneum.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A PostgreSQL that lives for one test run, made by the launcher just as it makes a rider's.
 *
 * @param settings the settings file that an application reads
 */
public record ThrowAwayDatabase(Path settings) {

    public static ThrowAwayDatabase start() {
        return started("start");
    }

    /** One that keeps through a crash what it said was saved; slower. */
    public static ThrowAwayDatabase startDurable() {
        return started("start", "durable");
    }

    private static ThrowAwayDatabase started(String... how) {
        List<String> arguments = new ArrayList<>(List.of("test-database"));
        arguments.addAll(List.of(how));
        String output = launcher(arguments.toArray(String[]::new));
        ThrowAwayDatabase database = new ThrowAwayDatabase(
                Path.of(output.lines().reduce((first, last) -> last).orElseThrow()));
        // the extension stops it; this is for a run that is broken off
        Runtime.getRuntime().addShutdownHook(new Thread(database::stop));
        return database;
    }

    /** Where the owner of the tables signs in from. */
    public Path owner() {
        return settings.resolveSibling("owner.properties");
    }

    /** Writes all of it to a file that is not there yet, as {@code ./stratopneum backup} does. */
    public void backUp(Path file) {
        launcher("test-database", "backup", settings.toString(), file.toString());
    }

    /** Writes that of today into a folder, as {@code ./stratopneum backup --daily} does. */
    public void backUpDaily(Path folder) {
        launcher("test-database", "daily", settings.toString(), folder.toString());
    }

    /** Begins to put what a file holds in the place of what is there. */
    public Process beginRestore(Path file) throws IOException {
        return new ProcessBuilder(
                        Projects.root().resolve("stratopneum").toString(),
                        "test-database",
                        "restore",
                        settings.toString(),
                        file.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /**
     * Puts what a file holds in the place of what is there, as {@code ./stratopneum restore} does.
     *
     * @throws IllegalStateException with the launcher's words when it does not
     */
    public void restore(Path file) {
        launcher("test-database", "restore", settings.toString(), file.toString());
    }

    /** Changes that back. */
    public void restoreBack() {
        launcher("test-database", "back", settings.toString());
    }

    /** Ends it as a crash does, its lock file left behind. */
    public void kill() {
        launcher("test-database", "kill", settings.toString());
    }

    /** Starts it again, as {@code ./stratopneum start} does. */
    public void startAgain() {
        launcher("test-database", "again", settings.toString());
    }

    public void stop() {
        if (Files.exists(settings)) {
            launcher("test-database", "stop", settings.toString());
        }
    }

    private static String launcher(String... arguments) {
        List<String> command =
                new ArrayList<>(List.of(Projects.root().resolve("stratopneum").toString()));
        command.addAll(Arrays.asList(arguments));
        try {
            // the server keeps inherited descriptors open, so its output goes to files and not to a pipe
            Path out = Files.createTempFile("launcher", ".out");
            Path err = Files.createTempFile("launcher", ".err");
            int exit = new ProcessBuilder(command)
                    .redirectOutput(out.toFile())
                    .redirectError(err.toFile())
                    .start()
                    .waitFor();
            String said = Files.readString(out, StandardCharsets.UTF_8);
            String complained = Files.readString(err, StandardCharsets.UTF_8);
            Files.delete(out);
            Files.delete(err);
            if (exit != 0) {
                throw new IllegalStateException("the launcher failed: " + said + complained);
            }
            return said.strip();
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }
}
