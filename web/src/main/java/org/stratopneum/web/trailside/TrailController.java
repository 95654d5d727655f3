package org.stratopneum.web.trailside;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.web.due.TodoRow;
import org.stratopneum.web.jobs.CardsToTake;
import org.stratopneum.web.log.LogConflictException;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.ProblemWording;

/** The stop beside the trail: the page that a device keeps, what it keeps with it, and what it sends. */
@Controller
class TrailController {

    /** No entry of a device comes near this (bytes). */
    private static final int LARGEST = 64 * 1024;

    private final TrailRules rules;
    private final DeviceDataService mine;
    private final StopService stops;
    private final PlanService plans;
    private final ProblemWording problems;
    private final SentReader reader;

    TrailController(
            TrailRules rules,
            DeviceDataService mine,
            StopService stops,
            PlanService plans,
            ProblemWording problems,
            SentReader reader) {
        this.rules = rules;
        this.mine = mine;
        this.stops = stops;
        this.plans = plans;
        this.problems = problems;
        this.reader = reader;
    }

    /** The same for everybody, so that a device may keep it. */
    /** What a phone shows without signal instead of the other pages; made of what it keeps. */
    @GetMapping("/offline")
    String offline() {
        return "trailside/offline";
    }

    @GetMapping("/trailside")
    String shell() {
        return "trailside/shell";
    }

    @GetMapping(path = "/trailside/rules.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<RulesJson> rules() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ZERO).mustRevalidate())
                .body(rules.rules());
    }

    /** Of the rider who asks; where nobody is signed in, only that. */
    @GetMapping(path = "/trailside/mine.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<DeviceDataJson> mine(CsrfToken token) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(mine.mine(token));
    }

    @GetMapping(path = "/trailside/cards.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<List<CardsToTake.Taken>> cards() {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(mine.cards());
    }

    @GetMapping(path = "/trailside/todo.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<List<TodoRow>> todo() {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(mine.todo());
    }

    /** A tire that is not among the common ones. */
    @GetMapping(path = "/trailside/tire.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> tire(@RequestParam(defaultValue = "") String size) {
        PlanService.TireAnswer answer = plans.tire(size);
        return answer.tire() == null
                ? ResponseEntity.unprocessableContent().body(Map.of("fault", answer.fault()))
                : ResponseEntity.ok(answer.tire());
    }

    @PostMapping(path = "/trailside/log", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Sent.Answer> log(HttpServletRequest request) throws IOException {
        byte[] body = request.getInputStream().readNBytes(LARGEST + 1);
        if (body.length > LARGEST) {
            return answer(HttpStatus.CONTENT_TOO_LARGE, Sent.Status.FAULTY, "");
        }
        return reader.read(body)
                .map(this::write)
                .orElseGet(() -> answer(HttpStatus.BAD_REQUEST, Sent.Status.FAULTY, ""));
    }

    private ResponseEntity<Sent.Answer> write(Sent sent) {
        try {
            return ResponseEntity.ok(stops.write(sent));
        } catch (LogConflictException conflict) {
            return answer(HttpStatus.CONFLICT, Sent.Status.CONFLICT, stops.said(sent.id()));
        } catch (NotThereException gone) {
            return answer(HttpStatus.NOT_FOUND, Sent.Status.GONE, "");
        } catch (InvalidInputException refused) {
            String said = refused.problems().stream()
                    .map(problem -> problem.field() + " " + problems.message(problem))
                    .collect(Collectors.joining("; "));
            return answer(HttpStatus.UNPROCESSABLE_CONTENT, Sent.Status.FAULTY, said);
        }
    }

    private static ResponseEntity<Sent.Answer> answer(HttpStatus http, Sent.Status status, String said) {
        return ResponseEntity.status(http).body(new Sent.Answer(status, said));
    }

    /** The whole ladder at once, for a tire that is only typed in; for whoever has no scripts, or a printer. */
    @GetMapping("/trailside/plan")
    String plan(@RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("page", plans.page(typed));
        return "trailside/plan";
    }
}
