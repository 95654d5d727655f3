-- From when on a name or a network is heard again: counted before a password is looked at, so that forty tries at once
-- are forty.
alter table visits.sign_in_guard
  add column heard_from timestamptz not null default '-infinity',
  add check (length(key) <= 200);
create index sign_in_guard_by_age on visits.sign_in_guard (last_failure);

-- What the application signs with: which devices it knows, which forms it made. Made by whoever needs it first.
create table visits.signing_key (
  name      text primary key,
  key       bytea not null check (length(key) = 32),
  made_at   timestamptz not null
);
grant select, insert on visits.signing_key to ${appRole};

-- What was done at the door of an account, for its rider to see.
create table account_event (
  owner    uuid not null default current_rider() references rider on delete cascade,
  id       bigint generated always as identity,
  at       timestamptz not null,
  kind     text not null check (length(kind) <= 40),
  device   text not null check (length(device) <= 120),
  address  text not null check (length(address) <= 60),
  primary key (owner, id)
);
create index account_event_by_time on account_event (owner, at);

-- A second step at signing in: codes of an authenticator (RFC 6238). Asked for once it was confirmed by a code.
create table second_step (
  owner         uuid primary key default current_rider() references rider on delete cascade,
  secret        bytea not null check (length(secret) = 20),
  made_at       timestamptz not null,
  confirmed_at  timestamptz,
  last_step     bigint not null default 0
);
comment on column second_step.last_step is 'The time step of the code that was used last: each is good for once';

do $$
declare
  fenced text;
begin
  foreach fenced in array array['account_event', 'second_step']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;
grant select, insert, update, delete on account_event, second_step to ${appRole};

-- What a rider has sent on a day (of UTC): files and their bytes, and rows that were read of them.
create table sent_on_day (
  owner  uuid not null default current_rider() references rider on delete cascade,
  day    date not null,
  files  integer not null default 0,
  bytes  bigint not null default 0,
  rows   bigint not null default 0,
  primary key (owner, day)
);
alter table sent_on_day enable row level security;
create policy own_rows on sent_on_day using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on sent_on_day to ${appRole};

-- How far the tables have come, for an application that may not look at how they got there.
create function schema_step() returns integer
  language sql stable security definer set search_path = public, pg_temp
  as $$ select max(version::integer) from flyway_schema_history where success and version is not null $$;
revoke execute on function schema_step() from public;
grant execute on function schema_step() to ${appRole};
