import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hangTags } from './tag-layout'

describe('tags on the rope', () => {
  const sizes = [
    { width: 1200, tagWidth: 164, gap: 10, margin: 60 },
    { width: 360, tagWidth: 150, gap: 8, margin: 14 },
  ]
  it('never overlap and never leave the page, for 1 to 40 lots', () => {
    for (const size of sizes) {
      fc.assert(
        fc.property(
          fc.array(fc.double({ min: -0.2, max: 1.3, noNaN: true }), { minLength: 1, maxLength: 40 }),
          (all) => {
            const placed = hangTags(
              all.map((progress, i) => ({ id: `N26-${i}`, progress })),
              size,
            )
            expect(placed).toHaveLength(all.length)
            for (const a of placed) {
              expect(a.x).toBeGreaterThanOrEqual(0)
              expect(a.x + size.tagWidth).toBeLessThanOrEqual(size.width)
              for (const b of placed) {
                if (a !== b && a.row === b.row) expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual(size.tagWidth)
              }
            }
          },
        ),
      )
    }
  })
  it('hangs the drier further right', () => {
    const [wet, dry] = hangTags(
      [
        { id: 'b', progress: 0.9 },
        { id: 'a', progress: 0.1 },
      ],
      sizes[0]!,
    )
    expect([wet!.id, dry!.id]).toEqual(['a', 'b'])
    expect(wet!.ropeX).toBeLessThan(dry!.ropeX)
  })
})
