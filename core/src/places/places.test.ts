import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { steadyAir, type AirSeries } from '../air'
import { dayMs } from '../households'
import {
  airAhead,
  airKindOf,
  assumedAir,
  climateFor,
  dailyOf,
  expectedAir,
  likeOf,
  outdoorDays,
  outdoorNormal,
  placeFit,
  placeKinds,
  withForecast,
  type PlaceKind,
} from './index'

const climate = climateFor(47, 430)
const october = Date.UTC(2026, 9, 2)
const mean = (values: Float64Array, from: number, days: number) =>
  values.slice(from * 24, (from + days) * 24).reduce((a, b) => a + b, 0) / (days * 24)

/** What is expected of a place of a kind after ten steady days. */
function expected(recent: AirSeries, kind: PlaceKind, days: number): AirSeries {
  const outdoors = outdoorDays(climate, october - 200 * dayMs, october + (days + 1) * dayMs)
  const read = dailyOf(recent, recent.startMs, october)
  return expectedAir(recent, placeFit(kind, outdoors, read), kind, october, days * 24, read)
}

describe('the year outdoors', () => {
  it('is warmest in July in the north and in January in the south (common knowledge, no source)', () => {
    const at = (c: typeof climate, month: number) => outdoorNormal(c, Date.UTC(2026, month, 20)).temperatureC
    expect(at(climate, 6)).toBeGreaterThan(at(climate, 0) + 15)
    const south = climateFor(-38, 50)
    expect(at(south, 0)).toBeGreaterThan(at(south, 6) + 8)
  })
})

describe('the air ahead', () => {
  it('repeats the recent days where no season is told', () => {
    const ahead = airAhead(steadyAir(14, 71, 48), october, 240)
    expect(mean(ahead.temperatureC, 0, 10)).toBeCloseTo(14, 6)
    expect(mean(ahead.relativeHumidityPct, 0, 10)).toBeCloseTo(71, 6)
  })
  it('cools a veranda into winter, hardly a heated room, and a cellar late', () => {
    const january = 105
    const fall = (kind: PlaceKind, t: number, rh: number) => {
      const ahead = expected(steadyAir(t, rh, 240, october - 10 * dayMs), kind, 200)
      return mean(ahead.temperatureC, 0, 2) - mean(ahead.temperatureC, january, 10)
    }
    expect(fall('veranda', 11, 75)).toBeGreaterThan(7)
    expect(fall('room', 20.5, 52)).toBeLessThan(3)
    expect(fall('cellar', 13, 80)).toBeGreaterThan(2)
    expect(fall('cellar', 13, 80)).toBeLessThan(fall('veranda', 11, 75))
  })
  it('starts from what was measured and stays air, whatever that was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(placeKinds) as PlaceKind[])),
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.double({ min: 20, max: 95, noNaN: true }),
        (kind, odd, rh) => {
          const t = assumedAir(kind, climate, october, 1).temperatureC[0]! + odd
          const ahead = expected(steadyAir(t, rh, 240, october - 10 * dayMs), kind, 120)
          expect(Math.abs(mean(ahead.temperatureC, 0, 1) - t)).toBeLessThan(1)
          return ahead.relativeHumidityPct.every((x) => x >= 15 && x <= 98) && ahead.vpdKPa.every((x) => x >= 0)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('assumes what a kind of place usually has until somebody measures', () => {
    const air = assumedAir('cellar', climate, october, 48)
    expect(air.relativeHumidityPct[0]).toBe(placeKinds.cellar.usualHumidityPct)
    expect(air.hours).toBe(48)
  })
})

describe('a weather forecast in the air to come', () => {
  const hours = 240
  const flat = (t: number, rh: number) => steadyAir(t, rh, hours)
  const usual = flat(10, 75)
  const cold = steadyAir(2, 90, 120)
  it('is the air outdoors for as long as it goes, and the usual after', () => {
    const out = withForecast(usual, 'outdoors', usual, cold)
    expect([out.temperatureC[0], out.temperatureC[119], out.temperatureC[120]]).toEqual([2, 2, 10])
    expect(out.relativeHumidityPct[50]).toBe(90)
  })
  it('comes through thin walls nearly whole and late, through thick ones hardly', () => {
    const veranda = withForecast(flat(11, 70), 'veranda', usual, cold)
    const shed = withForecast(flat(11, 74), 'shed', usual, cold)
    const cellar = withForecast(flat(11, 86), 'cellar', usual, cold)
    expect(veranda.temperatureC[2]!).toBeGreaterThan(10)
    expect(veranda.temperatureC[110]!).toBeLessThan(5)
    expect(shed.temperatureC[110]!).toBeLessThan(8)
    expect(shed.temperatureC[110]!).toBeGreaterThan(veranda.temperatureC[110]!)
    expect(cellar.temperatureC[110]!).toBeGreaterThan(10.5)
    // and has left again some days after its end
    expect(Math.abs(veranda.temperatureC[230]! - 11)).toBeLessThan(0.5)
  })
  it('keeps humidity within what air can hold', () => {
    fc.assert(
      fc.property(fc.integer({ min: -15, max: 35 }), fc.integer({ min: 20, max: 98 }), (t, rh) => {
        const out = withForecast(flat(12, 70), 'veranda', usual, steadyAir(t, rh, 120))
        expect(out.relativeHumidityPct.every((pct) => pct >= 15 && pct <= 98)).toBe(true)
        expect(out.vpdKPa.every((kPa) => kPa >= 0)).toBe(true)
      }),
    )
  })
})

describe('what a place is like', () => {
  it('is as its kind usually is, until the household says otherwise', () => {
    expect(likeOf({ kind: 'cellar' })).toMatchObject({ dark: true, heated: false, frostSafe: true, storey: 'under' })
    expect(likeOf({ kind: 'cellar', dark: false, mice: true, storey: 'side' })).toMatchObject({
      dark: false,
      mice: true,
      storey: 'side',
    })
    // who heats a loft keeps the frost out
    expect(likeOf({ kind: 'loft', heated: true }).frostSafe).toBe(true)
  })
  it('heated, it has the air of a room', () => {
    expect([airKindOf({ kind: 'loft', heated: true }), airKindOf({ kind: 'room', heated: false })]).toEqual([
      'room',
      'cool-room',
    ])
    expect(airKindOf({ kind: 'cellar' })).toBe('cellar')
  })
})

describe('a fit to what was read', () => {
  const outdoors = outdoorDays(climate, october - 500 * dayMs, october + 370 * dayMs)
  const at = (fit: ReturnType<typeof placeFit>, days: number) => {
    const d = Math.floor(october / dayMs) + days - fit.firstDay
    return { t: fit.temperatureC[d]!, sd: fit.sdC[d]! }
  }
  it('of nothing is its kind, and says it is a guess', () => {
    const { t, sd } = at(placeFit('cellar', outdoors), 0)
    expect(Math.abs(t - assumedAir('cellar', climate, october, 1).temperatureC[0]!)).toBeLessThan(1.5)
    expect(sd).toBeGreaterThan(1.7)
  })
  it('three looks by hand narrow it, a year of them nearly settles it', () => {
    const truth = (ms: number) => 8 + 0.3 * (outdoorNormal(climate, ms - 30 * dayMs).temperatureC - climate.meanC)
    const read = (from: number, step: number) => {
      const record = {
        startMs: october - 400 * dayMs,
        temperatureC: new Float64Array(400 * 24).fill(NaN),
        relativeHumidityPct: new Float64Array(400 * 24).fill(85),
      }
      for (let day = 400 - from; day < 400; day += step)
        record.temperatureC[day * 24 + 9] = truth(record.startMs + day * dayMs)
      return dailyOf(record, record.startMs, october)
    }
    const few = placeFit('cellar', outdoors, read(21, 7))
    const many = placeFit('cellar', outdoors, read(380, 3))
    const [guess, three, year] = [at(placeFit('cellar', outdoors), 120), at(few, 120), at(many, 120)]
    // what three looks in autumn leave open is how far it follows the winter
    expect(at(few, 10).sd).toBeLessThan(at(placeFit('cellar', outdoors), 10).sd * 0.7)
    expect(three.sd).toBeLessThan(guess.sd)
    expect(year.sd).toBeLessThan(three.sd)
    expect(Math.abs(year.t - truth(october + 120 * dayMs))).toBeLessThan(0.7)
    expect(many.gain * (1 / Math.hypot(1, (2 * Math.PI * many.lagDays) / 365.25))).toBeGreaterThan(0.2)
  })
})
