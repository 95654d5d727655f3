package org.stratopneum.web.api.guide;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.fleet.bikes.Fittings;
import org.stratopneum.web.platform.site.SiteAddress;
import org.stratopneum.web.platform.wording.Wording;

/** Examples that run as they stand, but for the token. */
@Controller
class ScriptGuideController {

    private final Fittings fittings;
    private final SiteAddress address;
    private final Wording wording;

    ScriptGuideController(Fittings fittings, SiteAddress address, Wording wording) {
        this.fittings = fittings;
        this.address = address;
        this.wording = wording;
    }

    /** A wheel as a script names it. */
    public record Wheel(UUID id, String name) {}

    @GetMapping("/scripts")
    String guide(HttpServletRequest request, Model model) {
        List<Wheel> wheels = fittings.all().wheels().stream().map(this::wheel).toList();
        String site = address.of(request);
        model.addAttribute("wheels", wheels);
        model.addAttribute("address", site);
        if (!wheels.isEmpty()) {
            UUID wheel = wheels.get(0).id();
            model.addAttribute("shell", ScriptExamples.shell(site, wheel));
            model.addAttribute("python", ScriptExamples.python(site, wheel));
        }
        return "api/guide/scripts";
    }

    private Wheel wheel(FittedTires.Wheel wheel) {
        return new Wheel(
                wheel.id(),
                wheel.bikeName() + " " + wording.of("position", wheel.position()) + " · " + wheel.wheelsetName());
    }
}
