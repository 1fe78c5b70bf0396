import { scoreBunches, summers, type Summer } from './evaluation/bunches'
import { scoreClimates, type Building } from './evaluation/climates'
import { scoreCuring } from './evaluation/curing-lots'
import { eatingWorlds, windowsHeld } from './evaluation/eating'
import { scoreLearning } from './evaluation/learning'
import { usualHabits } from '@vadose/core/almanac'
import { scoreHouses } from './evaluation/houses'
import { truths, type Truth } from './evaluation/true-houses'
import { worlds, type World } from './evaluation/store-worlds'
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

console.log(
  `\nGarlic in ${Math.round(lots / 5)} lots of bunches that differ, dried by diffusion, one bunch weighed four times\n`,
)
row('summer', 'median days', 'clock misses, days', 'calendar, days', 'ratio', 'in window, %')
rule(6)
for (const summer of Object.keys(summers) as Summer[]) {
  const score = scoreBunches(summer, Math.round(lots / 5))
  row(
    summer,
    f(score.medianDays, 1),
    f(score.missMedian),
    f(score.calendarMedian),
    f(score.missMedian / score.calendarMedian),
    f(score.coveredPct, 1),
  )
}
row('wanted', '', '', '', '≤ 0.5 on average', '70–90')

for (const [who, habits] of [
  ['as usual', usualHabits],
  ['bearing three times as much', { ...usualHabits, bearableBadPct: 3 * usualHabits.bearableBadPct }],
] as const) {
  console.log(
    `\nLooking over ${lots} simulated stores a world for a winter, ${who}, against every so many days with as many looks\n`,
  )
  row(
    'world',
    'looks',
    'every … days',
    'lost, fixed',
    'lost, belief',
    'fewer lost, %',
    'knowing all, %',
    'in interval, %',
  )
  rule(8)
  for (const world of Object.keys(worlds) as World[]) {
    const score = scoreStores(world, lots, habits)
    row(
      worlds[world],
      f(score.looks),
      f(score.everyDays, 1),
      f(score.lostFixed),
      f(score.lostByBelief),
      f(score.fewerLostPct, 1),
      score.fewerLostKnowingPct === undefined ? '' : f(score.fewerLostKnowingPct, 1),
      f(score.coveredPct, 1),
    )
  }
  row('wanted', '', '', '', '', '≥ 30 own, ≥ 0', '', '70–90')
}

const learning = Math.round(lots / 10)
console.log(
  `\nA lot’s nine-in-ten day before anybody has looked, in ${learning} houses a row: by the books, and after three winters’ looks at two varieties\n`,
)
row(
  'world, varieties and houses differ by',
  'books miss, %',
  'learnt miss, %',
  'books in, %',
  'learnt in, %',
  'right order, %',
)
rule(6)
for (const [world, differ] of [
  ['own', 0],
  ['own', 0.35],
  ['twice', 0.35],
  ['half', 0.35],
  ['flat', 0.35],
] as const) {
  const score = scoreLearning(world, learning, differ)
  row(
    `${worlds[world]}, ± ${f(100 * differ, 0)} %`,
    f(score.missNewPct, 1),
    f(score.missLearntPct, 1),
    f(score.coveredNewPct, 1),
    f(score.coveredLearntPct, 1),
    differ ? f(score.rightOrderPct, 0) : '',
  )
}

console.log(`\nWhen a line runs out: ${lots} lines a kind of use; share of 8-in-10 windows that hold the day, %\n`)
row('use', 'wanted', 'after 2 weeks', '4 weeks', '10 weeks')
rule(4)
for (const [name, world] of Object.entries(eatingWorlds)) {
  row(name, '70–90', ...[2, 4, 10].map((weeks) => f(100 * windowsHeld(world, weeks, lots), 1)))
}

console.log(
  `\nA place’s climate over the year from 20 readings of six autumn weeks, ${Math.round(lots / 5)} houses a row, Seattle’s hourly normals\n`,
)
row('place, building', 'wanted', 'middle miss', '9 in 10', 'all 12 ≤ 1.5', 'in interval, %')
rule(5)
for (const building of ['one mass', 'one mass, doors', 'two masses, doors'] as Building[]) {
  for (const kind of ['shed', 'cool-room', 'cellar', 'loft'] as const) {
    const { missC, wholeYearPct, coveredPct } = scoreClimates(kind, building, Math.round(lots / 5))
    row(
      `${kind}, ${building}`,
      '≤ 1.5; 75–85',
      `${f(missC.p50)} °C`,
      `${f(missC.p90)} °C`,
      `${f(wholeYearPct, 0)} %`,
      f(coveredPct, 1),
    )
  }
}

const houses = Math.max(2, Math.round(lots / 15))
console.log(
  `\nKilos lost by spring in ${houses} simulated houses a world: as people put it, best arranged, and looked over\n`,
)
row('world', 'stored, kg', 'naive', 'arranged', 'and checked', 'fewer, %', 'houses 1–5–9 in 10')
rule(6)
for (const truth of Object.keys(truths) as Truth[]) {
  const score = await scoreHouses(truth, houses)
  const { p10, p50, p90 } = score.byHousePct
  row(
    truths[truth],
    f(score.storedKg, 0),
    f(score.naiveKg, 1),
    `${f(score.arrangedKg, 1)} (−${f(score.arrangedPct, 0)} %)`,
    f(score.checkedKg, 1),
    f(score.checkedPct, 1),
    `${f(p10, 0)} ${f(p50, 0)} ${f(p90, 0)}`,
  )
}
row('wanted', '', '', '', '', '≥ 30', '')
