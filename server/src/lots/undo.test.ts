import { randomUUID } from 'node:crypto'
import type { ActAnswer, LotView } from '@vadose/contract/lots'
import type { LarderView } from '@vadose/contract/larder'
import type { RoundView } from '@vadose/contract/round'
import { inPlainWords } from '@vadose/words'
import { beforeAll, describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile()
const act = async (code: string, what: object) => {
  const { status, body } = await at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })
  expect(status, JSON.stringify(body)).toBe(201)
  return body as ActAnswer
}
const undo = (code: string, event: number, requestId = randomUUID()) =>
  at.client.post(`/lots/${code}/undo`, { requestId, event })
const lotView = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const pace = async () => ((await at.client.get('/larder')).body as LarderView).runOut
const week = async () => ((await at.client.get('/round')).body as RoundView).lastWeek
/** What a lot is, without its ledger. */
const present = async (code: string) => {
  const { events: _, ...lot } = await lotView(code)
  return lot
}

beforeAll(async () => {
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
  for (let i = 0; i < 4; i++) await at.client.post('/clock', { to: 'next-week' })
})

describe('the last act on a lot, undone', () => {
  it('takes down and sorts: everything as it was, the lots it made are gone, their codes stay theirs', async () => {
    const before = await present('G26-1')
    const finish = {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('North room'),
      weightG: 3600,
      pieces: 90,
    }
    const grades = [
      { grade: 'large', weightG: 1600, pieces: 30 },
      { grade: 'small', weightG: 900, pieces: 30 },
    ]
    const { made, entry, says } = await act('G26-1', { ...finish, grades })
    expect(made).toHaveLength(2)
    expect(inPlainWords(says)).toMatch(/split off|packed/)
    const { status, body } = await undo('G26-1', entry)
    expect([status, [...body.undone].sort()]).toEqual([201, ['G26-1', ...made].sort()])
    expect(await present('G26-1')).toEqual(before)
    expect((await lotView(made[0]!)).stage).toBe('gone')
    expect(((await at.client.get('/lots')).body as { code: string }[]).map(({ code }) => code)).not.toContain(made[0])
    const again = await act('G26-1', { ...finish, grades })
    expect(again.made).not.toEqual(made)
  })
  it('uses: the pace of eating and the week know nothing of it', async () => {
    const before = [await present('G26-1'), await pace(), await week()]
    const { entry, says } = await act('G26-1', { act: 'use', weightG: 700 })
    expect(inPlainWords(says)).toMatch(/^used .*700 g$/)
    expect((await week()).usedG).toBe(700)
    expect((await undo('G26-1', entry)).status).toBe(201)
    expect([await present('G26-1'), await pace(), await week()]).toEqual(before)
    // on another day, from the database anew
    await at.client.post('/clock', { to: 'next-morning' })
    expect((await week()).usedG).toBe(0)
    const last = (await lotView('G26-1')).events.at(-1)!
    expect([last.kind, inPlainWords(last.says), last.undoable]).toEqual(['undone', 'undone: the use', false])
  })
  it('looks over: what was taken out is back, the belief too', async () => {
    const before = await present('G26-1')
    const faults = [{ fault: 'blue-mould', pieces: 4, action: 'bin' }]
    const { entry } = await act('G26-1', { act: 'check', lookedAt: 20, faults })
    expect((await present('G26-1')).weightG).toBeLessThan(before.weightG)
    await undo('G26-1', entry)
    expect(await present('G26-1')).toEqual(before)
  })
  it('goes back act by act, and once however often it is sent', async () => {
    const before = await present('G26-1')
    const first = await act('G26-1', { act: 'move', placeId: at.place('Cellar') })
    const second = await act('G26-1', { act: 'use', weightG: 100 })
    const number = randomUUID()
    for (let i = 0; i < 2; i++) expect((await undo('G26-1', second.entry, number)).status).toBe(201)
    expect((await lotView('G26-1')).place).toBe('Cellar')
    await undo('G26-1', first.entry)
    expect(await present('G26-1')).toEqual(before)
  })
  it('is refused where something came after it, here or on a lot it made', async () => {
    const use = await act('G26-1', { act: 'use', weightG: 50 })
    await act('G26-1', { act: 'note', text: 'for the soup' })
    const late = await undo('G26-1', use.entry)
    expect([late.status, late.body.error.code]).toEqual([400, 'not-last'])
    const grades = [
      { grade: 'large', weightG: 500, pieces: 10 },
      { grade: 'small', weightG: 300, pieces: 10 },
    ]
    const { made, entry } = await act('G26-1', { act: 'grade', grades })
    await act(made[0]!, { act: 'use', weightG: 10 })
    const refused = await undo('G26-1', entry)
    expect(refused.body.error).toMatchObject({ code: 'not-last', message: expect.stringContaining(made[0]!) })
    expect((await undo('G26-99', 1)).status).toBe(404)
  })
  it('undoes a whole harvest, by any of its lots', async () => {
    const codes = async () => ((await at.client.get('/lots')).body as { code: string }[]).map(({ code }) => code)
    const there = await codes()
    const before = [await week(), there]
    await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { harvestedOn: '2026-08-10' }))
    const newest = (await codes()).find((code) => !there.includes(code))!
    const { id } = (await lotView(newest)).events.find(({ undoable }) => undoable)!
    expect((await undo(newest, id)).body.undone).toHaveLength(3)
    expect([await week(), await codes()]).toEqual(before)
  })
})
