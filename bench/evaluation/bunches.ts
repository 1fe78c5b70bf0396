import { airSeries, hourMs, joinSeries, type AirSeries } from '@vadose/core/air'
import { cropById } from '@vadose/core/almanac'
import { normalDeviate, stream } from '@vadose/core/chance'
import { dayMs } from '@vadose/core/households'
import { curingState } from '@vadose/core/line'
import { quantile } from './curing-lots'

/** Summers a lot may hang through, by what the air is like on the whole. */
export const summers = {
  temperate: { meanC: 20, humidityPct: 62, spellC: 3, spellPct: 9, everyDays: 3 },
  hot: { meanC: 27, humidityPct: 58, spellC: 3, spellPct: 10, everyDays: 2 },
  damp: { meanC: 17.5, humidityPct: 75, spellC: 2.5, spellPct: 8, everyDays: 4 },
} as const
export type Summer = keyof typeof summers

const garlic = cropById('garlic-hardneck')
const bunches = 16
const calendarDays = 21
/** the one marked bunch is weighed as it is hung and three times more, every few days; then the forecast is made */
const weighedOn = ({ everyDays }: { everyDays: number }) => [0.2, everyDays, 2 * everyDays, 3 * everyDays]
const nowDayIn = (summer: Summer) => 3 * summers[summer].everyDays + 0.2
const hours = 24 * 150

/** Days and nights, and spells of some days that come and go. */
function summerAir(summer: Summer, next: () => number, from = 0): AirSeries {
  const { meanC, humidityPct, spellC, spellPct } = summers[summer]
  const temperature = new Float64Array(hours)
  const humidity = new Float64Array(hours)
  let [warm, wet] = [normalDeviate(next), normalDeviate(next)]
  for (let i = 0; i < hours; i++) {
    // a spell lasts about four days
    const keeps = Math.exp(-1 / 96)
    const moves = Math.sqrt(1 - keeps * keeps)
    warm = keeps * warm + moves * normalDeviate(next)
    wet = keeps * wet + moves * normalDeviate(next)
    const day = Math.sin((2 * Math.PI * ((i % 24) - 9)) / 24)
    temperature[i] = meanC + spellC * warm + 3.5 * day
    humidity[i] = Math.min(98, Math.max(25, humidityPct + spellPct * (0.8 * wet - 0.4 * warm) - 9 * day))
  }
  return airSeries(from, temperature, humidity)
}

/** Water a layer is left with in this air, as a share of what it came with: an S-shaped sorption curve (shape from memory). */
const restsAt = (pct: number) => 0.03 + 0.05 * (pct / 100) + 0.5 * (pct / 100) ** 6

/** The air's humidity, 0…1, at which a layer with so much of its water left neither gives nor takes. */
const activities = Float64Array.from({ length: 201 }, (_, i) => {
  let [low, high] = [0, 97]
  for (let k = 0; k < 20; k++) {
    const middle = (low + high) / 2
    if (restsAt(middle) < i / 200) low = middle
    else high = middle
  }
  return low / 100
})
const activity = (wet: number) => activities[Math.min(200, Math.max(0, Math.round(200 * wet)))]!

interface Bunch {
  /** shares of its first weight: water of leaf and stem, of the skins, of the necks, and the bulbs' own that goes slowly */
  leaf: number
  skin: number
  neck: number
  bulb: number
  pace: number
}

const layers = 6
/** share of the difference that a layer hands to the next in an hour at 20 °C: set so that 20 °C and 60 % take three weeks */
const neckHandsOn = 0.048

/**
 * Leaf, skins and necks of a bunch in its air: the leaf gives what the air takes from its surface, slower as it shrivels;
 * the skins dry through one another; the neck is a slab of layers that hand water on by diffusion, quicker when warm, its
 * outermost layer drying through the leaf's base. What the bulbs lose themselves goes on for months.
 * @returns weight by hour as a share of the first, and the hour its necks are dry; Infinity where they never are
 */
function dryOut({ leaf, skin, neck, bulb, pace }: Bunch, air: AirSeries): { weight: Float64Array; dryHour: number } {
  const weight = new Float64Array(air.hours + 1)
  weight[0] = 1
  const rest = 1 - leaf - skin - neck - bulb
  let [inLeaf, inSkin, inBulb] = [1, 1, 1]
  const inNeck = new Float64Array(layers).fill(1)
  let dryHour = Infinity
  for (let i = 0; i < air.hours; i++) {
    const rh = air.relativeHumidityPct[i]!
    const t = air.temperatureC[i]!
    const saturated = air.vpdKPa[i]! / Math.max(0.01, 1 - rh / 100)
    /** drying power of the air at a layer's own water activity, kPa */
    const pull = (wet: number) => saturated * (activity(wet) - rh / 100)
    inLeaf -= 0.006 * pace * pull(inLeaf) * Math.sqrt(Math.max(0.02, inLeaf))
    inSkin -= 0.0055 * pace * pull(inSkin)
    const handsOn = neckHandsOn * pace * 1.045 ** (t - 20)
    let before = inNeck[0]!
    inNeck[0]! -= 0.03 * pace * pull(before)
    for (let n = 1; n < layers; n++) {
      const flow = handsOn * (inNeck[n]! - before)
      before = inNeck[n]!
      inNeck[n]! -= flow
      inNeck[n - 1]! += flow
    }
    inBulb -= 0.00012 * pace * saturated * inBulb
    const necks = inNeck.reduce((a, b) => a + b, 0) / layers
    weight[i + 1] = rest + leaf * Math.max(0, inLeaf) + skin * inSkin + neck * necks + bulb * inBulb
    if (dryHour === Infinity && necks < 0.22 && inSkin < 0.3) dryHour = i + 1
  }
  return { weight, dryHour }
}

export interface BunchScore {
  lots: number
  medianDays: number
  missMedian: number
  calendarMedian: number
  signed: number
  coveredPct: number
}

interface Result {
  days: number
  signed: number
  miss: number
  calendar: number
  covered: boolean
}

/** One lot of bunches that differ, one of them weighed; ready when half have dry necks. */
function oneLot(summer: Summer, seed: number): Result | undefined {
  const next = stream(seed * 7_368_787 + summer.length)
  const air = summerAir(summer, next)
  const nowDay = nowDayIn(summer)
  const lotPace = Math.exp(0.3 * normalDeviate(next))
  const loss = 0.2 + 0.2 * next()
  const leafPart = 0.5 + 0.2 * next()
  const made = Array.from({ length: bunches }, (): Bunch => {
    const own = loss * Math.exp(0.12 * normalDeviate(next))
    return {
      leaf: own * leafPart,
      skin: own * (1 - leafPart) * 0.5,
      neck: own * (1 - leafPart) * 0.5,
      bulb: 0.25,
      pace: lotPace * Math.exp(0.15 * normalDeviate(next)),
    }
  })
  const dried = made.map((bunch) => dryOut(bunch, air))
  const trueHour = quantile(
    dried.map(({ dryHour }) => dryHour),
    0.5,
  )
  if (!Number.isFinite(trueHour) || trueHour <= nowDay * 24) return undefined
  const grams = 700 + 500 * next()
  const weighings = weighedOn(summers[summer]).map((day) => ({
    atMs: day * dayMs,
    weightG: Math.round(grams * dried[0]!.weight[Math.round(day * 24)]! * (1 + 0.015 * normalDeviate(next))),
    basis: 'bunch',
  }))
  const nowMs = nowDay * dayMs
  const past = Math.round(nowDay * 24)
  const cut = (values: Float64Array) => values.slice(0, past)
  const known = airSeries(0, cut(air.temperatureC), cut(air.relativeHumidityPct))
  const lot = {
    crop: garlic,
    air: joinSeries(known, usualAhead(summer, past)),
    nowMs,
    airflow: [{ atMs: 0, airflow: 'breezy' as const }],
    weighings,
    tests: [],
  }
  const { p10, p50, p90 } = curingState(lot).readyAtMs
  const trueMs = trueHour * hourMs
  return {
    days: trueMs / dayMs,
    signed: (p50 - trueMs) / dayMs,
    miss: Math.abs(Math.min(p50, hours * hourMs) - trueMs) / dayMs,
    calendar: Math.abs(calendarDays * dayMs - trueMs) / dayMs,
    covered: p10 <= trueMs && trueMs <= p90,
  }
}

/** The air to come as somebody expects it who knows the summers there: its days and nights without the spells. */
function usualAhead(summer: Summer, fromHour: number): AirSeries {
  const { meanC, humidityPct } = summers[summer]
  const day = (i: number) => Math.sin((2 * Math.PI * (((fromHour + i) % 24) - 9)) / 24)
  const count = hours - fromHour
  return airSeries(
    fromHour * hourMs,
    Float64Array.from({ length: count }, (_, i) => meanC + 3.5 * day(i)),
    Float64Array.from({ length: count }, (_, i) => humidityPct - 9 * day(i)),
  )
}

/** Garlic dried by diffusion in bunches that differ, four weighings of one of them. */
export function scoreBunches(summer: Summer, count: number, firstSeed = 1): BunchScore {
  const lots: Result[] = []
  for (let seed = firstSeed; lots.length < count && seed < firstSeed + 5 * count; seed++) {
    const lot = oneLot(summer, seed)
    if (lot) lots.push(lot)
  }
  const median = (of: (lot: Result) => number) => quantile(lots.map(of), 0.5)
  return {
    lots: lots.length,
    medianDays: median(({ days }) => days),
    missMedian: median(({ miss }) => miss),
    calendarMedian: median(({ calendar }) => calendar),
    signed: median(({ signed }) => signed),
    coveredPct: (100 * lots.filter(({ covered }) => covered).length) / lots.length,
  }
}

/** Days until the necks of a usual bunch are dry in steady air: for setting the simulator by practice. */
export function steadyDays(temperatureC: number, humidityPct: number): number {
  const air = airSeries(0, new Float64Array(hours).fill(temperatureC), new Float64Array(hours).fill(humidityPct))
  return dryOut({ leaf: 0.18, skin: 0.06, neck: 0.06, bulb: 0.25, pace: 1 }, air).dryHour / 24
}
