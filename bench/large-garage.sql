-- Makes the demo rider's garage large: five times her bikes, 30 wheels in them, and five years of log.
-- Run by the owner of the tables on a database of its own; see command_bench in ./stratopneum.

create function pg_temp.other(id uuid, copy integer) returns uuid language sql immutable
  as $$ select case when id is null or copy = 0 then id else md5(id::text || copy)::uuid end $$;

-- Four more of each bike, with parts of their own.
insert into bike
select owner, pg_temp.other(id, k), name || ' ' || k, position + 10 * k, posture, bike_kg, gear_kg, luggage_front_kg,
       luggage_middle_kg, luggage_rear_kg, drop_school, wet, retired_on, version, opening_rear_mm, opening_front_mm,
       weighed_rear_kg, weighed_front_kg
from bike, generate_series(1, 4) k;
insert into bike_ground
select owner, pg_temp.other(bike_id, k), ground, share from bike_ground, generate_series(1, 4) k;
insert into wheelset
select owner, pg_temp.other(id, k), pg_temp.other(bike_id, k), name, retired_on, version
from wheelset, generate_series(1, 4) k;
insert into rim
select owner, pg_temp.other(id, k), name, bsd_mm, internal_width_mm, depth_mm, hookless, tubeless_bed, max_kpa, spokes,
       bought_on, price, retired_on, version, valve_hole_mm, valve_seat, valve_off_centre
from rim, generate_series(1, 4) k;
insert into tire
select owner, pg_temp.other(id, k), name, nominal_width_mm, bsd_mm, measuring_rim_width_mm, casing, tubeless_marked,
       hookless_allowed, directional, max_kpa, min_kpa, max_load_kg, bought_on, price, retired_on, version
from tire, generate_series(1, 4) k;
insert into wheel
select owner, pg_temp.other(id, k), pg_temp.other(wheelset_id, k), position, pg_temp.other(rim_id, k), version
from wheel, generate_series(1, 4) k;
insert into wheel_care
select owner, pg_temp.other(wheel_id, k), dose, maker_ml, schedule, months, starts_on, look_every_days, version
from wheel_care, generate_series(1, 4) k;
insert into dialled
select owner, pg_temp.other(bike_id, k), position, model, factor, low, high, notes, own_kpa
from dialled, generate_series(1, 4) k;

-- The year once more for each of them, and four years before it.
insert into log_entry (owner, id, kind, happened_at, written_at, zone, bike_id, wheelset_id, wheel_id, tire_id, gauge_id,
                       place_id, temperature_c, detail, detail_version, source, source_reference, supersedes, struck,
                       part_id)
select owner, pg_temp.other(id, 100 * k + y), kind, happened_at - make_interval(days => 371 * y),
       written_at - make_interval(days => 371 * y), zone, pg_temp.other(bike_id, k), pg_temp.other(wheelset_id, k),
       pg_temp.other(wheel_id, k), pg_temp.other(tire_id, k), gauge_id, place_id, temperature_c, detail, detail_version,
       source, source_reference,
       case when supersedes is null then null else pg_temp.other(supersedes, 100 * k + y) end, struck, part_id
from log_entry, generate_series(0, 4) k, generate_series(0, 4) y
where k + y > 0
order by happened_at - make_interval(days => 371 * y), sequence;

analyze bike, wheelset, rim, tire, wheel, log_entry;
