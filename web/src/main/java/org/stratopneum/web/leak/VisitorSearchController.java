package org.stratopneum.web.leak;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;

/** A search for a leak without an account: all of it stands in the address, to be left and gone on with. */
@Controller
class VisitorSearchController {

    private static final String HERE = "/leak/search";

    private final SearchPages pages;
    private final Wording wording;
    private final ProblemWording problemWording;

    VisitorSearchController(SearchPages pages, Wording wording, ProblemWording problemWording) {
        this.pages = pages;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    @GetMapping("/leak")
    String start(Model model) {
        model.addAttribute("page", page(new FormView(Map.of("unit", PressureUnit.PSI.name()), Map.of())));
        return "leak/start";
    }

    private StartPage page(FormView form) {
        return new StartPage(null, null, wording.text("search.visitor"), null, true, List.of(), null, form);
    }

    @GetMapping("/leak/begin")
    String begin(@RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        StartForm form = StartForm.of(typed, null, PressureUnit.PSI);
        if (form.search().isPresent()) {
            return "redirect:" + SearchAddress.of(form.search().get());
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute(
                "page",
                page(new FormView(
                        form.reader().typed(),
                        problemWording.messages(form.reader().problems().list()))));
        return "leak/start";
    }

    /** With an act the next address; without one the page. */
    @GetMapping(HERE)
    String search(
            @RequestParam MultiValueMap<String, String> parameters,
            @RequestParam(required = false) String act,
            @RequestParam(required = false) String zone,
            @RequestParam(required = false) String hour,
            @RequestParam(required = false) String check,
            Model model) {
        Search search = SearchAddress.read(parameters);
        if (act != null) {
            String said = act.equals("spot") ? "spot:" + zone + "@" + hour : act;
            return "redirect:" + SearchAddress.of(SearchAct.apply(search, said));
        }
        SearchPages.Asked asked = new SearchPages.Asked(
                null,
                null,
                wording.text("search.visitor"),
                new SearchPage.Acts("get", HERE, HERE, SearchAddress.of(search), SearchAddress.fields(search)),
                check,
                parameters.toSingleValueMap(),
                null,
                null);
        model.addAttribute("page", pages.page(search, LeakModel.of(search.system()), false, asked));
        return "leak/search";
    }
}
