import { readFileSync } from 'node:fs'
import { normalDeviate, stream } from '@vadose/core/chance'
import { dayMs } from '@vadose/core/households'
import { dailyOf, outdoorDays, placeFit, type Climate, type PlaceKind } from '@vadose/core/places'

/** Hourly normals of Seattle, as `vega-datasets` carries them: a year of temperatures, °C. */
export function seattleNormals(): Float64Array {
  const rows = readFileSync('node_modules/vega-datasets/data/seattle-weather-hourly-normals.csv', 'utf8')
    .trim()
    .split('\n')
    .slice(1)
  return Float64Array.from(rows, (row) => Number(row.split(',')[2]))
}

const hours = 24 * 365
const yearStart = Date.UTC(2025, 0, 1)
/** what is thought of Seattle's outdoors by its latitude alone */
const climate: Climate = { meanC: 11.5, swingC: 10, humidityPct: 77, warmestDay: 201 }

/** How a building follows the weather: one mass, as the fit has it; with doors that stand open for days; or what is not the
 * fit's, two masses one behind the other as well. */
export type Building = 'one mass' | 'one mass, doors' | 'two masses, doors'

function building(kind: PlaceKind, world: Building, out: Float64Array, next: () => number): Float64Array {
  const like: Record<string, [tauDays: number, gain: number, meanC: number]> = {
    shed: [1 + 3 * next(), 0.7 + 0.25 * next(), 1.5 * normalDeviate(next)],
    'cool-room': [3 + 10 * next(), 0.4 + 0.3 * next(), 3 + 1.5 * normalDeviate(next)],
    cellar: [20 + 30 * next(), 0.35 + 0.25 * next(), 0.5 + 1.5 * normalDeviate(next)],
    loft: [0.7 + 1.5 * next(), 0.8 + 0.3 * next(), 3 + 2 * normalDeviate(next)],
  }
  const [tau, gain, over] = like[kind]!
  const mean = out.reduce((a, b) => a + b, 0) / out.length
  const inside = new Float64Array(out.length)
  const share = 1 - Math.exp(-1 / (24 * tau))
  const doors = world !== 'one mass'
  const inner = world !== 'two masses, doors' ? 1 : 1 - Math.exp(-1 / (24 * (0.3 * tau + 0.2)))
  let [wall, room, door] = [0, 0, 0]
  // the second time round it has forgotten how it began
  for (let i = -out.length; i < out.length; i++) {
    const t = out[(i + out.length) % out.length]! - mean
    wall += share * (t - wall)
    room += inner * (wall - room)
    if (doors && i % 24 === 0) door = 0.85 * door + 0.35 * normalDeviate(next)
    if (i >= 0) inside[i] = mean + over + gain * room + door
  }
  return inside
}

export interface ClimateScore {
  places: number
  /** monthly means off by, °C: middle, nine in ten, the worst */
  missC: { p50: number; p90: number; most: number }
  /** share of places all of whose months are within 1.5 °C, % */
  wholeYearPct: number
  /** 8-in-10 intervals of monthly means that hold them, % */
  coveredPct: number
}

/** Twenty readings scattered over six weeks of autumn, against every month of the year. */
export function scoreClimates(
  kind: PlaceKind,
  world: Building,
  places: number,
  begins: [number, number] = [235, 290],
  readings = 20,
  weeks = 6,
): ClimateScore {
  const out = seattleNormals()
  const misses: number[] = []
  let [covered, all, whole] = [0, 0, 0]
  for (let seed = 1; seed <= places; seed++) {
    const next = stream(seed * 6151 + kind.length * 97)
    const inside = building(kind, world, out, next)
    const record = {
      startMs: yearStart,
      temperatureC: new Float64Array(hours).fill(NaN),
      relativeHumidityPct: new Float64Array(hours).fill(70),
    }
    const from = 24 * Math.round(begins[0] + (begins[1] - begins[0]) * next())
    for (let k = 0; k < readings; k++) {
      const at = from + Math.floor(next() * weeks * 7) * 24 + 7 + Math.floor(15 * next())
      // a thermometer of ten dollars: half a degree
      record.temperatureC[at % hours] = inside[at % hours]! + 0.4 * normalDeviate(next)
    }
    const garden = dailyOf(
      { startMs: yearStart, temperatureC: out, relativeHumidityPct: new Float64Array(out.length).fill(75) },
      yearStart,
      yearStart + hours * (dayMs / 24),
    )
    const outdoors = outdoorDays(climate, yearStart - 200 * dayMs, yearStart + 364 * dayMs, garden)
    const fit = placeFit(kind, outdoors, dailyOf(record, yearStart, yearStart + hours * (dayMs / 24)))
    const day0 = Math.round(yearStart / dayMs) - fit.firstDay
    let worst = 0
    for (let month = 0; month < 12; month++) {
      const first = Math.round(month * 30.4)
      const last = Math.round((month + 1) * 30.4)
      let [truth, said, sd] = [0, 0, 0]
      for (let d = first; d < last; d++) {
        for (let h = 0; h < 24; h++) truth += inside[(d * 24 + h) % inside.length]! / 24 / (last - first)
        said += fit.temperatureC[day0 + d]! / (last - first)
        sd += fit.sdC[day0 + d]! / (last - first)
      }
      const miss = Math.abs(said - truth)
      misses.push(miss)
      worst = Math.max(worst, miss)
      all++
      if (miss <= 1.2816 * sd) covered++
    }
    if (worst <= 1.5) whole++
  }
  misses.sort((a, b) => a - b)
  return {
    places,
    missC: {
      p50: misses[Math.floor(misses.length / 2)]!,
      p90: misses[Math.floor(misses.length * 0.9)]!,
      most: misses.at(-1)!,
    },
    wholeYearPct: (100 * whole) / places,
    coveredPct: (100 * covered) / all,
  }
}
