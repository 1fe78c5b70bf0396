import { randomUUID } from 'node:crypto'
import type { ActAnswer, LotEventView, LotView } from '@vadose/contract/lots'
import type { PutRight } from '@vadose/contract/put-right'
import type { LarderView } from '@vadose/contract/larder'
import type { MarkedBed, PickedCrop } from '@vadose/contract/intake'
import type { RoundView } from '@vadose/contract/round'
import type { StoresView } from '@vadose/contract/stores'
import { inPlainWords } from '@vadose/words'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile()
const post = (path: string, what: object) => at.client.post(path, { requestId: randomUUID(), ...what })
const act = async (code: string, what: object) => {
  const { status, body } = await post(`/lots/${code}/acts`, what)
  expect(status, JSON.stringify(body)).toBe(201)
  return body as ActAnswer
}
const right = async (path: string, what: object) => {
  const { status, body } = await post(path, what)
  expect(status, JSON.stringify(body)).toBe(201)
  return body as PutRight
}
const lotView = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const entry = async (code: string, kind: string, nth = 0): Promise<LotEventView> =>
  (await lotView(code)).events.filter((e) => e.kind === kind && !e.struck)[nth]!
const weeks = async (n: number) => {
  for (let i = 0; i < n; i++) await at.client.post('/clock', { to: 'next-week' })
}
/** All that screens say, without ledgers. */
const household = async () => {
  const { body: lots } = await at.client.get('/lots')
  const { runOut, weightG, totals } = (await at.client.get('/larder')).body as LarderView
  const { lastWeek, places } = (await at.client.get('/round')).body as RoundView
  const { lots: stored } = (await at.client.get('/stores')).body as StoresView
  const picks = (await at.client.get('/picks')).body as PickedCrop[]
  const beds = (await at.client.get('/harvests/marked-beds')).body as MarkedBed[]
  const { year } = (await at.client.get('/frame')).body as { year: unknown }
  return { lots, runOut, weightG, totals, lastWeek, places, stored, picks, beds, year }
}

beforeAll(async () => {
  const { status } = await post('/harvests', {
    crop: 'onion-storing',
    variety: 'Winter Keeper',
    bed: 'Bed 4',
    harvestedOn: (await at.client.get('/frame')).body.today,
    totalG: 12_600,
    heaps: [
      { heap: 'sound', weightG: 12_000, pieces: 100, placeId: at.place('Veranda') },
      { heap: 'diseased', weightG: 600, placeId: at.place('Kitchen') },
    ],
  })
  expect(status).toBe(201)
  await weeks(4)
  await act('N26-1', {
    act: 'finish',
    neck: 'short',
    pack: 'sack',
    placeId: at.place('North room'),
    weightG: 10_000,
    pieces: 100,
  })
})

describe('any entry of any day', () => {
  it('struck out with a reason: every screen as if it had never been, and back again', async () => {
    await act('N26-1', { act: 'use', pieces: 5 })
    const never = await household()
    await weeks(0)
    const { entry: lost } = await act('N26-1', { act: 'lose', pieces: 20, cause: 'soft', to: 'compost' })
    expect((await household()).lastWeek).not.toEqual(never.lastWeek)
    const struck = await right('/lots/N26-1/strike', { event: lost, why: 'it was the other sack' })
    expect(inPlainWords(struck.says)).toBe('struck out: what was gone (it was the other sack)')
    expect(await household()).toEqual(never)
    // the striking is itself an act that can be undone
    expect((await post('/lots/N26-1/undo', { event: struck.entry })).status).toBe(201)
    expect((await lotView('N26-1')).pieces).toBe(75)
    await right('/lots/N26-1/strike', { event: (await entry('N26-1', 'lost')).id, why: 'once more' })
    expect(await household()).toEqual(never)
  })
  it('from before others: what was eaten since weighs what so many weigh now', async () => {
    const { id } = await entry('N26-1', 'finished')
    await right('/lots/N26-1/restate', { event: id, why: 'typed wrong', weightG: 11_000 })
    expect(await lotView('N26-1')).toMatchObject({ weightG: 10_450, pieces: 95 })
    await right('/lots/N26-1/restate', { event: (await entry('N26-1', 'used')).id, why: 'four', pieces: 4 })
    expect(await lotView('N26-1')).toMatchObject({ weightG: 10_560, pieces: 96 })
    const twice = await post('/lots/N26-1/restate', { event: id, why: 'x', on: '2026-01-01' })
    expect(twice.body.error).toMatchObject({ code: 'invalid', field: 'on' })
    expect((await post('/lots/N26-1/restate', { event: id, why: 'x', cause: 'mice' })).body.error.field).toBe('cause')
  })
  it('with what it split off: the part is gone, and what happened to the part stands in its way', async () => {
    const before = await household()
    const { made } = await act('N26-1', { act: 'move', placeId: at.place('Cellar'), pieces: 30 })
    expect(await lotView(made[0]!)).toMatchObject({ pieces: 30, weightG: 3300, stage: 'stored', place: 'Cellar' })
    expect((await lotView(made[0]!)).keeping).not.toBeNull()
    const out = await entry('N26-1', 'split-out')
    await act(made[0]!, { act: 'use', pieces: 2 })
    const refused = await post('/lots/N26-1/strike', { event: out.id, why: 'stayed' })
    expect([refused.status, refused.body.error.code]).toEqual([400, 'in-the-way'])
    expect(refused.body.error.message).toMatch(/used 2 onions/)
    await right(`/lots/${made[0]}/strike`, { event: (await entry(made[0]!, 'used')).id, why: 'not these' })
    await right('/lots/N26-1/strike', { event: out.id, why: 'stayed' })
    expect(await household()).toEqual(before)
    expect((await at.client.get('/lots?gone=yes')).body.map((l: { code: string }) => l.code)).not.toContain(made[0])
  })
  it('refuses what is not there, and what is struck already', async () => {
    expect((await post('/lots/N26-1/strike', { event: 9_999_999, why: 'x' })).body.error.code).toBe('not-found')
    const struck = (await lotView('N26-1')).events.find((e) => e.struck && e.kind === 'lost')!
    expect((await post('/lots/N26-1/strike', { event: struck.id, why: 'x' })).body.error.message).toMatch(/already/)
    expect((await post('/lots/N26-1/strike', { event: struck.id })).body.error.field).toBe('why')
  })
})

describe('a tag put right', () => {
  it('variety and bed, of the whole harvest: the marked bed follows, the old words stay', async () => {
    expect((await household()).beds).toMatchObject([{ bed: 'Bed 4', crop: 'onion-storing' }])
    const { lots, says } = await right('/lots/N26-1/label', { whole: true, variety: 'Amber Globe', bed: 'Bed 3' })
    expect(lots).toEqual(['N26-1', 'N26-2'])
    expect(inPlainWords(says)).toMatch(/variety Winter Keeper → Amber Globe, bed Bed 4 → Bed 3/)
    expect((await household()).beds).toMatchObject([{ bed: 'Bed 3' }])
    expect((await lotView('N26-1')).tagSince).toBe((await at.client.get('/frame')).body.today)
    await act('N26-1', { act: 'tag' })
    expect((await lotView('N26-1')).tagSince).toBeNull()
    expect((await at.client.get('/harvests/last')).body).toMatchObject([{ variety: 'Amber Globe', bed: 'Bed 3' }])
  })
  it('the crop, found in winter: forecast from its first day, counted where it belongs, and undone', async () => {
    const before = await household()
    const was = await lotView('N26-1')
    const { body: preview } = await at.client.get('/lots/N26-1/label?crop=shallot')
    expect(preview.now).toMatchObject({ says: 'keeps', to: was.keeping!.nineInTenUntil.p90 })
    expect(preview.then.to > preview.now.to).toBe(true)
    const { entry: last } = await right('/lots/N26-1/label', { whole: true, crop: 'shallot', why: 'red ones' })
    const now = await lotView('N26-1')
    expect(now.crop).toBe('shallot')
    expect(now.keeping!.nineInTenUntil.p90).toBe(preview.then.to)
    expect((await household()).picks.map((p) => p.crop)).toEqual(['shallot'])
    expect((await household()).runOut.map((r) => r.crop)).toEqual(['shallot'])
    expect((await post('/lots/N26-1/undo', { event: last })).status).toBe(201)
    expect(await household()).toEqual(before)
  })
  it('the day: the first entries move with it, unless something happened before that', async () => {
    const first = (await lotView('N26-1')).events[0]!
    const day = (n: number) => new Date(Date.parse(first.on) + n * 86_400_000).toISOString().slice(0, 10)
    await right('/lots/N26-1/label', { whole: true, broughtOn: day(-7) })
    const moved = await lotView('N26-1')
    expect(moved.broughtOn).toBe(day(-7))
    expect((await household()).picks[0]!.weeks.map((w) => w.from <= day(-7))).toEqual([true])
    const late = await post('/lots/N26-1/label', {
      whole: false,
      broughtOn: (await at.client.get('/frame')).body.today,
    })
    expect([late.status, late.body.error.code]).toEqual([400, 'in-the-way'])
    expect((await post('/lots/N26-1/label', { whole: false, broughtOn: day(-7) })).body.error.message).toMatch(
      /already/,
    )
    expect((await post('/lots/N26-1/label', { whole: false, heap: 'nowhere' })).body.error.field).toBe('heap')
  })
})

describe('a lot sorted by fate', () => {
  it('“6 kg to eat, 3 kg for planting, the rest to the bin”: lots, and an end, to the gram', async () => {
    const before = await lotView('N26-1')
    const { made } = await act('N26-1', {
      act: 'sort',
      heaps: [
        { fate: 'eat-first', weightG: 6000 },
        { fate: 'plant', weightG: 3000, placeId: at.place('Cellar') },
        { fate: 'compost', pieces: 3 },
      ],
      rest: 'store',
    })
    const [eat, plant] = await Promise.all(made.map(lotView))
    expect(eat).toMatchObject({ weightG: 6000, stage: 'fresh', aside: { why: 'eat-first' } })
    expect(plant).toMatchObject({ weightG: 3000, fate: 'plant', place: 'Cellar' })
    const after = await lotView('N26-1')
    const composted = after.events.at(-1)!
    expect(inPlainWords(composted.says)).toMatch(/^to the compost: 3 onions/)
    expect(after.weightG).toBe(before.weightG - 9000 + composted.weightG)
    expect(after.checks.at(-1)).toMatchObject({ lookedAt: before.pieces, bad: 3 })
    // set aside is not eaten
    expect((await household()).runOut).toMatchObject([{ perWeekG: { p50: expect.any(Number) } }])
    const { jobs } = (await household()).places.find(({ jobs: own }) => own.some((job) => job.code === eat!.code))!
    expect(jobs.find((job) => job.code === eat!.code)).toMatchObject({ kind: 'use' })
  })
  it('refuses what would harm animals, and more than there is; nothing is written', async () => {
    const before = await lotView('N26-1')
    const hens = await post('/lots/N26-1/acts', { act: 'sort', heaps: [{ fate: 'feed', pieces: 1 }], rest: 'store' })
    expect([hens.status, hens.body.error.code]).toEqual([400, 'not-fed'])
    const more = await post('/lots/N26-1/acts', { act: 'sort', heaps: [{ fate: 'bin', pieces: 500 }], rest: 'store' })
    expect(more.body.error.code).toBe('not-enough')
    expect(await lotView('N26-1')).toEqual(before)
  })
})

describe('a harvest that never was', () => {
  it('is struck out with all of its lots, and can be had again', async () => {
    const before = await household()
    const { lots, entry: last } = await right('/lots/N26-1/strike-harvest', { why: 'the neighbour’s' })
    expect(lots.length).toBe(4)
    const empty = await household()
    expect([empty.lots, empty.picks, empty.beds, empty.weightG]).toEqual([[], [], [], 0])
    expect((await at.client.get('/lots?gone=yes')).body).toEqual([])
    expect((await post('/lots/N26-1/undo', { event: last })).status).toBe(201)
    expect(await household()).toEqual(before)
  })
})

describe('taken down too early, and the part that is ready', () => {
  it('hangs again and goes on where it was', async () => {
    await post('/harvests', {
      crop: 'garlic-hardneck',
      harvestedOn: (await at.client.get('/frame')).body.today,
      totalG: 4000,
      heaps: [{ heap: 'sound', weightG: 4000, pieces: 60, placeId: at.place('Veranda') }],
    })
    await weeks(1)
    const hanging = await lotView('G26-1')
    await act('G26-1', { act: 'finish', neck: 'long', pack: 'net', placeId: at.place('North room'), weightG: 3600 })
    await act('G26-1', { act: 'hang', placeId: at.place('Veranda') })
    const again = await lotView('G26-1')
    expect(again.stage).toBe('drying')
    expect(again.curing!.progress).toBeCloseTo(hanging.curing!.progress, 2)
  })
  it('some bunches come down, the others hang on; a part carries its weights along', async () => {
    await act('G26-1', { act: 'weigh', weightG: 3400, basis: 'lot' })
    const { made } = await act('G26-1', {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('North room'),
      ofG: 1700,
      weightG: 1500,
    })
    expect(await lotView('G26-1')).toMatchObject({ weightG: 1700, pieces: 30, stage: 'drying' })
    expect(await lotView(made[0]!)).toMatchObject({
      weightG: 1500,
      pieces: 30,
      stage: 'stored',
      broughtOn: expect.any(String),
    })
    expect((await lotView('G26-1')).curing!.lastWeighedG).toBe(1700)
  })
  it('asks about trimmings that are too much for the crop', async () => {
    const finish = {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('North room'),
      weightG: 700,
      wasteG: 900,
    }
    const asked = await post('/lots/G26-1/acts', finish)
    expect(asked.body.error).toMatchObject({ code: 'surprise', field: 'wasteG' })
    await act('G26-1', { ...finish, sure: true })
  })
})
