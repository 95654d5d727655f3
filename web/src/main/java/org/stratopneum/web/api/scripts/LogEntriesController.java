package org.stratopneum.web.api.scripts;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problems;
import org.stratopneum.core.check.Range;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.json.JsonBody;

/** The rider's log for whoever has a token of theirs. */
@RestController
class LogEntriesController {

    static final int MOST = 500;
    private static final Range LIMIT = Range.closed(1, MOST, "");
    private static final Range AFTER = Range.closed(0, 9e15, "");

    private final JsonBody json;
    private final LogEntries entries;

    LogEntriesController(JsonBody json, LogEntries entries) {
        this.json = json;
        this.entries = entries;
    }

    @PostMapping(path = "/api/v1/log", consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<LogEntries.Results> append(HttpServletRequest request) throws IOException {
        LogEntries.Results results = entries.append(json.readOneOrMore(request, MOST));
        boolean fresh = results.results().stream().anyMatch(result -> result.status() == Logbook.Written.NEW);
        return ResponseEntity.status(fresh ? HttpStatus.CREATED : HttpStatus.OK).body(results);
    }

    /**
     * @param after sequence of the last entry that is known
     * @param limit most entries
     * @throws InvalidInputException where one of them cannot be
     */
    @GetMapping("/api/v1/log")
    LogEntries.Page page(@RequestParam(defaultValue = "0") long after, @RequestParam(defaultValue = "100") int limit) {
        Problems problems = new Problems();
        problems.check("after", (double) after, AFTER);
        problems.check("limit", (double) limit, LIMIT);
        problems.throwIfAny();
        return entries.page(after, limit);
    }
}
