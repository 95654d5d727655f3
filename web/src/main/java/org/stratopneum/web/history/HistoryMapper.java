package org.stratopneum.web.history;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.stratopneum.web.log.LogKind;

/** Reads what years of records are made of. */
@Mapper
interface HistoryMapper {

    /**
     * An entry.
     *
     * @param paid price of one unit of what was taken from the shelf, or null
     */
    record EventRow(
            UUID id, LogKind kind, Instant at, UUID bikeId, UUID wheelId, UUID tireId, String detail, Double paid) {}

    /** What happened to some wheels, rides of some bikes, and what was measured of some tires, oldest first. */
    @Select("""
            <script>
            <bind name="nobody" value="'00000000-0000-0000-0000-000000000000'"/>
            select e.id, e.kind, e.happened_at as at, e.bike_id, e.wheel_id, e.tire_id, e.detail::text as detail,
                   s.price / s.amount as paid
            from (
              select * from log_current
              where kind in ('SEALANT_ADDED', 'SEALANT_DIPPED', 'PUNCTURE_SEALED', 'LEAK_FOUND', 'TRAIL_MEND')
                and wheel_id in (<foreach collection="wheels" item="id">#{id},</foreach>#{nobody}::uuid)
              union all
              select * from log_current
              where kind = 'RIDDEN' and bike_id in (<foreach collection="bikes" item="id">#{id},</foreach>#{nobody}::uuid)
              union all
              select * from log_current
              where kind = 'TREAD_MEASURED'
                and tire_id in (<foreach collection="tires" item="id">#{id},</foreach>#{nobody}::uuid)) e
            left join shelf_item s on s.id = e.part_id
            order by e.happened_at, e.sequence
            </script>
            """)
    List<EventRow> events(Collection<UUID> wheels, Collection<UUID> bikes, Collection<UUID> tires);

    /** A reading as its gauge showed it (kPa gauge), with how that gauge stands to the reference. */
    record ReadRow(UUID wheelId, Instant at, double kpa, boolean set, Double offset, Double slope) {}

    /** The readings of some wheels, oldest first. */
    @Arg(column = "wheel_id", javaType = UUID.class)
    @Arg(column = "happened_at", javaType = Instant.class)
    @Arg(column = "kpa", javaType = double.class)
    @Arg(column = "set", javaType = boolean.class)
    @Arg(column = "offset_kpa", javaType = Double.class)
    @Arg(column = "slope", javaType = Double.class)
    @Select("""
            <script>
            select e.wheel_id, e.happened_at, (e.detail ->> 'gaugeKpa')::double precision as kpa,
                   e.kind = 'HOLD_STARTED' or coalesce((e.detail ->> 'afterInflation')::boolean, false) as set,
                   g.offset_kpa, g.slope
            from log_current e
            left join gauge g on g.id = e.gauge_id
            where e.kind in ('PRESSURE_READ', 'HOLD_STARTED', 'HOLD_ENDED')
              and e.wheel_id in <foreach collection="wheels" item="wheel" open="(" separator="," close=")">#{wheel}</foreach>
            order by e.happened_at, e.sequence
            </script>
            """)
    List<ReadRow> readings(Collection<UUID> wheels);

    /** A tire of the rider's. */
    record TireRow(UUID id, String name, double widthMm, double bsdMm, BigDecimal price, LocalDate retiredOn) {}

    @Select("""
            select id, name, nominal_width_mm as width_mm, bsd_mm, price, retired_on
            from tire order by retired_on is not null, name, id
            """)
    List<TireRow> tires();
}
