package org.stratopneum.web.rider.tokens;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.Caller;

/** The signed-in rider's tokens. Whoever looks round in the demo makes none and is led to the door. */
@Controller
class TokenController {

    private static final String PAGE = "rider/tokens/tokens";
    private static final String TO_THE_DOOR = "redirect:/sign-in";

    private final TokenService service;

    TokenController(TokenService service) {
        this.service = service;
    }

    @GetMapping("/tokens")
    String tokens(
            @AuthenticationPrincipal RiderPrincipal rider,
            @RequestParam(defaultValue = "false") boolean revoked,
            Model model) {
        if (rider.demo()) {
            return TO_THE_DOOR;
        }
        model.addAttribute("page", service.page());
        model.addAttribute("revoked", revoked);
        return PAGE;
    }

    /** Answers with the page itself: a token that stood in an address, or a session, would be kept after all. */
    @PostMapping("/tokens")
    String make(
            @AuthenticationPrincipal RiderPrincipal rider,
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (rider.demo()) {
            return TO_THE_DOOR;
        }
        TokenService.Page page = service.make(newId, typed, Caller.of(request));
        if (page.form().faulty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        response.setHeader("Cache-Control", "no-store");
        model.addAttribute("page", page);
        model.addAttribute("revoked", false);
        return PAGE;
    }

    @PostMapping("/tokens/{id}/revoke")
    String revoke(@PathVariable UUID id, HttpServletRequest request) {
        service.revoke(id, Caller.of(request));
        return "redirect:/tokens?revoked=true";
    }
}
