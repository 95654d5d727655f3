package org.stratopneum.web.logbook;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;

/** Reads the log and appends to it; there is nothing here that changes an entry. */
@Mapper
public interface LogMapper {

    /** Appends {@code entry}; 0 when its id, or what it supersedes, is taken already. */
    int append(LogEntry entry, String detailJson);

    Optional<LogRow> entry(UUID id);

    /** The last words on entries, struck ones included, newest first, strictly before the key where one is given. */
    List<LogRow> heads(UUID bikeId, Instant beforeTime, Long beforeSequence, int limit);

    /** The last words on a wheel's entries of {@code kinds}, struck ones included, newest first. */
    List<LogRow> headsOfWheel(UUID wheelId, Collection<LogKind> kinds, int limit);

    /** What holds of the entries of wheels, those of each asked on its own so that each finds its index, newest first. */
    List<LogRow> current(Collection<UUID> wheelIds, Collection<Logbook.Asked> asked);

    /** What holds of a bike's entries of {@code kinds}, oldest first. */
    List<LogRow> currentOfBike(UUID bikeId, Collection<LogKind> kinds);

    /** The last words on where a tire, or something of the shelf, has been, struck ones included, newest first. */
    List<LogRow> headsOfPart(UUID id, boolean tire, int limit);

    /** Those of {@code ids} that nothing supersedes. */
    List<LogRow> headsAmong(Collection<UUID> ids);

    /** Those of {@code ids} that an entry has. */
    List<UUID> known(Collection<UUID> ids);
}
