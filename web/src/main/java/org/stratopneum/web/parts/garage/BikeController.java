package org.stratopneum.web.parts.garage;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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

    private static final String NEW_BIKE = "parts/garage/new-bike";
    private static final String NEW_WHEELSET = "parts/garage/new-wheelset";
    private static final String EDIT = "parts/garage/edit-bike";
    private static final String MASS = "parts/garage/mass";

    /** The mass that was seen to reach other bikes, those that were shown, and those that take it. */
    private static final String SEEN = "massSeen";

    private static final String SHOWN = "shown-";
    private static final String TAKEN = "take-";

    /** From there back to the form, with all that was typed. */
    private static final String BACK = "back";

    /** In the address of a form that was left before it was kept. */
    private static final String DRAFT = "draft";

    private final BikeService service;
    private final BikeDrafts drafts;
    private final Workshop workshop;

    BikeController(BikeService service, BikeDrafts drafts, Workshop workshop) {
        this.service = service;
        this.drafts = drafts;
        this.workshop = workshop;
    }

    @GetMapping("/bikes/new")
    String newBike(@RequestParam Map<String, String> parameters, Model model) {
        BikeDrafts.Draft draft = service.draft(parameters);
        // while it is being typed, what is still to come is not called missing
        boolean begun = parameters.containsKey("asked") && !parameters.containsKey(DRAFT);
        model.addAttribute("page", drafts.page(draft, begun));
        model.addAttribute("id", UUID.randomUUID());
        return NEW_BIKE;
    }

    /** Only the parts that change while the form is filled in. */
    @GetMapping("/bikes/new/preview")
    String preview(@RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", drafts.page(service.draft(parameters), true));
        return "parts/garage/preview :: live";
    }

    @PostMapping("/bikes")
    String create(
            @RequestParam Map<String, String> parameters,
            @RequestParam UUID id,
            HttpServletResponse response,
            Model model) {
        BikeDrafts.Draft draft = service.draft(parameters);
        if (draft.bike() == null || parameters.containsKey(BACK)) {
            if (draft.bike() == null) {
                response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            }
            model.addAttribute("page", drafts.page(draft, true));
            model.addAttribute("id", id);
            return NEW_BIKE;
        }
        MassChange mass = service.mass(null, draft.bike().bike());
        MassPage reached = asks(null, mass, parameters);
        if (reached != null) {
            model.addAttribute("page", reached);
            return MASS;
        }
        workshop.build(id, draft.bike(), mass, declined(mass, parameters));
        return "redirect:/bikes/" + id + "/pressure";
    }

    /** What has to be seen before it is kept; null where the change reaches no other bike, or was seen. */
    private MassPage asks(UUID id, MassChange mass, Map<String, String> parameters) {
        if (!mass.reaches() || String.valueOf(mass.keeperTo()).equals(parameters.get(SEEN))) {
            return null;
        }
        MassPage reached = service.reached(id, mass, parameters);
        return reached.bikes().isEmpty() ? null : reached;
    }

    /** Whether a field belongs to what is asked about the mass, and not to the bike. */
    static boolean isOfMass(String field) {
        return field.startsWith("_")
                || field.equals(SEEN)
                || field.equals(BACK)
                || field.startsWith(SHOWN)
                || field.startsWith(TAKEN);
    }

    /** The bikes that were shown and not ticked. */
    private static Set<UUID> declined(MassChange mass, Map<String, String> parameters) {
        return mass.reaches()
                ? parameters.keySet().stream()
                        .filter(field -> field.startsWith(SHOWN))
                        .map(field -> field.substring(SHOWN.length()))
                        .filter(bike -> !parameters.containsKey(TAKEN + bike))
                        .map(UUID::fromString)
                        .collect(Collectors.toSet())
                : Set.of();
    }

    @GetMapping("/bikes/{id}/edit")
    String edit(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.edit(id, Map.of(), new Problems()));
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
        Optional<BikeSpec> bike = service.changed(id, parameters, problems);
        boolean back = parameters.containsKey(BACK);
        if (bike.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else if (!back) {
            MassChange mass = service.mass(id, bike.get());
            MassPage reached = asks(id, mass, parameters);
            if (reached != null) {
                model.addAttribute("page", reached);
                return MASS;
            }
            if (workshop.change(id, bike.get(), version, mass, declined(mass, parameters))) {
                return "redirect:/bikes/" + id + "/pressure";
            }
            response.setStatus(HttpStatus.CONFLICT.value());
        }
        model.addAttribute("page", service.edit(id, parameters, problems));
        model.addAttribute("conflict", bike.isPresent() && !back);
        return EDIT;
    }

    @GetMapping("/bikes/{id}/wheelsets/new")
    String newWheelset(@PathVariable UUID id, Model model) {
        model.addAttribute("page", service.wheels(id, Map.of(), null));
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
        Optional<NewWheelset> wheels = service.newWheels(parameters, problems);
        if (wheels.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("page", service.wheels(bikeId, parameters, problems));
            model.addAttribute("id", id);
            return NEW_WHEELSET;
        }
        workshop.addWheelset(bikeId, id, wheels.get(), parameters.containsKey("putIn"));
        return "redirect:/garage";
    }
}
