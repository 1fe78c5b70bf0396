import { randomUUID } from 'node:crypto'
import { crops } from '@vadose/core/almanac'
import { inTransaction, openPool, type Pool } from '../server/src/database'
import { rebuildProjections } from '../server/src/projections'
import { runAs } from '../server/src/testing/database'

const kinds = ['outdoors', 'veranda', 'loft', 'room', 'cool-room', 'shed', 'cellar', 'fridge']

export interface Decade {
  id: string
  address: string
  /** ids by kind */
  places: Map<string, string>
  /** the lots on the line, and some in store */
  hanging: string[]
  stored: string[]
}

/** How large a household is made. */
export interface Size {
  readings: number
  lots: number
  here: number
  hanging: number
  years: number
}
export const tenYears: Size = { readings: 1_000_000, lots: 2000, here: 150, hanging: 15, years: 10 }
export const firstDay: Size = { readings: 4000, lots: 4, here: 4, hanging: 1, years: 0.02 }

/** What writes were answered: a household remembers its newest thousand, so that one that comes again is told the same. */
const rememberedAnswers = `insert into requests (household_id, id, answer, route, content_hash)
  select $1, gen_random_uuid(), '{"made": [], "entry": 1}', 'post /lots/:code/acts', sha256(n::text::bytea)
  from generate_series(1, $2) n`

/**
 * A household that has been at it for years: eight places measured all the time, lots of every crop that keeps, some of
 * them still here, among them a jar of beans as old as the book.
 */
export async function makeDecade(ownerUrl: string, address: string, size: Size): Promise<Decade> {
  const id = randomUUID()
  const places = new Map(kinds.map((kind) => [kind, randomUUID()]))
  const run = (sql: string, values: unknown[] = []) => runAs(ownerUrl, sql, values)
  await run(
    `insert into households (id, address, name, time_zone, latitude_deg, altitude_m, season_start, projected)
     values ($1, $2, 'Bench', 'Europe/Vienna', 47, 400, '05-01', true)`,
    [id, address],
  )
  for (const [i, [kind, placeId]] of [...places].entries()) {
    await run('insert into places (household_id, id, name, kind, walk) values ($1, $2, $3, $3, $4)', [
      id,
      placeId,
      kind,
      i + 1,
    ])
  }
  const each = Math.floor(size.readings / kinds.length)
  await run(
    `select ensure_readings_months(now() - $1 * interval '1 year' - interval '1 month', now() + interval '1 month')`,
    [Math.max(1, size.years)],
  )
  for (const placeId of places.values()) {
    await run(
      `insert into readings (household_id, place_id, at, temperature_c, relative_humidity_pct, source)
       select $1, $2, now() - n * ($4 * interval '1 year' / $3), 11 + 7 * cos(n / 2000.0), 70 + 12 * sin(n / 900.0), 'sensor'
       from generate_series(0, $3 - 1) n`,
      [id, placeId, each, size.years],
    )
  }
  const keeps = crops.filter((crop) => !crop.heaps[0]!.hangs && !crop.heaps[0]!.useWithinDays)
  const hangs = crops.filter((crop) => crop.heaps[0]!.hangs && crop.curing)
  const jar = crops.find((crop) => crop.id === 'bean-drying')!
  const rows: unknown[] = []
  const events: unknown[] = []
  const indoors = ['loft', 'room', 'cool-room', 'shed', 'cellar']
  for (let n = 0; n < size.lots; n++) {
    const here = n >= size.lots - size.here
    const nth = size.lots - 1 - n
    const hanging = here && nth < size.hanging
    const old = nth === size.here - 1 && size.years > 9
    const crop = old ? jar : hanging ? hangs[nth % hangs.length]! : keeps[n % keeps.length]!
    const days = hanging
      ? 3 + nth
      : old
        ? 9 * 365
        : here
          ? 10 + (nth % 120)
          : Math.round((365 * size.years * (size.lots - n)) / size.lots)
    const lot = randomUUID()
    const placeId = places.get(hanging ? 'veranda' : indoors[n % indoors.length]!)!
    rows.push({
      id: lot,
      code: `${crop.letter}${10 + (n % 80)}-${n}`,
      crop: crop.id,
      heap: crop.heaps[0]!.id,
      fate: crop.heaps[0]!.fate,
      days,
    })
    const event = (kind: string, ago: number, rest: object = {}) =>
      events.push({ lot, kind, ago, weight: 0, pieces: 0, place: null, details: {}, ...rest })
    event('brought-in', days, { weight: 12_000, pieces: 100, place: hanging ? null : placeId })
    if (hanging) {
      event('hung', days, { place: placeId, details: { airflow: 'breezy', hungIn: crop.curing!.hangs[0] } })
      event('weighed', days - 0.1, { details: { scaleG: 620, basis: 'bunch' } })
      event('weighed', days / 2, { details: { scaleG: 560, basis: 'bunch' } })
      continue
    }
    event('finished', days, { place: placeId, details: { pack: old ? 'jar' : (crop.packs[0]?.id ?? 'box') } })
    for (let use = 1; use <= 8; use++) event('used', days * (1 - use / 9), { weight: -900, pieces: -8 })
    if (here && !old) event('checked', days / 3, { details: { lookedAt: 20, bad: n % 2, lotSize: 40 } })
    if (!here) event('used', 0.5, { weight: -4800, pieces: -36 })
  }
  await run(
    `insert into lots (household_id, id, code, crop, heap, fate, brought_on)
     select $1, id, code, crop, heap, fate, (now() - days * interval '1 day')::date
     from json_to_recordset($2) as r (id uuid, code text, crop text, heap text, fate text, days int)`,
    [id, JSON.stringify(rows)],
  )
  await run(
    `insert into lot_events (household_id, lot_id, kind, at, weight_g, pieces, place_id, details)
     select $1, lot, kind, now() - ago * interval '1 day', weight, pieces, place, details
     from json_to_recordset($2) as r (lot uuid, kind text, ago float, weight int, pieces int, place uuid, details jsonb)`,
    [id, JSON.stringify(events)],
  )
  await run(rememberedAnswers, [id, Math.min(1000, size.lots)])
  await run('analyze lot_events')
  const owner: Pool = openPool(ownerUrl)
  await inTransaction(owner, id, (db) => rebuildProjections(db, id))
  await owner.end()
  const codeOf = (nth: number) => (rows.at(-1 - nth) as { code: string }).code
  return {
    id,
    address,
    places,
    hanging: Array.from({ length: size.hanging }, (_, nth) => codeOf(nth)),
    stored: Array.from({ length: Math.min(100, size.here - size.hanging - 2) }, (_, nth) => codeOf(size.hanging + nth)),
  }
}

/** The same household again under another name, without its readings: a server reads only what is kept beside them. */
export async function copyDecade(ownerUrl: string, from: Decade, address: string): Promise<void> {
  const id = randomUUID()
  await runAs(
    ownerUrl,
    `do $$
     declare
       old uuid := '${from.id}';
       new uuid := '${id}';
     begin
       -- rows that stand elsewhere already are not held against their triggers again
       set local session_replication_role = replica;
       insert into households (id, address, name, time_zone, latitude_deg, altitude_m, season_start, projected)
         values (new, '${address}', 'Copy', 'Europe/Vienna', 47, 400, '05-01', true);
       insert into places (household_id, id, name, kind, walk) select new, id, name, kind, walk from places where household_id = old;
       insert into lots (household_id, id, code, crop, heap, fate, brought_on)
         select new, id, code, crop, heap, fate, brought_on from lots where household_id = old;
       insert into lot_events (household_id, lot_id, kind, at, weight_g, pieces, place_id, details)
         select new, lot_id, kind, at, weight_g, pieces, place_id, details from lot_events where household_id = old;
       insert into lot_now (household_id, lot_id, stage, weight_g, pieces, place_id, form)
         select new, lot_id, stage, weight_g, pieces, place_id, form from lot_now where household_id = old;
       insert into requests (household_id, id, answer, route, content_hash)
         select new, id, answer, route, content_hash from requests where household_id = old;
       insert into place_hours select new, place_id, month, temperature_c, relative_humidity_pct, rain_mm, last_at, revision
         from place_hours where household_id = old;
     end $$`,
  )
}
