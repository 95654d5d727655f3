-- What is needed before it is known who asks lies in a schema of its own: sessions, and the guard that slows guessing.
-- It names no bike and no entry; everything of a rider stays behind the fence of V1.
create schema visits;

create table visits.spring_session (
  primary_id             char(36) not null primary key,
  session_id             char(36) not null,
  creation_time          bigint not null,
  last_access_time       bigint not null,
  max_inactive_interval  int not null,
  expiry_time            bigint not null,
  principal_name         varchar(100)
);

create unique index spring_session_ix1 on visits.spring_session (session_id);
create index spring_session_ix2 on visits.spring_session (expiry_time);
create index spring_session_ix3 on visits.spring_session (principal_name);

create table visits.spring_session_attributes (
  session_primary_id  char(36) not null references visits.spring_session (primary_id) on delete cascade,
  attribute_name      varchar(200) not null,
  attribute_bytes     bytea not null,
  primary key (session_primary_id, attribute_name)
);

create table visits.sign_in_guard (
  key           text primary key,
  failures      integer not null check (failures > 0),
  last_failure  timestamptz not null
);

grant usage on schema visits to ${appRole};
grant select, insert, update, delete
  on visits.spring_session, visits.spring_session_attributes, visits.sign_in_guard to ${appRole};

create table account (
  owner          uuid primary key default current_rider() references rider on delete cascade,
  name           text not null check (length(name) between 2 and 40),
  name_key       text not null unique,
  password_hash  text not null,
  email          text check (length(email) between 3 and 254),
  created_at     timestamptz not null,
  version        integer not null default 0
);

create table recovery_code (
  owner      uuid not null default current_rider() references rider on delete cascade,
  code_hash  text not null,
  used_at    timestamptz,
  primary key (owner, code_hash)
);

alter table account enable row level security;
create policy own_rows on account using (owner = current_rider()) with check (owner = current_rider());
alter table recovery_code enable row level security;
create policy own_rows on recovery_code using (owner = current_rider()) with check (owner = current_rider());

grant select, insert, update, delete on account, recovery_code to ${appRole};

-- The one look through the fence: who signs in is not known yet. It gives one row for one exact name, and no list.
create function account_for_sign_in(wanted text) returns table (rider_id uuid, password_hash text)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select owner, account.password_hash from account where name_key = wanted $$;

revoke execute on function account_for_sign_in(text) from public;
grant execute on function account_for_sign_in(text) to ${appRole};

-- Deleting a rider deletes everything of theirs; parts refer to each other, so they go with the rider too.
