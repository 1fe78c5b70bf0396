import { saidPart } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById, crops, driedForm, markedWords, hungInWords, pathOf } from './index'

const ids = (id: string) => pathOf(cropById(id)).map((s) => s.id)

describe('the way from bed to plate', () => {
  it('goes through signs, drying and finishing where the crop wants them', () => {
    expect(ids('garlic-hardneck')).toEqual(['ready', 'lift', 'cure', 'finish', 'keep', 'freeze'])
    expect(ids('potato-maincrop').slice(0, 5)).toEqual(['ready', 'lift', 'heal', 'finish', 'keep'])
    expect(ids('carrot').slice(0, 3)).toEqual(['lift', 'finish', 'keep'])
  })
  it('shows the freezer and the dehydrator as ways beside, only where they lead somewhere', () => {
    expect(ids('apple-late')).toEqual(expect.arrayContaining(['freeze', 'dry']))
    for (const crop of crops) {
      const steps = pathOf(crop).map((s) => s.id)
      expect(steps.includes('freeze'), crop.id).toBe(crop.freezing !== undefined)
      expect(steps.includes('dry'), crop.id).toBe(crop.dehydrating !== undefined && crop.curing === undefined)
    }
  })
  it('has each step once, in order, with words and a duration that does not turn back', () => {
    const order = ['ready', 'lift', 'cure', 'heal', 'finish', 'keep', 'freeze', 'dry']
    for (const crop of crops) {
      const steps = pathOf(crop)
      const at = steps.map((s) => order.indexOf(s.id))
      expect(at, crop.id).toEqual([...new Set(at)].sort((a, b) => a - b))
      for (const step of steps) {
        const detail = saidPart(step.detail, { language: 'en-GB', units: 'metric' })
        expect(detail.trim().length, `${crop.id} ${step.id}`).toBeGreaterThan(3)
        expect(detail, `${crop.id} ${step.id}`).not.toMatch(/undefined|null|NaN|\[object/)
        if (step.days) expect(step.days[0], `${crop.id} ${step.id}`).toBeLessThanOrEqual(step.days[1])
      }
    }
  })
  it('says healing for what heals', () => {
    const ways = (id: string) => pathOf(cropById(id)).map((s) => s.id)
    expect(ways('potato-maincrop')).toContain('heal')
    expect(ways('onion-storing')).toContain('cure')
  })
})

describe('a crop in the jar after the dehydrator', () => {
  const dehydrated = crops.filter((c) => c.dehydrating)
  it('is not frozen, cured or looked at for ripeness any more, and wants the dark and dry', () => {
    expect(dehydrated.length).toBeGreaterThan(20)
    for (const crop of dehydrated) {
      const dried = driedForm(crop)
      expect([dried.freezing, dried.curing, dried.readiness]).toEqual([undefined, undefined, undefined])
      expect(dried.needs).toContain('dark')
      expect(dried.keeping.keptDry).toBe(true)
      expect(dried.id).toBe(crop.id)
      expect(dried.name).toBe(`${crop.name}, dried`)
    }
  })
  it('weighs what its dry matter and the water left come to', () => {
    for (const crop of dehydrated) {
      const dried = driedForm(crop)
      const dry = (c: typeof crop) => c.pieceG.value * (1 - c.waterPct.value / 100)
      // seed is kept dry: its piece weight is that of dry seed already
      if (crop.dehydrating!.startMoisturePct) expect(dried.pieceG.value).toBe(crop.pieceG.value)
      else if (dried.pieceG.value > 0.05) expect(dry(dried) / dry(crop), crop.id).toBeCloseTo(1, 6)
    }
  })
  it('keeps twice as long as fruit than as vegetable (NCHFP, recalled)', () => {
    const [apple, carrot] = ['apple-late', 'carrot'].map((id) => driedForm(cropById(id)).keeping.lifeDays.value)
    expect(apple![0] / carrot![0]).toBeCloseTo(2, 1)
    expect(apple![1] / carrot![1]).toBeCloseTo(2, 1)
  })
  it('keeps its cautions, and is ended by what ends jars', () => {
    for (const crop of dehydrated) {
      const dried = driedForm(crop)
      expect(dried.cautions).toEqual(crop.cautions)
      expect(dried.faults.length).toBeGreaterThanOrEqual(3)
      for (const fault of dried.faults) expect(fault.actions.length).toBeGreaterThan(0)
    }
  })
  it('leaves the crop as it was, and one that is not dried so as it is', () => {
    const before = JSON.stringify(cropById('apple-late'))
    driedForm(cropById('apple-late'))
    expect(JSON.stringify(cropById('apple-late'))).toBe(before)
    const never = crops.find((c) => !c.dehydrating)!
    expect(driedForm(never)).toBe(never)
  })
})

describe('ways of hanging', () => {
  it('each have words, and one of them to be marked', () => {
    for (const way of Object.keys(hungInWords) as (keyof typeof hungInWords)[]) {
      expect(hungInWords[way]).toMatch(/^(in|on) /)
      expect(markedWords[way]).toMatch(/^\w+$/)
    }
  })
})
