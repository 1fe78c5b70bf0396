-- What a household is set up with (places, almanac, beds) has a revision of its own: an entry in the ledger leaves it as it
-- is, and whoever knows a household at it need not read all that again.
alter table households add column setup_revision bigint not null default 0;

create function bump_setup() returns trigger
  language plpgsql
  as $$
begin
  update households set revision = revision + 1, setup_revision = setup_revision + 1 where id = current_household();
  return null;
end $$;

do $$
declare
  name text;
begin
  foreach name in array array['places', 'crop_overrides', 'crop_choices', 'own_crops', 'crop_varieties', 'bed_entries'] loop
    execute format('drop trigger %I on %I', name || '_bump', name);
    execute format(
      'create trigger %I after insert or update or delete on %I for each statement execute function bump_setup()',
      name || '_bump', name
    );
  end loop;
end $$;
