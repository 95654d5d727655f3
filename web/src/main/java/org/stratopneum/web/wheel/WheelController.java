package org.stratopneum.web.wheel;

import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
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
import org.stratopneum.web.fleet.bikes.Garage;

/** The first tab of a wheel: what to set, and what its gauge shows. */
@Controller
class WheelController {

    private static final String PAGE = "wheel/wheel";

    private final WheelService service;
    private final AcceptService acceptance;
    private final Garage garage;

    WheelController(WheelService service, AcceptService acceptance, Garage garage) {
        this.service = service;
        this.acceptance = acceptance;
        this.garage = garage;
    }

    @GetMapping("/wheels/{id}")
    String wheel(
            @PathVariable UUID id,
            @RequestParam Map<String, String> parameters,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", service.page(service.ask(id, parameters), written, struck));
        return PAGE;
    }

    /** Only the parts that change with load, terrain and feel. */
    @GetMapping("/wheels/{id}/advice")
    String advice(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", service.page(service.ask(id, parameters), null, null));
        return "wheel/wheel :: live";
    }

    /** Where the pressures of a bike stood: its rear wheel, or the front one, with the same ride. */
    @GetMapping("/bikes/{id}/pressure")
    String bike(@PathVariable UUID id, @RequestParam Map<String, String> parameters) {
        var bike = garage.bike(id);
        var wheel = bike.rear() == null ? bike.front() : bike.rear();
        if (wheel == null) {
            return "redirect:/bikes/" + id + "/edit";
        }
        return to(wheel.wheelId(), parameters, Map.of());
    }

    @PostMapping("/wheels/{id}/readings")
    String write(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        boolean set = typed.containsKey("set");
        WheelService.Wrote wrote = set ? service.set(id, typed) : service.write(id, typed);
        if (wrote.again() == null) {
            return to(id, ride(typed), Map.of("written", wrote.ids()));
        }
        response.setStatus((set ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT).value());
        model.addAttribute("page", wrote.again());
        return PAGE;
    }

    /** Of what was sent, the ride that it was for; nothing where that was the usual one. */
    private Map<String, String> ride(Map<String, String> typed) {
        Map<String, String> ride = new HashMap<>();
        if (typed.containsKey("asked")) {
            typed.forEach((field, value) -> {
                if (field.matches(
                        "asked|(ground|share)[123]|wet|drop|massUnit|rider|gear|bike|luggage(Rear|Middle|Front)")) {
                    ride.put(field, value);
                }
            });
        }
        return ride;
    }

    private static String to(UUID id, Map<String, String> ride, Map<String, List<UUID>> outcome) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/wheels/{id}");
        Map<String, Object> values = new HashMap<>(ride);
        ride.keySet().forEach(field -> address.queryParam(field, "{" + field + "}"));
        outcome.forEach((name, ids) -> address.queryParam(name, ids.toArray()));
        values.put("id", id);
        return "redirect:" + address.encode().buildAndExpand(values).toUriString();
    }

    /** Goes on knowing a warning; the note stays with the setup. */
    @PostMapping("/wheels/{id}/accept")
    String accept(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        AcceptService.Outcome outcome = acceptance.accept(id, typed);
        if (outcome.entry() != null) {
            return "redirect:/wheels/" + id + "?written=" + outcome.entry() + "#fits";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", service.page(service.ask(id, Map.of()), null, null));
        model.addAttribute("refused", outcome);
        return PAGE;
    }
}
