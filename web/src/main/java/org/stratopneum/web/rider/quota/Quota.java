package org.stratopneum.web.rider.quota;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;

/**
 * Bounds what a rider sends in a day, so that nobody fills the disk or keeps the readers of files for themselves. Whatever
 * was sent counts, thrown away again or not.
 */
@Service
public class Quota {

    private final QuotaMapper mapper;
    private final Clock clock;
    private final int files;
    private final long megabytes;
    private final int rows;

    Quota(
            QuotaMapper mapper,
            Clock clock,
            @Value("${stratopneum.quota.files:200}") int files,
            @Value("${stratopneum.quota.megabytes:1000}") long megabytes,
            @Value("${stratopneum.quota.rows:2000000}") int rows) {
        this.mapper = mapper;
        this.clock = clock;
        this.files = files;
        this.megabytes = megabytes;
        this.rows = rows;
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    /**
     * Counts a file that was sent.
     *
     * @param field the field that it was sent in
     * @throws InvalidInputException when it is more than may be sent today
     */
    @Transactional(noRollbackFor = InvalidInputException.class)
    public void file(String field, long bytes) {
        LocalDate today = today();
        mapper.forgetBefore(today);
        if (mapper.addFile(today, bytes, files, megabytes << 20) == 1) {
            return;
        }
        boolean tooMany = mapper.on(today).filter(sent -> sent.files() >= files).isPresent();
        throw new InvalidInputException(
                tooMany
                        ? new Problem(field, "quota-files", (double) files, null, null)
                        : new Problem(field, "quota-bytes", (double) megabytes, null, "MB"));
    }

    /** How many rows may still be read today. */
    @Transactional(readOnly = true)
    public long rowsLeft() {
        return Math.max(0, rows - mapper.on(today()).map(QuotaMapper.Sent::rows).orElse(0L));
    }

    /** Counts rows that were read. */
    @Transactional
    public void rows(int read) {
        mapper.addRows(today(), read);
    }
}
