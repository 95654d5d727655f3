package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.ArrayList;
import java.util.List;

/** Recovery codes on their way to the one page that shows them; taking them removes them. */
final class ShownOnce {

    private static final String ATTRIBUTE = ShownOnce.class.getName();

    private ShownOnce() {}

    static void put(HttpServletRequest request, List<String> codes) {
        request.getSession().setAttribute(ATTRIBUTE, new ArrayList<>(codes));
    }

    /** The codes, or an empty list when they have been shown. */
    static List<String> take(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        Object codes = session == null ? null : session.getAttribute(ATTRIBUTE);
        if (codes instanceof List<?> list) {
            session.removeAttribute(ATTRIBUTE);
            return list.stream().map(String::valueOf).toList();
        }
        return List.of();
    }
}
