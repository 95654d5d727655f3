-- Seldom words are found by their own index. The planner would walk the log by time instead, because only the first
-- page is asked for, and walk all of it when the word stands in a few old entries.

-- The rider's entries with these words; nothing when there are more than `most`, or when by what the database knows of
-- its words so many have them that walking by time meets a page of them sooner. The settings leave only the index of the
-- words to read by.
create or replace function entries_with(asked text, most integer) returns uuid[]
  language plpgsql stable security definer
  set search_path = public, pg_temp set enable_seqscan = off set enable_indexscan = off set jit = off
  as $$
declare
  found uuid[];
  share double precision;
  wanted tsquery := plainto_tsquery(stems_of_rider()::regconfig, asked);
begin
  select exp(sum(ln(coalesce(known.share, 0.00001)))) into share
  from unnest(tsvector_to_array(to_tsvector(stems_of_rider()::regconfig, asked))) as word
  left join (
    select u.word, u.share
    from pg_stats s, unnest(s.most_common_elems::text::text[], s.most_common_elem_freqs) as u(word, share)
    where s.schemaname = 'public' and s.tablename = 'log_entry' and s.attname = 'lexemes' and u.share > 0) known
    using (word);
  if share > 0.01 then return null; end if;
  select array_agg(e.id) into found from (
    select id from log_entry
    where owner = current_rider() and lexemes @@ wanted limit most + 1) e;
  if cardinality(found) > most then return null; end if;
  return coalesce(found, '{}');
end
$$;

revoke execute on function entries_with(text, integer) from public;

-- Ids of the entries in which all terms are found, newest first. Row security would keep the words' index from being
-- used, so this looks with the rights of the tables' owner, and names the rider itself.
--
-- terms: a list of {"words": text, "without": boolean, "named": {"bike_id": [ids], ...}}. An entry has a term by its own
-- words, or by what it names.
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
    wanted := plainto_tsquery(stems_of_rider()::regconfig, term ->> 'words');
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

revoke execute on function find_log(jsonb, text[], uuid, uuid, uuid, timestamptz, timestamptz, boolean, timestamptz,
  bigint, integer) from public;
grant execute on function find_log(jsonb, text[], uuid, uuid, uuid, timestamptz, timestamptz, boolean, timestamptz,
  bigint, integer) to ${appRole};
