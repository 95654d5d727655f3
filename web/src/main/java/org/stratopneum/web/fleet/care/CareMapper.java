package org.stratopneum.web.fleet.care;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.sealant.DoseSchool;

/** How wheels are looked after, as rows, and when they last were. */
@Mapper
interface CareMapper {

    String CARE = "select wheel_id, dose, maker_ml, schedule as plan, months, starts_on, look_every_days, version"
            + " from wheel_care ";

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

    /**
     * A wheel that is looked after, or was.
     *
     * @param dose null where nobody said how; {@code coreAt} and {@code lookAt} null where it was never noted
     */
    record CaredRow(
            UUID wheelId,
            DoseSchool dose,
            Double makerMl,
            WheelCare.Plan plan,
            Integer months,
            LocalDate startsOn,
            Integer lookEveryDays,
            Integer version,
            Instant coreAt,
            Instant lookAt) {}

    /** Those of all wheels, with when each was last done, by a card that came to its end or without one. */
    @Select("""
            <script>
            select w.id as wheel_id, c.dose, c.maker_ml, c.schedule as plan, c.months, c.starts_on, c.look_every_days,
                   c.version, d.core_at, d.look_at
            from wheel w
            left join wheel_care c on c.wheel_id = w.id
            left join (
              select wheel_id,
                     max(happened_at) filter (where what in
                       <foreach collection="core" item="name" open="(" separator="," close=")">#{name}</foreach>) as core_at,
                     max(happened_at) filter (where what = 'PREVENTION_LOOK') as look_at
              from (
                select wheel_id, happened_at, coalesce(detail ->> 'care', detail ->> 'job') as what
                from log_current
                where kind in ('CARE_DONE', 'JOB_ENDED') and coalesce(detail ->> 'ending', 'DONE') = 'DONE') done
              group by wheel_id) d on d.wheel_id = w.id
            where c.wheel_id is not null or d.wheel_id is not null
            </script>
            """)
    List<CaredRow> cared(Collection<String> core);
}
