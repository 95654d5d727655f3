package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.jobs.FoundWork;
import org.stratopneum.web.log.Logbook;

/** Reminds a rider of something on behalf of another service. */
@Service
public class Reminders implements FoundWork {

    private final FollowUpMapper mapper;
    private final Logbook logbook;

    Reminders(FollowUpMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    /**
     * To test tomorrow what was mended.
     *
     * @param id the same again changes nothing
     */
    @Transactional
    public void test(UUID id, UUID wheelId, Cause mended, LocalDate due) {
        mapper.insert(FollowUp.test(id, wheelId, mended, due), logbook.now());
    }

    /**
     * What is left to do after a stop beside the trail.
     *
     * @param stop when the stop was, as its entry of the log says
     */
    @Transactional
    public void errand(UUID id, UUID wheelId, Chore chore, Instant stop, LocalDate day) {
        mapper.insert(FollowUp.errand(id, wheelId, chore, stop, day), logbook.now());
    }

    @Override
    @Transactional
    public void work(UUID id, UUID wheelId, Chore chore, Job job, LocalDate found) {
        mapper.insert(FollowUp.work(id, wheelId, chore, job, found), logbook.now());
    }
}
