-- How the demo rider looks after her wheels, and what she wants to be reminded of.

update rider set scoop_ml = 60;

insert into wheel_care (wheel_id, dose, schedule, months, look_every_days, version) values
  ('d0000000-0000-4000-8000-000000000601', 'STANDARD', 'MEASURED', null, 14, 1),
  ('d0000000-0000-4000-8000-000000000602', 'STANDARD', 'MEASURED', null, 14, 1),
  ('d0000000-0000-4000-8000-000000000605', 'STANDARD', 'EVERY_MONTHS', 4, null, 1),
  ('d0000000-0000-4000-8000-000000000606', 'STANDARD', 'EVERY_MONTHS', 4, null, 1);

insert into follow_up (id, wheel_id, what, job, due_on, made_at)
select f.id::uuid, f.wheel::uuid, f.what, f.job, demo_day + f.days, (demo_day - 2 + time '19:00') at time zone zone
from rider, (values
  ('d0000000-0000-4000-8000-000000000951', 'd0000000-0000-4000-8000-000000000602',
   'look at the thorn hole from inside', 'CHANGE_TIRE', 9),
  ('d0000000-0000-4000-8000-000000000952', null, 'grease the hut''s floor pump', null, 20)) as f (id, wheel, what, job, days);
