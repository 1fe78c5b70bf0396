import { describe, expect, it } from 'vitest'
import { cropById, crops, sources } from '../crops'
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
    expect(() => requireHeapsAddUp(6000, [{ heap: 'sound', weightG: 5999 }])).toThrow(/1 g lighter/)
    expect(() => requireHeapsAddUp(6000, [{ heap: 'sound', weightG: 6000 }])).not.toThrow()
  })
})

describe('the almanac', () => {
  /** Every {value, source} anywhere in a crop. */
  function sourced(node: unknown, path = ''): { path: string; value: unknown; source: string }[] {
    if (typeof node !== 'object' || node === null) return []
    if ('value' in node && 'source' in node) return [{ path, value: node.value, source: String(node.source) }]
    return Object.entries(node).flatMap(([key, child]) => sourced(child, `${path}/${key}`))
  }
  /** Bare numbers that stand outside a {value, source}. */
  function bare(node: unknown, path = ''): string[] {
    if (typeof node === 'number') return [path]
    if (typeof node !== 'object' || node === null || ('value' in node && 'source' in node)) return []
    return Object.entries(node).flatMap(([key, child]) => bare(child, `${path}/${key}`))
  }
  it('gives every number a source that is listed', () => {
    for (const crop of crops) {
      expect(bare(crop), crop.id).toEqual([])
      const all = sourced(crop)
      expect(all.length).toBeGreaterThan(20)
      for (const one of all) expect(Object.keys(sources), `${crop.id}${one.path}`).toContain(one.source)
    }
  })
  it('gives every fault an action and every crop its cautions', () => {
    for (const crop of crops) {
      expect(crop.cautions.join(' ')).toMatch(/never the compost/)
      for (const fault of crop.faults) expect(fault.actions.length).toBeGreaterThan(0)
      expect(new Set(crop.faults.map((f) => f.id)).size).toBe(crop.faults.length)
    }
  })
})
