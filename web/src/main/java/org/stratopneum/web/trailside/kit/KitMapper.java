package org.stratopneum.web.trailside.kit;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Bags as rows. */
@Mapper
interface KitMapper {

    /** The last stop of a bike since its bag was counted. */
    record StopRow(UUID bikeId, String detail, Instant happenedAt) {}

    String KITS = """
            select bike_id, counted_at, plugs, plugs_want, tubes, tubes_want, boots, boots_want, patches, patches_want,
                   cores, cores_want, cartridges, cartridges_want, cartridge_g, opened_left, head_shuts, head, pump,
                   pump_head, pump_stroke_ml, pump_most_kpa, tube_min_mm, tube_max_mm, tube_bsd_mm, tube_valve,
                   tube_valve_mm, plug_tool, core_tool, levers, gloves, sealant_ml, version
            from kit
            """;

    @Select(KITS)
    List<Kit> all();

    @Select(KITS + " where bike_id = #{bikeId}")
    Optional<Kit> of(UUID bikeId);

    @Select("""
            select distinct on (k.bike_id) k.bike_id, e.detail, e.happened_at
            from kit k
            join log_current e on e.owner = k.owner and e.bike_id = k.bike_id
             and e.kind = 'TRAIL_MEND' and e.happened_at > k.counted_at
            order by k.bike_id, e.happened_at desc, e.sequence desc
            """)
    List<StopRow> lastStops();

    @Insert("""
            insert into kit (bike_id, counted_at, plugs, plugs_want, tubes, tubes_want, boots, boots_want, patches,
                             patches_want, cores, cores_want, cartridges, cartridges_want, cartridge_g, opened_left,
                             head_shuts, head, pump, pump_head, pump_stroke_ml, pump_most_kpa, tube_min_mm,
                             tube_max_mm, tube_bsd_mm, tube_valve, tube_valve_mm, plug_tool, core_tool, levers, gloves,
                             sealant_ml)
            values (#{bikeId}, #{countedAt}, #{plugs}, #{plugsWant}, #{tubes}, #{tubesWant}, #{boots}, #{bootsWant},
                    #{patches}, #{patchesWant}, #{cores}, #{coresWant}, #{cartridges}, #{cartridgesWant},
                    #{cartridgeG}, #{openedLeft}, #{headShuts}, #{head}, #{pump}, #{pumpHead}, #{pumpStrokeMl},
                    #{pumpMostKpa}, #{tubeMinMm}, #{tubeMaxMm}, #{tubeBsdMm}, #{tubeValve}, #{tubeValveMm},
                    #{plugTool}, #{coreTool}, #{levers}, #{gloves}, #{sealantMl})
            on conflict do nothing
            """)
    int insert(Kit kit);

    /** 0 when the row was changed since. */
    @Update("""
            update kit set counted_at = #{countedAt}, plugs = #{plugs}, plugs_want = #{plugsWant}, tubes = #{tubes},
                tubes_want = #{tubesWant}, boots = #{boots}, boots_want = #{bootsWant}, patches = #{patches},
                patches_want = #{patchesWant}, cores = #{cores}, cores_want = #{coresWant},
                cartridges = #{cartridges}, cartridges_want = #{cartridgesWant}, cartridge_g = #{cartridgeG},
                opened_left = #{openedLeft}, head_shuts = #{headShuts}, head = #{head}, pump = #{pump},
                pump_head = #{pumpHead}, pump_stroke_ml = #{pumpStrokeMl}, pump_most_kpa = #{pumpMostKpa},
                tube_min_mm = #{tubeMinMm}, tube_max_mm = #{tubeMaxMm}, tube_bsd_mm = #{tubeBsdMm},
                tube_valve = #{tubeValve}, tube_valve_mm = #{tubeValveMm}, plug_tool = #{plugTool},
                core_tool = #{coreTool}, levers = #{levers}, gloves = #{gloves}, sealant_ml = #{sealantMl},
                version = version + 1
            where bike_id = #{bikeId} and version = #{version}
            """)
    int update(Kit kit);
}
