-- Strength work that is heavy on the legs keeps 24 hours from what is hard after it; null until it was looked at.
alter table session add column heavy_legs boolean;
create index session_legs_unknown on session (id) where strength is not null and heavy_legs is null;
