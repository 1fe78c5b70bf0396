import { told, type Message } from '../message'
import { hoursOf, hourMs, joinSeries, type AirSeries } from '../air'
import { dayMs } from '../households'
import { curingState, type CuringLot } from './curing-clock'
import { airflowAt, type Airflow } from './drying-power'
import type { Spread } from '../chance'
import type { CuringPosterior } from './posterior'

export interface Alternative {
  id: string
  label: Message
  /** air from now on; the lot's own when left out */
  airAhead?: AirSeries
  airflow: Airflow
  /** it meets the air better than it hangs now: spread thinner */
  gain?: number
}

export interface AlternativeOutcome {
  id: string
  label: Message
  readyAtMs: Spread
  /** days sooner than leaving it as it is, at the median; negative is later; Infinity when only this gets there */
  daysSaved: number
  /** hours damp enough for mould in the next fortnight */
  mouldHoursAhead: number
}

/** Cuts a series into what lies before an instant and what lies after. */
export function splitSeries(air: AirSeries, atMs: number): [AirSeries, AirSeries] {
  const cut = Math.min(air.hours, Math.max(0, Math.round((atMs - air.startMs) / hourMs)))
  return [hoursOf(air, 0, cut), hoursOf(air, cut, air.hours)]
}

/** Leaving it as it is. */
export const asItIs = (lot: CuringLot): Alternative => ({
  id: 'leave',
  label: told('line.leave'),
  airflow: airflowAt(lot.airflow, lot.nowMs),
})

/** What would come of one of them. */
export type Outcome = Omit<AlternativeOutcome, 'daysSaved'> & { posterior: CuringPosterior }

/**
 * What would come of an alternative from now on, the lot's weighings and tests kept.
 * @param known what is believed of it, where its past has been read already: it is the same whatever is done from now on
 */
export function whatIf(lot: CuringLot, alternative: Alternative, known?: CuringPosterior): Outcome {
  const [past, ownAhead] = splitSeries(lot.air, lot.nowMs)
  const ahead = alternative.airAhead ?? ownAhead
  // what was spread thinner stays so wherever it is carried
  const gain = alternative.gain ?? lot.airflow.at(-1)?.gain ?? 1
  const changed = {
    ...lot,
    air: joinSeries(past, ahead),
    airflow: [
      ...lot.airflow.filter((c) => c.atMs < lot.nowMs),
      { atMs: Math.max(lot.nowMs, past.startMs), airflow: alternative.airflow, gain },
    ],
  }
  const { readyAtMs, posterior } = curingState(changed, known)
  let mouldHoursAhead = 0
  for (let i = 0; i < Math.min(ahead.hours, 14 * 24); i++) if (ahead.mouldExcessPct[i]! > 0) mouldHoursAhead++
  return { id: alternative.id, label: alternative.label, readyAtMs, mouldHoursAhead, posterior }
}

/** How much sooner than the first each of them gets there. */
export const against = (asIs: Outcome, outcomes: readonly Outcome[]): AlternativeOutcome[] =>
  outcomes.map(({ posterior: _, ...outcome }) => {
    const [base, then] = [asIs.readyAtMs.p50, outcome.readyAtMs.p50]
    return { ...outcome, daysSaved: base === then ? 0 : (base - then) / dayMs }
  })

/** What each alternative would change from now on; first is leaving it as it is. */
export function whatWouldHelp(lot: CuringLot, alternatives: readonly Alternative[]): AlternativeOutcome[] {
  const asIs = whatIf(lot, asItIs(lot))
  return against(asIs, [asIs, ...alternatives.map((alternative) => whatIf(lot, alternative, asIs.posterior))])
}
