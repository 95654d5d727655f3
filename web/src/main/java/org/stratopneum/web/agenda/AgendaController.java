package org.stratopneum.web.agenda;

import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What is due when, as a page and as a calendar to take away. */
@Controller
class AgendaController {

    private final AgendaDesk desk;

    AgendaController(AgendaDesk desk) {
        this.desk = desk;
    }

    @GetMapping("/agenda")
    String agenda(Model model) {
        model.addAttribute("page", desk.page());
        return "agenda/agenda";
    }

    @GetMapping("/agenda.ics")
    ResponseEntity<String> calendar() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, "text/calendar;charset=UTF-8")
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"stratopneum.ics\"")
                .body(desk.calendar());
    }
}
