package org.stratopneum.web.due;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.YearMonth;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.context.request.WebRequest;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.site.SiteAddress;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.rider.CurrentRider;

/** What is due when, as pages and as a calendar to take away. */
@Controller
class TodoController {

    private static final String CALENDAR = "text/calendar;charset=UTF-8";
    private static final String TO_ADDRESS = "redirect:/todo#address";

    /** Months outside these are nobody's. */
    private static final YearMonth FIRST = YearMonth.of(1990, 1);

    private static final YearMonth LAST = YearMonth.of(2190, 1);

    private final TodoService service;
    private final MonthService months;
    private final DueService matters;
    private final TodoFeeds feeds;
    private final SiteAddress address;

    TodoController(TodoService service, MonthService months, DueService matters, TodoFeeds feeds, SiteAddress address) {
        this.service = service;
        this.months = months;
        this.matters = matters;
        this.feeds = feeds;
        this.address = address;
    }

    @GetMapping("/todo")
    String todo(
            @RequestParam(required = false) List<String> marked,
            @RequestParam(required = false) UUID done,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            @RequestParam Map<String, String> ride,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        String view = page(new TodoService.Back(marked, done, written, struck), ride, null, request, model);
        if (((TodoPage) model.getAttribute("page")).ride().form().faulty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        return view;
    }

    private String page(
            TodoService.Back back,
            Map<String, String> ride,
            FormView reminder,
            HttpServletRequest request,
            Model model) {
        TodoPage page = service.page(back, ride, reminder);
        model.addAttribute("page", page);
        model.addAttribute(
                "address", page.secret() == null ? null : address.of(request) + "/feed.ics?key=" + page.secret());
        return "due/todo";
    }

    @PostMapping("/reminders")
    String remind(
            @RequestParam UUID newId,
            @RequestParam Map<String, String> typed,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        FormView again = matters.remind(newId, typed);
        if (again == null) {
            return "redirect:/todo?done=" + newId;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(TodoService.Back.FRESH, Map.of(), again, request, model);
    }

    @GetMapping("/todo/month")
    String month(@RequestParam(required = false) String of, Model model) {
        model.addAttribute("page", months.page(of == null ? null : month(of)));
        return "due/month";
    }

    private static YearMonth month(String text) {
        try {
            YearMonth month = YearMonth.parse(text);
            if (month.isBefore(FIRST) || month.isAfter(LAST)) {
                throw new NotThereException();
            }
            return month;
        } catch (DateTimeException exception) {
            throw new NotThereException();
        }
    }

    @PostMapping("/todo/address")
    String renew() {
        feeds.renew();
        return TO_ADDRESS;
    }

    @PostMapping("/todo/address/forget")
    String forget() {
        feeds.forget();
        return TO_ADDRESS;
    }

    /** What a calendar program fetches: whoever knows the address needs no account. */
    @GetMapping("/feed.ics")
    ResponseEntity<String> feed(
            @RequestParam(defaultValue = "") String key, WebRequest web, HttpServletRequest request) {
        String site = address.of(request);
        String calendar = CurrentRider.askAs(feeds.riderOf(key), () -> service.calendar(site));
        String tag = "\"" + DigestUtils.sha256Hex(calendar) + "\"";
        if (web.checkNotModified(tag)) {
            return null;
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
                .header(HttpHeaders.CACHE_CONTROL, "private, no-cache")
                .eTag(tag)
                .body(calendar);
    }

    @GetMapping("/todo.ics")
    ResponseEntity<String> calendar(HttpServletRequest request) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_TYPE, CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"stratopneum.ics\"")
                .body(service.calendar(address.of(request)));
    }
}
