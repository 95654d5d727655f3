-- A look at both wheels of Sledge that was begun yesterday evening and lies where it was left.

insert into job_card (id, job, bike_id, choices, begun_at) values
  ('d0000000-0000-4000-8000-000000000901', 'PREVENTION_LOOK', 'd0000000-0000-4000-8000-000000000303',
   '{"eBike": false, "disc": true, "newTire": false, "insert": false, "coreRemovable": true, "injector": true,
     "wet": false, "twoTurns": false, "tapeStart": "OPPOSITE", "chamberL": null, "chamberKpa": null,
     "compressor": false, "cartridgeG": null, "ring": false, "overnight": true, "school": "USUAL",
     "dose": "STANDARD", "tubeKind": "BUTYL_TUBE",
     "from": {"sealant": null, "tape": null, "valve": null, "tube": null, "insert": null}}',
   (select (demo_day - 1 + time '18:10') at time zone zone from rider));

insert into job_card_wheel (card_id, wheel_id, tire_id, holding) values
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000605', 'd0000000-0000-4000-8000-000000000705',
   '["REAR", "HOOKLESS", "TIRE_ON", "LIQUID_INSIDE", "CORE_REMOVABLE", "DISC"]'),
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000606', 'd0000000-0000-4000-8000-000000000706',
   '["HOOKLESS", "TIRE_ON", "LIQUID_INSIDE", "CORE_REMOVABLE", "DISC"]');

insert into job_card_answer (card_id, wheel_id, step, answer, answered_at) values
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000606', 'look-spin', 'DONE', (select (demo_day - 1 + time '18:12') at time zone zone from rider)),
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000605', 'look-spin', 'DONE', (select (demo_day - 1 + time '18:14') at time zone zone from rider)),
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000605', 'look-tread', 'NOTHING_FOUND', (select (demo_day - 1 + time '18:16') at time zone zone from rider)),
  ('d0000000-0000-4000-8000-000000000901', 'd0000000-0000-4000-8000-000000000605', 'look-flanks', 'NOTHING_FOUND', (select (demo_day - 1 + time '18:17') at time zone zone from rider));
