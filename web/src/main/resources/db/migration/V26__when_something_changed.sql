-- That something of a rider's has changed: what was worked out before may be answered again for as long as nothing has. One
-- row for each transaction that changed something; they are counted and summed up, as transactions end in any order.
create table rider_change (
  owner   uuid not null references rider on delete cascade,
  -- the wheel of which pressures were read: that changes little else, and is written most; no wheel for all else
  wheel   uuid not null,
  change  bigint not null,
  at      timestamptz not null default now(),
  primary key (owner, wheel, change)
);
alter table rider_change enable row level security;

-- A text that is another one whenever something of the rider's has changed but pressures that were read; and one for each
-- wheel of which some were read lately, as "wheel=text,wheel=text".
create function changes_of(whose uuid) returns table (but_readings text, readings text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
with counted as (
  select wheel, count(*) || '+' || sum(change) as text from rider_change where owner = whose group by wheel)
select coalesce(max(text) filter (where wheel = '00000000-0000-0000-0000-000000000000'), ''),
       coalesce(string_agg(wheel || '=' || text, ',' order by wheel)
         filter (where wheel <> '00000000-0000-0000-0000-000000000000'), '')
from counted
$$;
revoke execute on function changes_of(uuid) from public;
grant execute on function changes_of(uuid) to ${appRole};

-- Nothing that was worked out is answered for as long as an hour, so that what changed longer ago may be forgotten. What a
-- transaction has noted is listed in a setting of its own.
create function note_change(whose uuid, wheel uuid) returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
begin
  -- of a rider who is gone nothing is noted
  insert into rider_change (owner, wheel, change)
  select whose, note_change.wheel, pg_current_xact_id()::text::bigint from rider where id = whose
  on conflict do nothing;
  if found then
    delete from rider_change
    where (owner, rider_change.wheel, change) in (
      select c.owner, c.wheel, c.change from rider_change c
      where c.owner = whose and c.at < now() - interval '1 hour'
      for update skip locked);
  end if;
  perform set_config(
    'stratopneum.noted', concat(current_setting('stratopneum.noted', true), ' ', whose, '/', note_change.wheel), true);
end
$$;
revoke execute on function note_change(uuid, uuid) from public;

-- Whether it has to be noted that a row has changed. Quick, as it is asked for each row.
create function change_is_new(whose uuid, wheel uuid) returns boolean
  language sql stable
  as $$
select strpos(coalesce(current_setting('stratopneum.noted', true), ''), whose || '/' || wheel) = 0
$$;

-- Of the wheel that was read, where the trigger says so.
create function row_has_changed() returns trigger
  language plpgsql security definer set search_path = public, pg_temp
  as $$
declare
  changed record;
begin
  if tg_op = 'DELETE' then
    changed := old;
  else
    changed := new;
  end if;
  if tg_nargs > 0 then
    perform note_change(changed.owner, changed.wheel_id);
  else
    perform note_change(changed.owner, '00000000-0000-0000-0000-000000000000');
  end if;
  return changed;
end
$$;

create function rider_has_changed() returns trigger
  language plpgsql security definer set search_path = public, pg_temp
  as $$
begin
  perform note_change(new.id, '00000000-0000-0000-0000-000000000000');
  return new;
end
$$;

create trigger changed_rider before update on rider for each row execute function rider_has_changed();

create trigger read_new before insert or update on log_entry for each row
  when (new.kind = 'PRESSURE_READ' and new.wheel_id is not null and change_is_new(new.owner, new.wheel_id))
  execute function row_has_changed('reading');
create trigger read_old before delete on log_entry for each row
  when (old.kind = 'PRESSURE_READ' and old.wheel_id is not null and change_is_new(old.owner, old.wheel_id))
  execute function row_has_changed('reading');
create trigger changed_new before insert or update on log_entry for each row
  when ((new.kind <> 'PRESSURE_READ' or new.wheel_id is null)
    and change_is_new(new.owner, '00000000-0000-0000-0000-000000000000'))
  execute function row_has_changed();
create trigger changed_old before delete on log_entry for each row
  when ((old.kind <> 'PRESSURE_READ' or old.wheel_id is null)
    and change_is_new(old.owner, '00000000-0000-0000-0000-000000000000'))
  execute function row_has_changed();

do $$
declare
  watched text;
begin
  foreach watched in array array[
    'agenda_feed', 'agenda_mark', 'bike', 'bike_ground', 'dialled', 'drill_round', 'drill_step', 'feed_entry', 'follow_up',
    'gauge', 'gauge_pair', 'job_card', 'job_card_answer', 'job_card_wheel', 'kit', 'leak_search', 'leak_search_step',
    'leak_spot', 'place', 'rim', 'shelf_item', 'tire', 'track', 'wheel', 'wheel_care', 'wheelset']
  loop
    execute format(
      'create trigger changed_new before insert or update on %I for each row '
        'when (change_is_new(new.owner, ''00000000-0000-0000-0000-000000000000'')) execute function row_has_changed()',
      watched);
    execute format(
      'create trigger changed_old before delete on %I for each row '
        'when (change_is_new(old.owner, ''00000000-0000-0000-0000-000000000000'')) execute function row_has_changed()',
      watched);
  end loop;
end
$$;
