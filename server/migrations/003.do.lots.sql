-- The ledger. A lot's quantity is the sum of its events; events are only ever added.

create table harvests (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  crop text not null,
  variety text,
  bed text,
  harvested_on date not null,
  total_g integer not null check (total_g between 1 and 2000000),
  sign_share real check (sign_share between 0 and 1),
  bed_marked boolean not null default false,
  recorded_at timestamptz not null default now(),
  primary key (household_id, id)
);

create table lots (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null default gen_random_uuid(),
  code text not null check (code ~ '^[A-Z]\d{2}-\d{1,4}$'),
  crop text not null,
  heap text not null,
  fate text not null,
  harvest_id uuid,
  split_from uuid,
  brought_on date not null,
  primary key (household_id, id),
  unique (household_id, code),
  foreign key (household_id, harvest_id) references harvests (household_id, id) on delete cascade,
  foreign key (household_id, split_from) references lots (household_id, id) on delete cascade
);

create table lot_events (
  household_id uuid not null references households (id) on delete cascade,
  id bigint generated always as identity,
  lot_id uuid not null,
  kind text not null check (kind in ('brought-in', 'hung', 'weighed', 'tested', 'fan', 'finished', 'split-out',
    'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected', 'noted')),
  -- when it happened, by the household's clock; recorded_at is when the server heard of it
  at timestamptz not null,
  recorded_at timestamptz not null default now(),
  weight_g integer not null default 0,
  pieces integer not null default 0,
  place_id uuid,
  details jsonb not null default '{}',
  person_id uuid,
  request_id uuid,
  primary key (household_id, id),
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade,
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade,
  foreign key (household_id, person_id) references people (household_id, id) on delete cascade
);
create index lot_events_by_lot on lot_events (household_id, lot_id, id) include (weight_g, pieces, place_id, kind);

-- A ledger row is history: it may leave with its whole household, never by itself, and it never changes.
create function ledger_is_append_only() returns trigger
  language plpgsql
  as $$
begin
  if tg_op = 'DELETE' and not exists (select from households where id = old.household_id) then
    return old;
  end if;
  raise exception 'ledger rows are never changed or removed; write a correcting event';
end $$;
create trigger lot_events_append_only before update or delete on lot_events
  for each row execute function ledger_is_append_only();

create function lot_never_below_nothing() returns trigger
  language plpgsql
  as $$
declare
  left_g bigint;
  left_pieces bigint;
begin
  select sum(weight_g), sum(pieces) into left_g, left_pieces
    from lot_events where household_id = new.household_id and lot_id = new.lot_id;
  if left_g < 0 or left_pieces < 0 then
    raise exception 'lot would fall below nothing' using errcode = 'check_violation';
  end if;
  return null;
end $$;
create constraint trigger lot_events_not_below_nothing after insert on lot_events
  deferrable initially deferred
  for each row execute function lot_never_below_nothing();

-- What each write request answered, so that sending it twice does it once.
create table requests (
  household_id uuid not null references households (id) on delete cascade,
  id uuid not null,
  answer jsonb,
  recorded_at timestamptz not null default now(),
  primary key (household_id, id)
);

create table jobs (
  household_id uuid not null references households (id) on delete cascade,
  id bigint generated always as identity,
  lot_id uuid,
  place_id uuid,
  kind text not null,
  due_on date not null,
  why text not null,
  done_on date,
  -- the need went away by itself
  dropped_on date,
  primary key (household_id, id),
  foreign key (household_id, lot_id) references lots (household_id, id) on delete cascade,
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
);
create unique index jobs_open_once on jobs (household_id, coalesce(lot_id, place_id), kind)
  where done_on is null and dropped_on is null;

-- A lot as its events tell it.
create view lot_now with (security_invoker = true) as
select
  l.household_id, l.id, l.code, l.crop, l.heap, l.fate, l.brought_on, h.variety, h.bed,
  e.weight_g, e.pieces, e.place_id, p.name as place,
  case
    when e.weight_g <= 0 then 'gone'
    when e.stored then 'stored'
    when e.hung then 'drying'
    else 'fresh'
  end as stage
from lots l
left join harvests h on h.household_id = l.household_id and h.id = l.harvest_id
left join (
  select household_id, lot_id,
    sum(weight_g)::integer as weight_g,
    case when bool_or(pieces <> 0) then sum(pieces)::integer end as pieces,
    (array_agg(place_id order by id desc) filter (where place_id is not null))[1] as place_id,
    bool_or(kind in ('finished', 'split-in')) as stored,
    bool_or(kind = 'hung') as hung
  from lot_events
  group by household_id, lot_id
) e on e.household_id = l.household_id and e.lot_id = l.id
left join places p on p.household_id = l.household_id and p.id = e.place_id;
