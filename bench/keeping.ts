import { endShape } from '@vadose/core/assumptions'
import { performance } from 'node:perf_hooks'
import { airSeries, type AirSeries } from '@vadose/core/air'
import { crops } from '@vadose/core/almanac'
import { agesByDay, ends, lifeModel, usualPacking } from '@vadose/core/stores'
import { inTurn } from './rounds'

/** A year of hourly air with seasons and days in it. */
function year(): AirSeries {
  const hours = 365 * 24
  const t = new Float64Array(hours)
  const rh = new Float64Array(hours)
  for (let i = 0; i < hours; i++) {
    t[i] = 11 + 7 * Math.cos(i / 1394) + 2 * Math.cos(i / 3.8)
    rh[i] = 66 + 12 * Math.sin(i / 900)
  }
  return airSeries(0, t, rh)
}

const air = year()
/** A household's year: every crop in turn, in its usual packing, in light and beside fruit, so that all hazards run. */
const lots = 300
const around = { light: true, gas: 'much' as const }

/** The core: hourly ages of nine ends, weight lost, and the hazards of every day. */
function core(): number {
  const began = performance.now()
  let sum = 0
  for (let lot = 0; lot < lots; lot++) {
    const crop = crops[lot % crops.length]!
    const { ages } = agesByDay(crop, air, usualPacking(crop), around)
    sum += lifeModel(ages).hazard[0]![365]!
  }
  if (!(sum > 0)) throw new Error('the core computed nothing')
  return performance.now() - began
}

const temperature = air.temperatureC
const pull = air.vpdKPa
const g = 2.538

/**
 * The bare loop: one typed array after another and the exponentials the equations ask for: the respiration power of
 * each hour, and each end's power and the survival's exponential of each day. No tables, no branches, no model.
 */
function bare(): number {
  const began = performance.now()
  const days = 365
  const rot = new Float64Array(days + 1)
  const loss = new Float64Array(days + 1)
  const survival = new Float64Array(days + 1)
  let sum = 0
  for (let lot = 0; lot < lots; lot++) {
    let r = 0
    let l = 0
    for (let i = 0; i < days * 24; i++) {
      r += ((9 * temperature[i]!) / 5 + 32) ** g
      l += pull[i]!
      if (i % 24 === 23) {
        const day = (i + 1) / 24
        rot[day] = r
        loss[day] = l
        let hazard = 0
        for (const end of ends) hazard += (day / 200) ** endShape[end]
        survival[day] = Math.exp(-hazard)
      }
    }
    sum += survival[180]! + rot[365]! + loss[365]!
  }
  if (!(sum > 0)) throw new Error('the loop computed nothing')
  return performance.now() - began
}

core()
bare()
const { a, b, ratio, spread } = await inTurn(core, bare, 9)
console.log(
  `keeping: a household year (${lots} lots, hourly, all hazards) ${a.toFixed(0)} ms, ${(lots / (a / 1000)).toFixed(0)} lot-years a core second; bare loop ${b.toFixed(0)} ms, ratio ${ratio.toFixed(2)} (${spread.map((s) => s.toFixed(2)).join('–')}), aim ≤ 3`,
)
