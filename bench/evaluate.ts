import { scoreCuring } from './evaluation/curing-lots'
import { scoreStores } from './evaluation/stores'

/** How right the models are on truths that are not theirs: `npm run evaluate` prints the tables. */
const f = (x: number, digits = 2) => x.toFixed(digits)
const row = (...cells: string[]) =>
  console.log('| ' + cells.map((c, i) => (i ? c.padStart(14) : c.padEnd(44))).join(' | ') + ' |')
const rule = (n: number) => row('-'.repeat(44), ...Array.from({ length: n }, () => '-'.repeat(14)))

const lots = Number(process.argv[2] ?? 1000)
console.log(
  `\nThe curing clock on ${lots} simulated lots, four weighings in fifteen days, summers of Seattle and New York\n`,
)
const aheads = ['hidden', 'forecast', 'known'] as const
const curing = aheads.map((ahead) => scoreCuring(lots, ahead))
const by = (pick: (s: (typeof curing)[number]) => string) => curing.map(pick)
row('weather to come', 'wanted', 'hidden', "a week's guess", 'known')
rule(4)
row('mean days to dry', 'about 20', ...by((s) => f(s.meanDays, 1)))
row('middle date misses by, median, days', '≤ 1.5', ...by((s) => f(s.missMedian)))
row('… nine lots in ten, days', '≤ 4', ...by((s) => f(s.missNineInTen)))
row('calendar rule misses by, median, days', '', ...by((s) => f(s.calendarMedian)))
row('middle date over calendar rule', '≤ 0.5', ...by((s) => f(s.missMedian / s.calendarMedian)))
row('8-in-10 window holds the truth, %', '75–85', ...by((s) => f(s.coveredPct, 1)))
row('without weighings, off by, % of duration', '≤ 20', ...by((s) => f(s.unweighedMedianPct, 1)))

console.log(`\nLooking over ${lots} simulated stores for a winter\n`)
const weekly = scoreStores(lots, 1)
const fortnightly = scoreStores(lots, 2)
const three = scoreStores(lots, 3)
const each = (pick: (s: typeof weekly) => string) => [weekly, fortnightly, three].map(pick)
row('against looking every', '', '1 week', '2 weeks', '3 weeks')
rule(4)
row('looks a store, every n weeks', '', ...each((s) => f(s.looksFixed)))
row('looks a store, by belief', 'as many', ...each((s) => f(s.looksByBelief)))
row('pieces lost to spread, every n weeks', '', ...each((s) => f(s.lostFixed)))
row('pieces lost to spread, by belief', '', ...each((s) => f(s.lostByBelief)))
row('fewer lost, %', '≥ 30', ...each((s) => f(s.fewerLostPct, 1)))
row('8-in-10 interval of life holds the truth, %', '75–85', ...each((s) => f(s.coveredPct, 1)))
