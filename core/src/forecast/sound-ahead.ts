import { badShare, stand } from '../stores'
import { floats, floatsOf } from '../rows'
import type { House } from './house'
import { keepingOf } from './keeping'
import type { LotState } from './lot'

/** a life nobody believes in any more changes nothing */
const leastWeight = 1e-4

/** nothing of it is left, this week or later */
const nearlyAll = 1 - 1e-6

/** Share of what is sound now that will be after so many equal steps of days, if nobody eats it; the first is now. */
export function soundSharesAhead(house: House, lot: LotState, stepDays: number, count: number): Float64Array {
  const { model, belief, nowDay, spread } = keepingOf(house, lot)
  const sound = floats(count)
  const until = Math.min(model.days, nowDay + stepDays * (count - 1))
  belief.weights.forEach((weight, j) => {
    if (weight < leastWeight) return
    let day = nowDay
    let bad = badShare(belief.bad[j]!)
    let i = 0
    const tell = (share: number) => (sound[i++]! += weight * (1 - share))
    tell(bad)
    stand(model, j, belief.bad[j]!, nowDay, until, spread, (next, then) => {
      for (let at = nowDay + i * stepDays; i < count && at <= next; at += stepDays) {
        tell(bad + ((at - day) / (next - day)) * (then - bad))
      }
      day = next
      bad = then
      return then > nearlyAll
    })
    // beyond what is forecast it stays as it is
    while (i < count) tell(bad)
  })
  const now = sound[0]!
  return floatsOf(count, (i) => (now > 0 ? sound[i]! / now : 0))
}
