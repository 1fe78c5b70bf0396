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

/**
 * What each alternative would change from now on, the lot's weighings and tests kept; first is leaving it as it is.
 * @param known what is believed of it, where its past has been read already: it is the same whatever is done from now on
 */
export function whatWouldHelp(
  lot: CuringLot,
  alternatives: readonly Alternative[],
  known?: CuringPosterior,
): AlternativeOutcome[] {
  const [past, ownAhead] = splitSeries(lot.air, lot.nowMs)
  const asIs = { id: 'leave', label: told('line.leave'), airflow: airflowAt(lot.airflow, lot.nowMs) }
  // what was spread thinner stays so wherever it is carried
  const hangs = lot.airflow.at(-1)?.gain ?? 1
  const outcomes: AlternativeOutcome[] = []
  let believed = known
  for (const alternative of [asIs, ...alternatives] as Alternative[]) {
    const ahead = alternative.airAhead ?? ownAhead
    const changed = {
      ...lot,
      air: joinSeries(past, ahead),
      airflow: [
        ...lot.airflow.filter((c) => c.atMs < lot.nowMs),
        { atMs: Math.max(lot.nowMs, past.startMs), airflow: alternative.airflow, gain: alternative.gain ?? hangs },
      ],
    }
    const state = curingState(changed, believed)
    believed = state.posterior
    let mouldHoursAhead = 0
    for (let i = 0; i < Math.min(ahead.hours, 14 * 24); i++) if (ahead.mouldExcessPct[i]! > 0) mouldHoursAhead++
    const base = outcomes[0]?.readyAtMs.p50 ?? state.readyAtMs.p50
    const saved = base === state.readyAtMs.p50 ? 0 : (base - state.readyAtMs.p50) / dayMs
    outcomes.push({
      id: alternative.id,
      label: alternative.label,
      readyAtMs: state.readyAtMs,
      daysSaved: saved,
      mouldHoursAhead,
    })
  }
  return outcomes
}
