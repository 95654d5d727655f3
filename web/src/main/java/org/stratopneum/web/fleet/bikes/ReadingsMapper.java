package org.stratopneum.web.fleet.bikes;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.stratopneum.web.log.LogKind;

/** What was read of wheels, when they were mended, and when air burst out on a ride: no more of the log than that takes. */
@Mapper
interface ReadingsMapper {

    /**
     * A reading, or that a wheel was mended or worked on, or a ride on which air burst out at its bead.
     *
     * @param kpa as its gauge showed it (kPa), null where nothing was read
     * @param offsetKpa how the gauge stands to the reference (kPa, ratio), null where nobody knows
     */
    record Row(
            UUID wheelId,
            LogKind kind,
            Instant at,
            UUID tireId,
            UUID gaugeId,
            Double offsetKpa,
            Double slope,
            Double temperatureC,
            Double kpa,
            boolean afterInflation) {}

    /**
     * Whether the entries of a wheel are still those of before. Entries are only added, so that the same number of them with
     * the same sum of sequences are the same; those that strike or correct others are counted for themselves, whatever they are
     * about: they are rare.
     *
     * @param settled how many of them are older than a fresh tire is fresh
     * @param burst sum of the sequences of the rides of its pair on which air burst out
     * @param corrections how many entries of the rider supersede another
     * @param gauges how all gauges of the rider stand to the reference
     */
    record Mark(
            UUID wheelId,
            long count,
            long newest,
            BigDecimal sum,
            long settled,
            BigDecimal burst,
            long corrections,
            String gauges) {}

    @Select("""
            <script>
            select w.id as wheel_id, m.count, m.newest, m.sum, m.settled, b.burst,
                   (select count(*) from log_entry e where e.supersedes is not null) as corrections,
                   (select string_agg(concat_ws(' ', g.id, g.offset_kpa, g.slope), ';' order by g.id) from gauge g) as gauges
            from wheel w
            cross join lateral (
              select count(*) as count, coalesce(max(e.sequence), 0) as newest, coalesce(sum(e.sequence), 0) as sum,
                     count(*) filter (where e.happened_at &lt;= #{settled}) as settled
              from log_entry e
              where e.owner = w.owner and e.wheel_id = w.id and e.happened_at >= #{since}) m
            cross join lateral (
              select coalesce(sum(e.sequence), 0) as burst
              from log_entry e
              where e.owner = w.owner and e.wheelset_id = w.wheelset_id and e.happened_at >= #{since}
                and e.kind = 'RIDDEN'
                and (e.detail #>> '{rear,burp}' = 'true' or e.detail #>> '{front,burp}' = 'true')) b
            where w.id in <foreach collection="wheels" item="wheel" open="(" separator="," close=")">#{wheel}</foreach>
            </script>
            """)
    List<Mark> marks(Collection<UUID> wheels, Instant since, Instant settled);

    /** Newest first. */
    @Arg(column = "wheel_id", javaType = UUID.class)
    @Arg(column = "kind", javaType = LogKind.class)
    @Arg(column = "happened_at", javaType = Instant.class)
    @Arg(column = "tire_id", javaType = UUID.class)
    @Arg(column = "gauge_id", javaType = UUID.class)
    @Arg(column = "offset_kpa", javaType = Double.class)
    @Arg(column = "slope", javaType = Double.class)
    @Arg(column = "temperature_c", javaType = Double.class)
    @Arg(column = "kpa", javaType = Double.class)
    @Arg(column = "after_inflation", javaType = boolean.class)
    @Select("""
            <script>
            select e.wheel_id, e.kind, e.happened_at, e.sequence, e.tire_id, e.gauge_id, g.offset_kpa, g.slope,
                   e.temperature_c,
                   (e.detail ->> 'gaugeKpa')::float8 as kpa,
                   coalesce((e.detail ->> 'afterInflation')::boolean, false) as after_inflation
            from log_current e
            left join gauge g on (g.owner, g.id) = (e.owner, e.gauge_id)
            where e.happened_at >= #{since}
              and e.kind in <foreach collection="kinds" item="kind" open="(" separator="," close=")">#{kind}</foreach>
              and e.wheel_id in <foreach collection="wheels" item="wheel" open="(" separator="," close=")">#{wheel}</foreach>
            union all
            select w.id, e.kind, e.happened_at, e.sequence, null, null, null, null, null, null, false
            from wheel w
            join log_current e on (e.owner, e.wheelset_id) = (w.owner, w.wheelset_id)
            where e.happened_at >= #{since} and e.kind = 'RIDDEN'
              and (e.detail #>> '{rear,burp}' = 'true' or e.detail #>> '{front,burp}' = 'true')
              and e.detail #>> array[lower(w.position), 'burp'] = 'true'
              and w.id in <foreach collection="wheels" item="wheel" open="(" separator="," close=")">#{wheel}</foreach>
            order by happened_at desc, sequence desc
            </script>
            """)
    List<Row> since(Collection<UUID> wheels, Collection<LogKind> kinds, Instant since);
}
