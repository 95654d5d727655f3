package org.stratopneum.web.jobs;

import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;

/** Where what was found on a card goes, so that it is done. */
public interface FoundWork {

    /**
     * @param id the same again changes nothing
     * @param job the card that does it, or null
     * @param found the day that it was found
     */
    void work(UUID id, UUID wheelId, Chore chore, Job job, LocalDate found);
}
