package org.stratopneum.web.intake;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** Notes which parts and reminders a file brought, beside what stands in the log. */
@Component
public class ImportedItems {

    private final ImportMapper mapper;

    ImportedItems(ImportMapper mapper) {
        this.mapper = mapper;
    }

    public void note(UUID run, UUID item) {
        mapper.brought(run, item);
    }
}
