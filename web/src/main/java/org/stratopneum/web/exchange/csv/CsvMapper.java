package org.stratopneum.web.exchange.csv;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reads what tables hold. */
@Mapper
interface CsvMapper {

    /**
     * Whatever a gauge showed and holds, oldest first, strictly after a key. Rows end with the letter RS (U+001E), cells
     * with US (U+001F): moment (seconds since 1970 with their fraction), sequence, id, bike, wheel, reading (kPa gauge), kind,
     * whether after inflation, temperature (C), gauge, tire, note. One text for many rows is several times faster than
     * rows of columns, and so are ids than joined names; and all that hold are found at once by those few that were changed,
     * where {@code log_current} looks for each. Null where there is none.
     *
     * @param after moment of the key, such as "1764145953.123456 seconds"
     */
    @Select("""
            select string_agg(row, '') from (
              select concat(
                       extract(epoch from e.happened_at), E'\\x1f', e.sequence, E'\\x1f', e.id, E'\\x1f', e.bike_id, E'\\x1f', e.wheel_id, E'\\x1f',
                       e.detail ->> 'gaugeKpa', E'\\x1f', e.kind, E'\\x1f', e.detail ->> 'afterInflation', E'\\x1f',
                       e.temperature_c, E'\\x1f', e.gauge_id, E'\\x1f', e.tire_id, E'\\x1f',
                       translate(e.note, E'\\x1e\\x1f', ''), E'\\x1e') as row
              from log_entry e
              where e.kind in ('PRESSURE_READ', 'HOLD_STARTED', 'HOLD_ENDED')
                and not e.struck
                and e.id not in (select newer.supersedes from log_entry newer where newer.supersedes is not null)
                and (e.happened_at, e.sequence) > ('epoch'::timestamptz + #{after}::interval, #{sequence})
              order by e.happened_at, e.sequence
              limit #{most}) page
            """)
    String readings(String after, long sequence, int most);

    /**
     * Which of some ids are those of an entry, taken back or not, or of a part.
     *
     * @param ids as PostgreSQL writes an array
     */
    @Select("""
            with asked as (select unnest(#{ids}::uuid[]) as id)
            select i.id from asked i join log_entry e on e.owner = current_rider() and e.id = i.id
            union all select i.id from asked i join tire e on e.owner = current_rider() and e.id = i.id
            union all select i.id from asked i join rim e on e.owner = current_rider() and e.id = i.id
            union all select i.id from asked i join shelf_item e on e.owner = current_rider() and e.id = i.id
            """)
    Set<UUID> known(String ids);

    /** Something that a row names. */
    record Named(UUID id, String name) {}

    /** Names of bikes, tires and gauges, and positions of wheels. */
    @Select("""
            select id, name from bike union all select id, name from tire union all select id, name from gauge
            union all select id, position from wheel
            """)
    List<Named> names();
}
