-- What is kept beside the ledger and the readings is written by core's own fold, in the same transaction; households have
-- an address of their own; jobs are worked out on reading and need no table.

alter table households
  add column address text,
  -- rises when the air of a place does; the ledger's revision stays as it is
  add column air_revision bigint not null default 0,
  -- what is kept beside the ledger has been written for all that was there before
  add column projected boolean not null default false,
  drop column planned_revision,
  drop column planned_on;

-- the owner may write every household's for a moment
alter table households no force row level security;
update households h set address = s.address
from (
  select id, base || case when n > 1 then '-' || n else '' end as address
  from (
    select id, base, row_number() over (partition by base order by created_at, id) as n
    from (
      select id, created_at, coalesce(nullif(trim(both '-' from left(regexp_replace(lower(name), '[^a-z0-9]+', '-', 'g'), 40)), ''), 'house') as base
      from households
    ) named
  ) numbered
) s
where s.id = h.id;
alter table households force row level security;
alter table households
  alter column address set not null,
  add constraint households_address unique (address),
  add constraint households_address_form check (address ~ '^[a-z0-9]+(-[a-z0-9]+)*$' and length(address) <= 60);

drop table jobs;

-- nobody signs in yet, and who did what was never asked
alter table lot_events drop column person_id;
drop table people;

drop view lot_now;
-- A lot's present, as core's fold tells it from its events.
create table lot_now (
  household_id uuid not null references households (id) on delete cascade,
  lot_id uuid not null,
  stage text not null,
  weight_g integer not null,
  pieces integer,
  place_id uuid,
  dried boolean not null,
  primary key (household_id, lot_id),
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade,
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
);
create index lot_now_here on lot_now (household_id) where stage <> 'gone';

create view lot_rows with (security_invoker = true) as
select l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, h.variety, h.bed,
  n.stage, n.weight_g, n.pieces, n.place_id, p.name as place, n.dried
from lots l
join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
left join harvests h on h.household_id = l.household_id and h.id = l.harvest_id
left join places p on p.household_id = n.household_id and p.id = n.place_id;

-- A place's air by the hour, a month a row: little-endian 32-bit floats from the first hour of the month (UTC) on, NaN where
-- nobody measured.
create table place_hours (
  household_id uuid not null references households (id) on delete cascade,
  place_id uuid not null,
  month date not null,
  temperature_c bytea not null,
  relative_humidity_pct bytea not null,
  rain_mm bytea,
  last_at timestamptz,
  -- the household's air revision it was written at
  revision bigint not null,
  primary key (household_id, place_id, month),
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
);
create index place_hours_since on place_hours (household_id, revision);

-- the ledger is asked what happened lately, and what is new since an entry
create index lot_events_by_time on lot_events (household_id, at);
create index harvests_by_day on harvests (household_id, harvested_on);
-- a request's number is forgotten in the end
create index requests_by_age on requests (household_id, recorded_at);

-- readings raise a revision of their own, written with the hours they change
drop trigger readings_bump on readings;

-- a sensor names no household: its token does, said for one transaction
drop function sensor_of_token(bytea);
create policy by_token on sensors for select
  using (token_hash = decode(nullif(current_setting('app.sensor_token_hash', true), ''), 'hex'));

do $$
declare
  name text;
begin
  foreach name in array array['lot_now', 'place_hours'] loop
    execute format('alter table %I enable row level security', name);
    execute format(
      'create policy own_household on %I using (household_id = current_household()) with check (household_id = current_household())',
      name
    );
  end loop;
  foreach name in array array['lot_now', 'place_hours', 'sensors', 'places'] loop
    execute format('alter table %I force row level security', name);
  end loop;
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert, update, delete on lot_now, place_hours to vadose_app;
    grant select on lot_rows to vadose_app;
  end if;
end $$;
