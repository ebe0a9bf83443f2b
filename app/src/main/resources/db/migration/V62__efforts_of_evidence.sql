-- What kept evidence rests on, so that one effort counts once and the two values of a test of two efforts count together.
alter table evidence add column effort_days date[] not null default '{}';
alter table evidence add column effort_levels double precision[] not null default '{}';
alter table evidence add column effort_seconds double precision[] not null default '{}';
alter table evidence add check (cardinality(effort_days) = cardinality(effort_levels)
    and cardinality(effort_days) = cardinality(effort_seconds) and cardinality(effort_days) <= 2);

-- What an archive of a stranger brings is held to the same as what the application writes.
alter table evidence add check (0 < all (effort_levels) and 100000 >= all (effort_levels)
    and array_position(effort_levels, null) is null);
alter table evidence add check (0 < all (effort_seconds) and 864000 >= all (effort_seconds)
    and array_position(effort_seconds, null) is null);
alter table evidence add check ('1990-01-01' <= all (effort_days) and '2099-12-31' >= all (effort_days)
    and array_position(effort_days, null) is null);

-- Until now they stood in the words alone: "3:00 at 373 W, 12:00 at 291 W". The days of the two were not kept.
with told as (
    select id, regexp_match(source,
        '(\d{1,3}):(\d\d) at (\d{1,4}(?:[.,]\d{1,4})?) W, (\d{1,3}):(\d\d) at (\d{1,4}(?:[.,]\d{1,4})?) W$') as part
    from evidence where method = 'TWO_EFFORTS'),
read as (
    select id, replace(part[3], ',', '.')::double precision as first, replace(part[6], ',', '.')::double precision as second,
        part[1]::int * 60 + part[2]::int as shorter, part[4]::int * 60 + part[5]::int as longer
    from told where part is not null)
update evidence e
set effort_days = array[e.day, e.day], effort_levels = array[r.first, r.second], effort_seconds = array[r.shorter, r.longer]
from read r where r.id = e.id and least(r.first, r.second, r.shorter, r.longer) > 0
    and e.day between '1990-01-01' and '2099-12-31';

-- A test of 20 min: "280 W over 20 min, times 0.95".
with told as (
    select id, regexp_match(source, '(\d{1,4}(?:[.,]\d{1,4})?) W over 20 min, times [0-9.,]+$') as part
    from evidence where method = 'TWENTY_MINUTES'),
read as (
    select id, replace(part[1], ',', '.')::double precision as watts from told where part is not null)
update evidence e
set effort_days = array[e.day], effort_levels = array[r.watts], effort_seconds = array[1200]
from read r where r.id = e.id and r.watts > 0 and e.day between '1990-01-01' and '2099-12-31';
