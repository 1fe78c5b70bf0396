-- What a household says of a variety: it keeps shorter or longer than its crop usually does.
create table crop_varieties (
  household_id uuid not null references households (id) on delete cascade,
  crop text not null,
  variety text not null check (length(variety) between 1 and 60),
  keeps text not null check (keeps in ('shorter', 'longer')),
  primary key (household_id, crop, variety)
);
create trigger crop_varieties_bump after insert or update or delete on crop_varieties
  for each statement execute function bump_revision();

-- What the looks at a lot that is gone taught of its life; worked out from its ledger and the air of its places, and again
-- when an entry is added to it. No numbers where they taught nothing.
create table lot_lessons (
  household_id uuid not null references households (id) on delete cascade,
  lot_id uuid not null,
  -- its last entry then
  entry bigint not null,
  place_id uuid,
  log_mean real,
  log_sd real check (log_sd > 0),
  primary key (household_id, lot_id),
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade
);
create index lot_events_looks on lot_events (household_id, lot_id) where kind = 'checked';

do $$
declare
  name text;
begin
  foreach name in array array['crop_varieties', 'lot_lessons'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
    if exists (select from pg_roles where rolname = 'vadose_app') then
      execute format('grant select, insert, update, delete on %I to vadose_app', name);
    end if;
  end loop;
end $$;

-- A new picture is something the household's other pages want to know of.
create trigger lot_photos_bump after insert or update or delete on lot_photos
  for each statement execute function bump_revision();
