-- Every writing of a steady stretch gets a number of its own, as curves do (V59): a year's stretches are read anew only
-- when one of them was written.
create sequence aerobic_piece_changed;
alter table aerobic_piece add column changed bigint not null default nextval('aerobic_piece_changed');

create function aerobic_piece_is_new() returns trigger language plpgsql as $$
begin
    new.changed := nextval('aerobic_piece_changed');
    return new;
end $$;
create trigger aerobic_piece_written before update on aerobic_piece for each row execute function aerobic_piece_is_new();

drop index aerobic_piece_by_day;
create index aerobic_piece_by_day on aerobic_piece (athlete_id, sport, day) include (changed);
