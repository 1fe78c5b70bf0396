import { hourMs, joinSeries, seriesFromReadings, type AirReading } from '../air'
import { mapSpread } from '../chance'
import type { Crop } from '../almanac'
import { curingOf, curingState, type Airflow, type CuringLot } from '../line'
import { airAhead } from '../places'
import { term, told, fieldNamed } from '../message'
import { Refusal } from '../refusal'

/** Finds a crop by its id, or refuses. */
export type CropLookup = (id: string) => Crop

export interface CureInput {
  crop: string
  startedAt: string
  air: AirReading[]
  airflow: Airflow
  weighings?: { at: string; weightG: number }[]
  tests?: { at: string; test: string; passed: boolean }[]
}

const recentHours = 7 * 24
const horizonHours = 400 * 24
const longestRecordHours = 400 * 24

function instant(text: string, field: string): number {
  const ms = Date.parse(text)
  if (!Number.isFinite(ms)) throw new Refusal('invalid', told('worksheets.notAnInstant', { field }), field)
  return ms
}

/** How far curing has come in logged air, and when it will be ready if the last week's air goes on. */
export function cure(input: CureInput, cropOf: CropLookup) {
  const crop = cropOf(input.crop)
  const curing = curingOf(crop)
  const startMs = instant(input.startedAt, 'startedAt')
  if (input.air.length === 0) throw new Refusal('invalid', told('worksheets.oneReading'), 'air')
  const times = input.air.map((reading, i) => instant(reading.at, `air/${i}/at`))
  const nowMs = Math.max(...times)
  if (nowMs < startMs)
    throw new Refusal('invalid', told('worksheets.readingsBeforeStart', { startedAt: fieldNamed('startedAt') }), 'air')
  if (nowMs - startMs > longestRecordHours * hourMs) {
    throw new Refusal('out-of-range', told('worksheets.recordTooLong'), 'startedAt')
  }
  const within = (ms: number, field: string) => {
    if (ms < startMs || ms > nowMs) throw new Refusal('invalid', told('worksheets.outsideRecord', { field }), field)
    return ms
  }
  const weighings = (input.weighings ?? []).map((w, i) => ({
    weightG: w.weightG,
    atMs: within(instant(w.at, `weighings/${i}/at`), `weighings/${i}/at`),
  }))
  const tests = (input.tests ?? []).map((t, i) => {
    if (!curing.endTests.some((known) => known.id === t.test)) {
      const known = curing.endTests.map((test) => test.id).join(', ')
      throw new Refusal(
        'invalid',
        told('worksheets.noEndTest', { test: t.test, crop: term(crop.name), known }),
        `tests/${i}/test`,
      )
    }
    return { ...t, atMs: within(instant(t.at, `tests/${i}/at`), `tests/${i}/at`) }
  })
  const past = seriesFromReadings(input.air, startMs, Math.max(nowMs, startMs + hourMs))
  const recent = seriesFromReadings(
    input.air,
    Math.max(startMs, nowMs - recentHours * hourMs),
    Math.max(nowMs, startMs + hourMs),
  )
  const ahead = airAhead(recent, past.startMs + past.hours * hourMs, horizonHours)
  const lot: CuringLot = {
    crop,
    air: joinSeries(past, ahead),
    nowMs,
    airflow: [{ atMs: startMs, airflow: input.airflow }],
    weighings,
    tests,
  }
  const state = curingState(lot)
  if (!Object.values(state.readyAtMs).every(Number.isFinite)) {
    throw new Refusal('stalled', told('worksheets.neverDry', { done: Math.round(state.progress * 100) }), 'air')
  }
  return {
    progress: state.progress,
    readyAt: mapSpread(state.readyAtMs, (ms) => new Date(Math.round(ms)).toISOString()),
    stalledHours: state.stalledHours,
    mouldRiskHours: state.mouldRiskHours,
    spentKPaH: state.spentKPaH,
    reasons: state.reasons,
  }
}
