-- A mass without a name is what the keeper of the bikes weighed when they kept it for this one.
alter table bike
  add column rider_name  text check (length(btrim(rider_name)) between 1 and 80),
  add column rider_kg    double precision check (rider_kg between 10 and 250),
  add check (rider_name is null or rider_kg is not null);
comment on column bike.rider_kg is 'What its rider weighs (kg); null where it is what the keeper weighs';
