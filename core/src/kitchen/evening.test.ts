import { trayMinutes } from '../assumptions'
import { inPlainWords } from '@vadose/words'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cropById, crops } from '../almanac'
import {
  actSays,
  boilMinutes,
  busiestOf,
  delayed,
  glutPlan,
  isRoasted,
  roastedG,
  roasts,
  scoreOf,
  type GlutHeap,
} from './index'

const boils = boilMinutes(8, 2.5, 430)
const kitchen = { panLitres: 8, trays: 6, kgPerTray: 1.5, freezerLitres: 300, altitudeM: 430, boilMinutes: boils }
const heap = (id: string, kg: number, hoursSincePicking = 4): GlutHeap => ({
  crop: cropById(id),
  kg,
  hoursSincePicking,
})
const evening = { inHours: 2, hours: 4 }
const plan = glutPlan([heap('raspberry', 0.9), heap('sweetcorn', 2), heap('bean-green', 3)], [evening], kitchen)
const score = scoreOf(plan.batches, evening.inHours, boils)

describe('water on the stove', () => {
  it('8 litres from the tap on a 2.5 kW plate boil in about half an hour (energy balance, textbook heat of water)', () => {
    // 8 kg · 4.186 kJ/(kg·K) · 84.6 K = 2,833 kJ; at 0.7 · 2.5 kW: 1,619 s
    expect(boils).toBeCloseTo(27, 0)
    expect(boilMinutes(8, 2.5, 3000)).toBeLessThan(boils)
    expect(() => boilMinutes(8, 0.1)).toThrow()
  })
})

describe('an evening as a score', () => {
  it('puts the water on in time and does what goes in raw meanwhile', () => {
    expect(score.waterOn).not.toBeNull()
    expect(score.boils! - score.waterOn!).toBeGreaterThanOrEqual(Math.floor(boils))
    const raw = score.notes.find(({ crop, lane }) => crop === 'raspberry' && lane === 'hands')!
    expect(raw.from).toBeLessThan(score.boils!)
    expect(score.acts[0]!.at).toBeLessThanOrEqual(score.waterOn!)
  })
  it('has one batch in the pan at a time, cooled as long as it boiled, and a tray until it is hard', () => {
    const pan = score.notes.filter(({ lane }) => lane === 'pan').sort((a, b) => a.from - b.from)
    expect(pan.length).toBeGreaterThan(3)
    pan.slice(1).forEach((note, i) => expect(note.from).toBeGreaterThanOrEqual(pan[i]!.to))
    for (const { batch, from, to } of pan) {
      const water = score.notes.find((note) => note.lane === 'water' && note.batch === batch)!
      expect(water.to - water.from).toBe(to - from - 1)
      const tray = score.notes.find((note) => note.lane === 'trays' && note.batch === batch)!
      expect(tray.from).toBe(water.to)
      expect(tray.to - tray.from).toBe(trayMinutes)
    }
  })
  it('names the longest time with nothing to do, and what is in the freezer', () => {
    expect(score.idle!.to - score.idle!.from).toBeGreaterThan(60)
    expect(score.freezer.at(-1)!.kg).toBeCloseTo(plan.kgFrozen, 9)
  })
  it('moves what is still to come when the water does not boil yet', () => {
    const later = delayed(score.acts, score.boils!, 5)
    expect(later.filter((act, i) => act.at === score.acts[i]!.at).length).toBeGreaterThan(0)
    expect(later.find(({ what }) => what === 'into-pan')!.at).toBe(
      score.acts.find(({ what }) => what === 'into-pan')!.at + 5,
    )
    const said = actSays(
      score.acts.find(({ what }) => what === 'into-pan')!,
      'beans',
    )
    expect(inPlainWords(said)).toMatch(/minutes from when it boils again/)
  })
  it('property: nothing goes into the pan before it boils, and everything is bagged once', () => {
    const kinds = fc.constantFrom('sweetcorn', 'pea', 'bean-green', 'carrot', 'raspberry', 'spinach')
    const heaps = fc.uniqueArray(fc.record({ id: kinds, kg: fc.double({ min: 0.2, max: 4, noNaN: true }) }), {
      minLength: 1,
      maxLength: 4,
      selector: ({ id }) => id,
    })
    fc.assert(
      fc.property(heaps, fc.double({ min: 1, max: 6, noNaN: true }), (of, hours) => {
        const { batches } = glutPlan(
          of.map(({ id, kg }) => heap(id, kg, 1)),
          [{ inHours: 1, hours }],
          kitchen,
        )
        const { notes, acts } = scoreOf(batches, 1, boils)
        for (const { lane, from } of notes) if (lane === 'pan') expect(from).toBeGreaterThanOrEqual(boils - 1)
        expect(acts.filter(({ what }) => what === 'bag')).toHaveLength(batches.length)
        for (const b of batches) expect((b.startInHours - 1) * 60 + b.minutes).toBeLessThanOrEqual(hours * 60 + 0.01)
      }),
      { numRuns: 60 },
    )
  })
  it('two heaps of one crop are planned and told apart', () => {
    const both = glutPlan([heap('raspberry', 0.5, 2), heap('raspberry', 1.5, 20)], [evening], kitchen)
    const of = (i: number) => both.batches.filter((b) => b.heap === i).reduce((sum, { kg }) => sum + kg, 0)
    expect([of(0), of(1)].map((kg) => kg.toFixed(2))).toEqual(['0.50', '1.50'])
    expect(glutPlan([heap('pea', 40), heap('pea', 1)], [evening], kitchen).leftOver.map((l) => l.heap)).toContain(0)
  })
  it('twelve crops and three evenings are planned', () => {
    const many = [
      'sweetcorn',
      'pea',
      'bean-green',
      'carrot',
      'raspberry',
      'spinach',
      'broccoli',
      'courgette',
      'kale',
      'strawberry',
      'pepper',
      'cauliflower',
    ]
    const big = glutPlan(
      many.map((id) => heap(id, 3)),
      [0, 24, 48].map((inHours) => ({ inHours, hours: 4 })),
      kitchen,
    )
    expect(big.kgFrozen + big.leftOver.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(36, 6)
  })
})

describe('the busiest half hour', () => {
  const act = (at: number, what: 'prepare' | 'into-pan' | 'water-on') => ({
    at,
    what,
    batch: 1,
    crop: 'kale',
    kg: 1,
    minutes: 5,
  })
  it('is where most begins; the stove needs no hands', () => {
    const acts = [0, 40, 50, 55, 60, 120].map((at) => act(at, 'prepare'))
    expect(busiestOf({ acts: [act(0, 'water-on'), act(1, 'water-on'), ...acts], ends: 150 })).toEqual({
      from: 40,
      to: 70,
    })
  })
  it('of a short evening there is none', () => {
    expect(busiestOf({ acts: [act(0, 'prepare')], ends: 30 })).toBeNull()
  })
})

describe('roasted seeds', () => {
  it('100 g of pumpkin seed with 5.23 % water (FoodData Central) leave about 97 g', () => {
    const seed = crops.find(({ id }) => id === 'pumpkin-seed')!
    expect(roastedG(100, seed)).toBeCloseTo((100 * (100 - 5.23)) / 98, 6)
    expect(roastedG(100, { waterPct: { value: 1.5, source: 'judgement' } })).toBe(100)
  })
  it('are what is called so, of seeds and nuts', () => {
    expect([isRoasted('roasted with salt'), isRoasted('dried')]).toEqual([true, false])
    expect(crops.filter(roasts).map(({ id }) => id)).toEqual(expect.arrayContaining(['sunflower', 'hazelnut']))
    expect(roasts(crops.find(({ id }) => id === 'carrot')!)).toBe(false)
  })
})
