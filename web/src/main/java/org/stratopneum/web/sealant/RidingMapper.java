package org.stratopneum.web.sealant;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** How long bikes were out, summed up by the database. */
@Mapper
interface RidingMapper {

    /** A day on which a bike was out. */
    record Out(UUID bikeId, LocalDate day, double minutes) {}

    /**
     * Minutes by bike and day. A ride of which only the way is known counts at 15 km/h, one of which nothing is known as an
     * hour (our judgement).
     */
    @Select("""
            select bike_id, (happened_at at time zone #{zone})::date as day,
                   sum(coalesce((detail ->> 'minutes')::float8, (detail ->> 'distanceM')::float8 / 250, 60)) as minutes
            from log_current
            where kind = 'RIDDEN' and happened_at >= #{since}
            group by 1, 2
            """)
    List<Out> since(Instant since, String zone);
}
