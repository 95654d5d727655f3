-- Everything on the shelf that is not a rim, a tire or a gauge. What is left of it is not kept here: the log says what
-- was taken.
create table shelf_item (
  owner            uuid not null default current_rider() references rider on delete cascade,
  id               uuid not null,
  kind             text not null check (kind in ('VALVE', 'TUBE', 'INSERT', 'TAPE', 'SEALANT', 'TOOL')),
  name             text not null check (length(btrim(name)) between 1 and 80),
  amount           double precision not null default 1 check (amount > 0 and amount <= 100000),
  width_mm         double precision check (width_mm between 5 and 130),
  length_mm        double precision check (length_mm between 20 and 150),
  min_width_mm     double precision check (min_width_mm between 16 and 130),
  max_width_mm     double precision check (max_width_mm between 16 and 130),
  bsd_mm           double precision check (bsd_mm between 150 and 700),
  valve            text check (valve in ('PRESTA', 'SCHRADER')),
  removable_core   boolean not null default false,
  side_holes       boolean not null default false,
  valve_base       text check (valve_base in ('ROUND', 'SQUARE', 'WEDGE')),
  tool             text,
  family           text check (family in ('LATEX_AMMONIA', 'LATEX_LOW_AMMONIA', 'SYNTHETIC', 'FIBRE')),
  co2_safe         boolean not null default false,
  largest_hole_mm  double precision check (largest_hole_mm > 0 and largest_hole_mm <= 30),
  opened_on        date,
  best_before      date,
  bought_on        date,
  price            numeric(10, 2) check (price >= 0),
  retired_on       date,
  version          integer not null default 0,
  primary key (owner, id),
  check (min_width_mm <= max_width_mm),
  check (kind <> 'TAPE' or width_mm is not null),
  check (kind <> 'TUBE' or (min_width_mm is not null and max_width_mm is not null and bsd_mm is not null)),
  check (kind <> 'SEALANT' or family is not null),
  check (kind <> 'TOOL' or tool is not null)
);

comment on column shelf_item.amount is 'What came home: pieces, metres of tape, millilitres of sealant';

alter table rim
  add column valve_hole_mm     double precision check (valve_hole_mm between 4 and 15),
  add column valve_seat        text check (valve_seat in ('ROUND', 'SQUARE', 'WEDGE')),
  add column valve_off_centre  boolean not null default false;

comment on column rim.valve_seat is 'Shape of the bed where the base of the valve lies';

alter table bike
  add column opening_rear_mm   double precision check (opening_rear_mm between 15 and 200),
  add column opening_front_mm  double precision check (opening_front_mm between 15 and 200);

comment on column bike.opening_rear_mm is 'Room between the stays where the tire is widest; the same for the fork';

-- More kinds of entries, and what of the shelf an entry is about.
alter table log_entry add column part_id uuid;
alter table log_entry add foreign key (owner, part_id) references shelf_item;
create index log_entry_of_part on log_entry (owner, part_id, happened_at desc, sequence desc) where part_id is not null;
create index log_entry_of_tire on log_entry (owner, tire_id, happened_at desc, sequence desc) where tire_id is not null;

alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED'));
alter table log_entry
  add check (kind not in ('HOLD_STARTED', 'HOLD_ENDED')
    or (wheel_id is not null and (detail ->> 'gaugeKpa')::double precision between 0 and 2000)),
  add check (kind <> 'SEALANT_ADDED'
    or (wheel_id is not null and (detail ->> 'volumeMl')::double precision between 0 and 1000)),
  add check (kind not in ('RIM_TAPED', 'JOB_ENDED', 'WARNING_ACCEPTED') or wheel_id is not null),
  add check (kind <> 'PART_FITTED' or (wheel_id is not null and part_id is not null));

create or replace view log_head with (security_invoker = true) as
  select e.*
  from log_entry e
  where not exists (select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id);

create or replace view log_current with (security_invoker = true) as
  select * from log_head where not struck;

-- A job card is what a rider is in the middle of. Its answers are kept one by one, so that none is lost; how far it has
-- come is computed from them.
create table job_card (
  owner     uuid not null default current_rider() references rider on delete cascade,
  id        uuid not null,
  job       text not null,
  bike_id   uuid not null,
  choices   jsonb not null check (jsonb_typeof(choices) = 'object'),
  begun_at  timestamptz not null,
  ended_at  timestamptz,
  left_off  boolean not null default false,
  primary key (owner, id),
  foreign key (owner, bike_id) references bike,
  check (not left_off or ended_at is not null)
);

create index job_card_open on job_card (owner) where ended_at is null;

comment on column job_card.left_off is 'Whether it was left before its end';

create table job_card_wheel (
  owner     uuid not null default current_rider(),
  card_id   uuid not null,
  wheel_id  uuid not null,
  tire_id   uuid,
  holding   jsonb not null check (jsonb_typeof(holding) = 'array'),
  primary key (owner, card_id, wheel_id),
  foreign key (owner, card_id) references job_card on delete cascade,
  foreign key (owner, wheel_id) references wheel,
  foreign key (owner, tire_id) references tire
);

comment on column job_card_wheel.holding is 'The conditions of the job that held when the card was begun';

create table job_card_answer (
  owner          uuid not null default current_rider(),
  card_id        uuid not null,
  wheel_id       uuid not null,
  step           text not null,
  answer         text not null,
  value          double precision,
  temperature_c  double precision check (temperature_c between -60 and 90),
  read_in        text check (read_in in ('PSI', 'BAR', 'KPA')),
  answered_at    timestamptz not null,
  primary key (owner, card_id, wheel_id, step),
  foreign key (owner, card_id, wheel_id) references job_card_wheel on delete cascade
);

do $$
declare
  fenced text;
begin
  foreach fenced in array array['shelf_item', 'job_card', 'job_card_wheel', 'job_card_answer']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;

grant select, insert, update, delete on shelf_item, job_card, job_card_wheel, job_card_answer to ${appRole};
