package org.stratopneum.web.agenda;

import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.stratopneum.web.rider.CurrentRider;

/** What is due when, as a page and as a calendar to take away. */
@Controller
class AgendaController {

    private static final String CALENDAR = "text/calendar;charset=UTF-8";
    private static final String TO_ADDRESS = "redirect:/agenda#address";

    private final AgendaDesk desk;
    private final AgendaFeeds feeds;

    AgendaController(AgendaDesk desk, AgendaFeeds feeds) {
        this.desk = desk;
        this.feeds = feeds;
    }

    @GetMapping("/agenda")
    String agenda(Model model) {
        AgendaPage page = desk.page();
        model.addAttribute("page", page);
        model.addAttribute(
                "address",
                page.secret() == null
                        ? null
                        : ServletUriComponentsBuilder.fromCurrentContextPath()
                                .path("/feed.ics")
                                .queryParam("key", page.secret())
                                .toUriString());
        return "agenda/agenda";
    }

    @PostMapping("/agenda/address")
    String renew() {
        feeds.renew();
        return TO_ADDRESS;
    }

    @PostMapping("/agenda/address/forget")
    String forget() {
        feeds.forget();
        return TO_ADDRESS;
    }

    /** What a calendar program fetches: whoever knows the address needs no account. */
    @GetMapping("/feed.ics")
    ResponseEntity<String> feed(@RequestParam(defaultValue = "") String key) {
        String calendar = CurrentRider.askAs(feeds.riderOf(key), desk::calendar);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(calendar);
    }

    @GetMapping("/agenda.ics")
    ResponseEntity<String> calendar() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"stratopneum.ics\"")
                .body(desk.calendar());
    }
}
