-- The demo never ages: its entries move forward by whole days, what a visitor wrote with them. The application may not
-- change the log, so this runs with the rights of the tables' owner. What has a day of its own is moved here.

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

revoke execute on function move_demo_to(uuid, date) from public;
grant execute on function move_demo_to(uuid, date) to ${appRole};
