import { hourMs, joinSeries, seriesFromReadings, type AirReading } from '../air'
import { mapSpread } from '../chance'
import type { Crop } from '../almanac'
import { curingOf, curingState, type Airflow, type CuringLot } from '../line'
import { airAhead } from '../places'
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
  if (!Number.isFinite(ms))
    throw new Refusal('invalid', `${field} is not an instant; write it as 2026-07-12T08:00:00Z.`, field)
  return ms
}

/** How far curing has come in logged air, and when it will be ready if the last week's air goes on. */
export function cure(input: CureInput, cropOf: CropLookup) {
  const crop = cropOf(input.crop)
  const curing = curingOf(crop)
  const startMs = instant(input.startedAt, 'startedAt')
  if (input.air.length === 0) throw new Refusal('invalid', 'Give at least one reading of the air.', 'air')
  const times = input.air.map((reading, i) => instant(reading.at, `air/${i}/at`))
  const nowMs = Math.max(...times)
  if (nowMs < startMs) throw new Refusal('invalid', 'All readings of the air lie before startedAt.', 'air')
  if (nowMs - startMs > longestRecordHours * hourMs) {
    throw new Refusal('out-of-range', 'The record is longer than 400 days; nothing cures that long.', 'startedAt')
  }
  const within = (ms: number, field: string) => {
    if (ms < startMs || ms > nowMs) throw new Refusal('invalid', `${field} lies outside the record of the air.`, field)
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
        `There is no end test “${t.test}” for ${crop.name}. Known: ${known}.`,
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
    throw new Refusal(
      'stalled',
      `In the air of the last days it will not dry within 400 days (${Math.round(state.progress * 100)} % done so far). Move more or drier air past it.`,
      'air',
    )
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
