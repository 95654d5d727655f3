package org.stratopneum.web.pressure;

import jakarta.servlet.http.HttpServletResponse;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.Logbook;

/** What to set on a bike, and writing down what its gauge showed. */
@Controller
class PressureController {

    private static final String PAGE = "pressure/pressure";

    private final PressureService service;
    private final ReadingWriter writer;
    private final Logbook logbook;

    PressureController(PressureService service, ReadingWriter writer, Logbook logbook) {
        this.service = service;
        this.writer = writer;
        this.logbook = logbook;
    }

    @GetMapping("/bikes/{id}/pressure")
    String pressure(
            @PathVariable UUID id,
            @RequestParam Map<String, String> parameters,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        PressureService.Ask ask = service.ask(id, parameters);
        model.addAttribute(
                "page", service.page(ask, service.emptyReading(ask), service.outcome(ask, written, struck), null));
        return PAGE;
    }

    /** Only the part that changes with load, ground and drop. */
    @GetMapping("/bikes/{id}/pressure/advice")
    String advice(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        PressureService.Ask ask = service.ask(id, parameters);
        model.addAttribute("page", service.page(ask, service.emptyReading(ask), null, null));
        return "pressure/advice :: live";
    }

    @PostMapping("/bikes/{id}/readings")
    String write(
            @PathVariable UUID id,
            @RequestParam Map<String, String> parameters,
            HttpServletResponse response,
            Model model) {
        PressureService.Ask ask = service.ask(id, parameters);
        ReadingForm form = ReadingForm.typed(parameters);
        Problems problems = new Problems();
        Optional<ReadingForm.Readings> readings =
                form.readings(problems, ask.bike(), ask.rider().zoneId(), logbook.now());
        if (readings.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("page", service.page(ask.with(problems), form, null, null));
            return PAGE;
        }
        return back(
                ask, parameters, "written", writer.write(ask.bike(), ask.rider(), form, readings.get(), ask.told()));
    }

    /** Undoes what was just written. */
    @PostMapping("/bikes/{id}/strike")
    String strike(@PathVariable UUID id, @RequestParam Map<String, String> parameters, @RequestParam List<UUID> entry) {
        return back(service.ask(id, parameters), parameters, "struck", logbook.strike(entry));
    }

    /** Undoes the undoing. */
    @PostMapping("/bikes/{id}/put-back")
    String putBack(
            @PathVariable UUID id, @RequestParam Map<String, String> parameters, @RequestParam List<UUID> entry) {
        return back(service.ask(id, parameters), parameters, "written", logbook.putBack(entry));
    }

    @PostMapping("/bikes/{id}/as-told")
    String setAsTold(
            @PathVariable UUID id,
            @RequestParam Map<String, String> parameters,
            @RequestParam UUID rearEntry,
            @RequestParam UUID frontEntry,
            @RequestParam String toldRear,
            @RequestParam String toldFront,
            HttpServletResponse response,
            Model model) {
        PressureService.Ask ask = service.ask(id, parameters);
        if (!service.stillTold(ask, toldRear, toldFront)) {
            response.setStatus(HttpStatus.CONFLICT.value());
            model.addAttribute("page", service.page(ask, service.emptyReading(ask), null, "pressure.told-changed"));
            return PAGE;
        }
        Map<WheelPosition, UUID> ids = new EnumMap<>(WheelPosition.class);
        ids.put(WheelPosition.REAR, rearEntry);
        ids.put(WheelPosition.FRONT, frontEntry);
        return back(
                ask,
                parameters,
                "written",
                writer.writeAsTold(ask.bike(), ask.rider(), ask.told().orElseThrow(), ids));
    }

    /** Back to where the form was, by a redirect, with the ride as it was and the way to undo. */
    private static String back(
            PressureService.Ask ask, Map<String, String> parameters, String outcome, List<UUID> ids) {
        if ("today".equals(parameters.get("from"))) {
            return "redirect:"
                    + UriComponentsBuilder.fromPath("/")
                            .queryParam(outcome, ids.toArray())
                            .toUriString();
        }
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/bikes/{id}/pressure");
        ask.form().parameters().keySet().forEach(field -> address.queryParam(field, "{" + field + "}"));
        address.queryParam(outcome, ids.toArray());
        Map<String, Object> values = new HashMap<>(ask.form().parameters());
        values.put("id", ask.bike().id());
        return "redirect:" + address.encode().buildAndExpand(values).toUriString();
    }
}
