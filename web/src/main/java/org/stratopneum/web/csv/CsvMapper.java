package org.stratopneum.web.csv;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.cursor.Cursor;

/** Reads what tables hold. */
@Mapper
interface CsvMapper {

    /**
     * Whatever a gauge showed and holds, oldest first, a few rows at a time: each a JSON list of day, time, bike,
     * position, reading (kPa gauge), whether after inflation, temperature (C), gauge, tire and note. One text a row is
     * several times faster than ten columns.
     *
     * @param zone IANA name
     */
    @Select("""
            select json_build_array(
                     to_char(e.happened_at at time zone #{zone}, 'YYYY-MM-DD'),
                     to_char(e.happened_at at time zone #{zone}, 'HH24:MI:SS'),
                     b.name, w.position, e.detail -> 'gaugeKpa',
                     e.kind = 'HOLD_STARTED' or coalesce((e.detail ->> 'afterInflation')::boolean, false),
                     e.temperature_c, g.name, t.name, e.note)::text
            from log_current e
            left join bike b on (b.owner, b.id) = (e.owner, e.bike_id)
            left join wheel w on (w.owner, w.id) = (e.owner, e.wheel_id)
            left join tire t on (t.owner, t.id) = (e.owner, e.tire_id)
            left join gauge g on (g.owner, g.id) = (e.owner, e.gauge_id)
            where e.kind in ('PRESSURE_READ', 'HOLD_STARTED', 'HOLD_ENDED')
            order by e.happened_at, e.sequence
            """)
    @Options(fetchSize = 500)
    Cursor<String> readings(String zone);
}
