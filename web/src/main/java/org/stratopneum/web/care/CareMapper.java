package org.stratopneum.web.care;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** How wheels are looked after, as rows, and when they last were. */
@Mapper
interface CareMapper {

    String CARE = "select wheel_id, dose, maker_ml, schedule as plan, months, starts_on, look_every_days, version"
            + " from wheel_care ";

    @Select(CARE)
    List<WheelCare> all();

    @Select(CARE + "where wheel_id = #{wheelId}")
    Optional<WheelCare> of(UUID wheelId);

    @Insert("""
            insert into wheel_care (wheel_id, dose, maker_ml, schedule, months, starts_on, look_every_days, version)
            values (#{wheelId}, #{dose}, #{makerMl}, #{plan}, #{months}, #{startsOn}, #{lookEveryDays}, 1)
            on conflict do nothing
            """)
    int insert(WheelCare care);

    /** 0 when the row was changed since. */
    @Update("""
            update wheel_care
            set dose = #{dose}, maker_ml = #{makerMl}, schedule = #{plan}, months = #{months},
                starts_on = #{startsOn}, look_every_days = #{lookEveryDays}, version = version + 1
            where wheel_id = #{wheelId} and version = #{version}
            """)
    int update(WheelCare care);

    /** What was last done on each wheel, by a card that came to its end or without one. */
    @Select("""
            select wheel_id, coalesce(detail ->> 'care', detail ->> 'job') as what, max(happened_at) as at
            from log_current
            where kind in ('CARE_DONE', 'JOB_ENDED') and wheel_id is not null
              and coalesce(detail ->> 'ending', 'DONE') = 'DONE'
            group by 1, 2
            """)
    List<Done> done();

    /** @param what a care, or a job */
    record Done(UUID wheelId, String what, Instant at) {}
}
