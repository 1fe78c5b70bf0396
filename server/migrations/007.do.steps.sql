-- More of a lot's path: threshed and winnowed, on the trays, in the conditioning jar.

alter table lot_events drop constraint lot_events_kind_check;
alter table lot_events add constraint lot_events_kind_check check (kind in ('brought-in', 'hung', 'weighed', 'tested',
  'fan', 'finished', 'split-out', 'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected',
  'noted', 'cleaned', 'loaded', 'rotated', 'jarred', 'shaken'));

drop view lot_now;
-- A lot as its events tell it.
create view lot_now with (security_invoker = true) as
select
  l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, h.variety, h.bed,
  e.weight_g, e.pieces, e.place_id, p.name as place, e.dried,
  case when e.weight_g <= 0 then 'gone' else coalesce(e.stage, 'fresh') end as stage
from lots l
left join harvests h on h.household_id = l.household_id and h.id = l.harvest_id
left join (
  select household_id, lot_id,
    sum(weight_g)::integer as weight_g,
    -- what was cut up is counted no longer
    case when bool_or(pieces <> 0) and (sum(pieces) > 0 or sum(weight_g) <= 0) then sum(pieces)::integer end as pieces,
    (array_agg(place_id order by id desc) filter (where place_id is not null))[1] as place_id,
    bool_or(kind = 'loaded') as dried,
    -- where it stands is what put it there last
    (array_agg(
      case kind
        when 'hung' then 'drying'
        when 'loaded' then 'dryer'
        when 'jarred' then 'conditioning'
        when 'finished' then 'stored'
        when 'split-in' then coalesce(details ->> 'stage', 'stored')
      end order by id desc
    ) filter (where kind in ('hung', 'loaded', 'jarred', 'finished', 'split-in')))[1] as stage
  from lot_events
  group by household_id, lot_id
) e on e.household_id = l.household_id and e.lot_id = l.id
left join places p on p.household_id = l.household_id and p.id = e.place_id;

do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select on lot_now to vadose_app;
  end if;
end $$;
