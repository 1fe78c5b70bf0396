import { normalDeviate, stream } from '@vadose/core/chance'
import { addDays } from '@vadose/core/households'
import { runOut } from '@vadose/core/larder'

const today = '2026-12-01'
type Next = () => number
/** How a household may use a line: uses a week in its n-th week, and what one use takes. None of these is the model. */
export const eatingWorlds: Record<string, (week: number) => { pace: number; amount: (next: Next) => number }> = {
  steady: () => ({ pace: 2, amount: () => 300 }),
  varying: () => ({ pace: 2, amount: (next) => 300 * Math.exp(0.5 * normalDeviate(next)) }),
  lumpy: () => ({ pace: 0.8, amount: (next) => (next() < 0.25 ? 1500 : 250) }),
  winter: (week) => ({ pace: 2 * (1 + 0.5 * Math.cos((2 * Math.PI * week) / 52)), amount: () => 300 }),
  fading: (week) => ({ pace: Math.max(0.3, 2.2 * Math.exp(-week / 30)), amount: () => 300 }),
}
function poisson(mean: number, next: Next): number {
  let k = 0
  let p = Math.exp(-mean)
  let sum = p
  for (const u = next(); u > sum && k < 50;) {
    k++
    p *= mean / k
    sum += p
  }
  return k
}

/** Share of simulated lines whose window holds the day they really ran out. */
export function windowsHeld(world: (typeof eatingWorlds)[string], weeks: number, lines: number): number {
  let inside = 0
  for (let seed = 1; seed <= lines; seed++) {
    const next = stream(seed * 7919 + weeks)
    const start = addDays(today, -7 * weeks)
    const own = Math.exp(0.4 * normalDeviate(next))
    const eaten = (day: number) => {
      const { pace, amount } = world(day / 7)
      return Array.from({ length: poisson((pace * own) / 7, next) }, () => amount(next)).reduce((a, b) => a + b, 0)
    }
    const uses = [{ date: start, amount: world(0).amount(next) }]
    for (let day = 1; day <= weeks * 7; day++) {
      const amount = eaten(day)
      if (amount > 0) uses.push({ date: addDays(start, day), amount })
    }
    const onHand = 6000 * own * (0.5 + next())
    let left = onHand
    let day = weeks * 7
    while (left > 0 && day < 3000) left -= eaten(++day)
    const { p10, p90 } = runOut(onHand, uses, today).runsOutOn
    const truth = addDays(start, day)
    if (truth >= p10 && truth <= p90) inside++
  }
  return inside / lines
}
