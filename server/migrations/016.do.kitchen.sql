-- What is made in the kitchen, bought or found on the shelf: names, units and origins of lots; and counts of the shelves.
alter table lot_events drop constraint lot_events_kind_check;
alter table lot_events add constraint lot_events_kind_check check (kind in ('brought-in', 'hung', 'weighed', 'tested',
  'fan', 'finished', 'split-out', 'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected',
  'noted', 'cleaned', 'loaded', 'rotated', 'jarred', 'shaken', 'undone', 'restated', 'relabelled', 'fed', 'tagged',
  'frozen', 'added', 'made'));
-- recipes are what was made before
create index lot_events_made on lot_events (household_id, lot_id) where kind = 'made';

alter table lot_now
  drop constraint lot_now_form_check,
  add constraint lot_now_form_check check (form in ('fresh', 'dried', 'frozen', 'jarred', 'brined', 'cooked')),
  add column name text,
  add column unit text,
  add column size text,
  add column source text not null default 'grown';

drop view lot_rows;
create view lot_rows with (security_invoker = true) as
select l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, l.variety, l.bed, l.bed_marked,
  n.stage, n.weight_g, n.pieces, n.place_id, p.name as place, n.form, n.name, n.unit, n.size, n.source, n.never,
  json_build_object('weight', n.guessed_weight, 'pieces', n.guessed_pieces) as guessed
from lots l
join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
left join places p on p.household_id = n.household_id and p.id = n.place_id;

-- A walk along the shelves: it may be left and taken up again, by several at once.
create table counts (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  begun_at timestamptz not null,
  finished_at timestamptz,
  primary key (household_id, id)
);
create unique index counts_open_once on counts (household_id) where finished_at is null;

create table count_entries (
  household_id uuid not null references households (id) on delete cascade,
  count_id uuid not null,
  lot_id uuid not null,
  -- what the books said when it was counted
  expected_g integer not null check (expected_g >= 0),
  expected_pieces integer check (expected_pieces >= 0),
  -- one of the two
  there_g integer check (there_g >= 0),
  there_pieces integer check (there_pieces >= 0),
  -- as it was typed: “3x4+2”
  typed text not null,
  counted_at timestamptz not null,
  -- why it was off, once somebody said
  cause text,
  primary key (household_id, count_id, lot_id),
  foreign key (household_id, count_id) references counts (household_id, id) on delete cascade,
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade,
  check ((there_g is null) <> (there_pieces is null))
);
create trigger counts_bump after insert or update or delete on counts
  for each statement execute function bump_revision();
create trigger count_entries_bump after insert or update or delete on count_entries
  for each statement execute function bump_revision();

do $$
declare
  name text;
begin
  foreach name in array array['counts', 'count_entries'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
  end loop;
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert, update, delete on counts, count_entries to vadose_app;
    grant select on lot_rows to vadose_app;
  end if;
end $$;
