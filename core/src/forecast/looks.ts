import type { Crop } from '../almanac'
import type { Check } from '../checks'
import { dayMs } from '../households'
import type { LotHistory } from '../lots'
import { runs, type LifePrior } from '../stores'
import type { LotState } from './lot'

/** What was set apart as hurt has many that go early. */
const hurtHeaps = ['nicked', 'bruised', 'diseased']
export const cullsOf = ({ heap }: LotState): LifePrior['culls'] => (hurtHeaps.includes(heap) ? 'many' : 'usual')

/** A look as it speaks: each find by its cause, what only looks bad left out. */
function lookOf(crop: Crop, { lookedAt, bad, lotSize, faults }: LotHistory['checks'][number]): Omit<Check, 'day'> {
  const size = lotSize === undefined ? {} : { lotSize }
  const known = faults.flatMap(({ fault, pieces, action }) => {
    const data = crop.faults.find(({ id }) => id === fault)
    const kept = data?.actions.find(({ id }) => id === action)?.becomes === 'kept'
    return data ? [{ pieces, ends: data.ends, kept }] : []
  })
  const sum = (of: typeof known) => of.reduce((total, { pieces }) => total + pieces, 0)
  // of a crop that was another one then, only how many is known
  if (sum(known) !== bad) return { lookedAt, bad, ...size }
  const real = known.filter(({ ends }) => ends !== 'none')
  return {
    lookedAt,
    bad: sum(real),
    running: sum(real.filter(({ ends }) => runs.has(ends))),
    kept: sum(real.filter(({ kept }) => kept)),
    ...size,
  }
}

/** The looks at a lot since an instant, on days counted from it. */
export const looksSince = ({ history, cropData }: LotState, beganMs: number): Check[] =>
  history.checks
    .filter((check) => check.atMs >= beganMs)
    .map((check) => ({ day: (check.atMs - beganMs) / dayMs, ...lookOf(cropData, check) }))
