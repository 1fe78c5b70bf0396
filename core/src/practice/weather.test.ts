import { dayMs } from '../households'
import { climateFor, placeKinds, type PlaceKind } from '../places'
import { describe, expect, it } from 'vitest'
import { outdoorsAt, placeAt } from './weather'

const weather = { climate: climateFor(47, 430), seed: 47 }
const hours = (from: number, days: number) => Array.from({ length: days * 24 }, (_, i) => from + i * 3_600_000)
const july = Date.UTC(2026, 6, 1)
const january = Date.UTC(2026, 0, 1)
const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length
const meanT = (kind: PlaceKind, from: number) =>
  mean(hours(from, 31).map((ms) => placeAt(weather, kind, ms, 3).temperatureC))

describe('the invented weather', () => {
  it('is the same whenever it is asked', () => {
    expect(outdoorsAt(weather, july)).toEqual(outdoorsAt(weather, july))
    expect(outdoorsAt({ ...weather, seed: 48 }, july)).not.toEqual(outdoorsAt(weather, july))
  })
  it('is air anywhere and any hour of two years', () => {
    for (const kind of Object.keys(placeKinds) as PlaceKind[]) {
      for (let ms = january - 365 * dayMs; ms < january + 365 * dayMs; ms += 17 * 3_600_000) {
        const { temperatureC, relativeHumidityPct } = placeAt(weather, kind, ms, 5)
        expect(temperatureC).toBeGreaterThan(-30)
        expect(temperatureC).toBeLessThan(45)
        expect(relativeHumidityPct).toBeGreaterThanOrEqual(18)
        expect(relativeHumidityPct).toBeLessThanOrEqual(98)
      }
    }
  })
  it('has days and seasons: afternoons warmer than nights, July than January', () => {
    const at = (hour: number) =>
      mean(Array.from({ length: 31 }, (_, d) => outdoorsAt(weather, july + d * dayMs + hour * 3_600_000).temperatureC))
    expect(at(14)).toBeGreaterThan(at(3) + 3)
    expect(meanT('outdoors', july)).toBeGreaterThan(meanT('outdoors', january) + 12)
  })
  it('swings less the deeper in the house: veranda, unheated room, cellar, heated room', () => {
    const swing = (kind: PlaceKind) => meanT(kind, july) - meanT(kind, january)
    expect(swing('veranda')).toBeGreaterThan(swing('cool-room'))
    expect(swing('cool-room')).toBeGreaterThan(swing('cellar'))
    expect(swing('room')).toBeLessThan(4)
  })
})
