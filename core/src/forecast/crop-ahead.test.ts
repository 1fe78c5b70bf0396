import { describe, expect, it } from 'vitest'
import { addDays } from '../households'
import { cropAhead, lineOf, usesLately, type StockMove } from './index'
import { houseOn, stored } from './made-up-house'

const today = '2026-11-20'
const potatoes = stored('P26-1', 'potato-maincrop', '2026-09-20', 'cellar', 60_000, 400)
const house = houseOn(today, [potatoes])
const brought: StockMove = {
  on: '2026-09-20',
  kind: 'brought-in',
  crop: 'potato-maincrop',
  name: null,
  weightG: 60_000,
}
/** eaten every week since it came in */
const eaten = (weekG: number, crop = 'potato-maincrop', name: string | null = null): StockMove[] =>
  Array.from({ length: 9 }, (_, week) => ({
    on: addDays('2026-09-20', 7 * week),
    kind: 'used',
    crop,
    name,
    weightG: -weekG,
  }))
const of = (...moves: StockMove[]) => cropAhead(houseOn(today, [potatoes]), [brought, ...moves], 'potato-maincrop')

describe('how a crop lasts to its next harvest', () => {
  it('short where it is eaten fast: gone by a week that is named, well before the next crop', () => {
    const { lasts, gapFrom, nextCropOn } = of(...eaten(4000))
    expect(nextCropOn).toBe('2027-09-20')
    expect(lasts).toBe('short')
    expect(gapFrom! > '2027-01-15' && gapFrom! < '2027-05-01').toBe(true)
  })
  it('too much, or gone by rot, where hardly any is eaten; no gap is named then', () => {
    const { lasts, gapFrom, ahead } = of(...eaten(150))
    expect(lasts).not.toBe('short')
    expect(gapFrom).toBeNull()
    expect(ahead[20]!.p50).toBeGreaterThan(20_000)
  })
  it('is no more than what will be sound, whatever is eaten', () => {
    const { ahead } = of(...eaten(150))
    for (let week = 1; week < ahead.length; week++) {
      expect(ahead[week]!.p50).toBeLessThanOrEqual(ahead[week - 1]!.p50 + 1e-6)
      expect(ahead[week]!.p10).toBeLessThanOrEqual(ahead[week]!.p90)
    }
  })
  it('nothing is said where no harvest is known of', () => {
    const { lasts, nextCropOn } = cropAhead(houseOn(today, [potatoes]), eaten(1000), 'potato-maincrop')
    expect([lasts, nextCropOn]).toEqual([null, null])
  })
  it('the first harvest of the last year is the one to wait for, not one of years ago', () => {
    const old = { ...brought, on: '2024-08-01' }
    const late = { ...brought, on: '2026-10-10' }
    const moves = [old, late, brought]
    expect(cropAhead(houseOn(today, [potatoes]), moves, 'potato-maincrop').nextCropOn).toBe('2027-09-20')
  })
})

describe('what was used lately', () => {
  it('is told by line and by crop, a day as one, what is older than four months left out', () => {
    const moves: StockMove[] = [
      { on: '2026-11-01', kind: 'used', crop: 'plum', name: null, weightG: -300 },
      { on: '2026-11-01', kind: 'used', crop: 'plum', name: null, weightG: -200 },
      { on: '2026-11-03', kind: 'used', crop: 'plum', name: 'Damson jam', weightG: -250 },
      { on: '2026-06-01', kind: 'used', crop: 'plum', name: null, weightG: -900 },
      { on: '2026-11-04', kind: 'lost', crop: 'plum', name: null, weightG: -100 },
    ]
    const { byLine, byCrop } = usesLately(house, moves)
    expect(byLine.get('plum')).toEqual([{ date: '2026-11-01', amount: 500 }])
    expect(byLine.get(lineOf({ crop: 'plum', name: 'Damson jam' }))).toEqual([{ date: '2026-11-03', amount: 250 }])
    expect(byCrop.get('plum')!.map(({ amount }) => amount)).toEqual([500, 250])
  })
})
