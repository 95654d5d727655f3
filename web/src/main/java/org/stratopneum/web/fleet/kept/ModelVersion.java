package org.stratopneum.web.fleet.kept;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.SealantForecast;

/** Which rules compute: a digest of the core as it was built, so that nobody has to remember to count it up. */
@Component
class ModelVersion {

    private final byte[] digest = digest(core());

    private static Path core() {
        try {
            return Path.of(SealantForecast.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
        } catch (URISyntaxException exception) {
            throw new IllegalStateException(exception);
        }
    }

    /** @param code one file, or a folder of them */
    static byte[] digest(Path code) {
        MessageDigest digest = sha256();
        try (Stream<Path> files = Files.walk(code)) {
            List<Path> sorted = files.filter(Files::isRegularFile).sorted().toList();
            for (Path file : sorted) {
                digest.update(Files.readAllBytes(file));
            }
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
        return digest.digest();
    }

    /** A digest that has taken in which rules compute. */
    MessageDigest begin() {
        MessageDigest begun = sha256();
        begun.update(digest);
        return begun;
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException exception) {
            throw new IllegalStateException("every Java has SHA-256", exception);
        }
    }
}
