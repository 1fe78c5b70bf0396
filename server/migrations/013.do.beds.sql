-- What is seen and done at a bed before its harvest. A row is struck out, never changed.
create table bed_entries (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  on_day date not null,
  crop text not null,
  variety text,
  bed text not null,
  grows_in text not null check (grows_in in ('bed', 'pot', 'roofed')),
  what text not null check (what in
    ('planted', 'sign', 'scapes', 'scapes-cut', 'tried', 'unwatered', 'watered', 'tops-bent', 'cleared')),
  value real,
  pieces integer,
  weight_g integer,
  struck boolean not null default false,
  recorded_at timestamptz not null default clock_timestamp(),
  primary key (household_id, id)
);
create index bed_entries_by_day on bed_entries (household_id, on_day);
create trigger bed_entries_bump after insert or update or delete on bed_entries
  for each statement execute function bump_revision();
alter table bed_entries enable row level security;
alter table bed_entries force row level security;
create policy own_household on bed_entries
  using (household_id = current_household()) with check (household_id = current_household());
do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert, update, delete on bed_entries to vadose_app;
  end if;
end $$;
