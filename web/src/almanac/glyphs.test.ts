import { crops, type Form } from '@vadose/core/almanac'
import { expect, it } from 'vitest'
import { outlineOf } from './glyphs'

const outline = (id: string, form: Form = 'fresh') =>
  outlineOf(
    crops.find((crop) => crop.id === id)!,
    form,
  )

it('every crop has an outline that stands on its shelf, within its width', () => {
  for (const crop of crops) {
    const path = outlineOf(crop, 'fresh')
    expect(path, crop.id).toMatch(/^M/)
    for (const [, x, y] of path.matchAll(/[ML]\s*(-?[\d.]+)[ ,](-?[\d.]+)/g)) {
      expect(Number(x), crop.id).toBeLessThanOrEqual(16)
      expect(Number(y), crop.id).toBeLessThanOrEqual(31)
    }
  }
})

it('an apple is no onion, a beetroot no carrot, and what is dried stands in a jar', () => {
  const ids = [
    'onion-storing',
    'garlic-hardneck',
    'apple-late',
    'pear',
    'potato-maincrop',
    'carrot',
    'beetroot',
    'cabbage-red',
  ]
  expect(new Set(ids.map((id) => outline(id))).size).toBe(ids.length)
  expect(outline('apple-late', 'dried')).toBe(outline('plum', 'dried'))
  expect(outline('apple-late', 'dried')).not.toBe(outline('apple-late'))
})
