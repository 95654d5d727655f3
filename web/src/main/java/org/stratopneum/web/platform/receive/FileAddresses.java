package org.stratopneum.web.platform.receive;

import java.util.regex.Pattern;
import org.apache.catalina.connector.Request;

/** Where files go in and out: a slow line takes minutes for them, so they have limits of their own. */
final class FileAddresses {

    private static final Pattern IN = Pattern.compile("/imports|/log/[^/]+/photos|/bikes/[^/]+/tracks");
    private static final Pattern OUT = Pattern.compile("/exchange/.*|/tracks/.*");

    /** Where a script's many entries go; whoever has no token is refused before anything is received. */
    private static final String SCRIPTS = "/api/v1/log";

    private static final String MULTIPART = "multipart/";

    private FileAddresses() {}

    /** Whether a form with files comes, wherever to. */
    static boolean isFile(Request request) {
        String type = request.getContentType();
        return type != null && type.regionMatches(true, 0, MULTIPART, 0, MULTIPART.length());
    }

    /** Whether what comes is received by those who know the rider, and not before. */
    static boolean isReceivedLater(Request request) {
        String path = request.getRequestURI();
        return path.equals(SCRIPTS) || isFile(request) && IN.matcher(path).matches();
    }

    /** Whether it may be long on its way, in or out. */
    static boolean isLong(Request request) {
        String path = request.getRequestURI();
        return OUT.matcher(path).matches()
                || isFile(request) && IN.matcher(path).matches();
    }
}
