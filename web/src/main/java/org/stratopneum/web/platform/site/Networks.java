package org.stratopneum.web.platform.site;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.regex.Pattern;

/** Where somebody comes from, as coarse as one household or one server can choose freely. */
public final class Networks {

    /** Bytes of an IPv6 address that are its network's. */
    private static final int NETWORK_BYTES = 8;

    private static final Pattern LITERAL = Pattern.compile("[0-9a-fA-F.:]+");

    private Networks() {}

    /** An IPv4 address, or what a provider gives to a household of IPv6 (/64, RFC 6177). */
    public static String of(String address) {
        try {
            // a literal address: nothing is looked up
            InetAddress literal = LITERAL.matcher(address).matches() ? InetAddress.getByName(address) : null;
            return literal instanceof Inet6Address
                    ? HexFormat.of().formatHex(Arrays.copyOf(literal.getAddress(), NETWORK_BYTES))
                    : address;
        } catch (UnknownHostException exception) {
            return address;
        }
    }
}
