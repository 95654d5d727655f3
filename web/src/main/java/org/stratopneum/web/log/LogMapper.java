package org.stratopneum.web.log;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.cursor.Cursor;

/** Reads the log and appends to it; there is nothing here that changes an entry. */
@Mapper
public interface LogMapper {

    /** Appends {@code entry}; 0 when its id, or what it supersedes, is taken already. */
    int append(LogEntry entry, String detailJson, String words);

    Optional<LogRow> entry(UUID id);

    /** The last words on entries, struck ones included, newest first, strictly before the key where one is given. */
    List<LogRow> heads(LogFilter filter, LogPage.Key before, int limit);

    /** Ids of the entries that have all of {@code terms} besides, in the same order. */
    List<UUID> find(String terms, LogFilter filter, LogPage.Key before, int limit);

    /** Whatever of a rider's an entry may name. */
    List<LogSearch.Named> names();

    /** Whatever entries may be asked about, in the order in which it is offered. */
    List<LogService.Subject> subjects();

    /**
     * How many of some ids are an entry's.
     *
     * @param ids as PostgreSQL writes an array
     */
    @Select(
            "select count(*) from unnest(#{ids}::uuid[]) i(id) join log_entry e on e.owner = current_rider() and e.id = i.id")
    int countAmong(String ids);

    /**
     * How many of some ids are entries that were struck through and stand so.
     *
     * @param ids as PostgreSQL writes an array
     */
    @Select("""
            select count(*) from unnest(#{ids}::uuid[]) i(id)
              join log_entry s on s.owner = current_rider() and s.supersedes = i.id and s.struck
            where not exists (select 1 from log_entry u where u.owner = s.owner and u.supersedes = s.id)
            """)
    int countStruck(String ids);

    /** Appends those of a list of entries that are not there yet, in their order; the number of them. */
    int appendAll(String list);

    /** The entries of some ids, superseded ones too. */
    List<LogRow> among(Collection<UUID> ids);

    /** Strikes through, or puts back, what one file brought and is still the last word. */
    int supersedeAll(String reference, boolean strike, Instant at);

    /** Bikes of which a file brought rides. */
    List<UUID> bikesOf(String reference);

    /** What holds of some kinds, oldest first, a few rows at a time. */
    Cursor<LogRow> stream(Collection<LogKind> kinds);

    /** Everything that was ever written, in the order in which it was, strictly after {@code sequence}. */
    List<LogRow> after(long sequence, int limit, LogSlice slice);

    /** An entry with all that it supersedes and all that supersede it, oldest first. */
    List<LogRow> chain(UUID id);

    /** The last words on a wheel's entries of {@code kinds}, struck ones included, newest first. */
    List<LogRow> headsOfWheel(UUID wheelId, Collection<LogKind> kinds, int limit);

    /** What holds of the entries of wheels, those of each asked on its own so that each finds its index, newest first. */
    List<LogRow> current(Collection<UUID> wheelIds, Collection<Logbook.Asked> asked);

    /** What holds of the entries of bikes of {@code kinds}, from a moment on or, for null, ever, oldest first. */
    List<LogRow> currentOfBikes(Collection<UUID> bikeIds, Collection<LogKind> kinds, Instant since);

    /** The last words on where a tire, or something of the shelf, has been, struck ones included, newest first. */
    List<LogRow> headsOfPart(UUID id, boolean tire, int limit);

    /** Those of {@code ids} that nothing supersedes. */
    List<LogRow> headsAmong(Collection<UUID> ids);

    /** Pictures beside entries, whichever of their states they were put beside, in the order in which they came. */
    List<LogListPage.Photo> photos(Collection<UUID> ids);

    /** Those of {@code ids} that an entry has. */
    List<UUID> known(Collection<UUID> ids);
}
