alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED', 'RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET',
  'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED', 'CARE_DONE', 'LEAK_FOUND'));
alter table log_entry add check (kind <> 'LEAK_FOUND' or wheel_id is not null);

-- What was found is counted over all wheels.
create index log_entry_of_leaks on log_entry (owner) where kind = 'LEAK_FOUND';

-- What gauges showed lately is asked for all wheels at once.
create index log_entry_of_readings on log_entry (owner, happened_at desc, sequence desc)
  where kind in ('PRESSURE_READ', 'HOLD_STARTED', 'HOLD_ENDED');

-- A search for a leak, left and gone on with; what was found in the end stands in the log.
create table leak_search (
  owner     uuid not null default current_rider() references rider on delete cascade,
  id        uuid not null,
  wheel_id  uuid not null,
  system    text not null check (system in ('TUBELESS', 'TUBE')),
  mode      text not null check (mode in ('MEND_SOON', 'NAME_IT')),
  known     text not null check (length(known) <= 400),
  begun_at  timestamptz not null,
  ended_at  timestamptz,
  found     uuid,
  primary key (owner, id),
  foreign key (owner, wheel_id) references wheel on delete cascade
);

comment on column leak_search.known is 'Circumstances by their names in the model, with blanks between';
comment on column leak_search.found is 'The entry of the log that says what it was; null where it was given up';

create unique index leak_search_open on leak_search (owner, wheel_id) where ended_at is null;

create table leak_search_step (
  owner      uuid not null default current_rider() references rider on delete cascade,
  search_id  uuid not null,
  kind       text not null check (kind in ('SEEN', 'NOT_HERE', 'MENDED')),
  code       text not null check (length(code) <= 40),
  answer     text not null check (length(answer) <= 40),
  nr         bigint generated always as identity,
  primary key (owner, search_id, kind, code),
  foreign key (owner, search_id) references leak_search on delete cascade
);

-- Where bubbles were seen, the valve at twelve.
create table leak_spot (
  owner      uuid not null default current_rider() references rider on delete cascade,
  search_id  uuid not null,
  zone       text not null check (length(zone) <= 20),
  hour       double precision not null check (hour > 0 and hour <= 12),
  nr         bigint generated always as identity,
  primary key (owner, search_id, zone, hour),
  foreign key (owner, search_id) references leak_search on delete cascade
);

-- A fault to find for practice; all of it follows from its seed and from what was done.
create table drill_round (
  owner     uuid not null default current_rider() references rider on delete cascade,
  id        uuid not null,
  seed      bigint not null,
  begun_at  timestamptz not null,
  ended_at  timestamptz,
  primary key (owner, id)
);

create table drill_step (
  owner     uuid not null default current_rider() references rider on delete cascade,
  round_id  uuid not null,
  kind      text not null check (kind in ('LOOKED', 'NAMED')),
  code      text not null check (length(code) <= 40),
  nr        bigint generated always as identity,
  primary key (owner, round_id, kind, code),
  foreign key (owner, round_id) references drill_round on delete cascade
);

do $$
declare
  fenced text;
begin
  foreach fenced in array array['leak_search', 'leak_search_step', 'leak_spot', 'drill_round', 'drill_step']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;

grant select, insert, update, delete on leak_search, leak_search_step, leak_spot, drill_round, drill_step to ${appRole};

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
  update rider set demo_day = today where id = demo_rider;
  return moved;
end
$$;
