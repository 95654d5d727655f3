alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED', 'RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET',
  'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED', 'CARE_DONE'));
alter table log_entry add check (kind <> 'CARE_DONE' or wheel_id is not null);

-- When a wheel was last cared for is asked for all wheels at once.
create index log_entry_of_care on log_entry (owner, wheel_id, happened_at) where kind in ('CARE_DONE', 'JOB_ENDED');

-- How long wheels were out is asked for all bikes at once.
create index log_entry_of_rides on log_entry (owner, happened_at) where kind = 'RIDDEN';

-- How a rider looks after a wheel; a wheel without a row is looked after as is usual.
create table wheel_care (
  owner            uuid not null default current_rider() references rider on delete cascade,
  wheel_id         uuid not null,
  dose             text not null check (dose in ('LEAN', 'STANDARD', 'GENEROUS')),
  maker_ml         double precision check (maker_ml > 0 and maker_ml <= 1000),
  schedule         text not null
    check (schedule in ('MEASURED', 'UNTIL_DRY', 'MONTHLY_TOP_UP', 'EVERY_MONTHS', 'SEASON_START', 'BEFORE_EVENT')),
  months           integer check (months between 2 and 6),
  starts_on        date,
  look_every_days  integer check (look_every_days between 1 and 365),
  version          integer not null default 0,
  primary key (owner, wheel_id),
  foreign key (owner, wheel_id) references wheel on delete cascade,
  check (schedule not in ('MONTHLY_TOP_UP', 'EVERY_MONTHS') or months is not null),
  check (schedule not in ('SEASON_START', 'BEFORE_EVENT') or starts_on is not null)
);

comment on column wheel_care.maker_ml is 'What the maker of the tire or the sealant says (ml); it wins over the dose of the school';
comment on column wheel_care.months is 'Between renewals, or between fillings; kept while another plan is followed';
comment on column wheel_care.starts_on is 'The event, or a day on which a season starts: only its month and day count';

-- Something that a rider wants to be reminded of; what is due by itself is computed and not kept.
create table follow_up (
  owner     uuid not null default current_rider() references rider on delete cascade,
  id        uuid not null,
  wheel_id  uuid,
  what      text not null check (length(what) between 1 and 200),
  job       text check (length(job) <= 40),
  due_on    date not null,
  made_at   timestamptz not null,
  done_at   timestamptz,
  primary key (owner, id),
  foreign key (owner, wheel_id) references wheel on delete cascade
);

-- What was put off or skipped, by the name of the matter. A matter that is due later than that stands again.
create table agenda_mark (
  owner    uuid not null default current_rider() references rider on delete cascade,
  matter   text not null check (length(matter) between 1 and 100),
  act      text not null check (act in ('PUT_OFF', 'SKIPPED')),
  due_on   date not null,
  until    date,
  reason   text check (length(reason) <= 200),
  made_at  timestamptz not null,
  primary key (owner, matter),
  check ((act = 'PUT_OFF') = (until is not null))
);

comment on column agenda_mark.due_on is 'When the matter was due as it was put off or skipped';

-- What is due, by mail. Nothing is sent before the address was confirmed by a link that was sent there.
create table digest (
  owner         uuid primary key default current_rider() references rider on delete cascade,
  address       text not null check (length(address) between 3 and 254),
  every         text not null check (every in ('DAY', 'WEEK')),
  secret        text not null unique check (length(secret) >= 40),
  confirmed_at  timestamptz,
  next_at       timestamptz not null
);

-- Looks through the fence. Who follows a link from a mail is not known yet: one rider for one exact secret.
create function rider_of_digest(asked text) returns uuid
  language sql stable security definer set search_path = public, pg_temp
  as $$ select owner from digest where secret = asked $$;

-- Whose digest is to be sent. Each is handed out once in an hour, so that several instances send it once, and one that
-- could not be sent comes again.
create function claim_digests(as_of timestamptz, most integer) returns setof uuid
  language sql security definer set search_path = public, pg_temp
  as $$
    update digest set next_at = as_of + interval '1 hour'
    where owner in (
      select owner from digest
      where confirmed_at is not null and next_at <= as_of
      order by next_at limit most for update skip locked)
    returning owner
  $$;

revoke execute on function rider_of_digest(text), claim_digests(timestamptz, integer) from public;

-- How damp the room is where bikes stand; null where nobody measured it.
alter table place add column indoor_humidity double precision check (indoor_humidity between 0 and 100);

comment on column place.indoor_humidity is 'Relative humidity (%); only with a temperature of its own';

-- What the rider measures sealant out with.
alter table rider add column scoop_ml double precision check (scoop_ml between 1 and 500);

do $$
declare
  fenced text;
begin
  foreach fenced in array array['wheel_care', 'follow_up', 'agenda_mark', 'digest']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;

grant select, insert, update, delete on wheel_care, follow_up, agenda_mark, digest to ${appRole};
grant execute on function rider_of_digest(text), claim_digests(timestamptz, integer) to ${appRole};

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
  update rider set demo_day = today where id = demo_rider;
  return moved;
end
$$;
