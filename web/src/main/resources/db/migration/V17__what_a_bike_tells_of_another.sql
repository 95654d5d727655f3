alter table bike add column own_taste boolean not null default false;
comment on column bike.own_taste is 'Whether what suits its rider is learned from this bike alone';
