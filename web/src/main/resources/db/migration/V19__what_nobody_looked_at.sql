-- What nobody looked at is neither yes nor no: it is asked later, and nothing is judged by it.
alter table tire
  alter column tubeless_marked drop not null, alter column tubeless_marked drop default,
  alter column hookless_allowed drop not null, alter column hookless_allowed drop default;
comment on column tire.tubeless_marked is 'null while nobody looked; the same for hookless_allowed';
alter table rim
  alter column hookless drop not null, alter column hookless drop default,
  add column width_assumed boolean;
comment on column rim.hookless is 'null while nobody looked';
comment on column rim.width_assumed is 'true where its internal width is only usual for its first tire, not measured';
