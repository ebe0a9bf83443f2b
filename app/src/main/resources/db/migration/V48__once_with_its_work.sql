-- A form's key is done together with its work: what a node that died had only begun may be begun by another.
alter table request_once add column claim uuid;
alter table request_once add column done boolean not null default true;
