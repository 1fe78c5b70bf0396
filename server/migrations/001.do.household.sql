-- Households share one database; every row of theirs leads with household_id and row-level security keeps them apart.
-- The statement that reads or writes first says whose rows it means: set_config('app.household_id', …).

do $$
begin
  if not exists (select from pg_roles where rolname = 'vadose_app') then
    create role vadose_app nologin;
  end if;
exception
  -- a hosted database may not allow new roles; force row level security below still binds the owner
  when insufficient_privilege then null;
  -- another database of the same server is being prepared at this moment
  when duplicate_object then null;
  when unique_violation then null;
end $$;

create function current_household() returns uuid
  language sql stable
  as $$ select nullif(current_setting('app.household_id', true), '')::uuid $$;

create table households (
  id uuid primary key default gen_random_uuid(),
  name text not null check (length(trim(name)) between 1 and 60),
  time_zone text not null,
  latitude_deg double precision not null check (latitude_deg between -66 and 66),
  altitude_m double precision not null check (altitude_m between -100 and 3000),
  season_start text not null check (season_start ~ '^\d\d-\d\d$'),
  demo boolean not null default false,
  -- the practice clock's instant; null where the household lives by the real one
  practice_now timestamptz,
  -- rises with every change, so that what is computed from the household can be kept until it does
  revision bigint not null default 1,
  planned_revision bigint not null default 0,
  planned_on date,
  created_at timestamptz not null default now()
);

create table people (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  name text not null check (length(trim(name)) between 1 and 60),
  primary key (household_id, id)
);

create table places (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  name text not null check (length(trim(name)) between 1 and 40),
  kind text not null,
  -- walking order of the round
  walk integer not null,
  simulated boolean not null default false,
  primary key (household_id, id),
  unique (household_id, name)
);

alter table households enable row level security;
alter table households force row level security;
-- the directory of households is open until there is a sign-in; changing one is its own affair
create policy households_read on households for select using (true);
create policy households_add on households for insert with check (true);
create policy households_change on households for update using (id = current_household());
create policy households_remove on households for delete using (id = current_household());
