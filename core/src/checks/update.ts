import { spreadPerWeek } from '../assumptions'
import type { Spread } from '../chance'
import type { Crop } from '../almanac'
import { lifeModelFromSpread, steadyLife, unitLife, type LifeModel } from '../stores'
import { told, fieldNamed } from '../message'
import { Refusal } from '../refusal'
import { nextLookInDays } from './next-look'
import { beliefAfterChecks, soundNow, type Check } from './posterior'

export interface UpdateAnswer {
  lifeDays: Spread
  soundFractionNow: number
  nextCheckInDays: number
}

/**
 * A life forecast before and after looking.
 * @param prior a crop in its best air (or the air given), or a life's p10, p50, p90 in days
 * @throws Refusal on impossible checks
 */
export function checkUpdate(
  prior: { crop: Crop; temperatureC?: number; relativeHumidityPct?: number } | { lifeDays: Spread },
  checks: readonly Check[],
  pieces = 100,
): UpdateAnswer {
  checks.forEach((check, i) => {
    if (check.bad > check.lookedAt) {
      throw new Refusal('invalid', told('checks.moreBadThanLookedAt', { n: i + 1 }), `checks/${i}/bad`)
    }
  })
  const model = priorModel(prior, checks)
  const now = Math.max(0, ...checks.map((c) => c.day))
  if (now > model.days) {
    throw new Refusal('out-of-range', told('checks.beyondForecast', { now, days: model.days }), 'checks')
  }
  const belief = beliefAfterChecks(model, checks, now)
  return {
    lifeDays: unitLife(model, belief.weights),
    soundFractionNow: soundNow(belief),
    nextCheckInDays: nextLookInDays(model, belief, now, checks.length, pieces, spreadPerWeek.net),
  }
}

function priorModel(prior: Parameters<typeof checkUpdate>[0], checks: readonly Check[]): LifeModel {
  if ('crop' in prior) {
    const { keeping } = prior.crop
    return steadyLife(
      prior.crop,
      prior.temperatureC ?? keeping.bestTemperatureC.value[1],
      prior.relativeHumidityPct ?? keeping.bestHumidityPct.value[0],
      'net',
    ).model
  }
  const { p10, p50, p90 } = prior.lifeDays
  if (!(p10 > 0 && p10 < p50 && p50 < p90 && p90 <= 3650)) {
    throw new Refusal('invalid', told('checks.lifeDaysRise', { lifeDays: fieldNamed('lifeDays') }), 'lifeDays')
  }
  if (p90 / p10 < 1.05) {
    throw new Refusal('out-of-range', told('checks.lifeDaysTooClose', { lifeDays: fieldNamed('lifeDays') }), 'lifeDays')
  }
  const horizon = Math.ceil(Math.max(p90 * 4, ...checks.map((c) => c.day)))
  return lifeModelFromSpread(prior.lifeDays, Math.min(20000, horizon))
}
