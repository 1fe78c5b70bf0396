import type { Reach } from './reach'
import { hourMs } from '@vadose/core/air'
import { standsOf, type BedEntry, type Stand } from '@vadose/core/beds'
import {
  comingHour,
  House,
  outdoorsInPieces,
  placeStateInPieces,
  stateOf,
  unsettles,
  withWeather,
  type LotState,
  type PlaceFacts,
  type PlaceState,
} from '@vadose/core/forecast'
import { Grown } from '@vadose/core/grown'
import { standing } from '@vadose/core/lots'
import { airKindOf, climateFor, dayOf } from '@vadose/core/places'
import { civilDateOf, dayMs } from '@vadose/core/households'
import { withMonths, type HourlyRecord } from '@vadose/core/readings'
import { type Client } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import { breather, inTurn } from './breathe'
import { monthsOfHours } from './place-hours'
import { historyFrom } from './ledgers'
import { forecastHours, type MonthRow } from './air-queries'
import { ledgersOf, type IdentityRow, type Move, type MoveRow } from './queries'

/** a weather forecast further ahead than this is no better than the season, days */
const forecastDays = 10

export interface Measured {
  record: HourlyRecord | undefined
  lastAtMs: number | null
  epoch: number
}

/** What is known of one household at two revisions, its ledger's and its air's. */
export interface Known {
  household: HouseholdRow
  house: House
  places: PlaceFacts[]
  measured: Map<string, Measured>
  rain: Map<number, number>
  expected: HourlyRecord | undefined
  lots: Map<string, LotState>
  lastEvent: number
  /** rows of the ledger that changed a weight, or what another row says */
  moved: Grown<MoveRow>
  moves: Grown<Move>
  /** what was written down at the beds */
  bedEntries: readonly BedEntry[]
  /** from when on the air of its places is known */
  reach: Reach
  /** air that has come since the forecasts were made is being worked in */
  catchingUp: Promise<void> | undefined
}

export const sameDay = (known: Known, household: HouseholdRow) =>
  known.house.today === civilDateOf(nowOf(household), household.timeZone)
export const laterHour = (known: Known, household: HouseholdRow) =>
  comingHour(nowOf(household)) > known.house.comingHourMs
export const sameHouse = (known: Known, household: HouseholdRow) =>
  known.household.timeZone === household.timeZone && known.household.latitudeDeg === household.latitudeDeg

/** Rows of the ledger with those entered since; undefined where a lot is another crop now and all are read anew. */
export const movesWith = (known: Grown<MoveRow>, rows: readonly MoveRow[]): Grown<MoveRow> | undefined =>
  rows.some(({ kind, details }) => kind === 'relabelled' || details.of === 'relabelled') ? undefined : known.with(rows)

// rows never change: what one tells is worked out once, however often the list is told anew, and kept with it, since a
// WeakMap of all households' rows holds everybody up as it grows
function moveOf(row: MoveRow, zone: string): Move {
  // one put right is a copy of what it was
  if (row.told?.of === row && row.told.zone === zone) return row.told.move
  const { id, atMs, kind, crop, code, variety, bed, name, weightG, pieces, details } = row
  const move: Move = {
    id,
    on: civilDateOf(atMs, zone),
    kind,
    crop,
    code,
    variety,
    name,
    cause: kind === 'lost' ? (details.cause ?? null) : null,
    bed: kind === 'planted' ? (details.bed ?? null) : bed,
    weightG,
    pieces,
  }
  row.told = { of: row, zone, move }
  return move
}

/** What moved, as it is told now. */
export const movesOf = (rows: Iterable<MoveRow>, zone: string): Move[] =>
  standing([...rows])
    .filter(({ weightG }) => weightG !== 0)
    .map((row) => moveOf(row, zone))

/** The same of ten years of rows, a stretch at a time. */
export async function manyMovesOf(rows: readonly MoveRow[], zone: string): Promise<Grown<Move>> {
  const breathe = breather()
  for (let i = 0; i < rows.length; i += 100) {
    for (const row of rows.slice(i, i + 100)) moveOf(row, zone)
    await breathe()
  }
  return Grown.of(movesOf(rows, zone))
}

/** What moved, with rows entered since; told anew only where one of them says what others are. */
export const movesAfter = (moves: Grown<Move>, rows: readonly MoveRow[], zone: string): Grown<Move> | undefined =>
  rows.some(({ kind }) => kind === 'undone' || kind === 'restated') ? undefined : moves.with(movesOf(rows, zone))

/** What comes from the database is taken in all at once, so it is asked for so many at a time. */
const lotsAtOnce = 10

export async function lotsOf(
  db: Client,
  householdId: string,
  identities: readonly IdentityRow[],
  almanac: Parameters<typeof stateOf>[2],
): Promise<Map<string, LotState>> {
  const breathe = breather()
  const lots = new Map<string, LotState>()
  for (let i = 0; i < identities.length; i += lotsAtOnce) {
    const some = identities.slice(i, i + lotsAtOnce)
    const ledgers = await ledgersOf(
      db,
      householdId,
      some.map(({ id }) => id),
    )
    for (const identity of some) {
      lots.set(identity.id, stateOf(identity, historyFrom(ledgers, identity.id), almanac))
      await breathe()
    }
  }
  return lots
}

const byBringing = (a: LotState, b: LotState): number =>
  a.broughtOn < b.broughtOn ? -1 : a.broughtOn > b.broughtOn ? 1 : a.code < b.code ? -1 : 1

/** Lots in the order they were brought in. @param was the same lots in order, as they were before, where it is they */
export function inOrder(lots: ReadonlyMap<string, LotState>, was: readonly LotState[] = []): readonly LotState[] {
  const placed = was.length === lots.size ? was.map(({ id }) => lots.get(id)) : []
  const same = placed.length > 0 && placed.every((lot, i) => lot && (lot === was[i] || sameRank(lot, was[i]!)))
  return same ? (placed as LotState[]) : [...lots.values()].sort(byBringing)
}
const sameRank = (a: LotState, b: LotState) => a.broughtOn === b.broughtOn && a.code === b.code

export const lastOf = (months: { lastAtMs: number | null }[]): number | null => {
  const last = Math.max(...months.map((month) => month.lastAtMs ?? -Infinity))
  return Number.isFinite(last) ? last : null
}

export function takeRain(rain: Map<number, number>, month: { startMs: number; rainMm: Float32Array | null }): void {
  month.rainMm?.forEach((mm, i) => {
    if (!Number.isNaN(mm)) rain.set(month.startMs + i * hourMs, mm)
    else rain.delete(month.startMs + i * hourMs)
  })
}

/** What the weather forecast expects outdoors. */
export async function expectedOutdoors(db: Client, householdId: string, nowMs: number) {
  const hours = await forecastHours(db, householdId, new Date(nowMs), new Date(nowMs + forecastDays * dayMs))
  if (hours.length === 0) return { record: undefined, rain: new Map<number, number>() }
  const startMs = hours[0]!.hourMs
  const length = Math.round((hours.at(-1)!.hourMs - startMs) / hourMs) + 1
  const temperatureC = new Float32Array(length).fill(NaN)
  const relativeHumidityPct = new Float32Array(length).fill(NaN)
  const rain = new Map<number, number>()
  for (const hour of hours) {
    const i = Math.round((hour.hourMs - startMs) / hourMs)
    temperatureC[i] = hour.temperatureC
    relativeHumidityPct[i] = hour.relativeHumidityPct
    if (hour.rainMm !== null) rain.set(hour.hourMs, hour.rainMm)
  }
  return { record: { startMs, temperatureC, relativeHumidityPct }, rain }
}

const rainShownDays = 30

/** Rain by the household's days, measured and expected, mm. */
export function rainByDay(
  household: HouseholdRow,
  measured: ReadonlyMap<number, number>,
  expected: ReadonlyMap<number, number>,
  nowMs: number,
): Map<string, number> {
  const days = new Map<string, number>()
  const from = nowMs - rainShownDays * dayMs
  for (const hours of [measured, expected]) {
    for (const [ms, mm] of hours) {
      if (ms < from || (hours === measured && ms > nowMs)) continue
      const on = civilDateOf(ms, household.timeZone)
      days.set(on, Math.round(((days.get(on) ?? 0) + mm) * 10) / 10)
    }
  }
  return days
}

const unmeasured: Measured = { record: undefined, lastAtMs: null, epoch: 0 }
/** What was measured in a place; where nobody has, what was measured in the one it is a part of. */
function airOf(place: PlaceFacts, measured: ReadonlyMap<string, Measured>): Measured {
  const own = measured.get(place.id)
  const whole = place.within === null ? undefined : measured.get(place.within)
  return own?.record ? own : (whole ?? own ?? unmeasured)
}

/** The places at an instant; the air of those it stands for is the same as before. */
export async function placesNow(
  household: HouseholdRow,
  places: readonly PlaceFacts[],
  measured: ReadonlyMap<string, Measured>,
  expected: HourlyRecord | undefined,
  nowMs: number,
  before?: Pick<Known, 'house' | 'expected'>,
): Promise<PlaceState[]> {
  const breathe = breather()
  const climate = climateFor(household.latitudeDeg, household.altitudeM)
  const garden = places.find(({ kind }) => kind === 'outdoors')
  const comingMs = comingHour(nowMs)
  // what was outdoors is taken in once a day: the fits to it stand as long
  const known = before?.house.everyPlace[0]
  const outdoors =
    known && dayOf(before.house.comingHourMs) === dayOf(comingMs)
      ? known.outdoors
      : await inTurn(outdoorsInPieces(climate, comingMs, garden && airOf(garden, measured).record), breathe)
  const moment = { climate, nowMs: comingMs, outdoors }
  const was = before?.house.comingHourMs === comingMs ? before.house : undefined
  const made: PlaceState[] = []
  for (const place of places) {
    await breathe()
    const { record, lastAtMs, epoch } = airOf(place, measured)
    const known = was?.place(place.id)
    made.push(
      known && known.record === record && known.epoch === epoch && airKindOf(known) === airKindOf(place)
        ? { ...known, ...place }
        : await inTurn(placeStateInPieces(place, record, lastAtMs, moment, epoch), breathe),
    )
  }
  return withWeather(made, expected, before?.expected === expected ? was?.places : undefined)
}

/** Whether an instant lies in a month of hours. */
const holds = (month: { startMs: number; temperatureC: Float32Array }, ms: number | null): boolean =>
  ms !== null && ms >= month.startMs && ms < month.startMs + month.temperatureC.length * hourMs

/** Takes in months of hours that were written since. */
export function workIn(known: Known, rows: readonly MonthRow[], nowMs: number): void {
  for (const place of known.places) {
    const own = monthsOfHours(rows.filter((row) => row.placeId === place.id))
    if (own.length === 0) continue
    if (place.kind === 'outdoors') for (const month of own) takeRain(known.rain, month)
    const was = known.measured.get(place.id) ?? { record: undefined, lastAtMs: null, epoch: 0 }
    const { record, changedFromMs } = withMonths(was.record, own)
    const late = changedFromMs !== undefined && unsettles(changedFromMs, comingHour(nowMs))
    known.measured.set(place.id, {
      record,
      // what was the newest may have been taken back
      lastAtMs: lastOf(own.some((month) => holds(month, was.lastAtMs)) ? own : [was, ...own]),
      epoch: was.epoch + (late ? 1 : 0),
    })
  }
}

/** What stands in the beds; the very same as before where it is told the same. */
export function standsNow(
  entries: readonly BedEntry[],
  moves: Iterable<Move>,
  today: string,
  before: readonly Stand[] = [],
): readonly Stand[] {
  const known = new Map(before.map((stand) => [stand.key, stand]))
  const stands = standsOf(entries, moves, today).map((stand) => {
    const was = known.get(stand.key)
    return was && JSON.stringify(was) === JSON.stringify(stand) ? was : stand
  })
  return stands.length === before.length && stands.every((stand, i) => stand === before[i]) ? before : stands
}
