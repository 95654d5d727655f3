package org.stratopneum.web.csv;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reads what tables hold. */
@Mapper
interface CsvMapper {

    /**
     * Whatever a gauge showed and holds, oldest first, strictly after a key: a JSON list of rows, each a list of day, time,
     * bike, position, reading (kPa gauge), whether after inflation, temperature (C), gauge, tire, note, and its own key.
     * One text for many rows is several times faster than rows of ten columns. Null where there is none.
     *
     * @param zone IANA name
     */
    @Select("""
            select json_agg(row)::text from (
              select json_build_array(
                       to_char(e.happened_at at time zone #{zone}, 'YYYY-MM-DD'),
                       to_char(e.happened_at at time zone #{zone}, 'HH24:MI:SS'),
                       b.name, w.position, e.detail -> 'gaugeKpa',
                       e.kind = 'HOLD_STARTED' or coalesce((e.detail ->> 'afterInflation')::boolean, false),
                       e.temperature_c, g.name, t.name, e.note, e.happened_at, e.sequence) as row
              from log_current e
              left join bike b on (b.owner, b.id) = (e.owner, e.bike_id)
              left join wheel w on (w.owner, w.id) = (e.owner, e.wheel_id)
              left join tire t on (t.owner, t.id) = (e.owner, e.tire_id)
              left join gauge g on (g.owner, g.id) = (e.owner, e.gauge_id)
              where e.kind in ('PRESSURE_READ', 'HOLD_STARTED', 'HOLD_ENDED')
                and (e.happened_at, e.sequence) > (#{after}::timestamptz, #{sequence})
              order by e.happened_at, e.sequence
              limit #{most}) page
            """)
    String readings(String zone, String after, long sequence, int most);
}
