package org.stratopneum.web.door.page;

import java.util.Locale;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.Riders;
import org.thymeleaf.context.LazyContextVariable;

/** What the frame of every page needs to know. */
@ControllerAdvice
class PageAttributes {

    private final Riders riders;

    PageAttributes(Riders riders) {
        this.riders = riders;
    }

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

    /**
     * How the rider wants pages: light or dark, and whether single letters are shortcuts. Asked for when the page is
     * written: by then most pages know their rider.
     */
    @ModelAttribute("look")
    LazyContextVariable<Look> look(Authentication authentication) {
        return new LazyContextVariable<>() {
            @Override
            protected Look loadValue() {
                return signedIn(authentication)
                        ? riders.find()
                                .map(rider ->
                                        new Look(rider.theme().name().toLowerCase(Locale.ROOT), rider.letterKeys()))
                                .orElse(Look.USUAL)
                        : Look.USUAL;
            }
        };
    }

    /** @param theme system, light or dark */
    public record Look(String theme, boolean letterKeys) {
        static final Look USUAL = new Look("system", true);
    }

    @ModelAttribute("signedIn")
    boolean signedIn(Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof RiderPrincipal;
    }
}
