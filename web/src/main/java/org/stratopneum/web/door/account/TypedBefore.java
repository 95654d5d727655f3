package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What somebody asked for, and had typed, when their session had ended: it goes through the door with them.
 *
 * @param path the page, or where its form goes
 * @param fields what was typed; empty for a page
 */
record TypedBefore(String path, List<Field> fields) implements Serializable {

    private static final String ATTRIBUTE = TypedBefore.class.getName();
    private static final String PREFIX = "typed.";

    /** The token of the form that was open belongs to nobody now. */
    private static final Set<String> NEVER = Set.of("_csrf");

    /** A field of the form. */
    record Field(String name, String value) implements Serializable {
        /** As the form at the door carries it. */
        public String carried() {
            return PREFIX + name;
        }
    }

    TypedBefore {
        fields = List.copyOf(fields);
    }

    /** What a form had just sent. */
    static TypedBefore of(String path, Map<String, String[]> sent) {
        return new TypedBefore(path, fields(sent, ""));
    }

    /** What the door carries; empty where it carries nothing, or leads to another site. */
    static Optional<TypedBefore> carried(HttpServletRequest request) {
        String path = request.getParameter("then");
        boolean ours = path != null && path.startsWith("/") && !path.startsWith("//") && path.indexOf('\\') < 0;
        return ours ? Optional.of(new TypedBefore(path, fields(request.getParameterMap(), PREFIX))) : Optional.empty();
    }

    private static List<Field> fields(Map<String, String[]> sent, String prefix) {
        List<Field> fields = new ArrayList<>();
        sent.forEach((name, values) -> {
            if (name.startsWith(prefix) && !NEVER.contains(name)) {
                for (String value : values) {
                    fields.add(new Field(name.substring(prefix.length()), value));
                }
            }
        });
        return fields;
    }

    /** Kept in the session that has just begun, until it is shown. */
    void keep(HttpServletRequest request) {
        request.getSession().setAttribute(ATTRIBUTE, this);
    }

    /** What was kept; taking it removes it. */
    static Optional<TypedBefore> take(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null && session.getAttribute(ATTRIBUTE) instanceof TypedBefore typed) {
            session.removeAttribute(ATTRIBUTE);
            return Optional.of(typed);
        }
        return Optional.empty();
    }
}
