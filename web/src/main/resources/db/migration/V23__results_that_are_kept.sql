-- What was worked out of a wheel, kept for as long as what it was worked out from is the same; anything here may be
-- deleted at any time.
create table kept_result (
  owner     uuid not null default current_rider() references rider on delete cascade,
  wheel_id  uuid not null,
  matter    text not null check (matter ~ '^[A-Z_]{1,30}$'),
  -- a digest of the model and of all that went into it
  made_from bytea not null check (length(made_from) = 32),
  result    jsonb not null,
  primary key (owner, wheel_id, matter),
  foreign key (owner, wheel_id) references wheel on delete cascade
);
alter table kept_result enable row level security;
create policy own_rows on kept_result using (owner = current_rider()) with check (owner = current_rider());
grant select, insert, update, delete on kept_result to ${appRole};
