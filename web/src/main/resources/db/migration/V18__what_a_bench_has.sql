-- Answers of job cards are kept with what they belong to: the bike, the wheel, the rider.
alter table bike add column e_bike boolean, add column disc boolean;
comment on column bike.e_bike is 'null while nobody was asked; the same for disc';
alter table wheel
  add column valve text check (valve in ('PRESTA', 'SCHRADER', 'DUNLOP')),
  add column core_removable boolean,
  add column hub text check (hub in ('QUICK_RELEASE', 'THRU_AXLE', 'NUTS', 'GEAR_HUB', 'HUB_MOTOR'));
comment on column wheel.valve is 'null while nobody was asked; the same for core_removable and hub';
alter table rider add column bench jsonb not null default '{}' check (jsonb_typeof(bench) = 'object');
comment on column rider.bench is 'What is at hand in the workshop and how jobs are usually done, by the names of a card''s choices';

alter table shelf_item drop constraint shelf_item_valve_check,
  add constraint shelf_item_valve_check check (valve in ('PRESTA', 'SCHRADER', 'DUNLOP'));
alter table kit drop constraint kit_tube_valve_check,
  add constraint kit_tube_valve_check check (tube_valve in ('PRESTA', 'SCHRADER', 'DUNLOP'));

-- What the last card of a rider was begun with, kept as before
update rider r
set bench = last.choices - array['eBike', 'disc', 'newTire', 'insert', 'coreRemovable', 'topUpMl', 'from']
from (select distinct on (owner) owner, choices from job_card order by owner, begun_at desc) last
where last.owner = r.id;
