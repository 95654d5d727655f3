package org.stratopneum.web.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/** All that is on a rider's list besides what their wheels make due, asked for at once. */
@Mapper
interface ListedMapper {

    /** What a row is. */
    enum Kind {
        MARK,
        FOLLOW_UP,
        SEARCH,
        BOTTLE
    }

    /**
     * A row of one of these kinds; what a kind does not have is null.
     *
     * @param matter the matter that is marked
     * @param what the rider's own words, or the name of the bottle
     * @param dueOn when it is due, was due when it was marked, or is best before
     * @param at when the stop was, or the search was begun
     * @param leftMl of a bottle
     */
    record Listed(
            Kind kind,
            String matter,
            UUID id,
            UUID wheelId,
            String what,
            Cause cause,
            Job job,
            LocalDate dueOn,
            Chore errand,
            Instant at,
            UUID bikeId,
            String bikeName,
            WheelPosition position,
            Mark.Act act,
            LocalDate until,
            String reason,
            Double leftMl) {

        Mark mark() {
            return new Mark(matter, act, dueOn, until, reason);
        }

        FollowUp followUp() {
            return new FollowUp(id, wheelId, what, cause, job, dueOn, errand, at, null, bikeId, bikeName, position);
        }
    }

    /**
     * Marks; reminders that are not done, but not what followed from a stop that was deleted, nor what the log says was done
     * since; searches in progress; bottles with something in them.
     */
    @Select("""
            select 'MARK' as kind, m.matter, null::uuid as id, null::uuid as wheel_id, null as what, null as cause,
                   null as job, m.due_on, null as errand, null::timestamptz as at, null::uuid as bike_id,
                   null as bike_name, null as position, m.act, m.until, m.reason, null::float8 as left_ml
            from agenda_mark m
            union all
            select 'SEARCH', null, l.id, l.wheel_id, null, null, null, null, null, l.begun_at, null, null, null, null, null,
                   null, null
            from leak_search l where l.ended_at is null
            union all
            select 'BOTTLE', null, s.id, null, s.name, null, null, s.best_before, null, null, null, null, null, null, null,
                   null, s.amount - coalesce(taken.ml, 0)
            from shelf_item s
            left join lateral (
              select sum((e.detail ->> 'volumeMl')::float8) as ml
              from log_current e where e.part_id = s.id and e.kind = 'SEALANT_ADDED') taken on true
            where s.kind = 'SEALANT' and s.retired_on is null and s.amount > coalesce(taken.ml, 0)
            union all
            select 'FOLLOW_UP', null, f.id, f.wheel_id, f.what, f.cause, f.job, f.due_on, f.errand, f.stop_at, b.id, b.name,
                   w.position, null, null, null, null
            from follow_up f
            left join wheel w on (w.owner, w.id) = (f.owner, f.wheel_id)
            left join wheelset s on (s.owner, s.id) = (w.owner, w.wheelset_id)
            left join bike b on (b.owner, b.id) = (s.owner, s.bike_id)
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
            order by due_on, id
            """)
    List<Listed> all();
}
