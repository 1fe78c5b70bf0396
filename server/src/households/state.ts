import { hourMs, airSeries, joinSeries, type AirSeries } from '@vadose/core/air'
import { beliefAfterChecks, checkSize, nextLookInDays, spreadPerWeek } from '@vadose/core/checks'
import { driedForm, type Almanac, type Crop, type GasLevel } from '@vadose/core/almanac'
import { dayMs } from '@vadose/core/households'
import {
  keepingForecast,
  lotLife,
  usualPacking,
  type KeepingForecast,
  type LifeModel,
  type LotBelief,
  type Packing,
} from '@vadose/core/stores'
import { curingState, type CuringLot, type CuringState } from '@vadose/core/line'
import { lotHistory, type LotHistory } from '@vadose/core/lots'
import { climateFor, placeKinds, type Climate } from '@vadose/core/places'
import { almanacOf, cropIn } from '../almanac'
import { asHousehold, type Client, type Pool } from '../database'
import { eventsOfLotsHere, lotsStillHere, type EventRow, type FullLotRow } from '../lots'
import type { PlaceRow } from '../places'
import { horizonDays, loadPlaces, type PlaceState } from './place-air'
import { householdById, type HouseholdRow } from './queries'
import { civilDateOf, nowOf } from './time'

const curingAheadDays = 120
const cloudDays = 30

export interface LotState extends FullLotRow {
  cropData: Crop
  events: EventRow[]
  history: LotHistory
}

export interface KeepingState {
  startMs: number
  nowDay: number
  model: LifeModel
  lossPct: Float64Array
  belief: LotBelief
  forecast: KeepingForecast
  nextCheckInDays: number
  lookAt: number
}

/** Everything known of a household at one revision and instant, forecasts worked out when first asked for. */
export class HouseholdState {
  readonly nowMs: number
  readonly today: string
  readonly climate: Climate
  private readonly keepingOf = new Map<string, KeepingState>()
  private readonly curingOf = new Map<string, { lot: CuringLot; state: CuringState }>()

  constructor(
    readonly household: HouseholdRow,
    readonly places: PlaceState[],
    readonly lots: LotState[],
    readonly almanac: Almanac,
    nowMs: number,
    /** rain measured and forecast outdoors, mm by date; no entry where nobody says */
    readonly rainMm: ReadonlyMap<string, number> = new Map(),
  ) {
    this.nowMs = nowMs
    this.today = this.dateOf(nowMs)
    this.climate = climateFor(household.latitudeDeg, household.altitudeM)
  }

  /** A lot's crop as it grew, where the lot itself has been dried. */
  freshCrop = (lot: LotState): Crop => cropIn(this.almanac, lot.crop)

  dateOf = (ms: number): string => civilDateOf(ms, this.household.timeZone)

  place(id: string | null): PlaceState | undefined {
    return this.places.find((place) => place.id === id)
  }

  /** The air a lot had since an instant, by where it was, and will have where it is (or in `elsewhere`). */
  private lotAir(lot: LotState, fromMs: number, aheadHours: number, elsewhere?: PlaceState): AirSeries {
    const startMs = Math.floor(fromMs / hourMs) * hourMs
    const hours = Math.max(1, Math.ceil((this.nowMs - startMs) / hourMs))
    const temperature = new Float64Array(hours)
    const humidity = new Float64Array(hours)
    const { stays } = lot.history
    let stay = 0
    for (let i = 0; i < hours; i++) {
      const ms = startMs + i * hourMs
      while (stay + 1 < stays.length && stays[stay + 1]!.atMs <= ms + hourMs / 2) stay++
      const place = this.place(stays[stay]?.placeId ?? lot.placeId) ?? this.places[0]!
      const at = Math.min(place.past.hours - 1, Math.max(0, Math.round((ms - place.past.startMs) / hourMs)))
      temperature[i] = place.past.temperatureC[at]!
      humidity[i] = place.past.relativeHumidityPct[at]!
    }
    const ahead = (elsewhere ?? this.place(lot.placeId) ?? this.places[0]!).ahead
    const past = airSeries(startMs, temperature, humidity)
    return joinSeries(past, firstHours(ahead, Math.min(ahead.hours, aheadHours)))
  }

  /** How a stored or waiting lot keeps; in another place when one is given. */
  keeping(lot: LotState, elsewhere?: PlaceState): KeepingState {
    const key = `${lot.id} ${elsewhere?.id ?? ''}`
    let made = this.keepingOf.get(key)
    if (made) return made
    const startMs = lot.history.storedAtMs ?? lot.history.broughtAtMs
    const pack = (lot.history.pack ?? usualPacking(lot.cropData)) as Packing
    const place = elsewhere ?? this.place(lot.placeId)
    const around = {
      light: place ? !placeKinds[place.kind].dark && pack !== 'sack' : false,
      gas: this.gasIn(place, lot),
    }
    const air = this.lotAir(lot, startMs, horizonDays * 24, elsewhere)
    const { model, lossPct } = lotLife(lot.cropData, air, pack, around)
    const nowDay = Math.max(0, (this.nowMs - startMs) / dayMs)
    const checks = lot.history.checks
      .filter((check) => check.atMs >= startMs)
      .map((check) => ({ ...check, day: (check.atMs - startMs) / dayMs }))
    const spread = spreadPerWeek[pack]
    const belief = beliefAfterChecks(model, checks, nowDay, spread)
    const pieces = lot.pieces ?? Math.max(1, Math.round(lot.weightG / lot.cropData.pieceG.value))
    const lastDay = checks.at(-1)?.day ?? 0
    const beliefThen = beliefAfterChecks(model, checks, lastDay, spread)
    made = {
      startMs,
      nowDay,
      model,
      lossPct,
      belief,
      forecast: keepingForecast(model, lossPct, nowDay, belief),
      nextCheckInDays: nextLookInDays(model, beliefThen, lastDay, pieces, spread),
      // nine in ten sure of catching a fault that one in ten has
      lookAt: checkSize(pieces, 0.1, 0.9),
    }
    this.keepingOf.set(key, made)
    return made
  }

  /** Ripening gas that the other lots in a place give off. */
  private gasIn(place: PlaceState | undefined, lot: LotState): GasLevel {
    const levels: GasLevel[] = ['none', 'little', 'some', 'much']
    const given = this.lots
      .filter((other) => other.id !== lot.id && place && other.placeId === place.id)
      .map((other) => levels.indexOf(other.cropData.keeping.ethyleneGiven.value))
    return levels[Math.max(0, ...given)]!
  }

  /** Day of the calendar for a day of a lot's life. */
  keepingDate = (keeping: KeepingState, day: number): string => this.dateOf(keeping.startMs + day * dayMs)

  /** How far a hanging lot has dried. */
  curing(lot: LotState): { lot: CuringLot; state: CuringState } {
    let made = this.curingOf.get(lot.id)
    if (made) return made
    const { hungAtMs, airflow, weighings, tests } = lot.history
    const curing: CuringLot = {
      crop: lot.cropData,
      air: this.lotAir(lot, hungAtMs ?? this.nowMs, curingAheadDays * 24),
      nowMs: this.nowMs,
      airflow,
      weighings,
      tests,
    }
    made = { lot: curing, state: curingState(curing) }
    this.curingOf.set(lot.id, made)
    return made
  }

  /** Air from now on in a place, for the line's what-ifs. */
  lineAhead = (place: PlaceState): AirSeries => firstHours(place.ahead, curingAheadDays * 24)
}

function firstHours(air: AirSeries, hours: number): AirSeries {
  const cut = (values: Float64Array) => values.subarray(0, hours)
  return {
    startMs: air.startMs,
    hours: Math.min(hours, air.hours),
    temperatureC: cut(air.temperatureC),
    relativeHumidityPct: cut(air.relativeHumidityPct),
    vpdKPa: cut(air.vpdKPa),
    mouldExcessPct: cut(air.mouldExcessPct),
  }
}

// what a revision and an hour say does not change: keep the last few households' answers
const kept = new Map<string, HouseholdState>()
const keptAtMost = 24

/** The household's state now; worked out anew only after a change, or an hour later. */
export async function stateOf(pool: Pool, householdId: string): Promise<HouseholdState> {
  return asHousehold(pool, householdId, async (client) => {
    const household = (await householdById(client, householdId))!
    const nowMs = nowOf(household)
    const key = `${household.id} ${household.revision} ${Math.floor(nowMs / hourMs)}`
    const found = kept.get(key)
    if (found) return found
    const state = await loadState(client, household, nowMs)
    kept.set(key, state)
    for (const old of kept.keys()) {
      if (kept.size <= keptAtMost) break
      kept.delete(old)
    }
    return state
  })
}

async function loadState(client: Client, household: HouseholdRow, nowMs: number): Promise<HouseholdState> {
  const rows = await lotsStillHere(client, household.id)
  const events = await eventsOfLotsHere(
    client,
    household.id,
    rows.map((row) => row.id),
  )
  const byLot = new Map<string, EventRow[]>()
  for (const event of events) byLot.set(event.lotId, [...(byLot.get(event.lotId) ?? []), event])
  const almanac = await almanacOf(client, household.id)
  const lots = rows.map((row): LotState => {
    const own = byLot.get(row.id) ?? []
    const crop = cropIn(almanac, row.crop)
    return {
      ...row,
      cropData: row.dried ? driedForm(crop) : crop,
      events: own,
      history: lotHistory(own.map((e) => ({ ...e, atMs: e.at.getTime() }))),
    }
  })
  const begins = lots.map((lot) => lot.history.broughtAtMs)
  const sinceMs = Math.min(nowMs - cloudDays * dayMs, ...begins) - dayMs
  const { places, rainMm } = await loadPlaces(client, household, sinceMs, nowMs)
  return new HouseholdState(household, places, lots, almanac, nowMs, rainMm)
}

/** How air moves in a place when nothing is done about it. */
export const naturalAirflow =
  (places: readonly PlaceRow[]) =>
  (placeId: string): 'still' | 'breezy' => {
    const place = places.find((p) => p.id === placeId)
    return place ? placeKinds[place.kind].airflow : 'breezy'
  }
