package org.stratopneum.web.log.entry;

import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;

/** Pictures beside entries; one that was taken away can be put back for a day, then it is gone. */
@Service
class Photos {

    static final String FIELD = "file";
    private static final int MOST = 12;
    private static final Duration KEPT = Duration.ofDays(1);

    private final PhotoMapper mapper;
    private final Logbook logbook;

    Photos(PhotoMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    /** A picture as far as a page must know it. */
    public record Shown(UUID id, int width, int height) {}

    @Transactional(readOnly = true)
    List<Shown> of(Collection<UUID> entries) {
        return mapper.of(entries);
    }

    /** @throws NotThereException when this rider has no such picture, or took it away */
    @Transactional(readOnly = true)
    Picture picture(UUID id) {
        return mapper.picture(id).orElseThrow(NotThereException::new);
    }

    /**
     * @param states the entry in all its states
     * @throws InvalidInputException when there are too many
     */
    @Transactional(noRollbackFor = InvalidInputException.class)
    void add(UUID id, UUID entry, Collection<UUID> states, Picture picture) {
        mapper.forget(logbook.now().minus(KEPT));
        if (mapper.of(states).size() >= MOST) {
            throw new InvalidInputException(new Problem(FIELD, "too-many-photos", (double) MOST, null, null));
        }
        mapper.insert(id, entry, picture, logbook.now());
    }

    /** @return the entry that it stood beside */
    @Transactional
    UUID remove(UUID id) {
        mapper.remove(id, logbook.now());
        return mapper.entryOf(id).orElseThrow(NotThereException::new);
    }

    /** @return the entry that it stands beside */
    @Transactional
    UUID putBack(UUID id) {
        mapper.putBack(id);
        return mapper.entryOf(id).orElseThrow(NotThereException::new);
    }
}
