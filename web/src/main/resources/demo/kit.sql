-- What is in the demo rider's bags. One cartridge of the bikepacking bike was used since she counted; the gravel bike's
-- large ones do not go with its head and its limit, as its page says.

insert into kit (bike_id, counted_at, plugs, plugs_want, tubes, tubes_want, boots, boots_want, patches, patches_want,
                 cores, cores_want, cartridges, cartridges_want, cartridge_g, opened_left, head_shuts, head, pump,
                 pump_head, pump_stroke_ml, pump_most_kpa, tube_min_mm, tube_max_mm, tube_bsd_mm, tube_valve,
                 tube_valve_mm, plug_tool, core_tool, levers, gloves, sealant_ml)
select k.bike::uuid, (demo_day - k.days + time '18:15') at time zone zone, k.plugs, 4, k.tubes, 1, k.boots, 1,
       k.patches, k.patches_want, k.cores, k.cores_want, k.cartridges, k.cartridges, k.grams, 0, k.shuts, k.head, k.pump,
       k.pump_head, k.stroke, k.most, k.low, k.high, k.bsd, k.valve, k.valve_mm, k.tool, k.tool, true, k.tool, k.sealant
from rider, (values
  ('d0000000-0000-4000-8000-000000000301', 20, 4, 1, 1, 4, 4, 1, 1, 2, 16.0, true, 'BOTH', 'ROUND', 'BOTH',
   null::float8, null::float8, 50.0, 62.0, 622.0, 'PRESTA', 48.0, true, 60.0),
  ('d0000000-0000-4000-8000-000000000302', 31, 0, 1, 0, 6, 6, 0, 0, 0, null, false, null, 'OWN', 'SCHRADER',
   95.0, 450.0, 50.0, 65.0, 406.0, 'SCHRADER', 35.0, false, null),
  ('d0000000-0000-4000-8000-000000000303', 6, 3, 1, 0, 0, 0, 1, 1, 2, 25.0, false, 'PRESTA', null, null,
   null, null, 35.0, 45.0, 622.0, 'PRESTA', 60.0, true, null))
  as k (bike, days, plugs, tubes, boots, patches, patches_want, cores, cores_want, cartridges, grams, shuts, head, pump,
        pump_head, stroke, most, low, high, bsd, valve, valve_mm, tool, sealant);
