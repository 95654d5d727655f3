package org.stratopneum.web.jobs;

import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.fit.Hub;
import org.stratopneum.core.fit.ValveKind;

/** What is kept of the answers to job cards, with the bike, the wheel and the rider. */
@Mapper
interface BenchMapper {

    /** What a wheel and its bike have; null where nobody was asked. */
    record WheelRow(Boolean eBike, Boolean disc, ValveKind valve, Boolean coreRemovable, Hub hub) {}

    /** The same, and how the rider does it, as JSON. */
    record BenchRow(Boolean eBike, Boolean disc, ValveKind valve, Boolean coreRemovable, Hub hub, String rider) {

        WheelRow wheel() {
            return new WheelRow(eBike, disc, valve, coreRemovable, hub);
        }
    }

    @Select("""
            select b.e_bike, b.disc, w.valve, w.core_removable, w.hub, r.bench::text as rider
            from wheel w
            join wheelset s on s.id = w.wheelset_id
            join bike b on b.id = s.bike_id
            join rider r on r.id = w.owner
            where w.id = #{wheelId}
            """)
    BenchRow bench(UUID wheelId);

    /** What is null stays as it was. */
    @Update("""
            update wheel
            set valve = coalesce(#{row.valve}, valve), core_removable = coalesce(#{row.coreRemovable}, core_removable),
                hub = coalesce(#{row.hub}, hub)
            where id = #{wheelId}
            """)
    int keepWheel(UUID wheelId, WheelRow row);

    @Update("""
            update bike set e_bike = coalesce(#{row.eBike}, e_bike), disc = coalesce(#{row.disc}, disc)
            where id = #{bikeId}
            """)
    int keepBike(UUID bikeId, WheelRow row);

    /** What {@code json} does not name stays as it was. */
    @Update("update rider set bench = bench || #{json}::jsonb where id = current_rider()")
    int keepRider(String json);
}
