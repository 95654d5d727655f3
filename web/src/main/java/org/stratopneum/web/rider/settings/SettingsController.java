package org.stratopneum.web.rider.settings;

import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Languages;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Units, time zone, light or dark, and shortcuts. */
@Controller
class SettingsController {

    private static final String PAGE = "rider/settings/settings";

    /** What is chosen of a region, with the names of its choices. */
    private static final Map<String, List<String>> REGION = new TreeMap<>(Map.of(
            "dates", names(Region.Dates.values()),
            "decimal", List.of("POINT", "COMMA"),
            "hours", List.of("TO_24", "TO_12"),
            "week", List.of("MONDAY", "SUNDAY", "SATURDAY")));

    private static List<String> names(Enum<?>[] values) {
        return Stream.of(values).map(Enum::name).toList();
    }

    private final Riders riders;
    private final Languages languages;
    private final ProblemWording problemWording;

    SettingsController(Riders riders, Languages languages, ProblemWording problemWording) {
        this.riders = riders;
        this.languages = languages;
        this.problemWording = problemWording;
    }

    @GetMapping("/settings")
    String settings(@RequestParam(required = false) String done, Model model) {
        model.addAttribute("changed", "yes".equals(done));
        return page(new FormView(SettingsForm.texts(riders.self()), Map.of()), model);
    }

    @PostMapping("/settings")
    String change(
            @RequestParam Map<String, String> typed,
            @RequestParam int version,
            HttpServletResponse response,
            Model model) {
        FormReader reader = new FormReader(typed);
        Optional<SettingsForm.Chosen> chosen = SettingsForm.read(reader, riders.self(), languages::has);
        if (chosen.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(
                    new FormView(
                            typed, problemWording.messages(reader.problems().list())),
                    model);
        }
        SettingsForm.Chosen found = chosen.get();
        riders.change(
                found.zone(),
                found.units(),
                found.theme(),
                found.letterKeys(),
                found.scoopMl(),
                found.region(),
                version);
        return "redirect:/settings?done=yes";
    }

    /** The list of what single keys do. */
    @GetMapping("/keys")
    String keys(Model model) {
        model.addAttribute("keys", Shortcut.values());
        return "rider/settings/keys";
    }

    private String page(FormView form, Model model) {
        model.addAttribute("scoopUnit", riders.self().volumeUnit().symbol());
        model.addAttribute("form", form);
        model.addAttribute("choices", choices());
        model.addAttribute("themes", Rider.Theme.values());
        model.addAttribute("region", REGION);
        model.addAttribute("languages", languages.names());
        model.addAttribute(
                "zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
        return PAGE;
    }

    /** The units of each field, in the order of the form. */
    private static Map<String, List<? extends QuantityUnit>> choices() {
        Map<String, List<? extends QuantityUnit>> choices = new LinkedHashMap<>();
        choices.put("pressure", List.of(PressureUnit.values()));
        choices.put("mass", RiderUnit.Kind.MASS.units());
        choices.put("length", RiderUnit.Kind.LENGTH.units());
        choices.put("volume", RiderUnit.Kind.VOLUME.units());
        choices.put("temperature", RiderUnit.Kind.TEMPERATURE.units());
        choices.put("distance", RiderUnit.Kind.DISTANCE.units());
        return choices;
    }
}
