-- What of a lot's quantity nobody has weighed or counted yet; lots of before are taken as weighed.
alter table lot_now
  add column guessed_weight boolean not null default false,
  add column guessed_pieces boolean not null default false;

drop view lot_rows;
create view lot_rows with (security_invoker = true) as
select l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, l.variety, l.bed, l.bed_marked,
  n.stage, n.weight_g, n.pieces, n.place_id, p.name as place, n.dried, n.never,
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
