package org.stratopneum.web.due;

import java.time.Instant;
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

    String FOLLOW_UP =
            "select f.id, f.wheel_id, f.what, f.cause, f.job, f.due_on, f.errand, f.stop_at, f.done_at, b.id as bike_id,"
                    + " b.name as bike_name, w.position"
                    + " from follow_up f left join wheel w on (w.owner, w.id) = (f.owner, f.wheel_id)"
                    + " left join wheelset s on (s.owner, s.id) = (w.owner, w.wheelset_id)"
                    + " left join bike b on (b.owner, b.id) = (s.owner, s.bike_id) ";

    @Select(FOLLOW_UP + "where f.id = #{id}")
    Optional<FollowUp> followUp(UUID id);

    @Insert("""
            insert into follow_up (id, wheel_id, what, cause, job, due_on, errand, stop_at, made_at)
            values (#{row.id}, #{row.wheelId}, #{row.what}, #{row.cause}, #{row.job}, #{row.dueOn}, #{row.errand}, #{row.stopAt},
                    #{at})
            on conflict do nothing
            """)
    int insert(FollowUp row, Instant at);

    @Update("update follow_up set done_at = #{at} where id = #{id}")
    int done(UUID id, Instant at);

    @Delete("delete from follow_up where id = #{id}")
    int delete(UUID id);
}
