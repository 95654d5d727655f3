package org.stratopneum.web.intake;

import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.rider.Riders;

/** Notes which parts and reminders a file brought, beside what stands in the log, and takes them out again. */
@Component
public class ImportedItems {

    private final ImportMapper mapper;
    private final Logbook logbook;
    private final Riders riders;

    ImportedItems(ImportMapper mapper, Logbook logbook, Riders riders) {
        this.mapper = mapper;
        this.logbook = logbook;
        this.riders = riders;
    }

    public void note(UUID run, UUID item) {
        mapper.noteItem(run, item);
    }

    /** Deletes what nothing names, retires on the rider's day what was used since, and leaves what is in use. */
    @Transactional
    public void takeOut(UUID run) {
        LocalDate today = LocalDate.ofInstant(logbook.now(), riders.self().zoneId());
        for (ImportedItem item : mapper.items(run)) {
            switch (item.fate()) {
                case DELETED -> mapper.deleteItem(table(item), item.id());
                case RETIRED -> mapper.retireItem(table(item), item.id(), today);
                case LEFT -> {}
            }
        }
        mapper.forgetItems(run);
    }

    private static String table(ImportedItem item) {
        return switch (item.sort()) {
            case TIRE -> "tire";
            case RIM -> "rim";
            case SHELF_ITEM -> "shelf_item";
            case REMINDER -> "follow_up";
        };
    }
}
