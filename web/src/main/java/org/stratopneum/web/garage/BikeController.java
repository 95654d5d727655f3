package org.stratopneum.web.garage;

import jakarta.servlet.http.HttpServletResponse;
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
import org.stratopneum.core.check.Problems;

/** Entering a bike with its wheels, another pair of wheels for it, and changing what it weighs and carries. */
@Controller
class BikeController {

    private static final String NEW_BIKE = "garage/new-bike";
    private static final String NEW_WHEELSET = "garage/new-wheelset";
    private static final String EDIT = "garage/edit-bike";

    private final BikeDesk desk;
    private final BikeDrafts drafts;
    private final Workshop workshop;

    BikeController(BikeDesk desk, BikeDrafts drafts, Workshop workshop) {
        this.desk = desk;
        this.drafts = drafts;
        this.workshop = workshop;
    }

    @GetMapping("/bikes/new")
    String newBike(@RequestParam Map<String, String> parameters, Model model) {
        BikeDrafts.Draft draft = desk.draft(parameters);
        // nothing was typed yet, so nothing is wrong yet
        model.addAttribute("page", drafts.page(draft, parameters.containsKey("asked")));
        model.addAttribute("id", UUID.randomUUID());
        return NEW_BIKE;
    }

    /** Only the parts that change while the form is filled in. */
    @GetMapping("/bikes/new/preview")
    String preview(@RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", drafts.page(desk.draft(parameters), true));
        return "garage/preview :: live";
    }

    @PostMapping("/bikes")
    String create(
            @RequestParam Map<String, String> parameters,
            @RequestParam UUID id,
            HttpServletResponse response,
            Model model) {
        BikeDrafts.Draft draft = desk.draft(parameters);
        if (draft.bike() == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("page", drafts.page(draft, true));
            model.addAttribute("id", id);
            return NEW_BIKE;
        }
        workshop.build(id, draft.bike());
        return "redirect:/bikes/" + id + "/pressure";
    }

    @GetMapping("/bikes/{id}/edit")
    String edit(@PathVariable UUID id, Model model) {
        model.addAttribute("page", desk.edit(id, Map.of(), new Problems()));
        return EDIT;
    }

    @PostMapping("/bikes/{id}/edit")
    String change(
            @PathVariable UUID id,
            @RequestParam Map<String, String> parameters,
            @RequestParam int version,
            HttpServletResponse response,
            Model model) {
        Problems problems = new Problems();
        Optional<BikeSpec> bike = desk.changed(id, parameters, problems);
        if (bike.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else if (workshop.change(id, bike.get(), version)) {
            return "redirect:/bikes/" + id + "/pressure";
        } else {
            response.setStatus(HttpStatus.CONFLICT.value());
        }
        model.addAttribute("page", desk.edit(id, parameters, problems));
        model.addAttribute("conflict", bike.isPresent());
        return EDIT;
    }

    @GetMapping("/bikes/{id}/wheelsets/new")
    String newWheelset(@PathVariable UUID id, Model model) {
        model.addAttribute("page", desk.wheels(id, Map.of(), null));
        model.addAttribute("id", UUID.randomUUID());
        return NEW_WHEELSET;
    }

    @PostMapping("/bikes/{bikeId}/wheelsets")
    String addWheelset(
            @PathVariable UUID bikeId,
            @RequestParam Map<String, String> parameters,
            @RequestParam UUID id,
            HttpServletResponse response,
            Model model) {
        Problems problems = new Problems();
        Optional<NewWheelset> wheels = desk.newWheels(parameters, problems);
        if (wheels.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("page", desk.wheels(bikeId, parameters, problems));
            model.addAttribute("id", id);
            return NEW_WHEELSET;
        }
        workshop.addWheelset(bikeId, id, wheels.get(), parameters.containsKey("putIn"));
        return "redirect:/garage";
    }
}
