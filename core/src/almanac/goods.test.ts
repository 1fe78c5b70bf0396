import { describe, expect, it } from 'vitest'
import { almanacWith, asGoods, cropById, crops, inForm, noChanges, pantry } from './index'

const plain = { name: null, unit: null, lifeDays: null, dish: false }

describe('things with a name of their own', () => {
  it('are their crop in a form, called and counted their own way; the same object every time', () => {
    const plum = cropById('plum')
    expect(asGoods(plum, 'jarred', plain)).toBe(inForm(plum, 'jarred'))
    const jam = asGoods(plum, 'jarred', { ...plain, name: 'Damson jam', unit: 'jar' })
    expect(jam).toBe(asGoods(plum, 'jarred', { ...plain, name: 'Damson jam', unit: 'jar' }))
    expect([jam.id, jam.name, jam.piece.many]).toEqual(['plum', 'Damson jam', 'jars'])
    expect(jam.cautions.map(({ id }) => id)).toEqual(expect.arrayContaining(['low-acid', 'jars']))
  })
  it('a net of onions is looked over onion by onion, a jar jar by jar', () => {
    const onion = cropById('onion-storing')
    expect(asGoods(onion, 'fresh', { ...plain, unit: 'net' }).pieceG).toEqual(onion.pieceG)
    expect(asGoods(onion, 'jarred', { ...plain, unit: 'jar' }).pieceG.value).toBe(500)
  })
  it('every crop can be in jars, in brine or cooked, and then neither sprouts, breathes nor is frozen again raw', () => {
    for (const crop of crops) {
      for (const form of ['jarred', 'brined', 'cooked'] as const) {
        const made = inForm(crop, form)
        expect([made.id, made.keeping.respiration, made.keeping.sproutingDays, made.freezing]).toEqual([
          crop.id,
          undefined,
          undefined,
          undefined,
        ])
        expect(made.faults.length, `${crop.id} ${form}`).toBeGreaterThan(0)
      }
    }
  })
  it('the pantry is known to every household and listed in none', () => {
    const almanac = almanacWith(noChanges)
    expect(almanac.byId.get('pantry')).toBe(pantry)
    expect(almanac.crops).not.toContain(pantry)
    expect(cropById('pantry')).toBe(pantry)
  })
})
