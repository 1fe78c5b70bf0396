import {
  amountPriorUses,
  fewUses,
  paceDriftLogSd,
  priorAmountCv2,
  useHalfLifeWeeks,
  usePriorWeeks,
  usualUsesPerWeek,
} from '../assumptions'
import { gammaQuantile, mapSpread, normalQuantile, type Spread } from '../chance'
import { addDays, daysBetween, isCivilDate, type CivilDate } from '../households'
import { told, fieldNamed } from '../message'
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

/** What is known of a line's pace before it has been used: how much of such a line the household uses in a week. */
export interface PacePrior {
  perWeek: number
}

/** watched so long as this at most for a line that has just begun, weeks */
const longestDays = 36500

/**
 * When a line runs out at the pace it is used. Uses come as a Poisson stream whose rate is gamma-distributed: the first
 * use opens the line and is no gap, later ones count by half for every `useHalfLifeWeeks` gone, a weak prior stands beside
 * them. Each takes an amount of its own spread, and the pace drifts with the season and the taste.
 * @param onHand in the unit of the uses
 * @param prior the pace of like lines, for one that was never used
 * @throws Refusal when there is neither a use nor a prior, or a date lies ahead of today
 */
export function runOut(onHand: number, uses: readonly Use[], today: CivilDate, prior?: PacePrior): RunOut {
  if (!isCivilDate(today))
    throw new Refusal('invalid', told('larder.todayNotADay', { today: fieldNamed('today') }), 'today')
  if (uses.length === 0 && !prior) {
    throw new Refusal('invalid', told('larder.noUseYet'), 'uses')
  }
  uses.forEach((use, i) => {
    if (!isCivilDate(use.date))
      throw new Refusal('invalid', told('larder.useNotADay', { date: use.date }), `uses/${i}/date`)
    if (use.date > today) throw new Refusal('invalid', told('larder.useAfterToday', { n: i + 1 }), `uses/${i}/date`)
    if (!(use.amount > 0)) throw new Refusal('invalid', told('larder.useOfNothing', { n: i + 1 }), `uses/${i}/amount`)
  })
  const { mean, cv2, counted, weeks } = watched(uses, today, prior)
  const priorUses = usePriorWeeks * usualUsesPerWeek
  // the prior says how often such a line is used; what was watched soon outweighs it
  const shape = counted + (prior && uses.length === 0 ? 1 : priorUses)
  const rate = prior && uses.length === 0 ? mean / prior.perWeek : weeks + usePriorWeeks
  const pace = shape / rate
  const weekly = mean * pace
  const drift = paceDriftLogSd ** 2
  const paceCv2 = 1 / shape + cv2 / Math.max(1, counted) + drift / 2
  const perWeek = mapSpread({ p10: 0.1, p50: 0.5, p90: 0.9 }, (p) => gammaQuantile(1 / paceCv2, weekly, p))
  const usesLeft = Math.max(1, onHand / mean)
  const meanDays = (7 * onHand) / weekly
  // how irregularly the last uses come, how much each takes, how well the pace is known, and how it may change by then
  const known = (1 + cv2) / usesLeft + 1 / shape + cv2 / (1 + counted) + fewUses / (1 + counted) ** 2
  const logSd = Math.sqrt(Math.log1p(known))
  // a pace that changes falls off more often than it picks up: the late end is the wide one
  const falls = paceDriftLogSd * Math.min(1, meanDays / 90)
  const lateLogSd = Math.hypot(logSd, 2 * falls)
  const at = (p: number) => {
    const z = normalQuantile(p)
    const days = meanDays * Math.exp(falls / 3 + z * (z > 0 ? lateLogSd : logSd))
    return addDays(today, onHand > 0 ? Math.min(longestDays, Math.round(days)) : 0)
  }
  return { perWeek, runsOutOn: { p10: at(0.1), p50: at(0.5), p90: at(0.9) } }
}

/** Mean and relative spread of an amount, uses counted, and weeks watched, the late ones for more. */
function watched(uses: readonly Use[], today: CivilDate, prior: PacePrior | undefined) {
  if (uses.length === 0) return { mean: prior!.perWeek, cv2: priorAmountCv2, counted: 0, weeks: 0 }
  const byDay = new Map<CivilDate, number>()
  for (const { date, amount } of uses) byDay.set(date, (byDay.get(date) ?? 0) + amount)
  const days = [...byDay].sort(([a], [b]) => (a < b ? -1 : 1))
  const halved = (date: CivilDate) => 0.5 ** (daysBetween(date, today) / 7 / useHalfLifeWeeks)
  const weights = days.map(([date]) => halved(date))
  const total = weights.reduce((a, b) => a + b, 0)
  const mean = days.reduce((sum, [, amount], i) => sum + weights[i]! * amount, 0) / total
  const spread = days.reduce((sum, [, amount], i) => sum + weights[i]! * (amount / mean - 1) ** 2, 0)
  const since = daysBetween(days[0]![0], today) / 7
  return {
    mean,
    cv2: (spread + amountPriorUses * priorAmountCv2) / (total + amountPriorUses),
    counted: total - weights[0]!,
    weeks: (useHalfLifeWeeks / Math.LN2) * (1 - 0.5 ** (since / useHalfLifeWeeks)),
  }
}
