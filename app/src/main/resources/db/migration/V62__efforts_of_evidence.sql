-- What kept evidence rests on, so that one effort counts once and the two values of a test of two efforts count together.
alter table evidence add column effort_days date[] not null default '{}';
alter table evidence add column effort_levels double precision[] not null default '{}';
alter table evidence add column effort_seconds double precision[] not null default '{}';
alter table evidence add check (cardinality(effort_days) = cardinality(effort_levels)
    and cardinality(effort_days) = cardinality(effort_seconds) and cardinality(effort_days) <= 2);

-- Until now they stood in the words alone: "3:00 at 373 W, 12:00 at 291 W". The days of the two were not kept.
with told as (
    select id, regexp_match(source,
        '(\d{1,3}):(\d\d) at (\d{1,4}(?:[.,]\d{1,4})?) W, (\d{1,3}):(\d\d) at (\d{1,4}(?:[.,]\d{1,4})?) W$') as part
    from evidence where method = 'TWO_EFFORTS')
update evidence e
set effort_days = array[e.day, e.day],
    effort_levels = array[replace(part[3], ',', '.')::double precision, replace(part[6], ',', '.')::double precision],
    effort_seconds = array[part[1]::int * 60 + part[2]::int, part[4]::int * 60 + part[5]::int]
from told t where t.id = e.id and part is not null;

-- A test of 20 min: "280 W over 20 min, times 0.95".
with told as (
    select id, regexp_match(source, '(\d{1,4}(?:[.,]\d{1,4})?) W over 20 min, times') as part
    from evidence where method = 'TWENTY_MINUTES')
update evidence e
set effort_days = array[e.day], effort_levels = array[replace(part[1], ',', '.')::double precision], effort_seconds = array[1200]
from told t where t.id = e.id and part is not null;
