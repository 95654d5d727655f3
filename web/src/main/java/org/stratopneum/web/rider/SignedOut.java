package org.stratopneum.web.rider;

import jakarta.servlet.http.HttpServletRequest;

/** Whether somebody was signed in on this device until their session ended by itself. */
public final class SignedOut {

    private SignedOut() {}

    /** The browser still sends the name of a session that is gone; signing out takes that name from it. */
    public static boolean byTime(HttpServletRequest request) {
        return request.getRequestedSessionId() != null && request.getSession(false) == null;
    }
}
