package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.log.Logbook;

/** Reminds a rider of something on behalf of another service. */
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
        mapper.insert(FollowUp.of(id, wheelId, what, job, due), logbook.now());
    }

    /**
     * What is left to do after a stop beside the trail.
     *
     * @param what in words
     * @param stop when the stop was, as its entry of the log says
     */
    @Transactional
    public void remind(UUID id, UUID wheelId, Chore chore, String what, Instant stop, LocalDate day) {
        FollowUp due = FollowUp.of(id, wheelId, what, chore.job().orElse(null), day.plusDays(chore.days()));
        mapper.insert(due.after(chore, stop), logbook.now());
    }
}
