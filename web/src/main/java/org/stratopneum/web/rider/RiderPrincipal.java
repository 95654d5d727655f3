package org.stratopneum.web.rider;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/**
 * The signed-in rider of a request.
 *
 * @param riderId whose rows are seen
 * @param demo whether the demo entry let them in without an account
 */
public record RiderPrincipal(UUID riderId, boolean demo) implements Principal, Serializable {

    @Override
    public String getName() {
        return riderId.toString();
    }
}
