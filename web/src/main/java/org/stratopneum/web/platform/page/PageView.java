package org.stratopneum.web.platform.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Collections;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.Map;
import org.springframework.context.annotation.Scope;
import org.thymeleaf.spring6.view.ThymeleafView;

/**
 * A page whose variables lie at hand: a template keeps them, thousands of times, in the attributes of the request, which the
 * filters have wrapped many times over. What is set while it is written is gone after it.
 */
@Scope("prototype")
public class PageView extends ThymeleafView {

    @Override
    public void render(Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws Exception {
        super.render(model, new AtHand(request), response);
    }

    private static final class AtHand extends HttpServletRequestWrapper {

        private final Map<String, Object> attributes = new HashMap<>();

        AtHand(HttpServletRequest request) {
            super(request);
            Collections.list(request.getAttributeNames())
                    .forEach(name -> attributes.put(name, request.getAttribute(name)));
        }

        @Override
        public Object getAttribute(String name) {
            return attributes.get(name);
        }

        @Override
        public void setAttribute(String name, Object value) {
            if (value == null) {
                attributes.remove(name);
            } else {
                attributes.put(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            attributes.remove(name);
        }

        @Override
        public Enumeration<String> getAttributeNames() {
            return Collections.enumeration(attributes.keySet());
        }
    }
}
