import { airState, hourMs, joinSeries, seriesFromReadings, type AirReading } from '../air'
import { mapSpread, type Spread } from '../chance'
import { checkSize, checkUpdate, type Check } from '../checks'
import { cropById } from '../crops'
import type { CivilDate } from '../household'
import { keepAt } from '../keeping'
import { runOut, type Use } from '../larder'
import { curingState, type Airflow, type CuringLot } from '../line'
import { airAhead } from '../places'
import { Refusal } from '../refusal'

export interface AirInput {
  temperatureC: number
  relativeHumidityPct: number
  pressureKPa?: number
}

export interface CureInput {
  crop: string
  startedAt: string
  air: AirReading[]
  airflow: Airflow
  weighings?: { at: string; weightG: number }[]
  tests?: { at: string; test: string; passed: boolean }[]
}

export interface KeepInput {
  crop: string
  temperatureC: number
  relativeHumidityPct: number
  light?: boolean
}

export interface CheckSizeInput {
  lotSize: number
  badFraction: number
  confidence: number
}

export interface CheckUpdateInput {
  crop?: string
  lifeDays?: Spread
  temperatureC?: number
  relativeHumidityPct?: number
  checks: Check[]
}

export interface RunOutInput {
  onHand: number
  uses: Use[]
  today: CivilDate
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
export function cure(input: CureInput) {
  const crop = cropById(input.crop)
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
    if (!crop.curing.endTests.some((known) => known.id === t.test)) {
      const known = crop.curing.endTests.map((test) => test.id).join(', ')
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

export const air = (input: AirInput) => airState(input.temperatureC, input.relativeHumidityPct, input.pressureKPa)

export const keep = (input: KeepInput) => keepAt(cropById(input.crop), input.temperatureC, input.relativeHumidityPct)

export const checkSizeAnswer = (input: CheckSizeInput) => ({
  lookAt: checkSize(input.lotSize, input.badFraction, input.confidence),
})

export function checkUpdateAnswer(input: CheckUpdateInput) {
  if ((input.crop === undefined) === (input.lifeDays === undefined)) {
    throw new Refusal('invalid', 'Give either crop or lifeDays, one of the two.', 'crop')
  }
  return input.lifeDays
    ? checkUpdate({ lifeDays: input.lifeDays }, input.checks)
    : checkUpdate({ ...input, crop: cropById(input.crop!) }, input.checks)
}

export const runOutAnswer = (input: RunOutInput) => runOut(input.onHand, input.uses, input.today)

/** Every question answered by itself, by the name it has on the wire and at the command line. */
export const calculators = {
  air,
  cure,
  keep,
  'check-size': checkSizeAnswer,
  'check-update': checkUpdateAnswer,
  'run-out': runOutAnswer,
}

export type CalculatorName = keyof typeof calculators
