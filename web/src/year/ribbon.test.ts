import { describe, expect, it } from 'vitest'
import { along, heldOn, ribbonOf } from './ribbon'

const line = {
  crop: 'onion-storing',
  nowG: 900,
  past: [
    { on: '2026-05-01', g: 0 },
    { on: '2026-08-01', g: 1000 },
    { on: '2026-10-02', g: 900 },
  ],
  ahead: [
    { on: '2026-10-02', g: { p10: 900, p50: 900, p90: 900 } },
    { on: '2026-12-25', g: { p10: 0, p50: 300, p90: 600 } },
  ],
  gapFrom: null,
  nextCropOn: null,
  lasts: null,
}
const year = { from: '2026-05-01', to: '2027-04-30' }

describe('a ribbon of the year', () => {
  it('is as thick as there is of it, about its middle', () => {
    const { past, ahead, low, high, mostG } = ribbonOf(line, (on) => along(on, year) * 100, 20)
    expect(mostG).toBe(1000)
    expect(past).toMatch(/^M0\.0 0\.0L25\.3 -20\.0L42\.3 -18\.0L42\.3 18\.0/)
    expect(ahead).toContain('-6.0')
    expect(low).toContain('0.0')
    expect(high).toContain('12.0')
  })
  it('says what there was or will be on a day', () => {
    expect(heldOn(line, '2026-08-15', '2026-10-02')).toEqual({ g: 1000 })
    expect(heldOn(line, '2026-11-15', '2026-10-02')).toEqual({ g: 300, low: 0, high: 600 })
  })
})
