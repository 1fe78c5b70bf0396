-- What a household changes in the almanac, the units it reads, and whom it asks about food safety.

alter table households
  add column units text not null default 'metric' check (units in ('metric', 'us')),
  add column authority_name text check (length(authority_name) <= 120),
  add column authority_url text check (authority_url ~ '^https?://' and length(authority_url) <= 300);

create table crop_overrides (
  household_id uuid not null references households (id) on delete cascade,
  crop text not null,
  path text not null check (length(path) <= 120),
  value jsonb not null,
  why text not null default '' check (length(why) <= 300),
  set_at timestamptz not null default now(),
  primary key (household_id, crop, path)
);

create table crop_choices (
  household_id uuid not null references households (id) on delete cascade,
  crop text not null,
  topic text not null check (length(topic) <= 60),
  choice text not null check (length(choice) <= 60),
  primary key (household_id, crop, topic)
);

create table own_crops (
  household_id uuid not null references households (id) on delete cascade,
  id text not null check (id ~ '^[a-z][a-z0-9]*(-[a-z0-9]+)*$'),
  data jsonb not null,
  primary key (household_id, id)
);

do $$
declare
  name text;
begin
  foreach name in array array['crop_overrides', 'crop_choices', 'own_crops'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
    execute format(
      'create trigger %I after insert or update or delete on %I for each statement execute function bump_revision()',
      name || '_bump', name
    );
    if exists (select from pg_roles where rolname = 'vadose_app') then
      execute format('grant select, insert, update, delete on %I to vadose_app', name);
    end if;
  end loop;
end $$;
