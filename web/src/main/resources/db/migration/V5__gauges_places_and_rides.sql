-- What a scale said of each wheel, the rider aboard and nothing on the racks; it replaces the share by posture.
alter table bike drop column share_front;
alter table bike
  add column weighed_rear_kg   double precision check (weighed_rear_kg between 2 and 300),
  add column weighed_front_kg  double precision check (weighed_front_kg between 2 and 300),
  add check ((weighed_rear_kg is null) = (weighed_front_kg is null));
