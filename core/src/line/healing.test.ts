import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { steadyAir } from '../air'
import { cropById, crops } from '../almanac'
import { curingState, healingRate, weightCurve } from './index'

describe('curing and healing in their own climates', () => {
  const readyDays = (id: string, t: number, rh: number) =>
    curingState({
      crop: cropById(id),
      air: steadyAir(t, rh, 24 * 120),
      nowMs: 0,
      airflow: [{ atMs: 0, airflow: 'breezy' }],
      weighings: [],
      tests: [],
    }).readyAtMs.p50 / 86_400_000
  it.each([
    // HB 66 and HB 119 (recalled), otherwise common practice, no source
    ['potato-maincrop', 13, 92, 10, 14],
    ['sweet-potato', 29.5, 92, 4, 7],
    ['sweet-potato', 21, 85, 10, 21],
    ['squash-butternut', 27, 70, 5, 10],
    ['squash-butternut', 20, 60, 7, 14],
    ['shallot', 20, 60, 7, 21],
    ['onion-red', 20, 60, 10, 28],
    ['garlic-softneck', 20, 60, 14, 28],
    ['chilli', 20, 60, 18, 28],
    ['herb-woody', 20, 60, 5, 14],
    ['bean-drying', 20, 60, 7, 21],
    ['maize', 20, 60, 10, 35],
  ])('%s at %f °C and %i pct takes %i to %i days', (id, t, rh, lo, hi) => {
    const days = readyDays(id, t, rh)
    expect(days).toBeGreaterThanOrEqual(lo)
    expect(days).toBeLessThanOrEqual(hi)
  })
  it('heals slowly in the cold, not at all in frost or heat, for every healing crop', () => {
    for (const crop of crops.filter((c) => c.curing?.clock === 'healing')) {
      const rate = (t: number) => healingRate(crop.curing!, t, crop.curing!.healsAtPct!.value[0])
      expect(rate(crop.curing!.healsAtC!.value[0])).toBe(1)
      expect(rate(0)).toBe(0)
      expect(rate(45)).toBe(0)
    }
  })
  it('heals potatoes three quarters as fast at 23 °C as at 20, and half as fast at 26 (judgement)', () => {
    const rate = (t: number) => healingRate(cropById('potato-maincrop').curing!, t, 92)
    expect(rate(23)).toBeCloseTo(0.75, 12)
    expect(rate(26)).toBeCloseTo(0.5, 12)
  })
  it('learns nothing of healing from the scale, but from the thumb', () => {
    const crop = cropById('potato-maincrop')
    const lot = {
      crop,
      air: steadyAir(12, 92, 24 * 90),
      nowMs: 9 * 86_400_000,
      airflow: [{ atMs: 0, airflow: 'still' as const }],
      weighings: [],
      tests: [],
    }
    const plain = curingState(lot)
    const weighed = curingState({
      ...lot,
      weighings: [
        { atMs: 0, weightG: 5000 },
        { atMs: 8 * 86_400_000, weightG: 4000 },
      ],
    })
    expect(weighed.readyAtMs).toEqual(plain.readyAtMs)
    const rubbed = curingState({ ...lot, tests: [{ atMs: lot.nowMs, test: 'skin', passed: false }] })
    expect(rubbed.readyAtMs.p50).toBeGreaterThan(plain.readyAtMs.p50)
    expect(plain.reasons.map(inPlainWords).join(' ')).toMatch(/hours of good healing/)
    // common practice, no source: potatoes dry off for some hours before they go into the dark
    expect(plain.reasons.map(inPlainWords).join(' ')).not.toMatch(/dry off/)
    expect(
      curingState({ ...lot, nowMs: 3_600_000 })
        .reasons.map(inPlainWords)
        .join(' '),
    ).toMatch(/dry off first, 2 to 4 hours/)
    expect(weightCurve(lot, plain.posterior, 'lot', 1)).toEqual([])
  })
  it('refuses to cure what is not cured', () => {
    expect(() =>
      curingState({
        crop: cropById('carrot'),
        air: steadyAir(10, 80, 48),
        nowMs: 0,
        airflow: [],
        weighings: [],
        tests: [],
      }),
    ).toRefuse(/not cured/)
  })
})
