-- Where readings come from: files that can be taken back, sensors with a token each, forecasts that give way to readings.

alter table readings
  add column rain_mm real check (rain_mm between 0 and 500),
  add column import_id uuid;
alter table readings drop constraint readings_source_check;
alter table readings add constraint readings_source_check
  check (source in ('hand', 'sensor', 'import', 'simulated', 'forecast'));

create table reading_imports (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null,
  place_id uuid not null,
  file_name text not null check (length(file_name) <= 200),
  given integer not null,
  added integer not null,
  first_at timestamptz not null,
  last_at timestamptz not null,
  made_at timestamptz not null default now(),
  undone_at timestamptz,
  primary key (household_id, id),
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
);

-- how a kind of file is read, known again by its headings
create table import_mappings (
  household_id uuid not null references households (id) on delete cascade,
  headings text not null check (length(headings) <= 2000),
  mapping jsonb not null,
  primary key (household_id, headings)
);

create table sensors (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  place_id uuid not null,
  name text not null check (length(trim(name)) between 1 and 40),
  -- SHA-256 of the token; the token itself is shown once and kept nowhere. Null for the simulated ones
  token_hash bytea unique,
  last_at timestamptz,
  primary key (household_id, id),
  unique (household_id, name),
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
);

-- a sensor names no household: its token does
create function sensor_of_token(hash bytea) returns table (household_id uuid, id uuid, place_id uuid)
  language sql stable security definer set search_path from current
  as $$ select s.household_id, s.id, s.place_id from sensors s where s.token_hash = hash $$;

do $$
declare
  name text;
begin
  foreach name in array array['reading_imports', 'import_mappings', 'sensors'] loop
    execute format('alter table %I enable row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
    if exists (select from pg_roles where rolname = 'vadose_app') then
      execute format('grant select, insert, update, delete on %I to vadose_app', name);
    end if;
  end loop;
  -- the function above runs as the owner, whom the policy must not bind
  alter table reading_imports force row level security;
  alter table import_mappings force row level security;
end $$;

-- simulated places have had sensors all along; the owner may see every household's for a moment
alter table places no force row level security;
insert into sensors (household_id, place_id, name) select household_id, id, name from places where simulated;
alter table places force row level security;
