package org.stratopneum.web.parts.garage;

import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.util.UriComponentsBuilder;

/** The whole garage on one page, with what goes to rest and comes back. */
@Controller
class GarageController {

    private static final String TO_GARAGE = "redirect:/garage";

    private final GarageService service;
    private final Workshop workshop;

    GarageController(GarageService service, Workshop workshop) {
        this.service = service;
        this.workshop = workshop;
    }

    @PostMapping("/bikes/{id}/retire")
    String retireBike(@PathVariable UUID id) {
        service.retireBike(id, true);
        return TO_GARAGE;
    }

    @PostMapping("/bikes/{id}/restore")
    String restoreBike(@PathVariable UUID id) {
        service.retireBike(id, false);
        return TO_GARAGE;
    }

    @PostMapping("/wheelsets/{id}/mount")
    String mount(@PathVariable UUID id) {
        return UriComponentsBuilder.fromUriString(TO_GARAGE)
                .queryParam("written", workshop.mount(id).toArray())
                .toUriString();
    }

    @PostMapping("/wheelsets/{id}/retire")
    String retireWheelset(@PathVariable UUID id) {
        return done(service.retireWheelset(id, true));
    }

    @PostMapping("/wheelsets/{id}/restore")
    String restoreWheelset(@PathVariable UUID id) {
        return done(service.retireWheelset(id, false));
    }

    @PostMapping("/tires/{id}/retire")
    String retireTire(@PathVariable UUID id) {
        return toParts(service.retireTire(id, true));
    }

    @PostMapping("/tires/{id}/restore")
    String restoreTire(@PathVariable UUID id) {
        return toParts(service.retireTire(id, false));
    }

    @PostMapping("/rims/{id}/retire")
    String retireRim(@PathVariable UUID id) {
        return toParts(service.retireRim(id, true));
    }

    @PostMapping("/rims/{id}/restore")
    String restoreRim(@PathVariable UUID id) {
        return toParts(service.retireRim(id, false));
    }

    private static String toParts(boolean done) {
        return done ? TO_GARAGE + "#parts" : done(false);
    }

    private static String done(boolean done) {
        return done ? TO_GARAGE : TO_GARAGE + "?notice=in-use";
    }
}
