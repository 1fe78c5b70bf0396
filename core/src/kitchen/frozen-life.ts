import { sources, type Freezing } from '../almanac'
import { told } from '../message'
import { Refusal, requireWithin } from '../refusal'

export const daysAMonth = 30.4

/**
 * How fast frozen quality goes, as a multiple of the pace at −18 °C: exponential between the lives at −18 and −12 °C.
 * @source lives of IIR 1986 (recalled, not re-read); fitted −30…−6 °C
 */
export function frozenPace(freezing: Pick<Freezing, 'warmShare'>, temperatureC: number): number {
  return freezing.warmShare.value ** -((temperatureC + 18) / 6)
}

export interface FrozenStretch {
  temperatureC: number
  days: number
}

/**
 * Life left in a bag after what it has been through, months at −18 °C. Quality, not safety.
 * @throws Refusal `out-of-range` above −6 °C, where it is thawing, or below −35 °C
 */
export function frozenLife(freezing: Freezing, stretches: readonly FrozenStretch[]) {
  let spentMonths = 0
  stretches.forEach((s, i) => {
    if (s.temperatureC > -6) {
      throw new Refusal('out-of-range', told('kitchen.thawing'), `temperatures/${i}/temperatureC`)
    }
    requireWithin(s.temperatureC, -35, -6, `temperatures/${i}/temperatureC`, '°C')
    requireWithin(s.days, 0, 4000, `temperatures/${i}/days`, 'days')
    spentMonths += (frozenPace(freezing, s.temperatureC) * s.days) / daysAMonth
  })
  const [lo, hi] = freezing.lifeMonths.value
  const left = (life: number) => Math.max(0, life - spentMonths)
  return {
    spentMonths,
    monthsLeft: { p10: left(lo), p50: left(Math.sqrt(lo * hi)), p90: left(hi) },
    source: sources[freezing.lifeMonths.source].text,
  }
}
