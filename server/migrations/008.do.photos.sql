-- One small picture a lot, made small and stripped of what the camera wrote into it before it is kept.
create table lot_photos (
  household_id uuid not null references households (id) on delete cascade,
  lot_id uuid not null,
  jpeg bytea not null check (octet_length(jpeg) <= 400000),
  taken_at timestamptz not null default now(),
  primary key (household_id, lot_id),
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade
);
alter table lot_photos enable row level security;
alter table lot_photos force row level security;
create policy own_household on lot_photos
  using (household_id = current_household()) with check (household_id = current_household());
do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert, update, delete on lot_photos to vadose_app;
  end if;
end $$;
