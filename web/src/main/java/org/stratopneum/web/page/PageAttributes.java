package org.stratopneum.web.page;

import org.springframework.security.core.Authentication;
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

    @ModelAttribute("signedIn")
    boolean signedIn(Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof RiderPrincipal;
    }
}
