-- Any entry can be struck out or told otherwise, a tag can be put right, and what animals are fed is an end of its own.

alter table lot_events drop constraint lot_events_kind_check;
alter table lot_events add constraint lot_events_kind_check check (kind in ('brought-in', 'hung', 'weighed', 'tested',
  'fan', 'finished', 'split-out', 'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected',
  'noted', 'cleaned', 'loaded', 'rotated', 'jarred', 'shaken', 'undone', 'restated', 'relabelled', 'fed', 'tagged'));

-- what a tag says is the lot's own: one lot of a harvest can be another variety
alter table lots
  add column variety text,
  add column bed text,
  add column bed_marked boolean not null default false;
alter table lots no force row level security;
alter table harvests no force row level security;
update lots l set variety = h.variety, bed = h.bed, bed_marked = h.bed_marked
from harvests h where h.household_id = l.household_id and h.id = l.harvest_id;
alter table lots force row level security;
alter table harvests force row level security;
create index lots_by_origin on lots (household_id, split_from) where split_from is not null;
create index lots_by_harvest on lots (household_id, harvest_id) where harvest_id is not null;

-- all that it ever was has been struck out
alter table lot_now add column never boolean not null default false;

drop view lot_rows;
create view lot_rows with (security_invoker = true) as
select l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, l.variety, l.bed, l.bed_marked,
  n.stage, n.weight_g, n.pieces, n.place_id, p.name as place, n.dried, n.never
from lots l
join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
left join places p on p.household_id = n.household_id and p.id = n.place_id;

do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select on lot_rows to vadose_app;
  end if;
end $$;

-- a span of readings can be struck out: it stays, and counts no longer
alter table readings add column struck boolean not null default false;
