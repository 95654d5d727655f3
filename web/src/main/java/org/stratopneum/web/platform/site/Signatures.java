package org.stratopneum.web.platform.site;

import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;

/** Signs short texts that leave the server and come back (HMAC-SHA256, RFC 2104). */
@Component
public class Signatures {

    private static final String ALGORITHM = "HmacSHA256";
    private static final int KEY_BYTES = 32;

    private final SigningKeyMapper mapper;
    private final Clock clock;
    private volatile byte[] key;

    Signatures(SigningKeyMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * The signature of a text, as it stands in a cookie or a form.
     *
     * @param purpose what it is for: what was signed for one thing is worth nothing for another
     */
    public String of(String purpose, String text) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(key(), ALGORITHM));
            mac.update((purpose + "\n").getBytes(StandardCharsets.UTF_8));
            return Base64.getUrlEncoder()
                    .withoutPadding()
                    .encodeToString(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException | InvalidKeyException exception) {
            throw new IllegalStateException("every Java has " + ALGORITHM, exception);
        }
    }

    /** Whether {@code signature} is that of the text; takes as long whatever it is. */
    public boolean match(String purpose, String text, String signature) {
        return MessageDigest.isEqual(
                of(purpose, text).getBytes(StandardCharsets.US_ASCII), signature.getBytes(StandardCharsets.UTF_8));
    }

    private byte[] key() {
        byte[] known = key;
        if (known == null) {
            known = mapper.find().map(SigningKeyMapper.Key::key).orElseGet(this::fresh);
            key = known;
        }
        return known;
    }

    /** Another instance may have been first: what stands there counts. */
    private byte[] fresh() {
        byte[] made = new byte[KEY_BYTES];
        new SecureRandom().nextBytes(made);
        mapper.keep(made, clock.instant());
        return mapper.find().orElseThrow().key();
    }
}
