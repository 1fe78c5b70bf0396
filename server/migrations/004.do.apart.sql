-- Row-level security on everything that belongs to a household, and a revision that rises with every change.

do $$
declare
  name text;
begin
  foreach name in array array['people', 'places', 'readings', 'harvests', 'lots', 'lot_events', 'requests', 'jobs'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
  end loop;
end $$;

create function bump_revision() returns trigger
  language plpgsql
  as $$
begin
  update households set revision = revision + 1 where id = current_household();
  return null;
end $$;

create trigger places_bump after insert or update or delete on places for each statement execute function bump_revision();
create trigger readings_bump after insert or update or delete on readings for each statement execute function bump_revision();
create trigger lots_bump after insert on lots for each statement execute function bump_revision();
create trigger lot_events_bump after insert on lot_events for each statement execute function bump_revision();

do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant usage on schema public to vadose_app;
    grant select, insert, update, delete on all tables in schema public to vadose_app;
    revoke update, delete on lot_events from vadose_app;
    grant usage on all sequences in schema public to vadose_app;
    grant vadose_app to current_user;
  end if;
exception when insufficient_privilege or invalid_grant_operation then null;
end $$;
