insert into log_kind (kind) values
  ('SEALANT_LOST'),
  ('SEALANT_FOUND'),
  ('DIP_EXPLAINED');
