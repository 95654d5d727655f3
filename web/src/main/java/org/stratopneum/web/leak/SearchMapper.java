package org.stratopneum.web.leak;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.Spot;

/** Searches for leaks, with their answers and what was seen where. */
@Mapper
interface SearchMapper {

    /**
     * @param known circumstances by their names, with blanks between
     * @param found entry of the log that says what it was, or null
     */
    record SearchRow(
            UUID id,
            UUID wheelId,
            AirSystem system,
            Diagnosis.Mode mode,
            String known,
            Instant begunAt,
            Instant endedAt,
            UUID found) {}

    String SEARCH = "select id, wheel_id, system, mode, known, begun_at, ended_at, found from leak_search ";

    @Select(SEARCH + "where id = #{id}")
    Optional<SearchRow> search(UUID id);

    /** The same, held until the transaction ends, so that two answers at once do not lose each other. */
    @Select(SEARCH + "where id = #{id} for update")
    Optional<SearchRow> held(UUID id);

    @Select(SEARCH + "where wheel_id = #{wheelId} and ended_at is null")
    Optional<SearchRow> openOn(UUID wheelId);

    /** 0 where one of this name, or an open one on this wheel, is there already. */
    @Insert("""
            insert into leak_search (id, wheel_id, system, mode, known, begun_at)
            values (#{id}, #{wheelId}, #{system}, #{mode}, #{known}, #{begunAt})
            on conflict do nothing
            """)
    int insert(SearchRow row);

    @Update("update leak_search set mode = #{mode}, known = #{known} where id = #{id}")
    void change(@Param("id") UUID id, @Param("mode") Diagnosis.Mode mode, @Param("known") String known);

    @Update("update leak_search set ended_at = #{at}, found = #{found} where id = #{id} and ended_at is null")
    int end(@Param("id") UUID id, @Param("at") Instant at, @Param("found") UUID found);

    @Update("""
            update leak_search s set ended_at = null, found = null
            where s.id = #{id} and not exists
              (select from leak_search o where o.wheel_id = s.wheel_id and o.ended_at is null)
            """)
    int reopen(UUID id);

    @Select("select kind, code, answer from leak_search_step where search_id = #{id} order by nr")
    List<SearchStep> steps(UUID id);

    @Delete("delete from leak_search_step where search_id = #{id}")
    void deleteSteps(UUID id);

    @Insert("""
            insert into leak_search_step (search_id, kind, code, answer)
            values (#{id}, #{step.kind}, #{step.code}, #{step.answer})
            """)
    void insertStep(@Param("id") UUID id, @Param("step") SearchStep step);

    @Select("select zone, hour from leak_spot where search_id = #{id} order by nr")
    List<Spot> spots(UUID id);

    @Delete("delete from leak_spot where search_id = #{id}")
    void deleteSpots(UUID id);

    @Insert("insert into leak_spot (search_id, zone, hour) values (#{id}, #{spot.zone}, #{spot.hour})")
    void insertSpot(@Param("id") UUID id, @Param("spot") Spot spot);

    /** How often a cause was found, over all wheels. */
    record Found(Cause cause, int times) {}

    @Select("""
            select detail ->> 'cause' as cause, count(*) as times from log_current
            where kind = 'LEAK_FOUND' group by 1
            """)
    List<Found> found();
}
