package org.stratopneum.web.leak;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.due.OpenWork;

/** Searches that go on, as something to do. */
@Component
class OpenSearches implements OpenWork {

    private final SearchMapper mapper;

    OpenSearches(SearchMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Begun> begun() {
        return mapper.open().stream()
                .map(row -> new Begun(
                        "search-" + row.id(),
                        row.wheelId(),
                        "todo.search",
                        "/wheels/" + row.wheelId() + "/leak",
                        row.begunAt()))
                .toList();
    }
}
