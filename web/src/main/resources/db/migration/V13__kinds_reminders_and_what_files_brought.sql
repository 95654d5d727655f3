-- The kinds of the log are rows: a new kind is one more, and nothing of the log is looked at again.
create table log_kind (
  kind  text primary key
);
insert into log_kind (kind) values
  ('PRESSURE_READ'),
  ('TIRE_FITTED'),
  ('TIRE_REMOVED'),
  ('WHEELSET_MOUNTED'),
  ('HOLD_STARTED'),
  ('HOLD_ENDED'),
  ('RIM_TAPED'),
  ('PART_FITTED'),
  ('SEALANT_ADDED'),
  ('JOB_ENDED'),
  ('WARNING_ACCEPTED'),
  ('RIDDEN'),
  ('OWN_PRESSURE'),
  ('DIALLING_RESET'),
  ('SEALANT_DIPPED'),
  ('SEALANT_HEARD'),
  ('PUNCTURE_SEALED'),
  ('CARE_DONE'),
  ('LEAK_FOUND'),
  ('TRAIL_MEND'),
  ('TREAD_MEASURED');
grant select on log_kind to ${appRole};

alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind foreign key (kind) references log_kind not valid;
alter table log_entry validate constraint log_entry_kind;

-- A reminder is what its rider typed, or a code with what it is about: words are made when it is shown. What a search for
-- a leak wrote as a sentence stays as it is; which cause it meant cannot be told from it.
alter table follow_up alter column what drop not null;
alter table follow_up add column cause text check (length(cause) <= 40);
update follow_up set what = null where errand is not null;
alter table follow_up add check (num_nonnulls(what, errand, cause) = 1);

-- What becomes of parts that a file brought and that are taken out again is decided by the application, by its rider's
-- day. What the log names cannot be deleted: the log holds on to it.
drop function take_items_out(uuid);
grant delete on tire, rim, shelf_item to ${appRole};
