package org.stratopneum.web.due.webhook;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.standin.WebhookReceiver;

/**
 * Where webhooks may go. On a server for others they must not reach what only the server reaches: its own ports, its
 * neighbours, the addresses of its provider. Java remembers for half a minute what a name led to, so that the address
 * that is looked at is the one that is asked.
 */
@Component
class WebhookTargets {

    private static final int CGNAT_FIRST = 100;
    private static final int CGNAT_SECOND = 64;
    private static final int CGNAT_MASK = 0xC0;
    private static final int UNIQUE_LOCAL = 0xFC;
    private static final int UNIQUE_LOCAL_MASK = 0xFE;

    private final boolean privateOnes;
    private final WebhookReceiver standIn;

    WebhookTargets(
            @Value("${stratopneum.webhooks.private-addresses:false}") boolean privateOnes, WebhookReceiver standIn) {
        this.privateOnes = privateOnes;
        this.standIn = standIn;
    }

    /** Whether the text is an address that may be asked, as far as can be told without asking. */
    boolean isAddress(String text) {
        try {
            URI uri = URI.create(text);
            return uri.isAbsolute()
                    && Set.of("http", "https").contains(uri.getScheme())
                    && uri.getHost() != null
                    && uri.getUserInfo() == null;
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    /** Whether it leads where webhooks may go. */
    boolean isAllowed(String url) {
        URI uri = URI.create(url);
        if (privateOnes || standIn.isOwn(uri)) {
            return true;
        }
        try {
            return Arrays.stream(InetAddress.getAllByName(uri.getHost())).noneMatch(WebhookTargets::isPrivate);
        } catch (UnknownHostException nobody) {
            return false;
        }
    }

    static boolean isPrivate(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean carriers =
                bytes.length == 4 && (bytes[0] & 0xFF) == CGNAT_FIRST && (bytes[1] & CGNAT_MASK) == CGNAT_SECOND;
        boolean uniqueLocal = address instanceof Inet6Address && (bytes[0] & UNIQUE_LOCAL_MASK) == UNIQUE_LOCAL;
        return address.isAnyLocalAddress()
                || address.isLoopbackAddress()
                || address.isLinkLocalAddress()
                || address.isSiteLocalAddress()
                || address.isMulticastAddress()
                || bytes[0] == 0
                || carriers
                || uniqueLocal;
    }
}
