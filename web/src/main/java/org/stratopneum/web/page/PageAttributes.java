package org.stratopneum.web.page;

import org.springframework.security.core.Authentication;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.stratopneum.web.rider.RiderPrincipal;

/** What the frame of every page needs to know. */
@ControllerAdvice
class PageAttributes {

    @ModelAttribute("demo")
    boolean demo(Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof RiderPrincipal rider && rider.demo();
    }

    /** Asked for before the page is written: once a long page has begun to flow, its cookie could not be set. Calculators have none. */
    @ModelAttribute
    void formToken(CsrfToken token) {
        if (token != null) {
            token.getToken();
        }
    }

    @ModelAttribute("signedIn")
    boolean signedIn(Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof RiderPrincipal;
    }
}
