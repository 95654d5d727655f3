-- Seldom words are found by their own index. The planner would walk the log by time instead, because only the first
-- page is asked for, and walk all of it when the word stands in a few old entries.

-- The rider's entries with these words; nothing when there are more than `most`, or when by what the database knows of
-- its words so many have them that walking by time meets a page of them sooner. The settings leave only the index of the
-- words to read by.
create function entries_with(asked text, most integer) returns uuid[]
  language plpgsql stable security definer
  set search_path = public, pg_temp set enable_seqscan = off set enable_indexscan = off set jit = off
  as $$
declare
  found uuid[];
  share double precision;
begin
  select exp(sum(ln(coalesce(known.share, 0.00001)))) into share
  from unnest(tsvector_to_array(to_tsvector('english', asked))) as word
  left join (
    select u.word, u.share
    from pg_stats s, unnest(s.most_common_elems::text::text[], s.most_common_elem_freqs) as u(word, share)
    where s.schemaname = 'public' and s.tablename = 'log_entry' and s.attname = 'lexemes' and u.share > 0) known
    using (word);
  if share > 0.01 then return null; end if;
  select array_agg(e.id) into found from (
    select id from log_entry
    where owner = current_rider() and lexemes @@ plainto_tsquery('english', asked) limit most + 1) e;
  if cardinality(found) > most then return null; end if;
  return coalesce(found, '{}');
end
$$;

revoke execute on function entries_with(text, integer) from public;

create or replace function find_log(terms jsonb, kinds text[], bike uuid, wheel uuid, tire uuid, since timestamptz,
                                    until timestamptz, with_struck boolean, before_time timestamptz,
                                    before_sequence bigint, most integer)
  returns setof uuid
  language plpgsql stable security definer set search_path = public, pg_temp
  as $$
declare
  term    jsonb;
  named   record;
  wanted  tsquery;
  has     text;
  asked   text := '';
  by_word text := '';
  few     uuid[];
begin
  if kinds is not null then asked := asked || format(' and e.kind = any(%L::text[])', kinds); end if;
  if bike is not null then asked := asked || format(' and e.bike_id = %L', bike); end if;
  if wheel is not null then asked := asked || format(' and e.wheel_id = %L', wheel); end if;
  if tire is not null then asked := asked || format(' and e.tire_id = %L', tire); end if;
  if since is not null then asked := asked || format(' and e.happened_at >= %L', since); end if;
  if until is not null then asked := asked || format(' and e.happened_at < %L', until); end if;
  if not with_struck then asked := asked || ' and not e.struck'; end if;
  if before_time is not null then
    asked := asked || format(' and (e.happened_at, e.sequence) < (%L::timestamptz, %L::bigint)', before_time,
                             before_sequence);
  end if;
  for term in select value from jsonb_array_elements(terms) loop
    wanted := plainto_tsquery('english', term ->> 'words');
    -- words that every text has
    continue when numnode(wanted) = 0;
    has := format('e.lexemes @@ %L::tsquery', wanted::text);
    for named in select key, value from jsonb_each(term -> 'named') loop
      if named.key not in ('bike_id', 'wheelset_id', 'wheel_id', 'tire_id', 'gauge_id', 'place_id', 'part_id') then
        raise exception 'an entry names no %', named.key;
      end if;
      has := has || format(' or coalesce(e.%I = any(%L::uuid[]), false)', named.key,
                           (select array_agg(value::uuid) from jsonb_array_elements_text(named.value)));
    end loop;
    asked := asked || case when (term ->> 'without')::boolean then ' and not (' else ' and (' end || has || ')';
    -- what must be there and no name stands for
    if not (term ->> 'without')::boolean and term -> 'named' = '{}'::jsonb then
      by_word := by_word || ' ' || (term ->> 'words');
    end if;
  end loop;
  if by_word <> '' then
    few := entries_with(by_word, 2000);
    if few is not null then asked := asked || format(' and e.id = any(%L::uuid[])', few); end if;
  end if;
  return query execute
    'select e.id from log_entry e where e.owner = current_rider()'
    || ' and not exists (select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id)'
    || asked || ' order by e.happened_at desc, e.sequence desc limit $1' using most;
end
$$;

alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED', 'RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET',
  'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED', 'CARE_DONE', 'LEAK_FOUND', 'TRAIL_MEND', 'TREAD_MEASURED'));
alter table log_entry add check (kind <> 'TREAD_MEASURED' or tire_id is not null);

alter table import_run drop constraint import_run_format_check;
alter table import_run add constraint import_run_format_check check (format in ('CSV', 'ARCHIVE', 'GPX', 'CALENDAR'));

-- Parts and reminders that a file brought, so that they can be taken out again.
create table import_item (
  owner      uuid not null default current_rider() references rider on delete cascade,
  import_id  uuid not null,
  item_id    uuid not null,
  primary key (owner, import_id, item_id),
  foreign key (owner, import_id) references import_run on delete cascade
);
alter table import_item enable row level security;
create policy own_rows on import_item using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on import_item to ${appRole};

-- Takes the parts and reminders of a file out again: parts that nothing names are gone, what was used since is retired,
-- and reminders are gone that were not done. The application may
-- delete no tires and no rims, so this runs with the rights of the tables' owner; the number that is gone.
create function take_items_out(import uuid) returns integer
  language plpgsql security definer set search_path = public, pg_temp
  as $$
declare
  me     uuid := current_rider();
  gone   integer := 0;
  here   integer;
begin
  delete from tire t using import_item p
  where p.owner = me and p.import_id = import and t.owner = me and t.id = p.item_id
    and not exists (select 1 from log_entry e where e.owner = me and e.tire_id = t.id);
  get diagnostics here = row_count;
  gone := gone + here;
  delete from rim r using import_item p
  where p.owner = me and p.import_id = import and r.owner = me and r.id = p.item_id
    and not exists (select 1 from wheel w where w.owner = me and w.rim_id = r.id);
  get diagnostics here = row_count;
  gone := gone + here;
  delete from shelf_item s using import_item p
  where p.owner = me and p.import_id = import and s.owner = me and s.id = p.item_id
    and not exists (select 1 from log_entry e where e.owner = me and e.part_id = s.id);
  get diagnostics here = row_count;
  gone := gone + here;
  update tire t set retired_on = current_date, version = version + 1 from import_item p
  where p.owner = me and p.import_id = import and t.owner = me and t.id = p.item_id and t.retired_on is null
    and not exists (
      select 1 from log_entry e
      where e.owner = me and e.tire_id = t.id and e.kind = 'TIRE_FITTED'
        and not exists (select 1 from log_entry n where n.owner = me and n.supersedes = e.id)
        and not exists (
          select 1 from log_entry o
          where o.owner = me and o.wheel_id = e.wheel_id and o.kind in ('TIRE_FITTED', 'TIRE_REMOVED')
            and (o.happened_at, o.sequence) > (e.happened_at, e.sequence)
            and not exists (select 1 from log_entry n where n.owner = me and n.supersedes = o.id)));
  update shelf_item s set retired_on = current_date, version = version + 1 from import_item p
  where p.owner = me and p.import_id = import and s.owner = me and s.id = p.item_id and s.retired_on is null;
  delete from follow_up f using import_item p
  where p.owner = me and p.import_id = import and f.owner = me and f.id = p.item_id and f.done_at is null;
  delete from import_item where owner = me and import_id = import;
  return gone;
end
$$;

revoke execute on function take_items_out(uuid) from public;
grant execute on function take_items_out(uuid) to ${appRole};

-- Looks at the log anew after much was brought in: a planner that takes a rider of thousands of entries for one of three
-- compares each with each.
create function look_at_log_anew() returns void
  language plpgsql security definer set search_path = public, pg_temp
  as $$
begin
  analyze log_entry;
end
$$;

revoke execute on function look_at_log_anew() from public;
grant execute on function look_at_log_anew() to ${appRole};
