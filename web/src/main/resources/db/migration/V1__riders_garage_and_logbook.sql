-- Owned by the migration role; the application signs in as another role, which owns nothing and sees, through row
-- security, only the rows of the rider that its transaction names.

create function current_rider() returns uuid
  language sql stable
  as $$ select nullif(current_setting('stratopneum.rider', true), '')::uuid $$;

comment on function current_rider() is
  'The rider of this transaction, set by the application when it begins one; null, and so no rows, when it is not set';

create table rider (
  id             uuid primary key,
  name           text not null check (length(btrim(name)) between 1 and 80),
  zone           text not null,
  pressure_unit  text not null check (pressure_unit in ('PSI', 'BAR', 'KPA')),
  body_kg        double precision check (body_kg between 10 and 250),
  created_at     timestamptz not null,
  demo_day       date,
  version        integer not null default 0
);

comment on column rider.demo_day is 'For the demo rider only: the day that its entries were last moved to';

create table place (
  owner     uuid not null default current_rider() references rider on delete cascade,
  id        uuid not null,
  name      text not null check (length(btrim(name)) between 1 and 80),
  height_m  double precision not null check (height_m between -500 and 9000),
  version   integer not null default 0,
  primary key (owner, id)
);

create table gauge (
  owner       uuid not null default current_rider() references rider on delete cascade,
  id          uuid not null,
  name        text not null check (length(btrim(name)) between 1 and 80),
  unit        text not null check (unit in ('PSI', 'BAR', 'KPA')),
  reference   boolean not null default false,
  retired_on  date,
  version     integer not null default 0,
  primary key (owner, id)
);

create unique index gauge_one_reference on gauge (owner) where reference;

create table bike (
  owner              uuid not null default current_rider() references rider on delete cascade,
  id                 uuid not null,
  name               text not null check (length(btrim(name)) between 1 and 80),
  position           integer not null default 0,
  posture            text not null check (posture in ('ROAD', 'GRAVEL', 'MOUNTAIN', 'UPRIGHT', 'CARGO')),
  share_front        double precision check (share_front between 0.1 and 0.9),
  bike_kg            double precision not null check (bike_kg between 2 and 150),
  gear_kg            double precision not null default 0 check (gear_kg between 0 and 60),
  luggage_front_kg   double precision not null default 0 check (luggage_front_kg between 0 and 300),
  luggage_middle_kg  double precision not null default 0 check (luggage_middle_kg between 0 and 300),
  luggage_rear_kg    double precision not null default 0 check (luggage_rear_kg between 0 and 300),
  drop_school        text not null check (drop_school in ('FIRM', 'BALANCED', 'GRIP', 'FLOAT')),
  wet                boolean not null default false,
  retired_on         date,
  version            integer not null default 0,
  primary key (owner, id)
);

create table bike_ground (
  owner    uuid not null default current_rider(),
  bike_id  uuid not null,
  ground   text not null,
  share    double precision not null check (share > 0 and share <= 1),
  primary key (owner, bike_id, ground),
  foreign key (owner, bike_id) references bike on delete cascade
);

create table wheelset (
  owner       uuid not null default current_rider() references rider on delete cascade,
  id          uuid not null,
  bike_id     uuid not null,
  name        text not null check (length(btrim(name)) between 1 and 80),
  retired_on  date,
  version     integer not null default 0,
  primary key (owner, id),
  foreign key (owner, bike_id) references bike
);

create index wheelset_of_bike on wheelset (owner, bike_id);

-- Rims and tires are individuals, not types: two tires of a kind are two rows.
create table rim (
  owner              uuid not null default current_rider() references rider on delete cascade,
  id                 uuid not null,
  name               text not null check (length(btrim(name)) between 1 and 80),
  bsd_mm             double precision not null check (bsd_mm between 150 and 700),
  internal_width_mm  double precision not null check (internal_width_mm between 10 and 120),
  depth_mm           double precision check (depth_mm between 5 and 120),
  hookless           boolean not null default false,
  tubeless_bed       text not null check (tubeless_bed in ('SEALED', 'TAPED', 'UNTAPED', 'NOT_MADE_FOR_IT')),
  max_kpa            double precision check (max_kpa between 50 and 1500),
  spokes             integer check (spokes between 8 and 72),
  bought_on          date,
  price              numeric(10, 2) check (price >= 0),
  retired_on         date,
  version            integer not null default 0,
  primary key (owner, id)
);

create table tire (
  owner                   uuid not null default current_rider() references rider on delete cascade,
  id                      uuid not null,
  name                    text not null check (length(btrim(name)) between 1 and 80),
  nominal_width_mm        double precision not null check (nominal_width_mm between 16 and 130),
  bsd_mm                  double precision not null check (bsd_mm between 150 and 700),
  measuring_rim_width_mm  double precision check (measuring_rim_width_mm between 8 and 120),
  casing                  text not null check (casing in ('LIGHT', 'STANDARD', 'HEAVY')),
  tubeless_marked         boolean not null default false,
  hookless_allowed        boolean not null default false,
  directional             boolean not null default false,
  max_kpa                 double precision check (max_kpa between 50 and 1500),
  min_kpa                 double precision check (min_kpa between 0 and 1500),
  max_load_kg             double precision check (max_load_kg > 0),
  bought_on               date,
  price                   numeric(10, 2) check (price >= 0),
  retired_on              date,
  version                 integer not null default 0,
  primary key (owner, id),
  check (measuring_rim_width_mm < nominal_width_mm),
  check (min_kpa <= max_kpa)
);

create table wheel (
  owner        uuid not null default current_rider() references rider on delete cascade,
  id           uuid not null,
  wheelset_id  uuid not null,
  position     text not null check (position in ('REAR', 'FRONT')),
  rim_id       uuid not null,
  version      integer not null default 0,
  primary key (owner, id),
  unique (owner, wheelset_id, position),
  foreign key (owner, wheelset_id) references wheelset,
  foreign key (owner, rim_id) references rim
);

-- The logbook is the truth. It only grows: the application role may insert and read. A correction is a new entry that
-- supersedes; striking through is a new entry that supersedes and is struck; putting back is one more.
create table log_entry (
  owner             uuid not null default current_rider() references rider on delete cascade,
  id                uuid not null,
  sequence          bigint not null generated always as identity,
  kind              text not null
                    check (kind in ('PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED')),
  happened_at       timestamptz not null,
  written_at        timestamptz not null,
  zone              text not null,
  bike_id           uuid,
  wheelset_id       uuid,
  wheel_id          uuid,
  tire_id           uuid,
  gauge_id          uuid,
  place_id          uuid,
  temperature_c     double precision check (temperature_c between -60 and 90),
  detail            jsonb not null check (jsonb_typeof(detail) = 'object'),
  detail_version    smallint not null check (detail_version > 0),
  source            text not null check (source in ('TYPED', 'JOB_CARD', 'GAUGE', 'IMPORT', 'OFFLINE', 'DEMO')),
  source_reference  text,
  supersedes        uuid,
  struck            boolean not null default false,
  primary key (owner, id),
  unique (sequence),
  -- an entry is superseded once at most: two corrections of the same entry are a conflict, not a fork
  unique (owner, supersedes),
  foreign key (owner, supersedes) references log_entry (owner, id),
  foreign key (owner, bike_id) references bike,
  foreign key (owner, wheelset_id) references wheelset,
  foreign key (owner, wheel_id) references wheel,
  foreign key (owner, tire_id) references tire,
  foreign key (owner, gauge_id) references gauge,
  foreign key (owner, place_id) references place,
  check (supersedes <> id),
  check (not struck or supersedes is not null),
  check (kind <> 'PRESSURE_READ' or (wheel_id is not null
    and (detail ->> 'gaugeKpa')::double precision between 0 and 2000)),
  check (kind not in ('TIRE_FITTED', 'TIRE_REMOVED') or (wheel_id is not null and tire_id is not null)),
  check (kind <> 'WHEELSET_MOUNTED' or (bike_id is not null and wheelset_id is not null))
);

create index log_entry_of_wheel on log_entry (owner, wheel_id, happened_at desc, sequence desc);
create index log_entry_of_bike on log_entry (owner, bike_id, happened_at desc, sequence desc);
create index log_entry_by_time on log_entry (owner, happened_at desc, sequence desc);

-- The last word on every entry: what nothing supersedes. Struck ones are still here, for those who want to show them.
create view log_head with (security_invoker = true) as
  select e.*
  from log_entry e
  where not exists (select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id);

create view log_current with (security_invoker = true) as
  select * from log_head where not struck;

-- The fence between riders.
alter table rider enable row level security;
create policy own_rows on rider using (id = current_rider()) with check (id = current_rider());

do $$
declare
  fenced text;
begin
  foreach fenced in array array['place', 'gauge', 'bike', 'bike_ground', 'wheelset', 'rim', 'tire', 'wheel', 'log_entry']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;

-- The demo never ages: its entries move forward by whole days, what a visitor wrote with them. The application role may
-- not change the logbook, so this runs with the rights of its owner and touches the named demo rider only.
create function move_demo_to(demo_rider uuid, today date) returns integer
  language plpgsql security definer set search_path = public, pg_temp
  as $$
declare
  moved integer;
  days  integer;
  tz    text;
begin
  select today - demo_day, zone into days, tz from rider where id = demo_rider and demo_day is not null for update;
  if days is null or days <= 0 then
    return 0;
  end if;
  update log_entry
  set happened_at = (happened_at at time zone tz + make_interval(days => days)) at time zone tz,
      written_at  = (written_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  get diagnostics moved = row_count;
  update tire set bought_on = bought_on + days where owner = demo_rider;
  update rim set bought_on = bought_on + days where owner = demo_rider;
  update rider set demo_day = today where id = demo_rider;
  return moved;
end
$$;

revoke execute on function move_demo_to(uuid, date) from public;

grant usage on schema public to ${appRole};
grant select, insert, update, delete
  on rider, place, gauge, bike, bike_ground, wheelset, rim, tire, wheel to ${appRole};
grant select, insert on log_entry to ${appRole};
grant select on log_head, log_current to ${appRole};
grant execute on function current_rider(), move_demo_to(uuid, date) to ${appRole};
