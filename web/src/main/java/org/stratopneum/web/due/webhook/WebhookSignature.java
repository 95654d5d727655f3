package org.stratopneum.web.due.webhook;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import org.apache.commons.codec.digest.HmacAlgorithms;
import org.apache.commons.codec.digest.HmacUtils;

/** Signs what an address is told, so that it knows who told it, and that it is neither changed nor old. */
public final class WebhookSignature {

    private static final String VERSION = "v1,";

    private WebhookSignature() {}

    /**
     * HMAC-SHA256 (RFC 2104) over id, moment and body with points between them, in base 64.
     *
     * @param secret in base 64 for addresses
     * @param moment seconds since 1970
     */
    public static String of(String secret, String id, long moment, String body) {
        byte[] key = Base64.getUrlDecoder().decode(secret);
        byte[] signed = (id + "." + moment + "." + body).getBytes(StandardCharsets.UTF_8);
        return VERSION
                + Base64.getEncoder().encodeToString(new HmacUtils(HmacAlgorithms.HMAC_SHA_256, key).hmac(signed));
    }
}
