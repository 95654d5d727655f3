package org.stratopneum.web.agenda;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** What riders want to be reminded of, as rows. */
@Mapper
interface FollowUpMapper {

    String FOLLOW_UP = "select f.id, f.wheel_id, f.what, f.job, f.due_on, f.done_at, b.name as bike_name, w.position"
            + " from follow_up f left join wheel w on (w.owner, w.id) = (f.owner, f.wheel_id)"
            + " left join wheelset s on (s.owner, s.id) = (w.owner, w.wheelset_id)"
            + " left join bike b on (b.owner, b.id) = (s.owner, s.bike_id) ";

    @Select(FOLLOW_UP + "where f.done_at is null order by f.due_on, f.id")
    List<FollowUp> open();

    @Select(FOLLOW_UP + "where f.id = #{id}")
    Optional<FollowUp> followUp(UUID id);

    @Insert("""
            insert into follow_up (id, wheel_id, what, job, due_on, made_at)
            values (#{row.id}, #{row.wheelId}, #{row.what}, #{row.job}, #{row.dueOn}, #{at})
            on conflict do nothing
            """)
    int insert(FollowUp row, Instant at);

    @Update("update follow_up set done_at = #{at} where id = #{id}")
    int done(UUID id, Instant at);

    @Delete("delete from follow_up where id = #{id}")
    int delete(UUID id);
}
