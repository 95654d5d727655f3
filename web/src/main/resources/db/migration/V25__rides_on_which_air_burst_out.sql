-- Rides on which air burst out at a bead are few among many: what is read after one says nothing of a leak.

create index log_entry_of_bursts on log_entry (owner, wheelset_id, happened_at)
  where kind = 'RIDDEN' and (detail #>> '{rear,burp}' = 'true' or detail #>> '{front,burp}' = 'true');
