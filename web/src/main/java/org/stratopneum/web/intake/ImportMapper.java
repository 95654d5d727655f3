package org.stratopneum.web.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Files that are brought in. */
@Mapper
interface ImportMapper {

    String RUNS = """
            select id, format, file_name, bytes, settings::text as settings, state, bytes_read, rows_read, added,
                   repeated, fault_count, faults::text as faults, notes::text as notes, was_empty, last_sequence, leaves_out, made_at, beat_at, version
            from import_run
            """;

    @Select(RUNS + "where id = #{id}")
    Optional<ImportRun> run(UUID id);

    @Select(RUNS + "order by made_at desc, id limit 50")
    List<ImportRun> runs();

    /** The same file, brought in before and not taken out again. */
    @Select(
            "select id from import_run where sha256 = #{sha256} and state in ('DONE', 'UNDONE') and id <> #{id} order by made_at desc limit 1")
    Optional<UUID> same(UUID id, byte[] sha256);

    @Select("select sha256 as content from import_run where id = #{id}")
    Optional<Bytes> digest(UUID id);

    @Insert("""
            insert into import_run (id, format, file_name, bytes, sha256, settings, state, made_at, beat_at)
            values (#{id}, #{format}, #{name}, #{bytes}, #{sha256}, '{}', 'RECEIVED', #{at}, #{at})
            on conflict do nothing
            """)
    int insert(UUID id, ImportFormat format, String name, long bytes, byte[] sha256, Instant at);

    @Insert("insert into import_piece (import_id, number, content) values (#{id}, #{number}, #{content})")
    int insertPiece(UUID id, int number, byte[] content);

    @Select("select content from import_piece where import_id = #{id} and number = #{number}")
    Optional<Bytes> piece(UUID id, int number);

    /** Bytes: an array of its own would be taken for a list of rows. */
    record Bytes(byte[] content) {}

    @Delete("delete from import_piece where import_id = #{id}")
    int forgetPieces(UUID id);

    /** Files that nobody went on with. */
    @Delete("delete from import_run where made_at < #{before} and state in ('RECEIVED', 'CHECKED', 'FAILED')")
    int forget(Instant before);

    /** Rows that nobody came to mend. */
    @Delete("""
            delete from import_piece p using import_run r
            where r.id = p.import_id and r.made_at < #{before} and r.state in ('DONE', 'UNDONE')
            """)
    int forgetLeftOut(Instant before);

    /** Rows that were left out, by their numbers. */
    @Select("select unnest(left_out) from import_run where id = #{id} order by 1")
    Set<Integer> leftOut(UUID id);

    @Delete("delete from import_run where id = #{id} and state in ('RECEIVED', 'CHECKED', 'FAILED')")
    int drop(UUID id);

    /** 0 when the import was changed since {@code version}, or is being read. */
    @Update("""
            update import_run
            set settings = #{settings}::jsonb, state = 'RECEIVED', fault_count = 0, faults = '[]', notes = '[]', version = version + 1
            where id = #{id} and version = #{version} and state in ('RECEIVED', 'CHECKED', 'FAILED')
            """)
    int understand(UUID id, String settings, int version);

    /**
     * Has the file read by whoever comes to it; 0 when somebody does already, or it is in.
     *
     * @param leaveOut whether rows with faults are left out, and the others brought in
     */
    @Update("""
            update import_run
            set state = #{state}, leaves_out = #{leaveOut}, bytes_read = 0, rows_read = 0, added = 0, repeated = 0, fault_count = 0, faults = '[]', notes = '[]',
                attempts = 0, beat_at = #{at}, version = version + 1
            where id = #{id} and state in ('RECEIVED', 'CHECKED', 'FAILED')
            """)
    int ask(UUID id, ImportRun.State state, boolean leaveOut, Instant at);

    /** Whether this transaction is the only one that reads a file of its rider. */
    @Select("select pg_try_advisory_xact_lock(hashtextextended('import of ' || current_rider(), 0))")
    boolean takeTurn();

    /** Begins to read it from its beginning; 0 when that was tried so often already, or it is not to be read any more. */
    @Update("""
            update import_run set attempts = attempts + 1, bytes_read = 0, rows_read = 0
            where id = #{id} and version = #{version} and attempts < #{most}
            """)
    int begin(UUID id, int version, int most);

    @Update("update import_run set bytes_read = #{bytesRead}, rows_read = #{rows}, beat_at = #{at} where id = #{id}")
    int beat(UUID id, long bytesRead, int rows, Instant at);

    @Update("""
            update import_run
            set state = #{state}, rows_read = #{result.rows}, added = #{result.added}, repeated = #{result.repeated},
                fault_count = #{result.faultCount}, faults = #{faults}::jsonb, notes = #{notes}::jsonb, was_empty = #{wasEmpty},
                left_out = #{result.leftOutRows}::integer[], bytes_read = bytes,
                beat_at = #{at}, version = version + 1,
                last_sequence = (select max(sequence) from log_entry)
            where id = #{id}
            """)
    int end(
            UUID id,
            ImportRun.State state,
            ImportResult result,
            String faults,
            String notes,
            boolean wasEmpty,
            Instant at);

    @Update(
            "update import_run set state = #{state}, version = version + 1, beat_at = #{at} where id = #{id} and state = #{before}")
    int turn(UUID id, ImportRun.State before, ImportRun.State state, Instant at);

    @Select("select take_garage_out(#{id})")
    boolean takeGarageOut(UUID id);

    @Insert("insert into import_item (import_id, item_id) values (#{run}, #{item}) on conflict do nothing")
    int noteItem(UUID run, UUID item);

    /** What a file brought beside the log: a rim is in use as long as a wheel has it, a reminder once it is done. */
    @Select("""
            select t.id, 'TIRE' as sort,
                   exists (select 1 from log_entry e where e.tire_id = t.id) as named,
                   exists (
                     select 1 from log_current e
                     where e.tire_id = t.id and e.kind = 'TIRE_FITTED' and not exists (
                       select 1 from log_current o
                       where o.wheel_id = e.wheel_id and o.kind in ('TIRE_FITTED', 'TIRE_REMOVED')
                         and (o.happened_at, o.sequence) > (e.happened_at, e.sequence))) as in_use
            from import_item i join tire t on t.id = i.item_id where i.import_id = #{run}
            union all
            select r.id, 'RIM', exists (select 1 from wheel w where w.rim_id = r.id),
                   exists (select 1 from wheel w where w.rim_id = r.id)
            from import_item i join rim r on r.id = i.item_id where i.import_id = #{run}
            union all
            select s.id, 'SHELF_ITEM', exists (select 1 from log_entry e where e.part_id = s.id), false
            from import_item i join shelf_item s on s.id = i.item_id where i.import_id = #{run}
            union all
            select f.id, 'REMINDER', f.done_at is not null, f.done_at is not null
            from import_item i join follow_up f on f.id = i.item_id where i.import_id = #{run}
            """)
    List<ImportedItem> items(UUID run);

    @Delete("delete from ${table} where id = #{id}")
    int deleteItem(String table, UUID id);

    @Update("update ${table} set retired_on = #{day}, version = version + 1 where id = #{id} and retired_on is null")
    int retireItem(String table, UUID id, LocalDate day);

    @Delete("delete from import_item where import_id = #{run}")
    int forgetItems(UUID run);

    /** Has the database look at the log anew, so that it knows how much of it is this rider's. */
    @Select("select look_at_log_anew()::text")
    String lookAnew();

    @Select("select not exists (select 1 from log_entry) and not exists (select 1 from bike)")
    boolean emptyGarage();

    @Select("select max(sequence) from log_entry")
    Long lastSequence();
}
