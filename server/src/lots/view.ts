import type { CuringView, DryerView, JarView, KeepingView, LotEventView, LotRow } from '@vadose/contract/lots'
import { mapSpread, type Spread } from '@vadose/core/chance'
import { soundNow } from '@vadose/core/checks'
import type { Crop } from '@vadose/core/almanac'
import { addDays } from '@vadose/core/households'
import { endReason } from '@vadose/core/stores'
import { airflowAt, conditioningDays, conditioningVerdict, dryerState, expectedNowG } from '@vadose/core/line'
import { eventSays, jarDay } from '@vadose/core/lots'
import type { HouseholdState, LotState, PlaceState } from '../households'
import type { EventRow, FullLotRow } from './queries'

export const lotRow = (row: FullLotRow): LotRow => ({
  code: row.code,
  crop: row.crop,
  heap: row.heap,
  fate: row.fate,
  variety: row.variety,
  bed: row.bed,
  broughtOn: row.broughtOn,
  stage: row.stage,
  placeId: row.placeId,
  place: row.place,
  weightG: row.weightG,
  pieces: row.pieces,
  dried: row.dried,
})

/** When 9 in 10 (or half) are still sound, as dates, and which end comes first there. */
export function keepsUntil(
  state: HouseholdState,
  lot: LotState,
  elsewhere?: PlaceState,
  level: 'nine-in-ten' | 'half' = 'nine-in-ten',
) {
  const keeping = state.keeping(lot, elsewhere)
  const { endedBy } = keeping.forecast
  const nineInTenDay = level === 'half' ? keeping.forecast.halfDay : keeping.forecast.nineInTenDay
  return {
    nineInTenUntil: mapSpread(nineInTenDay, (day) => state.keepingDate(keeping, day)),
    beyond: nineInTenDay.p50 >= keeping.model.days - 1,
    endedBy: endedBy[0]!.end,
  }
}

/** Mean air of a place over the coming months, for saying why. */
export function meanAhead(place: PlaceState, days = 60) {
  const hours = Math.min(place.ahead.hours, days * 24)
  let temperatureC = 0
  let relativeHumidityPct = 0
  for (let i = 0; i < hours; i++) {
    temperatureC += place.ahead.temperatureC[i]! / hours
    relativeHumidityPct += place.ahead.relativeHumidityPct[i]! / hours
  }
  return { temperatureC, relativeHumidityPct }
}

export function keepingView(state: HouseholdState, lot: LotState): KeepingView {
  const keeping = state.keeping(lot)
  const { forecast, model, belief } = keeping
  const toDate = (day: number) => state.keepingDate(keeping, day)
  const place = state.place(lot.placeId) ?? state.places[0]!
  const air = meanAhead(place)
  const lastCheck = lot.history.checks.at(-1)
  const from = lastCheck ? state.dateOf(lastCheck.atMs) : state.dateOf(keeping.startMs)
  const due = addDays(from, keeping.nextCheckInDays)
  return {
    nineInTenUntil: mapSpread(forecast.nineInTenDay, toDate),
    halfUntil: mapSpread(forecast.halfDay, toDate),
    beyond: forecast.nineInTenDay.p50 >= model.days - 1,
    curve: forecast.curve.map((p) => ({ on: toDate(p.day), p10: p.p10, p50: p.p50, p90: p.p90 })),
    endedBy: forecast.endedBy
      .filter((e) => e.share >= 0.02)
      .map((e) => ({ ...e, why: endReason(lot.cropData, e.end, air.temperatureC, air.relativeHumidityPct) })),
    weightLossPctPerMonth: forecast.weightLossPctPerMonth,
    soundNow: soundNow(belief),
    nextCheckOn: due < state.today ? state.today : due,
    lookAt: keeping.lookAt,
  }
}

/** Ready window as dates; null where the air ahead never gets it there. */
export const readyDates = (state: HouseholdState, readyAtMs: Spread): Spread<string | null> =>
  mapSpread(readyAtMs, (ms) => (Number.isFinite(ms) ? state.dateOf(ms) : null))

export function curingView(state: HouseholdState, lot: LotState): CuringView {
  const { lot: curing, state: now } = state.curing(lot)
  const last = lot.history.weighings.at(-1)
  const expected = last ? expectedNowG(curing, now, last.basis) : undefined
  return {
    progress: now.progress,
    ready: readyDates(state, now.readyAtMs),
    readyNow: now.readyNow,
    stalledHours: now.stalledHours,
    stalledForHours: now.stalledForHours,
    mouldRiskHours: now.mouldRiskHours,
    airflow: airflowAt(curing.airflow, state.nowMs),
    reasons: now.reasons,
    basis: last?.basis ?? null,
    lastWeighedG: last?.weightG ?? null,
    expectedG: expected === undefined ? null : Math.round(expected),
  }
}

export const eventView = (
  crop: Crop,
  event: EventRow,
  placeName: string | null,
  dateOf: (ms: number) => string,
  struck: ReadonlySet<number> = new Set(),
): LotEventView => ({
  id: event.id,
  kind: event.kind,
  at: event.at.toISOString(),
  on: dateOf(event.at.getTime()),
  weightG: event.weightG,
  pieces: event.pieces,
  place: placeName,
  says: eventSays(crop, event, placeName),
  struck: struck.has(event.id),
})

export function dryerView(state: HouseholdState, lot: LotState): DryerView {
  const { loads } = lot.history
  const load = loads.at(-1)!
  const now = dryerState(state.freshCrop(lot), load, loads[0]!.weightG, state.nowMs)
  const iso = (ms: number) => new Date(ms).toISOString()
  return {
    trays: load.trays,
    airC: load.airC,
    loadedAt: iso(load.atMs),
    targetG: Math.round(now.targetG),
    moisturePct: now.moisturePct,
    progress: now.progress,
    doneAt: mapSpread(now.doneAtMs, iso),
    rotateAt: iso(now.rotateAtMs),
    rotated: load.rotatedAtMs !== null,
    again: loads.length > 1,
  }
}

export function jarView(state: HouseholdState, lot: LotState): JarView {
  const looks = lot.history.jar?.looks ?? []
  const last = looks.at(-1)
  const day = jarDay(lot.history, state.nowMs)
  return {
    day,
    of: conditioningDays.least,
    shakenToday: last !== undefined && state.dateOf(last.atMs) === state.today,
    says: last ? conditioningVerdict({ ...last, day }).says : null,
  }
}
