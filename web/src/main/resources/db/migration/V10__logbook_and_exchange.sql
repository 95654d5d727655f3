-- A rider's own words on an entry, and the words under which it is found: those of its line, of the note, and what the
-- detail holds as text. Stems are English, as the pages are.
alter table log_entry add column note text check (length(note) between 1 and 2000);
alter table log_entry add column words text not null default '' check (length(words) <= 2000);

create function words_of_entry(kind text, detail jsonb, words text, note text) returns tsvector
  language sql immutable parallel safe
  as $$
    select to_tsvector('english', words || ' ' || coalesce(note, '') || ' ' || replace(kind, '_', ' '))
        || jsonb_to_tsvector('english', detail - 'card' - 'track', '["string"]')
  $$;

alter table log_entry
  add column lexemes tsvector not null generated always as (words_of_entry(kind, detail, words, note)) stored;

create index log_entry_of_words on log_entry using gin (lexemes);
-- what a script reads on from
create index log_entry_by_sequence on log_entry (owner, sequence);
create index log_entry_of_kind on log_entry (owner, kind, happened_at desc, sequence desc);
create index log_entry_of_source on log_entry (owner, source_reference) where source_reference is not null;

create or replace view log_head with (security_invoker = true) as
  select e.*
  from log_entry e
  where not exists (select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id);

create or replace view log_current with (security_invoker = true) as
  select * from log_head where not struck;

-- Ids of the entries in which all terms are found, newest first. Row security would keep the words' index from being
-- used, so this looks with the rights of the tables' owner, and names the rider itself.
--
-- terms: a list of {"words": text, "without": boolean, "named": {"bike_id": [ids], ...}}. An entry has a term by its own
-- words, or by what it names.
create function find_log(terms jsonb, kinds text[], bike uuid, wheel uuid, tire uuid, since timestamptz,
                         until timestamptz, with_struck boolean, before_time timestamptz, before_sequence bigint,
                         most integer)
  returns setof uuid
  language plpgsql stable security definer set search_path = public, pg_temp
  as $$
declare
  term   jsonb;
  named  record;
  has    text;
  asked  text := '';
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
    -- words that every text has
    continue when numnode(plainto_tsquery('english', term ->> 'words')) = 0;
    has := format('e.lexemes @@ plainto_tsquery(''english'', %L)', term ->> 'words');
    for named in select key, value from jsonb_each(term -> 'named') loop
      if named.key not in ('bike_id', 'wheelset_id', 'wheel_id', 'tire_id', 'gauge_id', 'place_id', 'part_id') then
        raise exception 'an entry names no %', named.key;
      end if;
      has := has || format(' or coalesce(e.%I = any(%L::uuid[]), false)', named.key,
                           (select array_agg(value::uuid) from jsonb_array_elements_text(named.value)));
    end loop;
    asked := asked || case when (term ->> 'without')::boolean then ' and not (' else ' and (' end || has || ')';
  end loop;
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

-- A picture beside an entry, and beside whatever takes its place. The bytes are made anew from the picture, so that
-- nothing but the picture is kept.
create table photo (
  owner       uuid not null default current_rider() references rider on delete cascade,
  id          uuid not null,
  entry_id    uuid not null,
  media_type  text not null check (media_type in ('image/jpeg', 'image/png')),
  width       integer not null check (width between 1 and 4000),
  height      integer not null check (height between 1 and 4000),
  bytes       bytea not null check (length(bytes) between 1 and 10000000),
  added_at    timestamptz not null,
  removed_at  timestamptz,
  primary key (owner, id),
  foreign key (owner, entry_id) references log_entry (owner, id)
);
create index photo_of_entry on photo (owner, entry_id);
-- a picture that is packed already
alter table photo alter column bytes set storage external;

-- What a script or a gauge may do in a rider's name. Only the digest of the token is kept.
create table api_token (
  owner       uuid not null default current_rider() references rider on delete cascade,
  id          uuid not null,
  name        text not null check (length(name) between 1 and 60),
  digest      text not null unique check (length(digest) = 64),
  may_read    boolean not null,
  may_append  boolean not null,
  made_at     timestamptz not null,
  used_at     timestamptz,
  revoked_at  timestamptz,
  primary key (owner, id),
  check (may_read or may_append)
);

-- A look through the fence, as at signing in: one rider for one exact digest of a token that still holds.
create function token_by_digest(asked text) returns table (rider_id uuid, token_id uuid, may_read boolean, may_append boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select owner, id, api_token.may_read, api_token.may_append
    from api_token where digest = asked and revoked_at is null
  $$;

revoke execute on function token_by_digest(text) from public;
grant execute on function token_by_digest(text) to ${appRole};

do $$
declare
  fenced text;
begin
  foreach fenced in array array['photo', 'api_token']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;
grant select, insert, update, delete on photo, api_token to ${appRole};

-- A file that is brought in: kept in pieces until it is in, so that any process can go on with it, with how it is
-- understood, how far it has come, and what is wrong with it.
create table import_run (
  owner          uuid not null default current_rider() references rider on delete cascade,
  id             uuid not null,
  format         text not null check (format in ('CSV', 'ARCHIVE')),
  file_name      text not null check (length(file_name) <= 200),
  bytes          bigint not null check (bytes > 0),
  sha256         bytea not null check (length(sha256) = 32),
  settings       jsonb not null default '{}' check (jsonb_typeof(settings) = 'object'),
  state          text not null check (state in ('RECEIVED', 'CHECKING', 'CHECKED', 'RUNNING', 'DONE', 'FAILED', 'UNDONE')),
  bytes_read     bigint not null default 0,
  rows_read      integer not null default 0,
  added          integer not null default 0,
  repeated       integer not null default 0,
  fault_count    integer not null default 0,
  faults         jsonb not null default '[]' check (jsonb_typeof(faults) = 'array'),
  was_empty      boolean not null default false,
  last_sequence  bigint,
  made_at        timestamptz not null,
  beat_at        timestamptz not null,
  version        integer not null default 1,
  primary key (owner, id)
);

create table import_piece (
  owner      uuid not null default current_rider() references rider on delete cascade,
  import_id  uuid not null,
  number     integer not null check (number >= 0),
  content    bytea not null,
  primary key (owner, import_id, number),
  foreign key (owner, import_id) references import_run on delete cascade
);
alter table import_piece alter column content set storage external;

do $$
declare
  fenced text;
begin
  foreach fenced in array array['import_run', 'import_piece']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;
grant select, insert, update, delete on import_run, import_piece to ${appRole};

-- Takes everything of a garage out again, log and all: for an archive that was brought into an empty garage, as long as
-- nothing was written since. The application may delete nothing of the log, so this runs with the rights of its owner,
-- and looks once more.
create function take_garage_out(import uuid) returns boolean
  language plpgsql security definer set search_path = public, pg_temp
  as $$
declare
  me     uuid := current_rider();
  emptied text;
begin
  perform 1 from import_run
  where owner = me and id = import and format = 'ARCHIVE' and state = 'DONE' and was_empty
    and last_sequence is not distinct from (select max(sequence) from log_entry where owner = me)
  for update;
  if not found then
    return false;
  end if;
  foreach emptied in array array[
    'kit', 'drill_step', 'drill_round', 'leak_spot', 'leak_search_step', 'leak_search', 'agenda_mark', 'follow_up',
    'wheel_care', 'job_card_answer', 'job_card_wheel', 'job_card', 'dialled', 'gauge_pair', 'photo', 'log_entry',
    'track_piece', 'track', 'shelf_item', 'wheel', 'tire', 'rim', 'wheelset', 'bike_ground', 'bike', 'gauge', 'place']
  loop
    execute format('delete from %I where owner = $1', emptied) using me;
  end loop;
  return true;
end
$$;
revoke execute on function take_garage_out(uuid) from public;
grant execute on function take_garage_out(uuid) to ${appRole};
