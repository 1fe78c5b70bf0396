-- A place can be a shelf, rack or basket of another, be darker or brighter than its kind, and go out of use: what was
-- there stays told.
alter table places
  add column within uuid,
  add column retired_on date,
  add column dark boolean,
  add foreign key (household_id, within) references places (household_id, id) on delete cascade,
  add check (within <> id);
create index places_by_whole on places (household_id, within) where within is not null;
