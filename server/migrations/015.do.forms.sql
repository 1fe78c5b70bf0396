-- What a crop has been made into is a form of it: fresh, dried, frozen. What of a quantity nobody has weighed or counted
-- yet is a guess; lots of before are taken as weighed.
alter table lot_events drop constraint lot_events_kind_check;
alter table lot_events add constraint lot_events_kind_check check (kind in ('brought-in', 'hung', 'weighed', 'tested',
  'fan', 'finished', 'split-out', 'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected',
  'noted', 'cleaned', 'loaded', 'rotated', 'jarred', 'shaken', 'undone', 'restated', 'relabelled', 'fed', 'tagged',
  'frozen'));

alter table lot_now
  add column form text not null default 'fresh' check (form in ('fresh', 'dried', 'frozen')),
  add column guessed_weight boolean not null default false,
  add column guessed_pieces boolean not null default false;
alter table lot_now no force row level security;
update lot_now set form = 'dried' where dried;
alter table lot_now force row level security;

drop view lot_rows;
alter table lot_now drop column dried;
create view lot_rows with (security_invoker = true) as
select l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, l.variety, l.bed, l.bed_marked,
  n.stage, n.weight_g, n.pieces, n.place_id, p.name as place, n.form, n.never,
  json_build_object('weight', n.guessed_weight, 'pieces', n.guessed_pieces) as guessed
from lots l
join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
left join places p on p.household_id = n.household_id and p.id = n.place_id;

do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select on lot_rows to vadose_app;
  end if;
end $$;
