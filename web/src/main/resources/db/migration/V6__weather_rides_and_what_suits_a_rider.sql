-- A place may be where the bikes stand, keep a temperature of its own, and lie somewhere on the map.
alter table place
  add column home           boolean not null default false,
  add column indoor_c       double precision check (indoor_c between -30 and 50),
  add column latitude_deg   double precision check (latitude_deg between -90 and 90),
  add column longitude_deg  double precision check (longitude_deg between -180 and 180),
  add column retired_on     date,
  add check ((latitude_deg is null) = (longitude_deg is null));

create unique index place_one_home on place (owner) where home;

comment on column place.indoor_c is 'What the room keeps where bikes stand there; null where they stand outdoors';

alter table log_entry drop constraint log_entry_kind_check;
alter table log_entry add constraint log_entry_kind_check check (kind in (
  'PRESSURE_READ', 'TIRE_FITTED', 'TIRE_REMOVED', 'WHEELSET_MOUNTED', 'HOLD_STARTED', 'HOLD_ENDED', 'RIM_TAPED',
  'PART_FITTED', 'SEALANT_ADDED', 'JOB_ENDED', 'WARNING_ACCEPTED', 'RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET',
  'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED'));
alter table log_entry
  add check (kind not in ('SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED') or wheel_id is not null),
  add check (kind not in ('RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET') or bike_id is not null);

-- What suits a rider is learned from these.
create index log_entry_of_dialling on log_entry (owner, bike_id, happened_at, sequence)
  where kind in ('RIDDEN', 'OWN_PRESSURE', 'DIALLING_RESET');

-- How much sealant is in the tires is asked for all wheels at once.
create index log_entry_of_sealant on log_entry (owner, happened_at desc, sequence desc)
  where kind in ('SEALANT_ADDED', 'SEALANT_DIPPED', 'SEALANT_HEARD', 'PUNCTURE_SEALED');

-- The personal factor of each wheel as its notes give it: computed from the log whenever one of them changes, so that no
-- page has to. It can be thrown away; a row of another version of the model is computed anew.
create table dialled (
  owner     uuid not null default current_rider() references rider on delete cascade,
  bike_id   uuid not null,
  position  text not null check (position in ('REAR', 'FRONT')),
  model     smallint not null,
  factor    double precision not null check (factor > 0),
  low       double precision not null check (low > 0),
  high      double precision not null check (high >= low),
  notes     integer not null check (notes >= 0),
  own_kpa   double precision check (own_kpa between 0 and 2000),
  primary key (owner, bike_id, position),
  foreign key (owner, bike_id) references bike on delete cascade
);

-- A recorded ride as its file was, in pieces that need no more memory than one of them.
create table track (
  owner          uuid not null default current_rider() references rider on delete cascade,
  id             uuid not null,
  name           text not null check (length(name) <= 200),
  bytes          bigint not null check (bytes > 0),
  sha256         bytea not null check (length(sha256) = 32),
  kept_at        timestamptz not null,
  points         integer not null check (points > 0),
  distance_m     double precision not null check (distance_m >= 0),
  climb_m        double precision check (climb_m >= 0),
  started_at     timestamptz,
  ended_at       timestamptz,
  latitude_deg   double precision not null check (latitude_deg between -90 and 90),
  longitude_deg  double precision not null check (longitude_deg between -180 and 180),
  start_m        double precision,
  highest_m      double precision,
  primary key (owner, id),
  unique (owner, sha256)
);

create table track_piece (
  owner     uuid not null default current_rider() references rider on delete cascade,
  track_id  uuid not null,
  number    integer not null check (number >= 0),
  content   bytea not null,
  primary key (owner, track_id, number),
  foreign key (owner, track_id) references track on delete cascade
);

-- The address under which a calendar program fetches what is due: whoever knows the secret may read that, and nothing
-- else. It is shown again to its rider, and can be renewed or taken away.
create table agenda_feed (
  owner    uuid primary key default current_rider() references rider on delete cascade,
  secret   text not null unique check (length(secret) >= 40),
  made_at  timestamptz not null
);

-- A look through the fence, as at signing in: who asks is not known yet. It gives one rider for one exact secret.
create function rider_of_feed(asked text) returns uuid
  language sql stable security definer set search_path = public, pg_temp
  as $$ select owner from agenda_feed where secret = asked $$;

revoke execute on function rider_of_feed(text) from public;

do $$
declare
  fenced text;
begin
  foreach fenced in array array['dialled', 'track', 'track_piece', 'agenda_feed']
  loop
    execute format('alter table %I enable row level security', fenced);
    execute format(
      'create policy own_rows on %I using (owner = current_rider()) with check (owner = current_rider())', fenced);
  end loop;
end
$$;

grant select, insert, update, delete on dialled, track, track_piece, agenda_feed to ${appRole};
grant execute on function rider_of_feed(text) to ${appRole};
