-- Invented rider, invented parts. Runs inside the demo rider's transaction, so every row is hers by default.

insert into place (id, name, height_m, home, indoor_c, latitude_deg, longitude_deg) values
  ('d0000000-0000-4000-8000-000000000101', 'Hut workshop', 940, true, 16, 47.3105, -21.4020),
  ('d0000000-0000-4000-8000-000000000102', 'Quennar Foot', 320, false, null, 47.2790, -21.3440),
  ('d0000000-0000-4000-8000-000000000103', 'Quennar Mire', 1180, false, null, 47.3260, -21.4310),
  ('d0000000-0000-4000-8000-000000000104', 'Quennar Saddle', 1640, false, null, 47.3412, -21.4555),
  ('d0000000-0000-4000-8000-000000000105', 'Quennar Top', 2180, false, null, 47.3538, -21.4702);

insert into gauge (id, name, unit, reference) values
  ('d0000000-0000-4000-8000-000000000201', 'Hut floor pump', 'PSI', true),
  ('d0000000-0000-4000-8000-000000000202', 'Station gauge', 'BAR', false);

insert into gauge_pair (id, gauge_id, reference_id, shown_kpa, reference_kpa, read_at)
select p.id::uuid, 'd0000000-0000-4000-8000-000000000202', 'd0000000-0000-4000-8000-000000000201', p.shown,
       p.reference, (demo_day - 47 + time '17:20') at time zone zone
from rider, (values
  ('d0000000-0000-4000-8000-000000000211', 131.0, 120.7),
  ('d0000000-0000-4000-8000-000000000212', 172.0, 162.0),
  ('d0000000-0000-4000-8000-000000000213', 226.0, 213.7),
  ('d0000000-0000-4000-8000-000000000214', 291.0, 279.2)) as p (id, shown, reference);

insert into bike (id, name, position, posture, bike_kg, gear_kg, luggage_front_kg, luggage_middle_kg, luggage_rear_kg, drop_school) values
  ('d0000000-0000-4000-8000-000000000301', 'Skylark', 1, 'MOUNTAIN', 12.8, 5, 3.5, 4, 4.5, 'BALANCED'),
  ('d0000000-0000-4000-8000-000000000302', 'Heron', 2, 'CARGO', 38, 4, 0, 0, 45, 'GRIP'),
  ('d0000000-0000-4000-8000-000000000303', 'Sledge', 3, 'GRAVEL', 9.6, 4, 0, 2, 0, 'BALANCED');

insert into bike_ground (bike_id, ground, share) values
  ('d0000000-0000-4000-8000-000000000301', 'FOREST_TRACK', 0.5),
  ('d0000000-0000-4000-8000-000000000301', 'COARSE_GRAVEL', 0.3),
  ('d0000000-0000-4000-8000-000000000301', 'CROSS_COUNTRY', 0.2),
  ('d0000000-0000-4000-8000-000000000302', 'SMOOTH_PAVEMENT', 0.5),
  ('d0000000-0000-4000-8000-000000000302', 'BROKEN_PAVEMENT', 0.3),
  ('d0000000-0000-4000-8000-000000000302', 'FINE_GRAVEL', 0.2),
  ('d0000000-0000-4000-8000-000000000303', 'FINE_GRAVEL', 0.6),
  ('d0000000-0000-4000-8000-000000000303', 'BROKEN_PAVEMENT', 0.25),
  ('d0000000-0000-4000-8000-000000000303', 'COARSE_GRAVEL', 0.15);

insert into wheelset (id, bike_id, name) values
  ('d0000000-0000-4000-8000-000000000401', 'd0000000-0000-4000-8000-000000000301', 'Skylark wheels'),
  ('d0000000-0000-4000-8000-000000000402', 'd0000000-0000-4000-8000-000000000302', 'Heron wheels'),
  ('d0000000-0000-4000-8000-000000000403', 'd0000000-0000-4000-8000-000000000303', 'Summer wheels'),
  ('d0000000-0000-4000-8000-000000000404', 'd0000000-0000-4000-8000-000000000303', 'Winter wheels');

insert into rim (id, name, bsd_mm, internal_width_mm, depth_mm, hookless, tubeless_bed, max_kpa, spokes) values
  ('d0000000-0000-4000-8000-000000000501', 'Steady rim 30', 622, 30, 20, false, 'TAPED', 400, 32),
  ('d0000000-0000-4000-8000-000000000502', 'Steady rim 30', 622, 30, 20, false, 'TAPED', 400, 32),
  ('d0000000-0000-4000-8000-000000000503', 'Load rim 30', 406, 30, 22, false, 'UNTAPED', 500, 36),
  ('d0000000-0000-4000-8000-000000000504', 'Load rim 30', 507, 30, 22, false, 'UNTAPED', 500, 36),
  ('d0000000-0000-4000-8000-000000000505', 'Straight rim 25', 622, 25, 30, true, 'TAPED', 500, 24),
  ('d0000000-0000-4000-8000-000000000506', 'Straight rim 25', 622, 25, 30, true, 'TAPED', 500, 24),
  ('d0000000-0000-4000-8000-000000000507', 'Winter rim 21', 622, 21, 22, false, 'UNTAPED', 600, 32),
  ('d0000000-0000-4000-8000-000000000508', 'Winter rim 21', 622, 21, 22, false, 'UNTAPED', 600, 32);

insert into wheel (id, wheelset_id, position, rim_id) values
  ('d0000000-0000-4000-8000-000000000601', 'd0000000-0000-4000-8000-000000000401', 'REAR', 'd0000000-0000-4000-8000-000000000501'),
  ('d0000000-0000-4000-8000-000000000602', 'd0000000-0000-4000-8000-000000000401', 'FRONT', 'd0000000-0000-4000-8000-000000000502'),
  ('d0000000-0000-4000-8000-000000000603', 'd0000000-0000-4000-8000-000000000402', 'REAR', 'd0000000-0000-4000-8000-000000000503'),
  ('d0000000-0000-4000-8000-000000000604', 'd0000000-0000-4000-8000-000000000402', 'FRONT', 'd0000000-0000-4000-8000-000000000504'),
  ('d0000000-0000-4000-8000-000000000605', 'd0000000-0000-4000-8000-000000000403', 'REAR', 'd0000000-0000-4000-8000-000000000505'),
  ('d0000000-0000-4000-8000-000000000606', 'd0000000-0000-4000-8000-000000000403', 'FRONT', 'd0000000-0000-4000-8000-000000000506'),
  ('d0000000-0000-4000-8000-000000000607', 'd0000000-0000-4000-8000-000000000404', 'REAR', 'd0000000-0000-4000-8000-000000000507'),
  ('d0000000-0000-4000-8000-000000000608', 'd0000000-0000-4000-8000-000000000404', 'FRONT', 'd0000000-0000-4000-8000-000000000508');

insert into tire (id, name, nominal_width_mm, bsd_mm, casing, tubeless_marked, hookless_allowed, directional, max_kpa, min_kpa) values
  ('d0000000-0000-4000-8000-000000000701', 'Lichen Tread 57', 57, 622, 'STANDARD', true, true, true, 350, null),
  ('d0000000-0000-4000-8000-000000000702', 'Lichen Tread 57', 57, 622, 'STANDARD', true, true, true, 350, null),
  ('d0000000-0000-4000-8000-000000000703', 'Mule Tread 62', 62, 406, 'HEAVY', false, false, false, 450, 200),
  ('d0000000-0000-4000-8000-000000000704', 'Mule Tread 55', 55, 507, 'HEAVY', false, false, false, 450, 200),
  ('d0000000-0000-4000-8000-000000000705', 'Pebble Tread 42', 42, 622, 'LIGHT', true, true, false, 400, null),
  ('d0000000-0000-4000-8000-000000000706', 'Pebble Tread 42', 42, 622, 'LIGHT', true, true, false, 400, null),
  ('d0000000-0000-4000-8000-000000000707', 'Frost Stud 35', 35, 622, 'STANDARD', false, false, true, 550, 250),
  ('d0000000-0000-4000-8000-000000000708', 'Frost Stud 35', 35, 622, 'STANDARD', false, false, true, 550, 250),
  ('d0000000-0000-4000-8000-000000000709', 'Lichen Tread 57, worn', 57, 622, 'STANDARD', true, true, true, 350, null),
  ('d0000000-0000-4000-8000-000000000710', 'Lichen Tread 57, half worn', 57, 622, 'STANDARD', true, true, true, 350, null);

update tire set price = 52 where name like 'Lichen Tread%' and owner = current_rider();
update tire set price = 46.5 where name like 'Pebble Tread%' and owner = current_rider();

update rim set valve_hole_mm = 6.5, valve_seat = 'ROUND' where owner = current_rider();

update rim set valve_hole_mm = 8.5 where id in ('d0000000-0000-4000-8000-000000000503', 'd0000000-0000-4000-8000-000000000504');

update bike set opening_rear_mm = 78, opening_front_mm = 80 where id = 'd0000000-0000-4000-8000-000000000301';
update bike set opening_rear_mm = 52, opening_front_mm = 54 where id = 'd0000000-0000-4000-8000-000000000303';

insert into rim (id, name, bsd_mm, internal_width_mm, depth_mm, hookless, tubeless_bed, max_kpa, spokes, valve_hole_mm, valve_seat) values
  ('d0000000-0000-4000-8000-000000000509', 'Steady rim 30, spare', 622, 30, 20, false, 'UNTAPED', 400, 32, 6.5, 'ROUND');

insert into shelf_item (id, kind, name, amount, width_mm, length_mm, valve, removable_core, side_holes, valve_base) values
  ('d0000000-0000-4000-8000-000000000801', 'VALVE', 'Reed valve 44', 6, null, 44, 'PRESTA', true, false, 'ROUND'),
  ('d0000000-0000-4000-8000-000000000802', 'VALVE', 'Reed valve 60', 4, null, 60, 'PRESTA', true, true, 'ROUND'),
  ('d0000000-0000-4000-8000-000000000803', 'TAPE', 'Birch tape 32', 10, 32, null, null, false, false, null),
  ('d0000000-0000-4000-8000-000000000804', 'TAPE', 'Birch tape 23', 10, 23, null, null, false, false, null);

insert into shelf_item (id, kind, name, amount, family, co2_safe, largest_hole_mm, opened_on, best_before) values
  ('d0000000-0000-4000-8000-000000000805', 'SEALANT', 'Tarn milk', 1000, 'LATEX_LOW_AMMONIA', false, 6, current_date - 120, current_date + 260),
  ('d0000000-0000-4000-8000-000000000806', 'SEALANT', 'Moss gel for tubes', 500, 'FIBRE', true, 3, current_date - 300, current_date - 20);

update shelf_item set price = 29 where id = 'd0000000-0000-4000-8000-000000000805';
update shelf_item set price = 14.5 where id = 'd0000000-0000-4000-8000-000000000806';

insert into shelf_item (id, kind, name, amount, min_width_mm, max_width_mm, bsd_mm, valve, removable_core) values
  ('d0000000-0000-4000-8000-000000000807', 'TUBE', 'Drover tube 50-65', 3, 50, 65, 622, 'PRESTA', true),
  ('d0000000-0000-4000-8000-000000000808', 'TUBE', 'Drover tube 406', 1, 50, 65, 406, 'SCHRADER', true);

insert into shelf_item (id, kind, name, tool) values
  ('d0000000-0000-4000-8000-000000000809', 'TOOL', 'Yellow levers', 'LEVERS'),
  ('d0000000-0000-4000-8000-000000000810', 'TOOL', 'Core key', 'CORE_TOOL'),
  ('d0000000-0000-4000-8000-000000000811', 'TOOL', 'Hut floor pump', 'PUMP'),
  ('d0000000-0000-4000-8000-000000000812', 'TOOL', 'Workshop alcohol', 'ALCOHOL');

