import { randomUUID } from 'node:crypto'
import type { LearntView } from '@vadose/contract/almanac'
import type { LotView } from '@vadose/contract/lots'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile('2026-10-01')
const learnt = async (crop = 'beetroot') => (await at.client.get(`/almanac/crops/${crop}/learnt`)).body as LearntView
const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const act = async (code: string, body: object) => {
  const { status, body: answer } = await at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...body })
  expect([status, answer.error?.message]).toEqual([201, undefined])
}
const bring = (variety: string, harvestedOn: string) =>
  at.client.post('/harvests', {
    requestId: randomUUID(),
    crop: 'beetroot',
    variety,
    harvestedOn,
    totalG: 9000,
    heaps: [{ heap: 'sound', weightG: 9000, pieces: 60, placeId: at.place('Cellar') }],
  })
const weeks = async (count: number) => {
  for (let i = 0; i < count; i++) await at.client.post('/clock', { to: 'next-week' })
}
/** What is learnt is worked out beside the requests: asked for until it is there. */
async function soon(test: (view: LearntView) => boolean): Promise<LearntView> {
  for (let i = 0; i < 200; i++) {
    const view = await learnt()
    if (test(view)) return view
    await new Promise((resolve) => setTimeout(resolve, 25))
  }
  return learnt()
}

beforeAll(async () => {
  await bring('Red Ball', '2026-10-01')
  await bring('Pale Root', '2026-10-01')
  await weeks(20)
  await act('R26-1', { act: 'check', lookedAt: 40, faults: [] })
  await act('R26-2', { act: 'check', lookedAt: 40, faults: [{ fault: 'sprouting', pieces: 12, action: 'feed' }] })
  await weeks(1)
  for (const code of ['R26-1', 'R26-2']) await act(code, { act: 'use', weightG: (await lot(code)).weightG })
  await bring('Red Ball', '2027-02-25')
  await bring('Pale Root', '2027-02-25')
})

describe('what looks at lots that are gone have taught', () => {
  it('counts from the next morning on: for its variety first, and the date of the next lot of it', async () => {
    const [red, pale] = [await lot('R27-1'), await lot('R27-2')]
    expect(red.keeping!.learnt).toBeNull()
    expect(red.keeping!.nineInTenUntil).toEqual(pale.keeping!.nineInTenUntil)
    await at.client.post('/clock', { to: 'next-morning' })
    const view = await soon(({ house }) => house !== null)
    expect(view.house).toMatchObject({ lots: 2, years: 1 })
    const of = (name: string) => view.varieties.find(({ variety }) => variety === name)!.learnt!.times.p50
    expect(of('Red Ball')).toBeGreaterThan(of('Pale Root') * 1.05)
    expect(view.places).toMatchObject([{ place: 'Cellar', lots: 2 }])
    const [after, other] = [await lot('R27-1'), await lot('R27-2')]
    expect(after.keeping!.nineInTenUntil.p50 > other.keeping!.nineInTenUntil.p50).toBe(true)
    expect(after.keeping!.learnt).toMatchObject({ variety: 'Red Ball', lots: 2, years: 1 })
  })
  it('is taken back where the lot was not gone after all', async () => {
    const { events } = await lot('R26-2')
    const used = events.find(({ kind }) => kind === 'used')!
    await at.client.post('/lots/R26-2/strike', { requestId: randomUUID(), event: used.id, why: 'it was the other one' })
    expect((await lot('R26-2')).stage).toBe('stored')
    await at.client.post('/clock', { to: 'next-morning' })
    const view = await soon(({ house }) => house?.lots === 1)
    expect(view.house).toMatchObject({ lots: 1 })
    expect(view.varieties.find(({ variety }) => variety === 'Pale Root')!.learnt).toBeNull()
  })
})

describe('what a household says of a variety', () => {
  const say = (body: object) => at.client.put('/almanac/variety', { crop: 'beetroot', ...body })
  it('moves the dates of its lots at once, and is taken back', async () => {
    const before = (await lot('R27-2')).keeping!.nineInTenUntil.p50
    expect((await say({ variety: ' pale root', keeps: 'shorter' })).status).toBe(200)
    expect((await learnt()).varieties.find(({ variety }) => variety === 'Pale Root')!.keeps).toBe('shorter')
    expect((await lot('R27-2')).keeping!.nineInTenUntil.p50 < before).toBe(true)
    await say({ variety: 'Pale Root', keeps: 'usual' })
    expect((await lot('R27-2')).keeping!.nineInTenUntil.p50).toBe(before)
  })
  it.each([
    [{ crop: 'moon-melon', variety: 'x', keeps: 'longer' }, 'unknown-crop'],
    [{ variety: '   ', keeps: 'longer' }, 'invalid'],
    [{ variety: 'x', keeps: 'forever' }, 'invalid'],
    [{ variety: 'x'.repeat(61), keeps: 'longer' }, 'invalid'],
  ])('refuses %j', async (body, code) => {
    const { status, body: answer } = await say(body)
    expect([status, answer.error.code]).toEqual([400, code])
  })
  it('is in the household’s one file', async () => {
    await say({ variety: 'Red Ball', keeps: 'longer' })
    const file = await at.client.get('/file')
    expect(file.body.almanac.varieties).toEqual([{ crop: 'beetroot', variety: 'red ball', keeps: 'longer' }])
    expect((await at.client.get('/almanac/crops/moon-melon/learnt')).body.error.code).toBe('unknown-crop')
  })
})
