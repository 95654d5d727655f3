package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reads which wheels there are, and which tire was on each when. */
@Mapper
interface FittingMapper {

    /** A tire that went on, or null where one came off. */
    record Change(UUID wheelId, Instant at, UUID tireId) {}

    @Select("""
            select w.id, ws.bike_id, ws.id as wheelset_id, w.position, b.name as bike_name, ws.name as wheelset_name
            from wheel w
            join wheelset ws on (ws.owner, ws.id) = (w.owner, w.wheelset_id)
            join bike b on (b.owner, b.id) = (ws.owner, ws.bike_id)
            order by b.position, b.name, ws.name, w.position desc, w.id
            """)
    List<FittedTires.Wheel> wheels();

    /** A pair that went into a bike. */
    record Mounting(UUID bikeId, Instant at, UUID wheelsetId) {}

    /** A change of one or the other. */
    record Moved(boolean pair, UUID bikeId, UUID wheelsetId, UUID wheelId, Instant at, UUID tireId) {

        Change change() {
            return new Change(wheelId, at, tireId);
        }

        Mounting mounting() {
            return new Mounting(bikeId, at, wheelsetId);
        }
    }

    /** All that was fitted, taken off and put in, oldest first. */
    @Select("""
            select kind = 'WHEELSET_MOUNTED' as pair, bike_id, wheelset_id, wheel_id, happened_at as at,
                   case when kind = 'TIRE_FITTED' then tire_id end as tire_id
            from log_current
            where kind in ('TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED')
            order by happened_at, sequence
            """)
    List<Moved> moved();
}
