import { hourMs } from '@vadose/core/air'
import {
  bestMoves,
  comingHour,
  curingOfLot,
  eatFirstOf,
  House,
  lotState,
  optionsFor,
  placeState,
  planOf,
  sharesAhead,
  stockAhead,
  unsettles,
  withWeather,
  sameRecord,
  type LotState,
  type PlaceFacts,
  type PlaceState,
} from '@vadose/core/forecast'
import { climateFor } from '@vadose/core/places'
import { civilDateOf, dayMs } from '@vadose/core/households'
import { recordOf, withMonths, type HourlyRecord } from '@vadose/core/readings'
import { almanacOf } from '../almanac'
import { asHousehold, type Client, type Pool } from '../database'
import { nowOf, type HouseholdRow } from '../households'
import { placesOf } from '../places'
import { monthOf, monthOfHours } from './place-hours'
import {
  eventsOfLots,
  forecastHours,
  identitiesOf,
  lastEventId,
  lotsHere,
  lotsTouchedSince,
  monthsFrom,
  monthsSince,
  movesSince,
  type EventOfLot,
  type MonthRow,
} from './queries'

/** a weather forecast further ahead than this is no better than the season, days */
const forecastDays = 10
/** the seasons before this one, for what is eaten and for the same weeks of last year, days */
const backDays = 420
/** longest a household's forecasts hold the event loop at a stretch, ms */
const stretchMs = 12
/** households kept worked out at most; one that was not asked for lately is worked out anew */
const keptAtMost = 48

/** Grams that moved on one day. */
export interface Move {
  on: string
  kind: string
  crop: string
  weightG: number
}

interface Measured {
  record: HourlyRecord | undefined
  lastAtMs: number | null
  epoch: number
}

/** What is known of one household at two revisions, its ledger's and its air's. */
interface Known {
  household: HouseholdRow
  house: House
  places: PlaceFacts[]
  measured: Map<string, Measured>
  rain: Map<number, number>
  expected: HourlyRecord | undefined
  lots: Map<string, LotState>
  lastEvent: number
  moves: Move[]
  /** air that has come since the forecasts were made is being worked in */
  catchingUp: Promise<void> | undefined
}

/**
 * The households worked out. Nothing is held that the database does not: each request says which revision it found, and
 * what has changed since is read and worked in, lot by lot and place by place. So any number of servers stand side by side.
 */
export class Houses {
  private readonly known = new Map<string, Promise<Known>>()

  constructor(private readonly pool: Pool) {}

  /** A household as it is now. Its ledger is exact; new air counts a moment later, when its lots are worked out again. */
  async of(household: HouseholdRow): Promise<House> {
    return (await this.upToDate(household)).house
  }

  /** What moved day by day since the season before this one. */
  async moves(household: HouseholdRow): Promise<readonly Move[]> {
    return (await this.upToDate(household)).moves
  }

  /** Works in everything there is now, the air too: after the clock was moved, and in tests. */
  async settled(household: HouseholdRow): Promise<House> {
    const known = await this.upToDate(household)
    await known.catchingUp
    return known.house
  }

  forget(householdId: string): void {
    this.known.delete(householdId)
  }

  private async upToDate(household: HouseholdRow): Promise<Known> {
    const { id } = household
    for (;;) {
      const before = this.known.get(id)
      const known = await before?.catch(() => undefined)
      if (this.known.get(id) !== before) continue
      if (known && known.household.revision >= household.revision && sameDay(known, household)) {
        this.touch(id, before!)
        if (known.household.airRevision < household.airRevision || laterHour(known, household)) {
          this.catchUp(known, household)
        }
        return known
      }
      const next =
        known && sameDay(known, household) && sameHouse(known, household)
          ? this.withEntries(known, household)
          : this.load(household)
      this.touch(id, next)
      // one that could not be loaded is tried again by the next request
      next.catch(() => this.known.get(id) === next && this.known.delete(id))
      return next
    }
  }

  /** Puts a household at the end of those kept, and drops the one longest not asked for. */
  private touch(id: string, known: Promise<Known>): void {
    this.known.delete(id)
    this.known.set(id, known)
    const [oldest] = this.known.keys()
    if (this.known.size > keptAtMost && oldest !== undefined) this.known.delete(oldest)
  }

  private async load(household: HouseholdRow): Promise<Known> {
    const { id } = household
    const nowMs = nowOf(household)
    const known = await asHousehold(this.pool, id, async (db): Promise<Known> => {
      const almanac = await almanacOf(db, id)
      const places = await placesOf(db, id)
      const here = await lotsHere(db, id)
      const lots = await lotsOf(db, id, here, almanac)
      const lastEvent = await lastEventId(db, id)
      const since = new Date(nowMs - backDays * dayMs)
      const began = Math.min(nowMs - backDays * dayMs, ...[...lots.values()].map((lot) => lot.history.broughtAtMs))
      const months = await monthsFrom(db, id, monthOf(began - dayMs))
      const measured = new Map<string, Measured>()
      const rain = new Map<number, number>()
      for (const place of places) {
        const own = months.filter((row) => row.placeId === place.id).map(monthOfHours)
        if (place.kind === 'outdoors') for (const month of own) takeRain(rain, month)
        measured.set(place.id, { record: recordOf(own), lastAtMs: lastOf(own), epoch: 0 })
      }
      const expected = await expectedOutdoors(db, id, nowMs)
      const moves = (await movesSince(db, id, since)).map((row) => moveOf(row, household.timeZone))
      return {
        household,
        house: new House({
          household,
          places: placesNow(household, places, measured, expected.record, nowMs),
          lots: inOrder(lots),
          almanac,
          nowMs,
          rainMm: rainByDay(household, rain, expected.rain, nowMs),
        }),
        places,
        measured,
        rain,
        expected: expected.record,
        lots,
        lastEvent,
        moves,
        catchingUp: undefined,
      }
    })
    await warm(known.house)
    return known
  }

  /** Works in what was entered since, here or on another server. */
  private async withEntries(known: Known, household: HouseholdRow): Promise<Known> {
    const { id } = household
    const next = await asHousehold(this.pool, id, async (db): Promise<Known> => {
      const touched = await lotsTouchedSince(db, id, known.lastEvent)
      const almanac = await almanacOf(db, id)
      const places = await placesOf(db, id)
      const lots = new Map(known.lots)
      const changed = await lotsOf(db, id, touched, almanac)
      for (const lotId of touched) {
        const lot = changed.get(lotId)
        if (lot && lot.stage !== 'gone') lots.set(lotId, lot)
        else lots.delete(lotId)
      }
      if (almanac !== known.house.almanac) {
        // another number or school: every lot is read by the new almanac
        for (const [lotId, lot] of lots) lots.set(lotId, lotState(lot, lot.history.events, almanac))
      }
      const moves = await movesSince(db, id, new Date(0), known.lastEvent)
      const lastEvent = touched.length > 0 ? await lastEventId(db, id) : known.lastEvent
      const { nowMs } = known.house
      const samePlaces = JSON.stringify(places) === JSON.stringify(known.places)
      return {
        ...known,
        household: { ...household, airRevision: known.household.airRevision },
        house: new House(
          {
            household,
            places: samePlaces
              ? known.house.places
              : placesNow(household, places, known.measured, known.expected, nowMs, known),
            lots: inOrder(lots),
            almanac,
            nowMs: Math.max(nowMs, nowOf(household)),
            rainMm: known.house.rainMm,
          },
          known.house,
        ),
        places,
        lots,
        lastEvent,
        moves: [...known.moves, ...moves.map((row) => moveOf(row, household.timeZone))],
        catchingUp: undefined,
      }
    })
    await warm(next.house)
    return next
  }

  /** Works in new air beside the requests; whoever asks meanwhile is told what was thought before. */
  private catchUp(known: Known, household: HouseholdRow): void {
    if (known.catchingUp) return
    known.catchingUp = this.withAir(known, household)
      .catch(() => this.forget(household.id))
      .finally(() => (known.catchingUp = undefined))
  }

  private async withAir(known: Known, household: HouseholdRow): Promise<void> {
    const { id } = household
    const nowMs = nowOf(household)
    const { rows, expected } = await asHousehold(this.pool, id, async (db) => ({
      rows: await monthsSince(db, id, known.household.airRevision),
      expected: await expectedOutdoors(db, id, nowMs),
    }))
    workIn(known, rows, nowMs)
    const forecast = sameRecord(known.expected, expected.record) ? known.expected : expected.record
    const house = new House(
      {
        household,
        places: placesNow(household, known.places, known.measured, forecast, nowMs, known),
        lots: known.house.lots,
        almanac: known.house.almanac,
        nowMs,
        rainMm: rainByDay(household, known.rain, expected.rain, nowMs),
      },
      known.house,
    )
    await warm(house)
    // an entry that came meanwhile has made a later house: it is brought up to this air by the next request
    const current = await this.known.get(id)
    if (current === known) {
      known.house = house
      known.expected = forecast
      known.household = { ...known.household, airRevision: household.airRevision }
    }
  }
}

const sameDay = (known: Known, household: HouseholdRow) =>
  known.house.today === civilDateOf(nowOf(household), household.timeZone)
const laterHour = (known: Known, household: HouseholdRow) => comingHour(nowOf(household)) > known.house.comingHourMs
const sameHouse = (known: Known, household: HouseholdRow) =>
  known.household.timeZone === household.timeZone && known.household.latitudeDeg === household.latitudeDeg

const moveOf = (
  { at, kind, crop, weightG }: { at: Date; kind: string; crop: string; weightG: number },
  zone: string,
) => ({
  on: civilDateOf(at.getTime(), zone),
  kind,
  crop,
  weightG,
})

async function lotsOf(
  db: Client,
  householdId: string,
  ids: readonly string[],
  almanac: Parameters<typeof lotState>[2],
): Promise<Map<string, LotState>> {
  if (ids.length === 0) return new Map()
  const identities = await identitiesOf(db, householdId, ids)
  const events = new Map<string, EventOfLot[]>()
  for (const event of await eventsOfLots(db, householdId, ids)) {
    const own = events.get(event.lotId)
    if (own) own.push(event)
    else events.set(event.lotId, [event])
  }
  return new Map(
    identities.map((identity) => [identity.id, lotState(identity, events.get(identity.id) ?? [], almanac)]),
  )
}

const inOrder = (lots: ReadonlyMap<string, LotState>): LotState[] =>
  [...lots.values()].sort((a, b) =>
    a.broughtOn < b.broughtOn ? -1 : a.broughtOn > b.broughtOn ? 1 : a.code < b.code ? -1 : 1,
  )

const lastOf = (months: { lastAtMs: number | null }[]): number | null => {
  const last = Math.max(...months.map((month) => month.lastAtMs ?? -Infinity))
  return Number.isFinite(last) ? last : null
}

function takeRain(rain: Map<number, number>, month: { startMs: number; rainMm: Float32Array | null }): void {
  month.rainMm?.forEach((mm, i) => {
    if (!Number.isNaN(mm)) rain.set(month.startMs + i * hourMs, mm)
    else rain.delete(month.startMs + i * hourMs)
  })
}

/** What the weather forecast expects outdoors. */
async function expectedOutdoors(db: Client, householdId: string, nowMs: number) {
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
function rainByDay(
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

/** The places at an instant; the air of those it stands for is the same as before. */
function placesNow(
  household: HouseholdRow,
  places: readonly PlaceFacts[],
  measured: ReadonlyMap<string, Measured>,
  expected: HourlyRecord | undefined,
  nowMs: number,
  before?: Pick<Known, 'house' | 'expected'>,
): PlaceState[] {
  const moment = { climate: climateFor(household.latitudeDeg, household.altitudeM), nowMs: comingHour(nowMs) }
  const was = before?.house.comingHourMs === moment.nowMs ? before.house : undefined
  const made = places.map((place) => {
    const { record, lastAtMs, epoch } = measured.get(place.id) ?? { record: undefined, lastAtMs: null, epoch: 0 }
    const known = was?.place(place.id)
    return known && known.record === record && known.epoch === epoch && known.kind === place.kind
      ? { ...known, ...place }
      : placeState(place, record, lastAtMs, moment, epoch)
  })
  return withWeather(made, expected, before?.expected === expected ? was?.places : undefined)
}

/** Takes in months of hours that were written since. */
function workIn(known: Known, rows: readonly MonthRow[], nowMs: number): void {
  for (const place of known.places) {
    const own = rows.filter((row) => row.placeId === place.id).map(monthOfHours)
    if (own.length === 0) continue
    if (place.kind === 'outdoors') for (const month of own) takeRain(known.rain, month)
    const was = known.measured.get(place.id) ?? { record: undefined, lastAtMs: null, epoch: 0 }
    const { record, changedFromMs } = withMonths(was.record, own)
    const late = changedFromMs !== undefined && unsettles(changedFromMs, comingHour(nowMs))
    known.measured.set(place.id, {
      record,
      lastAtMs: lastOf([was, ...own]),
      epoch: was.epoch + (late ? 1 : 0),
    })
  }
}

/** Works out what every screen asks for, a stretch at a time so that requests come in between. */
async function warm(house: House): Promise<void> {
  let began = performance.now()
  const breathe = async () => {
    if (performance.now() - began < stretchMs) return
    await new Promise((resolve) => setImmediate(resolve))
    began = performance.now()
  }
  for (const lot of house.lots) {
    // one that cannot be worked out says so on its own line when it is shown
    attempt(() => warmLot(house, lot))
    await breathe()
  }
  for (const work of [planOf, eatFirstOf, stockAhead, bestMoves]) {
    attempt(() => void work(house))
    await breathe()
  }
}

function warmLot(house: House, lot: LotState): void {
  if (lot.stage === 'drying') {
    curingOfLot(house, lot)
    optionsFor(house, lot)
  } else if (lot.stage === 'stored' || lot.stage === 'fresh') {
    sharesAhead(house, lot)
  }
}

function attempt(work: () => void): void {
  try {
    work()
  } catch {
    // shown where it is asked for
  }
}
