import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { climateAhead, comfortAhead, lifeShare, thermometerWorth } from './index'
import { houseOn, stored } from './made-up-house'

const house = houseOn('2026-10-02', [])
const place = (id: string) => house.place(id)!
const monthOf = (id: string, month: string) => climateAhead(house, place(id)).find((m) => m.month === month)!

describe('the twelve months ahead', () => {
  it('are twelve, one after another, each with its spread', () => {
    const months = climateAhead(house, place('cellar'))
    expect(months.map(({ month }) => month).slice(0, 4)).toEqual(['2026-10', '2026-11', '2026-12', '2027-01'])
    expect(months).toHaveLength(12)
    for (const { temperatureC: t, relativeHumidityPct: rh } of months) {
      expect(t.p90 - t.p50).toBeCloseTo(t.p50 - t.p10, 9)
      expect(rh.p10).toBeGreaterThan(0)
      expect(rh.p90).toBeLessThan(100)
    }
  })
  it('freeze outdoors in January and not in July; never in a heated room (common knowledge, no source)', () => {
    expect(monthOf('outdoors', '2027-01').frostNights).toBeGreaterThan(8)
    expect(monthOf('outdoors', '2027-07').frostNights).toBeLessThan(0.1)
    expect(monthOf('room', '2027-01').frostNights).toBeLessThan(0.01)
    expect(monthOf('veranda', '2027-01').frostNights).toBeGreaterThan(monthOf('cool-room', '2027-01').frostNights)
  })
  it('a cellar nobody measured is known to about two degrees', () => {
    const { p10, p90 } = monthOf('cellar', '2027-01').temperatureC
    expect((p90 - p10) / 2 / 1.2816).toBeGreaterThan(1.3)
    expect((p90 - p10) / 2 / 1.2816).toBeLessThan(3.5)
  })
})

describe('who is happy where, and when (common practice, no source)', () => {
  const at = (crop: string, where: string, month: number) => comfortAhead(house, place(where), cropById(crop))[month]
  it('squash in the heated room all winter, not out on the veranda in January', () => {
    expect(at('squash-butternut', 'veranda', 3)).toBe('loses')
    expect(at('squash-butternut', 'room', 3)).not.toBe('loses')
  })
  it('carrots lose in a warm room, potatoes are well enough in a cellar in winter', () => {
    expect(at('carrot', 'room', 1)).toBe('loses')
    expect(at('potato-maincrop', 'cellar', 4)).not.toBe('loses')
  })
  it('a crop has its best life in its best air, and less in any other', () => {
    for (const id of ['carrot', 'onion-storing', 'squash-butternut', 'apple-late']) {
      const crop = cropById(id)
      const [lo, hi] = crop.keeping.bestTemperatureC.value
      const [damp, damper] = crop.keeping.bestHumidityPct.value
      expect(lifeShare(crop, (lo + hi) / 2, (damp + damper) / 2)).toBeCloseTo(1, 6)
      expect(lifeShare(crop, 28, (damp + damper) / 2)).toBeLessThan(0.6)
    }
  })
})

describe('where a thermometer tells most', () => {
  it('only where something lies, and most where the most kilos hang on a guess', () => {
    const lots = [
      stored('P26-1', 'potato-maincrop', '2026-09-25', 'cellar', 60_000, 400),
      stored('G26-1', 'garlic-hardneck', '2026-09-25', 'cool-room', 2000, 40),
    ]
    const worth = thermometerWorth(houseOn('2026-10-02', lots))
    expect(worth.map(({ place: { id } }) => id)).toEqual(['cellar', 'cool-room'])
    for (const { daysNow, daysThen } of worth) {
      expect(daysThen).toBeLessThan(daysNow)
      expect(daysThen).toBeGreaterThan(0)
    }
    expect(worth[0]).toMatchObject({ lots: 1, weightG: 60_000 })
  })
  it('of an empty house nothing', () => expect(thermometerWorth(house)).toEqual([]))
})
