package org.stratopneum.web.today;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.stratopneum.web.rider.CurrentRider;

/** The first page. */
@Controller
class TodayController {

    private final TodayDesk desk;

    TodayController(TodayDesk desk) {
        this.desk = desk;
    }

    @GetMapping("/")
    String today(Model model) {
        if (CurrentRider.id().isEmpty()) {
            return "today/welcome";
        }
        model.addAttribute("bikes", desk.bikes());
        return "today/today";
    }
}
