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
