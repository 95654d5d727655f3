package org.stratopneum.web.door.visitor;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.parts.garage.BikeDrafts;
import org.stratopneum.web.platform.wording.Units;

/** What to set on any tire, without an account; where no demo is open it is the front door. */
@Controller
class VisitorController {

    private static final Units USUAL = Units.metric(PressureUnit.PSI);

    private final BikeDrafts drafts;

    VisitorController(BikeDrafts drafts) {
        this.drafts = drafts;
    }

    @GetMapping("/pressure")
    String pressure(@RequestParam Map<String, String> parameters, HttpServletRequest request, Model model) {
        model.addAttribute("front", request.getAttribute(RequestDispatcher.FORWARD_REQUEST_URI) != null);
        model.addAttribute("page", page(parameters, parameters.containsKey("asked")));
        return "door/visitor/pressure";
    }

    /** Only the parts that change while the form is filled in. */
    @GetMapping("/pressure/preview")
    String preview(@RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("page", page(parameters, true));
        return "door/visitor/preview :: live";
    }

    /** What somebody types who has no units of their own is read in the units that the form says. */
    private VisitorPage page(Map<String, String> typed, boolean sayFaults) {
        Map<String, String> parameters = new TreeMap<>(typed);
        BikeDrafts.Draft draft = drafts.ofVisitor(parameters, USUAL);
        return new VisitorPage(drafts.page(draft, sayFaults), draft.form().parameters());
    }
}
