import { allInPlainWords } from '@vadose/words'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cropById, crops } from '../almanac'
import {
  blanch,
  freezerLoad,
  freezeTime,
  freezeWithinHours,
  frozenLife,
  frozenPace,
  glutPlan,
  phamHours,
  plankHours,
  powerCut,
} from './index'

describe('blanching (NCHFP blanching times, recalled)', () => {
  it.each([
    ['bean-green', 'whole', 3],
    ['broccoli', 'florets', 3],
    ['brussels-sprouts', 'small', 3],
    ['brussels-sprouts', 'medium', 4],
    ['brussels-sprouts', 'large', 5],
    ['cabbage-white', 'shredded', 1.5],
    ['carrot', 'small whole', 5],
    ['carrot', 'diced', 2],
    ['carrot', 'sliced', 2],
    ['cauliflower', undefined, 3],
    ['sweetcorn', 'small', 7],
    ['sweetcorn', 'medium', 9],
    ['sweetcorn', 'large', 11],
    ['sweetcorn', 'kernels', 4],
    ['aubergine', undefined, 4],
    ['kale', undefined, 2],
    ['chard', 'leaves', 2],
    ['spinach', 'leaves', 2],
    ['kohlrabi', 'whole', 3],
    ['kohlrabi', 'cubes', 1],
    ['parsnip', 'cubes', 2],
    ['turnip', 'cubes', 2],
    ['swede', 'cubes', 3],
    ['pea', 'shelled', 1.5],
    ['pepper', 'halves', 3],
    ['pepper', 'strips', 2],
    ['courgette', 'slices', 3],
    ['potato-maincrop', 'small', 5],
  ] as const)('%s, %s: %f minutes in water', (id, cut, minutes) => {
    expect(blanch(cropById(id), cut).waterMinutes).toBe(minutes)
  })
  it('steams broccoli 5 minutes, others one and a half times as long', () => {
    expect(blanch(cropById('broccoli'), 'florets').steamMinutes).toBe(5)
    expect(blanch(cropById('bean-green')).steamMinutes).toBe(4.5)
    expect(blanch(cropById('carrot'), 'strips').steamMinutes).toBe(3)
  })
  it('adds a minute from 5,000 feet (USDA HG Bulletin 10, recalled)', () => {
    expect(blanch(cropById('pea'), 'shelled', 1523).waterMinutes).toBe(1.5)
    expect(blanch(cropById('pea'), 'shelled', 1524).waterMinutes).toBe(2.5)
    expect(blanch(cropById('pea'), 'shelled', 1524).source).toMatch(/National Center/)
  })
  it('freezes berries and chillies raw, refuses what is cooked or spoilt by freezing', () => {
    expect(blanch(cropById('raspberry'))).toMatchObject({ waterMinutes: 0, steamMinutes: 0 })
    expect(allInPlainWords(blanch(cropById('chilli')).note)).toMatch(/not blanched/)
    expect(() => blanch(cropById('beetroot'))).toRefuse(/tender/)
    expect(() => blanch(cropById('pumpkin'))).toRefuse(/Cook/)
    expect(() => blanch(cropById('cucumber'))).toRefuse(/does not freeze/)
    expect(() => blanch(cropById('carrot'), 'julienned in moonlight')).toRefuse(/small whole/)
    expect(() => blanch(cropById('carrot'), 'diced', 9000)).toRefuse(/altitudeM/)
  })
})

describe('freezing time', () => {
  const sphere = {
    densityKgPerM3: 1000,
    frozenConductivityWPerMK: 1.2,
    latentHeatKJPerKg: 250,
    initialFreezingPointC: -1.25,
  }
  it('Plank: the 7 cm sphere in −40 °C air takes 0.72 h (Singh & Heldman, Example 7.3, recalled)', () => {
    expect(plankHours('sphere', 70, -40, 50, sphere) * 3600).toBeCloseTo(2603, 0)
    const answer = freezeTime({
      shape: 'sphere',
      thicknessMm: 70,
      freezerTemperatureC: -40,
      surfaceCoefficientWPerM2K: 50,
      ...sphere,
    })
    expect(answer.hours).toBeCloseTo(0.72, 2)
    expect(answer.method).toBe('Plank')
  })
  it('Plank: a 10 cm slab between plates without its cardboard, 2.09 h (Earle, Unit Operations, recalled)', () => {
    const meat = {
      densityKgPerM3: 1090,
      frozenConductivityWPerMK: 1.6,
      latentHeatKJPerKg: 256,
      initialFreezingPointC: -2,
    }
    expect(plankHours('slab', 100, -34, 600, meat)).toBeCloseTo(2.09, 2)
  })
  it('Pham: the same sphere from 10 to −18 °C, 3743 s (Singh & Heldman, recalled)', () => {
    const hours = phamHours('sphere', 70, {
      initialC: 10,
      centreC: -18,
      freezerC: -40,
      unfrozenDensity: 1000,
      frozenDensity: 950,
      unfrozenHeat: 3.6,
      frozenHeat: 1.8,
      latentKJPerKg: 0.75 * 333.2,
      surfaceCoefficient: 50,
      frozenConductivity: 1.2,
    })
    expect(Math.abs(hours * 3600 - 3743)).toBeLessThan(5)
  })
  it('a 40 mm bag takes a night, a 25 mm bag less, within a day (arithmetic, Pham)', () => {
    const bag = (mm: number) =>
      freezeTime({
        shape: 'slab',
        thicknessMm: mm,
        freezerTemperatureC: -20,
        surfaceCoefficientWPerM2K: 8,
        waterPct: 79,
        initialTemperatureC: 15,
      }).hours
    expect(bag(40)).toBeGreaterThan(13.5)
    expect(bag(40)).toBeLessThan(16.5)
    expect(bag(25)).toBeLessThan(10.5)
  })
  it('grows with thickness and falls with cold', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: -38, max: -17, noNaN: true }),
        (mm, t) => {
          const at = (thicknessMm: number, freezerTemperatureC: number) =>
            freezeTime({ shape: 'slab', thicknessMm, freezerTemperatureC, surfaceCoefficientWPerM2K: 10, waterPct: 85 })
              .hours
          return at(mm * 1.1, t) > at(mm, t) && at(mm, t - 2) < at(mm, t)
        },
      ),
    )
  })
  it('refuses half the properties, and a freezer that does not freeze', () => {
    const base = { shape: 'slab' as const, thicknessMm: 40, surfaceCoefficientWPerM2K: 8 }
    expect(() => freezeTime({ ...base, freezerTemperatureC: -18 })).toRefuse(/waterPct/)
    expect(() => freezeTime({ ...base, freezerTemperatureC: -18, densityKgPerM3: 1000 })).toRefuse(/waterPct/)
    expect(() => freezeTime({ ...base, freezerTemperatureC: -5, waterPct: 85 })).toRefuse(/freezerTemperatureC/)
  })
})

describe('the freezer', () => {
  it('takes 2 to 3 pounds a cubic foot a day (NCHFP, recalled)', () => {
    const cubicFoot = 28.316846592
    expect(freezerLoad(cubicFoot, 1).maxKgPerDay).toBeCloseTo(3 * 0.45359237, 6)
    expect(freezerLoad(cubicFoot, 1).carefulKgPerDay).toBeCloseTo(2 * 0.45359237, 6)
    expect(freezerLoad(200, 18).days).toBe(2)
  })
  it.each([
    // IIR 1986, months at −18 and −12 °C (recalled)
    ['pea', 24, 6],
    ['bean-green', 15, 4],
    ['carrot', 18, 10],
    ['spinach', 18, 4],
    ['cauliflower', 12, 4],
    ['raspberry', 24, 5],
  ])('%s keeps %i months at −18 °C and about %i at −12 °C', (id, at18, at12) => {
    const { freezing } = cropById(id)
    expect(freezing!.lifeMonths.value[1]).toBe(at18)
    expect(at18 / frozenPace(freezing!, -12)).toBeCloseTo(at12, 0)
  })
  it('adds up what a bag has been through, and refuses what is thawing', () => {
    const { freezing } = cropById('pea')
    const months = (t: number, days: number) => frozenLife(freezing!, [{ temperatureC: t, days }]).spentMonths
    expect(months(-18, 30.4)).toBeCloseTo(1, 6)
    expect(months(-12, 30.4)).toBeGreaterThan(3)
    expect(frozenLife(freezing!, [{ temperatureC: -18, days: 4000 }]).monthsLeft.p50).toBe(0)
    expect(() => frozenLife(freezing!, [{ temperatureC: -3, days: 1 }])).toRefuse(/power-cut/)
  })
})

describe('a power cut (USDA FSIS: 48 h full, 24 h half full, door shut, recalled)', () => {
  const outcomes = (fill: number, room: number, hours: number[]) =>
    hours.map((h) => powerCut(300, fill, h, room).outcome)
  it('keeps by the rule, and no longer', () => {
    expect(powerCut(300, 1, 10, 21).safeHours).toBeCloseTo(48, 6)
    expect(powerCut(300, 0.5, 10, 21).safeHours).toBeCloseTo(24, 6)
    expect(outcomes(1, 21, [0, 6, 47, 49, 71, 73, 240])).toEqual([
      'keep',
      'keep',
      'refreeze',
      'bag-by-bag',
      'bag-by-bag',
      'throw-out',
      'throw-out',
    ])
    expect(outcomes(0.5, 21, [23, 30, 37])).toEqual(['refreeze', 'bag-by-bag', 'throw-out'])
  })
  it('gives fewer hours in a warm room or a freezer that was not cold, and never more than the rule', () => {
    expect(powerCut(300, 1, 10, 35).safeHours).toBeLessThan(35)
    expect(powerCut(300, 1, 10, 21, -8).safeHours).toBeLessThan(30)
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: -40, max: -2, noNaN: true }),
        (fill, room, start) => {
          const { safeHours } = powerCut(200, fill, 5, room, start)
          return safeHours >= 0 && safeHours <= 48 * fill + 1e-9
        },
      ),
    )
  })
  it('a temperature that was read decides: at most 4 °C may be frozen again', () => {
    expect(powerCut(300, 1, 240, 21, -18, 3).outcome).toBe('refreeze')
    expect(powerCut(300, 1, 240, 21, -18, -10).outcome).toBe('keep')
    expect(powerCut(300, 1, 10, 21, -18, 4.5).outcome).toBe('throw-out')
  })
  it('pretends no temperature beyond the rule, and only warms within it', () => {
    expect(powerCut(300, 1, 60, 21)).not.toHaveProperty('endTemperatureC')
    const ends = [1, 12, 24, 36, 48].map((h) => powerCut(300, 1, h, 21).endTemperatureC!)
    expect(ends).toEqual([...ends].sort((x, y) => x - y))
    expect(ends.at(-1)).toBeCloseTo(-1, 6)
    expect(allInPlainWords(powerCut(200, 0.3, 200, 25).advice)).toMatch(/Throw it out/)
  })
})

describe('a glut', () => {
  const kitchen = { panLitres: 8, trays: 6, kgPerTray: 1.2, freezerLitres: 300, altitudeM: 0 }
  const heaps = [
    { crop: cropById('bean-green'), kg: 3, hoursSincePicking: 2 },
    { crop: cropById('sweetcorn'), cut: 'kernels', kg: 3, hoursSincePicking: 1 },
  ]
  it('puts the corn before the beans, whose hour comes later', () => {
    const plan = glutPlan(heaps, [{ inHours: 1, hours: 4 }], kitchen)
    expect(plan.batches[0]!.crop).toBe('sweetcorn')
    expect(plan.batches.map((b) => b.crop).lastIndexOf('sweetcorn')).toBeLessThan(
      plan.batches.findIndex((b) => b.crop === 'bean-green'),
    )
    expect(plan.kgLate).toBe(0)
    expect(plan.leftOver).toEqual([])
  })
  it('keeps every kilo: frozen or said not to fit, within evening, pan, trays and freezer', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            kg: fc.double({ min: 0.5, max: 20, noNaN: true }),
            age: fc.integer({ min: 0, max: 40 }),
            which: fc.nat(4),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 8 }),
        (list, hours, trays) => {
          const kinds = ['bean-green', 'pea', 'raspberry', 'kale', 'carrot'].map(cropById)
          const given = list.map((l) => ({ crop: kinds[l.which]!, kg: l.kg, hoursSincePicking: l.age }))
          const evenings = [
            { inHours: 2, hours },
            { inHours: 26, hours },
          ]
          const plan = glutPlan(given, evenings, { ...kitchen, trays })
          const total = given.reduce((sum, g) => sum + g.kg, 0)
          const left = plan.leftOver.reduce((sum, l) => sum + l.kg, 0)
          const perEvening = evenings.map((e) =>
            plan.batches.filter((b) => b.startInHours >= e.inHours && b.startInHours < e.inHours + 24),
          )
          return (
            Math.abs(plan.kgFrozen + left - total) < 1e-6 &&
            perEvening.every((batches) => batches.reduce((sum, b) => sum + b.minutes, 0) <= hours * 60 + 1e-6) &&
            perEvening.every(
              (batches) => batches.reduce((sum, b) => sum + b.kg, 0) <= trays * kitchen.kgPerTray + 1e-6,
            ) &&
            plan.batches.every((b) => b.kg <= 1 + 1e-9)
          )
        },
      ),
      { numRuns: 60 },
    )
  })
  it('wants corn and peas within the evening, hard things within two days', () => {
    expect(freezeWithinHours(cropById('sweetcorn'))).toBeLessThan(freezeWithinHours(cropById('carrot')))
    for (const crop of crops) expect(freezeWithinHours(crop)).toBeGreaterThan(0)
  })
})
