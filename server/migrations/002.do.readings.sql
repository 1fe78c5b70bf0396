-- Air readings, a partition a month, made when the first reading of the month comes.

create table readings (
  household_id uuid not null,
  place_id uuid not null,
  at timestamptz not null,
  temperature_c real not null check (temperature_c between -60 and 90),
  relative_humidity_pct real not null check (relative_humidity_pct between 0 and 100),
  source text not null check (source in ('hand', 'sensor', 'import', 'simulated')),
  primary key (household_id, place_id, at),
  foreign key (household_id, place_id) references places (household_id, id) on delete cascade
) partition by range (at);

-- security definer: the application may add months, not tables
create function ensure_readings_months(first timestamptz, last timestamptz) returns void
  language plpgsql security definer set search_path from current
  as $$
declare
  month date := date_trunc('month', first at time zone 'UTC')::date;
begin
  if last - first > interval '20 years' then
    raise exception 'readings span more than 20 years';
  end if;
  while month <= (last at time zone 'UTC')::date loop
    if to_regclass('readings_' || to_char(month, 'YYYY_MM')) is null then
      begin
        execute format(
          'create table %I partition of readings for values from (%L) to (%L)',
          'readings_' || to_char(month, 'YYYY_MM'),
          month::text || ' 00:00+00',
          (month + interval '1 month')::date::text || ' 00:00+00'
        );
      exception when duplicate_table then null;
      end;
    end if;
    month := (month + interval '1 month')::date;
  end loop;
end $$;
