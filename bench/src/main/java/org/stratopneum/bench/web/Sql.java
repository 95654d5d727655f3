package org.stratopneum.bench.web;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Asks a database by psql. */
final class Sql {

    private final List<String> psql;

    /**
     * @param psql where that lies
     * @param address of the database, with who signs in; the password stands in PGPASSWORD
     */
    Sql(String psql, String address) {
        this.psql = List.of(psql, "-qAt", "-v", "ON_ERROR_STOP=1", address);
    }

    /** @return what it answers */
    String ask(String... arguments) {
        List<String> command = new ArrayList<>(psql);
        command.addAll(List.of(arguments));
        try {
            Process process = new ProcessBuilder(command)
                    .redirectInput(new File("/dev/null"))
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", arguments));
            }
            return out.strip();
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }

    /** @return a number that a statement answers */
    double number(String statement) {
        return Double.parseDouble(ask("-c", statement));
    }

    /** @return how long a statement takes (s) */
    double seconds(String statement) {
        long begun = System.nanoTime();
        ask("-c", statement);
        return (System.nanoTime() - begun) / 1e9;
    }
}
