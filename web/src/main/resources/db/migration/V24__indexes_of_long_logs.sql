-- What a page looks for in a log of years is found without walking through the readings between.

-- Hardly any entry supersedes another: those that do are looked for in an index of just these.
alter table log_entry drop constraint log_entry_owner_supersedes_key;
create unique index log_entry_superseding on log_entry (owner, supersedes) where supersedes is not null;
create or replace view log_head with (security_invoker = true) as
  select e.*
  from log_entry e
  where not exists (
    select 1 from log_entry n where n.owner = e.owner and n.supersedes = e.id and n.supersedes is not null);

create index log_entry_of_fittings on log_entry (owner, wheel_id, happened_at desc, sequence desc)
  where kind in ('TIRE_FITTED', 'TIRE_REMOVED');
create index log_entry_of_mountings on log_entry (owner, bike_id, happened_at desc, sequence desc)
  where kind = 'WHEELSET_MOUNTED';

-- Words are looked for in one rider's log: the index begins with them, so that it reads no one else's.
create extension if not exists btree_gin;
drop index log_entry_of_words;
create index log_entry_of_words on log_entry using gin (owner, lexemes);
