import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { instantOf } from '../households'
import { notDescribed } from '../places'
import { recordOf } from '../readings'
import { comingHour, House, placeState, weatherOf } from './index'
import { almanac, climate, household } from './made-up-house'

describe('the weather by the household’s days', () => {
  it('has its highest and lowest of the civil day, in Auckland as in Los Angeles', () => {
    for (const timeZone of ['Pacific/Auckland', 'America/Los_Angeles', 'Asia/Kathmandu']) {
      const nowMs = instantOf('2026-10-02', 9, timeZone)
      const hours = 24 * 20
      const startMs = Math.floor((nowMs - hours * hourMs) / hourMs) * hourMs
      // coldest at six in the morning of the household, warmer by a degree every hour to midnight's end
      const noted = Array.from({ length: hours }, (_, i) => startMs + i * hourMs)
      const midnight = instantOf('2026-10-01', 0, timeZone)
      const record = recordOf([
        {
          startMs,
          temperatureC: Float32Array.from(noted, (ms) => (ms >= midnight && ms < midnight + hourMs ? -9 : 10)),
          relativeHumidityPct: new Float32Array(hours).fill(70),
        },
      ])!
      const garden = placeState(
        { id: 'g', name: 'Garden', kind: 'outdoors', walk: 1, within: null, retiredOn: null, ...notDescribed },
        record,
        nowMs,
        {
          climate,
          nowMs: comingHour(nowMs),
        },
      )
      const facts = {
        household: { ...household, timeZone },
        places: [garden],
        lots: [],
        almanac,
        nowMs,
        rainMm: new Map(),
        stands: [],
        lessons: [],
      }
      const days = weatherOf(new House(facts), 3)
      expect(days.find((day) => day.on === '2026-10-01')?.lowC, timeZone).toBeCloseTo(-9, 5)
      expect(days.find((day) => day.on === '2026-09-30')?.lowC, timeZone).toBeGreaterThan(9)
      expect(days.find((day) => day.on === '2026-10-02')?.ahead).toBe(true)
    }
  })
})
