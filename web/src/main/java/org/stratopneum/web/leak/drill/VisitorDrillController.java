package org.stratopneum.web.leak.drill;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;

/** Practice without an account: the round stands in the address, and nothing is saved. */
@Controller
class VisitorDrillController {

    private static final String HERE = "/practice";

    /** More than there are checks and causes: an address longer than that was not made here. */
    private static final int MOST_STEPS = 80;

    private final DrillPages pages;
    private final Logbook logbook;
    private final Wording wording;
    private final RandomGenerator seeds = RandomGenerator.getDefault();

    VisitorDrillController(DrillPages pages, Logbook logbook, Wording wording) {
        this.pages = pages;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** Without a seed the choice between the fault of the day and any other. */
    @GetMapping(HERE)
    String round(
            @RequestParam(required = false) Long seed,
            @RequestParam(defaultValue = "") List<String> step,
            @RequestParam(required = false) String check,
            @RequestParam(required = false) String cause,
            Model model) {
        long today = DrillService.seedOf(LocalDate.ofInstant(logbook.now(), ZoneOffset.UTC));
        if (seed == null) {
            model.addAttribute("daily", HERE + "?seed=" + today);
            model.addAttribute("any", HERE + "?seed=" + Math.abs(seeds.nextInt()));
            return "leak/drill/visitor";
        }
        List<DrillStep> steps = new ArrayList<>(step.stream()
                .limit(MOST_STEPS)
                .map(VisitorDrillController::read)
                .toList());
        if (check != null || cause != null) {
            steps.add(
                    check != null
                            ? new DrillStep(DrillStep.Kind.LOOKED, check)
                            : new DrillStep(DrillStep.Kind.NAMED, cause));
            DrillRound.of(seed, steps).minutes();
            return "redirect:" + address(seed, steps);
        }
        List<DrillPage.Field> kept = new ArrayList<>();
        kept.add(new DrillPage.Field("seed", String.valueOf(seed)));
        steps.forEach(one -> kept.add(new DrillPage.Field("step", text(one))));
        model.addAttribute(
                "page",
                pages.page(
                        DrillRound.of(seed, steps),
                        wording.text(seed == today ? "drill.daily" : "drill.round"),
                        new DrillPage.Ways("get", HERE, HERE, HERE, null, kept)));
        return "leak/drill/round";
    }

    private static String text(DrillStep step) {
        return (step.kind() == DrillStep.Kind.LOOKED ? "look." : "name.") + step.code();
    }

    private static DrillStep read(String text) {
        return text.startsWith("name.")
                ? new DrillStep(DrillStep.Kind.NAMED, text.substring(5))
                : new DrillStep(DrillStep.Kind.LOOKED, text.replaceFirst("^look\\.", ""));
    }

    private static String address(long seed, List<DrillStep> steps) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath(HERE).queryParam("seed", seed);
        steps.stream().distinct().forEach(step -> address.queryParam("step", text(step)));
        return address.encode().build().toUriString();
    }
}
