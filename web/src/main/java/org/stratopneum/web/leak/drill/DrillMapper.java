package org.stratopneum.web.leak.drill;

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

/** Rounds of practice, and what was done in them. */
@Mapper
interface DrillMapper {

    /** @param endedAt when the fault was found, or null */
    record RoundRow(UUID id, long seed, Instant begunAt, Instant endedAt) {}

    /** A step of a round. */
    record StepRow(UUID roundId, DrillStep.Kind kind, String code) {

        DrillStep step() {
            return new DrillStep(kind, code);
        }
    }

    String ROUND = "select id, seed, begun_at, ended_at from drill_round ";

    @Select(ROUND + "where id = #{id}")
    Optional<RoundRow> round(UUID id);

    /** The latest, open ones first. */
    @Select(ROUND + "order by ended_at is not null, begun_at desc, id limit #{limit}")
    List<RoundRow> latest(int limit);

    String STEP = "select round_id, kind, code from drill_step ";

    @Select(STEP + "where round_id = #{id} order by nr")
    List<StepRow> steps(UUID id);

    @Select(STEP + "order by nr")
    List<StepRow> allSteps();

    @Insert("insert into drill_round (id, seed, begun_at) values (#{id}, #{seed}, #{at}) on conflict do nothing")
    int insert(@Param("id") UUID id, @Param("seed") long seed, @Param("at") Instant at);

    @Insert("""
            insert into drill_step (round_id, kind, code) values (#{roundId}, #{kind}, #{code}) on conflict do nothing
            """)
    int insertStep(StepRow step);

    @Update("update drill_round set ended_at = #{at} where id = #{id} and ended_at is null")
    int end(@Param("id") UUID id, @Param("at") Instant at);

    @Delete("delete from drill_round where id = #{id} and ended_at is null")
    int delete(UUID id);
}
