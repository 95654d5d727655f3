package org.stratopneum.web.parts.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The shelf as rows; how much was taken comes from the log. */
@Mapper
interface ShelfMapper {

    String ITEMS = """
            select s.id, s.kind, s.name, s.amount, s.width_mm, s.length_mm, s.min_width_mm, s.max_width_mm, s.bsd_mm,
                   s.valve, s.removable_core, s.side_holes, s.valve_base, s.tool, s.family, s.co2_safe, s.largest_hole_mm,
                   s.opened_on, s.best_before, s.bought_on, s.price, s.retired_on, s.version,
                   coalesce(taken.amount, 0) as used
            from shelf_item s
            left join lateral (
              select sum(case e.kind
                           when 'SEALANT_ADDED' then (e.detail ->> 'volumeMl')::double precision
                           when 'RIM_TAPED' then coalesce((e.detail ->> 'lengthM')::double precision, 0)
                           else 1 end) as amount
              from log_current e where e.part_id = s.id) taken on true
            """;

    @Select(ITEMS + "order by s.retired_on is not null, s.kind, s.name, s.id")
    List<ShelfItem> items();

    /** A bottle, and whether its sealant bears carbon dioxide. */
    record BottleRow(UUID id, boolean co2Safe) {}

    @Select("select id, co2_safe from shelf_item where kind = 'SEALANT'")
    List<BottleRow> bottles();

    @Select(ITEMS + "where s.id = #{id}")
    Optional<ShelfItem> item(UUID id);

    @Insert("""
            insert into shelf_item (id, kind, name, amount, width_mm, length_mm, min_width_mm, max_width_mm, bsd_mm,
                                    valve, removable_core, side_holes, valve_base, tool, family, co2_safe, largest_hole_mm,
                                    opened_on, best_before, bought_on, price)
            values (#{id}, #{kind}, #{name}, #{amount}, #{widthMm}, #{lengthMm}, #{minWidthMm}, #{maxWidthMm}, #{bsdMm},
                    #{valve}, #{removableCore}, #{sideHoles}, #{valveBase}, #{tool}, #{family}, #{co2Safe}, #{largestHoleMm},
                    #{openedOn}, #{bestBefore}, #{boughtOn}, #{price})
            on conflict do nothing
            """)
    int insert(ShelfItem item);

    @Update("""
            update shelf_item
            set name = #{name}, amount = #{amount}, width_mm = #{widthMm}, length_mm = #{lengthMm},
                min_width_mm = #{minWidthMm}, max_width_mm = #{maxWidthMm}, bsd_mm = #{bsdMm}, valve = #{valve},
                removable_core = #{removableCore}, side_holes = #{sideHoles}, valve_base = #{valveBase}, tool = #{tool}, family = #{family},
                co2_safe = #{co2Safe}, largest_hole_mm = #{largestHoleMm}, opened_on = #{openedOn},
                best_before = #{bestBefore}, bought_on = #{boughtOn}, price = #{price}, version = version + 1
            where id = #{id} and version = #{version}
            """)
    int update(ShelfItem item);

    @Update("update shelf_item set retired_on = #{on}, version = version + 1 where id = #{id}")
    int retire(@Param("id") UUID id, @Param("on") LocalDate on);

    /** What is on a wheel of the shelf: the last valve, and the tube and insert of the tire that is on. */
    @Select(ITEMS + """
            join (
              select distinct on (p.kind) p.id
              from log_current e join shelf_item p on p.id = e.part_id
              where e.wheel_id = #{wheelId} and e.kind = 'PART_FITTED'
                and (p.kind = 'VALVE' or e.happened_at >= coalesce((
                  select f.happened_at from log_current f
                  where f.wheel_id = #{wheelId} and f.kind = 'TIRE_FITTED'
                  order by f.happened_at desc, f.sequence desc limit 1), '-infinity'))
              order by p.kind, e.happened_at desc, e.sequence desc) last on last.id = s.id
            """)
    List<ShelfItem> onWheel(UUID wheelId);
}
