package org.stratopneum.web.api.scripts;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.Range;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogSlice;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.json.JsonBody;

/** The rider's log for whoever has a token of theirs. */
@RestController
class LogEntriesController {

    static final int MOST = 500;
    private static final long USUAL = 100;
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

    /** In the order of writing; what is not asked for by wheel, kind or moment is left out. */
    @GetMapping("/api/v1/log")
    LogEntries.Page page(HttpServletRequest request) {
        QueryParameters parameters = new QueryParameters(request);
        long after = parameters.number("after", AFTER, 0);
        long limit = parameters.number("limit", LIMIT, USUAL);
        LogSlice slice = new LogSlice(
                parameters.id("wheel"),
                parameters.choice("kind", LogKind.class),
                parameters.moment("from"),
                parameters.moment("to"));
        parameters.finish();
        return entries.page(after, (int) limit, slice);
    }
}
