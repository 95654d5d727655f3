-- How a rider wants things shown. What is stored stays in kPa, kg, mm, ml, degrees Celsius and km.
alter table rider
  add column mass_unit         text not null default 'KG' check (mass_unit in ('KG', 'LB')),
  add column length_unit       text not null default 'MM' check (length_unit in ('MM', 'IN')),
  add column volume_unit       text not null default 'ML' check (volume_unit in ('ML', 'FL_OZ')),
  add column temperature_unit  text not null default 'CELSIUS' check (temperature_unit in ('CELSIUS', 'FAHRENHEIT')),
  add column distance_unit     text not null default 'KM' check (distance_unit in ('KM', 'MI')),
  add column theme             text not null default 'SYSTEM' check (theme in ('SYSTEM', 'LIGHT', 'DARK')),
  add column letter_keys       boolean not null default true;

comment on column rider.letter_keys is
  'Whether single letters are shortcuts; off for those who speak or type by means that press them by chance';

