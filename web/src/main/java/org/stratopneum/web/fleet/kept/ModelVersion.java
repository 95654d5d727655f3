package org.stratopneum.web.fleet.kept;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Which rules compute: a digest of the sources, which the build writes down. */
@Component
class ModelVersion {

    private final String digest;

    ModelVersion() throws IOException {
        digest = new ClassPathResource("model-version").getContentAsString(StandardCharsets.US_ASCII);
    }

    /** A digest that has taken in which rules compute. */
    MessageDigest begin() {
        MessageDigest begun = sha256();
        begun.update(digest.getBytes(StandardCharsets.US_ASCII));
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
