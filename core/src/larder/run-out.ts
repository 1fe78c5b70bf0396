import { useRatePriorWeeks } from '../assumptions'
import { gammaQuantile, mapSpread, type Spread } from '../chance'
import { addDays, daysBetween, isCivilDate, type CivilDate } from '../households'
import { Refusal } from '../refusal'

export interface Use {
  date: CivilDate
  /** in the line's own unit: g, heads, jars */
  amount: number
}

export interface RunOut {
  perWeek: Spread
  /** p10 is the early date */
  runsOutOn: Spread<CivilDate>
}

/**
 * When a line runs out at the pace it is used: uses come as a Poisson stream of gamma-distributed rate, each of the
 * line's mean amount; the prior holds the watched pace as if for `useRatePriorWeeks` more.
 * @param onHand in the unit of the uses
 * @throws Refusal when there is no use to learn from, or a date lies ahead of today
 */
export function runOut(onHand: number, uses: readonly Use[], today: CivilDate): RunOut {
  if (!isCivilDate(today)) throw new Refusal('invalid', 'today is not a day; write it as 2026-10-02.', 'today')
  if (uses.length === 0) throw new Refusal('invalid', 'There is no use yet to learn a pace from.', 'uses')
  uses.forEach((use, i) => {
    if (!isCivilDate(use.date)) throw new Refusal('invalid', `${use.date} is not a day.`, `uses/${i}/date`)
    if (use.date > today) throw new Refusal('invalid', `Use ${i + 1} lies after today.`, `uses/${i}/date`)
    if (!(use.amount > 0)) throw new Refusal('invalid', `Use ${i + 1} must be above 0.`, `uses/${i}/amount`)
  })
  const first = uses.reduce((min, use) => (use.date < min ? use.date : min), today)
  const total = uses.reduce((sum, use) => sum + use.amount, 0)
  const mean = total / uses.length
  const weeks = Math.max(1, daysBetween(first, today) / 7)
  const pace = uses.length / weeks
  const shape = uses.length + useRatePriorWeeks * pace
  const perWeek = mapSpread({ p10: 0.1, p50: 0.5, p90: 0.9 }, (p) => mean * gammaQuantile(shape, pace, p))
  // the last uses come irregularly too: fewer of them left, wider the date
  const usesLeft = Math.max(1, onHand / mean)
  const shapeOfTime = 1 / (1 / shape + 1 / usesLeft)
  const meanDays = (7 * usesLeft) / pace
  const at = (p: number) =>
    addDays(today, onHand > 0 ? Math.min(36500, Math.round(gammaQuantile(shapeOfTime, meanDays, p))) : 0)
  return { perWeek, runsOutOn: { p10: at(0.1), p50: at(0.5), p90: at(0.9) } }
}
