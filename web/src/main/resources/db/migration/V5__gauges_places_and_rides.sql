-- What a scale said of each wheel, the rider aboard and nothing on the racks; it replaces the share by posture.
alter table bike drop column share_front;
alter table bike
  add column weighed_rear_kg   double precision check (weighed_rear_kg between 2 and 300),
  add column weighed_front_kg  double precision check (weighed_front_kg between 2 and 300),
  add check ((weighed_rear_kg is null) = (weighed_front_kg is null));

-- How a gauge stands to the reference, fitted from the pairs whenever one of them changes: reference = offset + slope x
-- shown. At most one gauge is the one in hand.
alter table gauge
  add column in_hand     boolean not null default false,
  add column offset_kpa  double precision not null default 0,
  add column slope       double precision not null default 1 check (slope > 0);

create unique index gauge_one_in_hand on gauge (owner) where in_hand;

-- The same tire, read with two gauges within minutes.
create table gauge_pair (
  owner          uuid not null default current_rider() references rider on delete cascade,
  id             uuid not null,
  gauge_id       uuid not null,
  reference_id   uuid not null,
  shown_kpa      double precision not null check (shown_kpa between 0 and 2000),
  reference_kpa  double precision not null check (reference_kpa between 0 and 2000),
  read_at        timestamptz not null,
  struck         boolean not null default false,
  primary key (owner, id),
  foreign key (owner, gauge_id) references gauge,
  foreign key (owner, reference_id) references gauge,
  check (gauge_id <> reference_id)
);

create index gauge_pair_of_gauge on gauge_pair (owner, gauge_id, read_at);

alter table gauge_pair enable row level security;
create policy own_rows on gauge_pair using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on gauge_pair to ${appRole};

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
  update rider set demo_day = today where id = demo_rider;
  return moved;
end
$$;
