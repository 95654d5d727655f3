package org.stratopneum.web.due.today;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.SignedOut;

/** The first page: all bikes, and what their gauges show. */
@Controller
class TodayController {

    private static final String PAGE = "due/today/today";

    private final TodayService service;

    TodayController(TodayService service) {
        this.service = service;
    }

    @GetMapping("/")
    String today(
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            HttpServletRequest request,
            Model model) {
        if (CurrentRider.id().isEmpty()) {
            // the front door of whoever has no account here
            return SignedOut.byTime(request) ? "redirect:/sign-in?then=/" : "forward:/pressure";
        }
        model.addAttribute("page", service.page(written, struck));
        return PAGE;
    }

    @PostMapping("/bikes/{id}/readings")
    String write(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        boolean set = typed.containsKey("set");
        TodayService.Wrote wrote = set ? service.setBoth(id, typed) : service.write(id, typed);
        if (wrote.again() == null) {
            return "redirect:"
                    + UriComponentsBuilder.fromPath("/")
                            .queryParam("written", wrote.ids().toArray())
                            .toUriString()
                    + "#bike-" + id;
        }
        response.setStatus((set ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("page", wrote.again());
        return PAGE;
    }
}
