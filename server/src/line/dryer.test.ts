import { randomUUID } from 'node:crypto'
import type { LineView } from '@vadose/contract/line'
import type { LotView } from '@vadose/contract/lots'
import type { RoundView } from '@vadose/contract/round'
import { cropById, driedForm, type Crop } from '@vadose/core/almanac'
import { inPlainWords } from '@vadose/words'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile('2026-09-20')

const act = (code: string, what: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })
const done = async (code: string, what: object) => {
  const { status, body } = await act(code, what)
  expect(status, JSON.stringify(body)).toBe(201)
  return body as { made: string[] }
}
const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const line = async () => (await at.client.get('/line')).body as LineView
const jobs = async (code: string) =>
  ((await at.client.get('/round')).body as RoundView).places
    .flatMap((p) => p.jobs)
    .filter((job) => job.code === code)
    .map((job) => job.kind)
const morning = () => at.client.post('/clock', { to: 'next-morning' })

/** Brings in apples. @returns their code */
async function apples(totalG: number): Promise<string> {
  const { body } = await at.client.post('/harvests', {
    requestId: randomUUID(),
    crop: 'apple-late',
    harvestedOn: '2026-09-20',
    totalG,
    heaps: [{ heap: 'sound', weightG: totalG, pieces: Math.round(totalG / 150), placeId: at.place('Cellar') }],
  })
  return body.lots[0].code
}

describe('a load in the dehydrator', () => {
  let code: string
  it('is a part of the lot, a lot of its own, and nothing is lost between', async () => {
    const from = await apples(9000)
    const { made } = await done(from, {
      act: 'load',
      takenG: 3000,
      weightG: 2400,
      trays: 4,
      airC: 60,
      placeId: at.place('Kitchen'),
    })
    expect(made).toHaveLength(1)
    code = made[0]!
    const [left, load] = [await lot(from), await lot(code)]
    expect([left.weightG, left.pieces]).toEqual([6000, 40])
    expect([load.weightG, load.pieces, load.stage, load.place]).toEqual([2400, null, 'dryer', 'Kitchen'])
    // 600 g of peel and cores are in its story
    expect(load.events.map((e) => e.weightG)).toEqual([3000, -600])
  })
  it('is done where mass balance says, and its trays change places half way', async () => {
    const { dryer } = await lot(code)
    // apple, 85.56 % water (IFCT 2017) to 20 %: dry matter stays. W = 2400·(1 − 0.8556)/(1 − 0.20)
    expect(dryer!.targetG).toBe(Math.round((2400 * (1 - 0.8556)) / 0.8))
    const [p10, p50, p90] = [dryer!.doneAt.p10, dryer!.doneAt.p50, dryer!.doneAt.p90].map((at) => Date.parse(at))
    expect(p10! < p50! && p50! < p90!).toBe(true)
    // apple rings take 6 to 12 hours at 60 °C (NCHFP, recalled)
    const hours = (p50! - Date.parse(dryer!.loadedAt)) / 3_600_000
    expect(hours).toBeGreaterThan(6)
    expect(hours).toBeLessThan(12)
    expect(Date.parse(dryer!.rotateAt) - Date.parse(dryer!.loadedAt)).toBeCloseTo((hours / 2) * 3_600_000, -5)
    expect(await jobs(code)).toContain('rotate')
    await done(code, { act: 'rotate' })
    expect((await lot(code)).dryer!.rotated).toBe(true)
    expect(await jobs(code)).not.toContain('rotate')
  })
  it('hangs on no rope, but stands beside it', async () => {
    const view = await line()
    expect(view.lots.map((l) => l.code)).not.toContain(code)
    expect(view.dryer.map((l) => l.code)).toEqual([code])
  })
  it('is asked for when its hours are over', async () => {
    await morning()
    expect(await jobs(code)).toEqual(['take-out'])
    expect((await lot(code)).dryer!.progress).toBeGreaterThan(0.95)
  })
  it('does not gain weight in the heat, unless one is sure', async () => {
    const { status, body } = await act(code, { act: 'jar', weightG: 4000 })
    expect([status, body.error.code, body.error.field]).toEqual([400, 'surprise', 'weightG'])
    expect((await lot(code)).stage).toBe('dryer')
    await done(code, { act: 'jar', weightG: 470 })
    expect(await lot(code)).toMatchObject({ stage: 'conditioning', weightG: 470 })
  })
})

describe('a conditioning jar', () => {
  let code: string
  beforeAll(async () => {
    code = await apples(2600)
    await done(code, { act: 'load', weightG: 2400, trays: 4, airC: 60, placeId: at.place('Kitchen') })
    await morning()
    await done(code, { act: 'jar', weightG: 500 })
  })
  it('is shaken once a day', async () => {
    expect(await jobs(code)).toEqual(['shake'])
    await done(code, { act: 'shake', beads: false, mould: false })
    expect(await jobs(code)).toEqual([])
    expect((await lot(code)).jar).toMatchObject({ day: 1, of: 7, shakenToday: true })
    await morning()
    expect(await jobs(code)).toEqual(['shake'])
  })
  it('goes back to the dryer for beads, at the weight it has, and begins anew', async () => {
    await done(code, { act: 'shake', beads: true, mould: false })
    expect(await lot(code)).toMatchObject({ stage: 'dryer', weightG: 500, dryer: { again: true, trays: 4, airC: 60 } })
    await morning()
    await done(code, { act: 'jar', weightG: 452 })
    expect((await lot(code)).jar!.day).toBe(1)
  })
  it('goes back when its own air is damper than anything keeps in, beads or not', async () => {
    await done(code, { act: 'shake', beads: false, mould: false, jarHumidityPct: 71 })
    expect((await lot(code)).stage).toBe('dryer')
    await done(code, { act: 'jar', weightG: 440 })
  })
  it('is put by after a week without, as dried fruit that keeps about a year', async () => {
    for (let day = 1; day <= 7; day++) {
      expect((await lot(code)).stage).toBe('conditioning')
      await done(code, { act: 'shake', beads: false, mould: false })
      await morning()
    }
    const view = await lot(code)
    expect(view).toMatchObject({ stage: 'stored', weightG: 440, form: 'dried' })
    const days = (Date.parse(view.keeping!.nineInTenUntil.p50) - Date.parse('2026-10-01')) / 86_400_000
    // dried fruit keeps a year at 60 °F and half of that at 80 °F (NCHFP, recalled); the kitchen lies between
    expect(days).toBeGreaterThan(180)
    expect(days).toBeLessThan(420)
  })
  it('is looked over for what ends jars', async () => {
    const check = (crop: Crop) => {
      const [fault] = crop.faults
      return { act: 'check', lookedAt: 1, faults: [{ fault: fault!.id, pieces: 1, action: fault!.actions[0]!.id }] }
    }
    const apple = cropById('apple-late')
    expect((await act(code, check(apple))).status).toBe(400)
    await done(code, check(driedForm(apple)))
    await done(code, { act: 'check', lookedAt: 1, faults: [] })
    expect((await lot(code)).checks).toHaveLength(2)
  })
  it('with mould in it is thrown out whole, and is no loss to be picked over', async () => {
    const bad = await apples(1000)
    await done(bad, { act: 'load', weightG: 900, trays: 2, airC: 60, placeId: at.place('Kitchen') })
    await morning()
    await done(bad, { act: 'jar', weightG: 170 })
    await done(bad, { act: 'shake', beads: false, mould: true })
    const view = await lot(bad)
    expect([view.stage, view.weightG]).toEqual(['gone', 0])
    expect(inPlainWords(view.events.at(-1)!.says)).toContain('mould in the jar')
    expect((await act(bad, { act: 'shake', beads: false, mould: false })).body.error.code).toBe('gone')
  })
})

describe('what the dehydrator does not take', () => {
  it('is refused with the reason: hot beyond the usual, trimmed to nothing, more than there is, crops nobody dries so', async () => {
    const code = await apples(2000)
    const load = { act: 'load', weightG: 1800, trays: 3, airC: 60, placeId: at.place('Kitchen') }
    for (const [over, codeOf] of [
      [{ airC: 78 }, 'surprise'],
      [{ weightG: 300 }, 'surprise'],
      [{ weightG: 2600 }, 'invalid'],
      [{ takenG: 9000 }, 'not-enough'],
      [{ trays: 0 }, 'invalid'],
      [{ placeId: randomUUID() }, 'invalid'],
    ] as const) {
      const { status, body } = await act(code, { ...load, ...over })
      expect([status, body.error.code], JSON.stringify(over)).toEqual([400, codeOf])
    }
    expect(await lot(code)).toMatchObject({ stage: 'stored', weightG: 2000 })
    await done(code, { ...load, airC: 78, sure: true })
    expect((await act(code, load)).body.error.message).toMatch(/in the dryer already/)
  })
})
