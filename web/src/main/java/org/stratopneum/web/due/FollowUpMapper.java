package org.stratopneum.web.due;

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

    String FOLLOW_UP =
            "select f.id, f.wheel_id, f.what, f.cause, f.job, f.due_on, f.errand, f.stop_at, f.done_at, b.id as bike_id,"
                    + " b.name as bike_name, w.position"
                    + " from follow_up f left join wheel w on (w.owner, w.id) = (f.owner, f.wheel_id)"
                    + " left join wheelset s on (s.owner, s.id) = (w.owner, w.wheelset_id)"
                    + " left join bike b on (b.owner, b.id) = (s.owner, s.bike_id) ";

    /** Not what followed from a stop that was struck through, and not what the log says was done since. */
    @Select(FOLLOW_UP + """
            where f.done_at is null
              and (f.stop_at is null or exists (
                select 1 from log_current e
                where e.owner = f.owner and e.kind = 'TRAIL_MEND' and e.wheel_id = f.wheel_id
                  and e.happened_at = f.stop_at))
              and (f.errand is null or not exists (
                select 1 from log_current e
                where e.owner = f.owner and e.wheel_id = f.wheel_id and e.happened_at > coalesce(f.stop_at, f.made_at)
                  and (e.kind = 'JOB_ENDED' and e.detail ->> 'job' = f.job and e.detail ->> 'ending' = 'DONE'
                    or f.errand = 'DIP' and e.kind in ('SEALANT_DIPPED', 'SEALANT_ADDED')
                    or f.errand = 'FIND_LEAK' and e.kind = 'LEAK_FOUND'
                    or f.errand in ('NEW_TIRE', 'NEW_TUBED_TIRE', 'CUT_BOOT', 'CUT_TIRE', 'WORN_TIRE')
                        and e.kind = 'TIRE_REMOVED')))
              and (f.errand is distinct from 'RESTOCK' or not exists (
                select 1 from kit k where k.owner = b.owner and k.bike_id = b.id and k.counted_at > coalesce(f.stop_at, f.made_at)))
            order by f.due_on, f.id
            """)
    List<FollowUp> open();

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
