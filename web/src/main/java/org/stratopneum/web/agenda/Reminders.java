package org.stratopneum.web.agenda;

import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.logbook.Logbook;

/** Reminds a rider of something on behalf of another desk. */
@Service
public class Reminders {

    private final FollowUpMapper mapper;
    private final Logbook logbook;

    Reminders(FollowUpMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    /**
     * @param id the same again changes nothing
     * @param job the card that does it
     */
    @Transactional
    public void remind(UUID id, UUID wheelId, String what, Job job, LocalDate due) {
        mapper.insert(new FollowUp(id, wheelId, what, job, due, null, null, null), logbook.now());
    }
}
