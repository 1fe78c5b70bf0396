-- What a request's number stands for, so that it cannot be used for anything else; months of readings made without
-- getting into anybody's way; settings of old that no clock can show are gone.

alter table requests
  -- null for requests of a time before this
  add column route text,
  add column content_hash bytea;

create or replace function ensure_readings_months(first timestamptz, last timestamptz) returns void
  language plpgsql security definer set search_path from current
  as $$
declare
  month date := date_trunc('month', first at time zone 'UTC')::date;
begin
  if last - first > interval '20 years' then
    raise exception 'readings span more than 20 years' using errcode = 'data_exception';
  end if;
  -- the tables a new month needs, always in this order, so that those who wait for them do not wait for each other
  perform pg_advisory_xact_lock(846203);
  lock table places in share row exclusive mode;
  lock table readings in access exclusive mode;
  while month <= (last at time zone 'UTC')::date loop
    if to_regclass('readings_' || to_char(month, 'YYYY_MM')) is null then
      execute format(
        'create table %I partition of readings for values from (%L) to (%L)',
        'readings_' || to_char(month, 'YYYY_MM'),
        month::text || ' 00:00+00',
        (month + interval '1 month')::date::text || ' 00:00+00'
      );
    end if;
    month := (month + interval '1 month')::date;
  end loop;
end $$;

-- a picture made anew may be larger than one that a page made small
alter table lot_photos drop constraint lot_photos_jpeg_check;
alter table lot_photos add constraint lot_photos_jpeg_check check (octet_length(jpeg) <= 1500000);

-- a household that is being filled, and was not to the end, is none
alter table households add column whole boolean not null default true;

-- what is left of a household that was removed: the number of the request, so that sent again it is answered the same
create table removed_households (
  household_id uuid not null,
  request_id uuid not null,
  address text not null,
  content_hash bytea not null,
  removed_at timestamptz not null default now(),
  primary key (household_id, request_id)
);
alter table removed_households enable row level security;
alter table removed_households force row level security;
-- nobody's any more
create policy removed_by_number on removed_households using (true) with check (true);
do $$
begin
  if exists (select from pg_roles where rolname = 'vadose_app') then
    grant select, insert on removed_households to vadose_app;
  end if;
end $$;
