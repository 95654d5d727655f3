package org.stratopneum.web.due.today;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.rider.CurrentRider;

/** The first page. */
@Controller
class TodayController {

    private final TodayService service;

    TodayController(TodayService service) {
        this.service = service;
    }

    @GetMapping("/")
    String today(
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        if (CurrentRider.id().isEmpty()) {
            return "due/today/welcome";
        }
        model.addAttribute("page", service.page(written, struck));
        return "due/today/today";
    }
}
