-- A private address for the household's calendar: whoever knows it reads the jobs, and nothing else.
alter table households add column calendar_key text unique check (length(calendar_key) >= 20);

-- What a place is like where it is not as places of its kind usually are; how much goes in.
alter table places
  add column storey text check (storey in ('roof', 'floor', 'side', 'under', 'garden')),
  add column heated boolean,
  add column frost_safe boolean,
  add column mice boolean,
  -- of a freezer or fridge, inside
  add column litres real check (litres > 0),
  -- what there is room for elsewhere
  add column holds_kg real check (holds_kg > 0);

-- Alarms somebody does not want to hear again; what they are about is in the key.
create table muted_alarms (
  household_id uuid not null references households (id) on delete cascade,
  key text not null check (length(key) between 1 and 400),
  muted_at timestamptz not null,
  primary key (household_id, key)
);
create trigger muted_alarms_bump after insert or update or delete on muted_alarms
  for each statement execute function bump_revision();
alter table muted_alarms enable row level security;
alter table muted_alarms force row level security;
create policy own_household on muted_alarms
  using (household_id = current_household()) with check (household_id = current_household());
do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert, update, delete on muted_alarms to vadose_app;
  end if;
end $$;
