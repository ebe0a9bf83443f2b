-- How figures read for a person: units, decimal sign, first day of the week, theme.
create table preference (
    account_id bigint primary key references account on delete cascade,
    length varchar(10) not null check (length in ('KILOMETRES', 'MILES')),
    mass varchar(10) not null check (mass in ('KILOGRAMS', 'POUNDS')),
    temperature varchar(10) not null check (temperature in ('CELSIUS', 'FAHRENHEIT')),
    decimal_sign varchar(5) not null check (decimal_sign in ('POINT', 'COMMA')),
    week_start varchar(9) not null check (week_start in ('MONDAY', 'SATURDAY', 'SUNDAY')),
    theme varchar(6) not null check (theme in ('SYSTEM', 'LIGHT', 'DARK'))
);

-- Where somebody moved to or travelled: a day keeps the zone in which it was lived. As 2026-11-27=Asia/Tokyo,...
alter table athlete add zones_since varchar(2000) not null default '';

-- What can be loaded: the bar, and the smallest plate that goes on each side.
alter table athlete add bar_kilograms double precision not null default 20
    check (bar_kilograms >= 0 and bar_kilograms <= 60);
alter table athlete add plate_kilograms double precision not null default 1.25
    check (plate_kilograms > 0 and plate_kilograms <= 25);
