import { crops, inForm } from '@vadose/core/almanac'
import { describe, expect, it } from 'vitest'
import { cautionsFirst, drawings, signOf } from './signs'

/** of every crop, fresh and in each of its forms */
const faults = [
  ...new Set(
    crops.flatMap((crop) =>
      (['fresh', 'dried', 'frozen', 'jarred', 'brined'] as const).flatMap((form) =>
        inForm(crop, form).faults.map(({ id }) => id),
      ),
    ),
  ),
]

describe('signs of faults', () => {
  it('every fault has a drawing, and no drawing is drawn for nothing', () => {
    const drawn = new Set(faults.map(signOf))
    expect(faults.length).toBeGreaterThan(45)
    for (const sign of drawn) expect(drawings[sign].piece).toMatch(/^M/)
    expect([...drawn].sort()).toEqual(Object.keys(drawings).sort())
  })
  it('tells apart what is told apart by eye', () => {
    expect(['potato-green', 'potato-sprout', 'white-rot', 'jar-seal', 'weevil', 'onion-soft'].map(signOf)).toEqual([
      'green',
      'sprout',
      'fur',
      'leak',
      'holes',
      'soft',
    ])
  })
})

describe('what must be said before a look', () => {
  const of = (id: string) => cautionsFirst(crops.find((crop) => crop.id === id)!.cautions).map((c) => c.id)
  it('green potatoes, bitter squash, mouldy nuts come first', () => {
    expect(of('potato-maincrop')[0]).toBe('green-potato')
    expect(of('courgette')[0]).toBe('bitter-squash')
    expect(of('walnut')[0]).toBe('nuts-mould')
  })
  it('two at most, the gravest first', () => {
    for (const { cautions } of crops) expect(cautionsFirst(cautions).length).toBeLessThanOrEqual(2)
    expect(cautionsFirst([{ id: 'mould-soft' }, { id: 'jars' }, { id: 'thaw' }]).map(({ id }) => id)).toEqual([
      'jars',
      'thaw',
    ])
  })
})
