package org.stratopneum.web.rider.activity;

import jakarta.servlet.http.HttpServletRequest;
import java.io.Serializable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;

/**
 * Who is at the door, as far as a request tells.
 *
 * @param device what their browser says that it runs on; anybody may say anything
 * @param address from where they come
 */
public record Caller(String device, String address) implements Serializable {

    private static final int LONGEST = 120;
    private static final int LONGEST_ADDRESS = 60;

    /** What a browser runs on stands in the first brackets (RFC 9110, 10.1.5, where it is a comment). */
    private static final Pattern COMMENT = Pattern.compile("\\(([^()]{1,200})\\)");

    public static Caller of(HttpServletRequest request) {
        String agent = request.getHeader(HttpHeaders.USER_AGENT);
        Matcher comment = COMMENT.matcher(agent == null ? "" : agent);
        String device = comment.find() ? comment.group(1) : agent == null ? "?" : agent;
        return new Caller(
                cut(device.replaceAll("[^\\p{L}\\p{N} .,;:/_+-]", " ").strip(), LONGEST),
                cut(String.valueOf(request.getRemoteAddr()), LONGEST_ADDRESS));
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most) : text;
    }
}
