-- What is a matter of house and habit, where a household differs from the usual: numbers by name. It is part of what a
-- household is set up with, so whoever writes it lets `setup_revision` rise.
alter table households add column habits jsonb not null default '{}';
