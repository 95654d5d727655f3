-- What is to be done in the background, and by when, for whichever process gets to it first. The table is the library's.
create schema work;
grant usage on schema work to ${appRole};

create table work.scheduled_tasks (
  task_name             text not null,
  task_instance         text not null,
  task_data             bytea,
  execution_time        timestamptz not null,
  picked                boolean not null,
  picked_by             text,
  last_success          timestamptz,
  last_failure          timestamptz,
  consecutive_failures  integer,
  last_heartbeat        timestamptz,
  version               bigint not null,
  priority              smallint,
  primary key (task_name, task_instance)
);
create index scheduled_tasks_by_time on work.scheduled_tasks (execution_time);
create index scheduled_tasks_by_heartbeat on work.scheduled_tasks (last_heartbeat);
grant select, insert, update, delete on work.scheduled_tasks to ${appRole};

-- A file that brings down whoever reads it is not tried for ever.
alter table import_run add column attempts integer not null default 0 check (attempts >= 0);

-- Rows that something was wrong with: a file to mend them in is made of their numbers. Whether the others are brought in
-- without them is for the rider to say.
alter table import_run add column leaves_out boolean not null default false;
alter table import_run add column left_out integer[] not null default '{}';

-- What else is to be known of a file that was read, in words.
alter table import_run add column notes jsonb not null default '[]' check (jsonb_typeof(notes) = 'array');

alter table track add column temperature_c double precision check (temperature_c between -60 and 60);
comment on column track.temperature_c is 'Mean of what the device measured on its way (°C); in the sun it reads too warm';

-- What calendars have heard of, so that they hear of what changes and of what is done.
create table feed_entry (
  owner       uuid not null default current_rider() references rider on delete cascade,
  matter      text not null,
  due         date not null,
  what        text not null,
  path        text,
  sequence    integer not null check (sequence >= 0),
  changed_at  timestamptz not null,
  alarm_at    timestamptz,
  gone_at     timestamptz,
  primary key (owner, matter)
);
alter table feed_entry enable row level security;
create policy own_rows on feed_entry using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on feed_entry to ${appRole};

-- What a token may do, by names.
alter table api_token add column scopes text[] not null default '{}';
update api_token set scopes = array_remove(array[case when may_read then 'READ' end, case when may_append then 'APPEND' end], null);
alter table api_token add check (cardinality(scopes) > 0);
alter table api_token alter column scopes drop default;
drop function token_by_digest(text);
alter table api_token drop column may_read, drop column may_append;

create function token_by_digest(asked text) returns table (rider_id uuid, token_id uuid, scopes text)
  language sql stable security definer set search_path = public, pg_temp
  as $$
    select owner, id, array_to_string(api_token.scopes, ' ')
    from api_token where digest = asked and revoked_at is null
  $$;
revoke execute on function token_by_digest(text) from public;
grant execute on function token_by_digest(text) to ${appRole};

-- Addresses that are told when something has become due, and what each was told.
create table webhook (
  owner    uuid not null default current_rider() references rider on delete cascade,
  id       uuid not null,
  url      text not null check (length(url) between 8 and 500),
  secret   text not null check (length(secret) = 43),
  made_at  timestamptz not null,
  next_at  timestamptz not null,
  primary key (owner, id)
);
create index webhook_by_time on webhook (next_at);

-- One for each matter that is due: as long as it is, the address is not told of it again.
create table webhook_delivery (
  owner       uuid not null default current_rider() references rider on delete cascade,
  webhook_id  uuid not null,
  matter      text not null,
  id          uuid not null,
  what        text not null,
  body        text not null,
  made_at     timestamptz not null,
  attempts    integer not null default 0 check (attempts >= 0),
  answer      text,
  sent_at     timestamptz,
  given_up    boolean not null default false,
  primary key (owner, webhook_id, matter),
  unique (owner, id),
  foreign key (owner, webhook_id) references webhook on delete cascade
);

do $$
declare
  fenced text;
begin
  foreach fenced in array array['webhook', 'webhook_delivery']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;
grant select, insert, update, delete on webhook, webhook_delivery to ${appRole};

-- Whose webhooks are to be looked after, each handed out once in ten minutes.
create function claim_webhooks(as_of timestamptz, most integer) returns setof uuid
  language sql security definer set search_path = public, pg_temp
  as $$
    with claimed as (
      update webhook set next_at = as_of + interval '10 minutes'
      where (owner, id) in (
        select owner, id from webhook where next_at <= as_of order by next_at limit most for update skip locked)
      returning owner)
    select distinct owner from claimed
  $$;
revoke execute on function claim_webhooks(timestamptz, integer) from public;
grant execute on function claim_webhooks(timestamptz, integer) to ${appRole};

-- How a rider writes days, hours and numbers.
alter table rider add column dates text not null default 'DAY_FIRST' check (dates in ('DAY_FIRST', 'MONTH_FIRST', 'YEAR_FIRST'));
alter table rider add column twelve_hours boolean not null default false;
alter table rider add column first_day text not null default 'MONDAY' check (first_day in
  ('MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'));
alter table rider add column decimal_comma boolean not null default false;
