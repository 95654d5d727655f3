package org.stratopneum.web.api.calculators;

import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Serves the OpenAPI document, and a page that shows it. */
@Controller
class OpenApiController {

    private final OpenApiDocument document;

    OpenApiController(OpenApiDocument document) {
        this.document = document;
    }

    @GetMapping(path = "/api/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String document() {
        return document.text();
    }

    @GetMapping("/calculators")
    String page(Model model) {
        model.addAttribute("description", document.description());
        model.addAttribute("calculators", document.calculators());
        model.addAttribute("faults", document.faults());
        return "api/calculators/calculators";
    }
}
