alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED', 'RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET',
  'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED', 'CARE_DONE', 'LEAK_FOUND', 'TRAIL_MEND'));
alter table log_entry add check (kind <> 'TRAIL_MEND' or (wheel_id is not null and bike_id is not null));

-- The last stop of each bike tells what is left in its bag.
create index log_entry_of_stops on log_entry (owner, bike_id, happened_at desc) where kind = 'TRAIL_MEND';

-- What was in a bike's bag when somebody last looked; what was used since stands in the log.
create table kit (
  owner            uuid not null default current_rider() references rider on delete cascade,
  bike_id          uuid not null,
  counted_at       timestamptz not null,
  plugs            integer not null check (plugs between 0 and 99),
  plugs_want       integer not null check (plugs_want between 0 and 99),
  tubes            integer not null check (tubes between 0 and 99),
  tubes_want       integer not null check (tubes_want between 0 and 99),
  boots            integer not null check (boots between 0 and 99),
  boots_want       integer not null check (boots_want between 0 and 99),
  patches          integer not null check (patches between 0 and 99),
  patches_want     integer not null check (patches_want between 0 and 99),
  cores            integer not null check (cores between 0 and 99),
  cores_want       integer not null check (cores_want between 0 and 99),
  cartridges       integer not null check (cartridges between 0 and 99),
  cartridges_want  integer not null check (cartridges_want between 0 and 99),
  cartridge_g      double precision check (cartridge_g between 1 and 100),
  opened_left      double precision not null default 0 check (opened_left between 0 and 1),
  head_shuts       boolean not null,
  head             text check (head in ('PRESTA', 'SCHRADER', 'BOTH')),
  pump             text check (pump in ('THIN', 'ROUND', 'THICK', 'FLOOR', 'OWN')),
  pump_head        text check (pump_head in ('PRESTA', 'SCHRADER', 'BOTH')),
  pump_stroke_ml   double precision check (pump_stroke_ml between 10 and 1500),
  pump_most_kpa    double precision check (pump_most_kpa between 100 and 2000),
  tube_min_mm      double precision,
  tube_max_mm      double precision,
  tube_bsd_mm      double precision,
  tube_valve       text check (tube_valve in ('PRESTA', 'SCHRADER')),
  tube_valve_mm    double precision,
  plug_tool        boolean not null,
  core_tool        boolean not null,
  levers           boolean not null,
  gloves           boolean not null,
  sealant_ml       double precision check (sealant_ml between 0 and 2000),
  version          integer not null default 1,
  primary key (owner, bike_id),
  foreign key (owner, bike_id) references bike on delete cascade,
  check (cartridges = 0 and opened_left = 0 or cartridge_g is not null),
  check (pump <> 'OWN' or (pump_stroke_ml is not null and pump_most_kpa is not null)),
  check (tubes = 0 or (tube_min_mm is not null and tube_max_mm >= tube_min_mm and tube_bsd_mm is not null))
);

alter table kit enable row level security;
create policy own_rows on kit using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on kit to ${appRole};

-- What is left to do after a stop is a reminder that goes with it: struck through in the log, it takes this with it.
alter table follow_up add column errand text check (length(errand) <= 40);
alter table follow_up add column stop_at timestamptz;

create or replace function move_demo_to(demo_rider uuid, today date) returns integer
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
  update shelf_item
  set bought_on = bought_on + days, opened_on = opened_on + days, best_before = best_before + days
  where owner = demo_rider;
  update job_card
  set begun_at = (begun_at at time zone tz + make_interval(days => days)) at time zone tz,
      ended_at = (ended_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update job_card_answer
  set answered_at = (answered_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update gauge_pair
  set read_at = (read_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update wheel_care set starts_on = starts_on + days where owner = demo_rider;
  update follow_up
  set due_on = due_on + days,
      stop_at = (stop_at at time zone tz + make_interval(days => days)) at time zone tz,
      made_at = (made_at at time zone tz + make_interval(days => days)) at time zone tz,
      done_at = (done_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update agenda_mark
  set due_on = due_on + days, until = until + days,
      made_at = (made_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update leak_search
  set begun_at = (begun_at at time zone tz + make_interval(days => days)) at time zone tz,
      ended_at = (ended_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update drill_round
  set begun_at = (begun_at at time zone tz + make_interval(days => days)) at time zone tz,
      ended_at = (ended_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update kit
  set counted_at = (counted_at at time zone tz + make_interval(days => days)) at time zone tz
  where owner = demo_rider;
  update rider set demo_day = today where id = demo_rider;
  return moved;
end
$$;
