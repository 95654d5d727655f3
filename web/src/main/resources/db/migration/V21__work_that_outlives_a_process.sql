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
