import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { readinessVerdicts, remainderG, requireHeapsAddUp } from './index'

describe('is it time (common practice, no source)', () => {
  const garlic = cropById('garlic-hardneck')
  const verdicts = (brown: number) => readinessVerdicts(garlic, brown / 9, '2026-07-05').map((v) => v.verdict)
  it('differs by school: one to three brown leaves, or about half', () => {
    expect(verdicts(0)).toEqual(['wait', 'wait'])
    expect(verdicts(2)).toEqual(['lift', 'wait'])
    expect(verdicts(4)).toEqual(['late', 'lift'])
    expect(verdicts(8)).toEqual(['late', 'late'])
  })
  it('says when to look again', () => {
    const [, half] = readinessVerdicts(garlic, 2 / 9, '2026-07-05')
    expect(half!.liftFrom > '2026-07-07' && half!.liftFrom < '2026-07-20').toBe(true)
  })
})

describe('heaps', () => {
  it('add up to the gram or say what is missing', () => {
    expect(remainderG(6000, [{ heap: 'sound', weightG: 4900 }])).toBe(1100)
    expect(() => requireHeapsAddUp(6000, [{ heap: 'sound', weightG: 5999 }])).toRefuse(/1 g lighter/)
    expect(() => requireHeapsAddUp(6000, [{ heap: 'sound', weightG: 6000 }])).not.toThrow()
  })
})
