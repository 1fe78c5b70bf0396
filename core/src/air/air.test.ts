import { createRequire } from 'node:module'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Refusal } from '../refusal'
import {
  airState,
  criticalHumidityPct,
  humidityAfter,
  humidityRatio,
  mouldCanStart,
  seriesFromReadings,
  sweats,
  vapourPressureKPa,
} from './index'

interface Psychrolib {
  SI: unknown
  SetUnitSystem(unit: unknown): void
  GetSatVapPres(t: number): number
  GetVapPresFromRelHum(t: number, rh: number): number
  GetRelHumFromVapPres(t: number, vapourPa: number): number
  GetTDewPointFromRelHum(t: number, rh: number): number
  GetTWetBulbFromRelHum(t: number, rh: number, pressurePa: number): number
  GetHumRatioFromRelHum(t: number, rh: number, pressurePa: number): number
  GetMoistAirVolume(t: number, ratio: number, pressurePa: number): number
}
const psychrolib = createRequire(import.meta.url)('psychrolib') as Psychrolib
psychrolib.SetUnitSystem(psychrolib.SI)

const kelvin = (c: number) => c + 273.15
const within = (ours: number, theirs: number, share = 0.001) =>
  expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(share * Math.abs(theirs))

describe('air that is warmed or cooled', () => {
  it('holds the same vapour: 10 °C and 80 % becomes 42 % at 20 °C (psychrolib agrees)', () => {
    expect(humidityAfter(10, 80, 20)).toBeCloseTo(42, 0)
    psychrolib.SetUnitSystem(psychrolib.SI)
    const vapour = psychrolib.GetVapPresFromRelHum(10, 0.8)
    expect(humidityAfter(10, 80, 20) / 100).toBeCloseTo(psychrolib.GetRelHumFromVapPres(20, vapour), 4)
    expect(humidityAfter(20, 80, 5)).toBe(100)
  })
  it('makes cellar potatoes sweat in a kitchen, and not the other way (common practice, no source)', () => {
    expect(sweats(5, 20, 60)).toBe(true)
    expect(sweats(14, 20, 60)).toBe(false)
    expect(sweats(18, 6, 90)).toBe(false)
  })
})

describe('psychrometrics against psychrolib (ASHRAE Fundamentals ch. 1)', () => {
  const grid: [number, number][] = []
  for (let t = -20; t <= 60; t += 4) for (let rh = 4; rh <= 100; rh += 4) grid.push([t, rh])

  it(`agrees to 0.1 % at ${grid.length} points from −20 to 60 °C`, () => {
    expect(grid.length).toBeGreaterThanOrEqual(500)
    for (const [t, rh] of grid) {
      const ours = airState(t, rh)
      within(ours.saturationVapourPressureKPa * 1000, psychrolib.GetSatVapPres(t))
      within(ours.vapourPressureKPa * 1000, psychrolib.GetVapPresFromRelHum(t, rh / 100))
      within(kelvin(ours.dewPointC), kelvin(psychrolib.GetTDewPointFromRelHum(t, rh / 100)))
      within(kelvin(ours.wetBulbC), kelvin(psychrolib.GetTWetBulbFromRelHum(t, rh / 100, 101325)))
      const ratio = psychrolib.GetHumRatioFromRelHum(t, rh / 100, 101325)
      within(ours.absoluteHumidityGPerM3, (ratio * 1000) / psychrolib.GetMoistAirVolume(t, ratio, 101325))
      within(humidityRatio(vapourPressureKPa(t, rh)), ratio)
    }
  })

  it('has dew point and wet bulb within 0.1 °C, not only in kelvin', () => {
    for (const [t, rh] of grid) {
      expect(airState(t, rh).dewPointC).toBeCloseTo(psychrolib.GetTDewPointFromRelHum(t, rh / 100), 1)
      expect(airState(t, rh).wetBulbC).toBeCloseTo(psychrolib.GetTWetBulbFromRelHum(t, rh / 100, 101325), 1)
    }
  })

  it('refuses air outside its range, naming the field', () => {
    expect(() => airState(200, 50)).toThrow(Refusal)
    expect(() => airState(20, 101)).toRefuse(/relativeHumidityPct/)
    expect(() => airState(Number.NaN, 50)).toRefuse(/temperatureC/)
  })

  it('answers with finite numbers anywhere in its range', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (t, rh) => Object.values(airState(t, rh)).every(Number.isFinite),
      ),
    )
  })
})

describe('mould limit', () => {
  it('is the curve of Hukka & Viitanen 1999: 100 % at 0 °C, 80 % at 20 °C and above', () => {
    expect(criticalHumidityPct(0)).toBe(100)
    expect(criticalHumidityPct(20)).toBeCloseTo(80, 0)
    expect(criticalHumidityPct(30)).toBe(80)
    expect(criticalHumidityPct(5)).toBeCloseTo(88.02, 1)
  })
  it('starts no mould in frost', () => {
    expect(mouldCanStart(-2, 99)).toBe(false)
    expect(mouldCanStart(18, 90)).toBe(true)
  })
})

describe('hourly series', () => {
  const at = (hour: number) => new Date(Date.UTC(2026, 6, 12, hour)).toISOString()
  it('draws straight lines between readings and holds the ends', () => {
    const series = seriesFromReadings(
      [
        { at: at(4), temperatureC: 20, relativeHumidityPct: 60 },
        { at: at(2), temperatureC: 10, relativeHumidityPct: 80 },
      ],
      Date.parse(at(0)),
      Date.parse(at(6)),
    )
    expect([...series.temperatureC]).toEqual([10, 10, 10, 15, 20, 20])
    expect(series.relativeHumidityPct[3]).toBe(70)
  })
})
