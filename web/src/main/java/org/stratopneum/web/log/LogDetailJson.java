package org.stratopneum.web.log;

import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Turns the detail of an entry into JSON and back, by its kind and version. */
@Component
class LogDetailJson {

    private final JsonMapper json;

    LogDetailJson(JsonMapper json) {
        this.json = json;
    }

    String write(LogDetail detail) {
        return json.writeValueAsString(detail);
    }

    String terms(List<LogSearch.Term> terms) {
        return json.writeValueAsString(terms);
    }

    String list(List<LogIntake.Taken> entries) {
        return json.writeValueAsString(entries);
    }

    LogDetail read(LogRow row) {
        if (row.detailVersion() != 1) {
            throw new IllegalStateException(
                    "entry " + row.id() + " has detail version " + row.detailVersion() + ", known is 1");
        }
        return read(row.kind(), row.detail());
    }

    LogDetail read(LogKind kind, String text) {
        return json.readValue(text, kind.detail());
    }

    /** Whether {@code stored} says the same as {@code detail}; the database may have written it differently. */
    boolean same(LogDetail detail, LogRow stored) {
        return stored.kind() == detail.kind()
                && stored.detailVersion() == detail.version()
                && read(stored).equals(detail);
    }
}
