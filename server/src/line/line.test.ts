import { randomUUID } from 'node:crypto'
import type { LineLotDetail, LineView } from '@vadose/contract/line'
import type { LotView } from '@vadose/contract/lots'
import { inPlainWords } from '@vadose/words'
import { beforeAll, describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile()
beforeAll(async () => {
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
})

const act = (code: string, what: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...what })
const line = async () => (await at.client.get('/line')).body as LineView
const onLine = async (code: string) => (await line()).lots.find((lot) => lot.code === code)!
const detail = async (code: string) => (await at.client.get(`/line/${code}`)).body as LineLotDetail

describe('the drying line', () => {
  it('holds what hangs and not what is eaten first, with the air of its places', async () => {
    const view = await line()
    expect(view.lots.map((lot) => lot.code)).toEqual(['G26-1', 'G26-3'])
    expect(view.air.map((a) => a.place)).toEqual(['Veranda'])
    const ahead = view.air[0]!.points.filter((p) => p.ahead)
    expect(ahead.length).toBe(20)
    expect(view.air[0]!.points.length - ahead.length).toBe(40)
  })

  it('offers leaving it, a fan and every place, best first, with what each would change', async () => {
    const { options } = await detail('G26-1')
    expect(options[0]).toMatchObject({ id: 'leave', daysSaved: 0, act: null })
    expect(options.map((o) => inPlainWords(o.label))).toContain('Move to kitchen')
    const others = options.slice(1).map((o) => o.ready.p50!)
    expect(others).toEqual([...others].sort())
    const fan = options.find((o) => o.id === 'fan-on')!
    expect(fan.act).toEqual({ act: 'fan', on: true })
    expect(fan.daysSaved).toBeGreaterThan(2)
  })

  it('does what the fan promised', async () => {
    const promised = (await detail('G26-1')).options.find((o) => o.id === 'fan-on')!.ready.p50
    await act('G26-1', { act: 'fan', on: true })
    const lot = await onLine('G26-1')
    expect([lot.ready.p50, lot.airflow]).toEqual([promised, 'fan'])
    await act('G26-1', { act: 'fan', on: false })
    expect((await onLine('G26-1')).airflow).toBe('breezy')
  })

  it('does what the move promised, and goes by the new place’s air from then on', async () => {
    const option = (await detail('G26-3')).options.find((o) => o.label['place'] === 'kitchen')!
    await act('G26-3', option.act!)
    const lot = await onLine('G26-3')
    expect([lot.place, lot.airflow, lot.ready.p50]).toEqual(['Kitchen', 'still', option.ready.p50])
  })

  it('draws the fitted curve once there is something to fit', async () => {
    expect((await detail('G26-1')).curve).toEqual([])
    await act('G26-1', { act: 'weigh', weightG: 620, basis: 'bunch' })
    await at.client.post('/clock', { to: 'next-week' })
    await act('G26-1', { act: 'weigh', weightG: 540, basis: 'bunch' })
    const { curve, weighings, basis } = await detail('G26-1')
    expect([basis, weighings.length]).toEqual(['bunch', 2])
    for (const p of curve) expect(p.p10 <= p.p50 && p.p50 <= p.p90).toBe(true)
    expect(curve[0]!.p50).toBeGreaterThan(curve.at(-1)!.p50)
    // the bunch stands for the lot: it has lost in proportion
    expect((await onLine('G26-1')).weightG).toBe(Math.round(4900 * (540 / 620)))
  })

  it('moves the window later when the neck is still soft, and asks to be taken down when all is dry', async () => {
    const before = (await onLine('G26-1')).ready
    await act('G26-1', { act: 'test', results: [{ test: 'neck', passed: false }] })
    const after = (await onLine('G26-1')).ready
    expect(after.p50! >= before.p50!).toBe(true)
    for (let i = 0; i < 3; i++) await at.client.post('/clock', { to: 'next-week' })
    await act('G26-1', { act: 'test', results: ['neck', 'skins', 'roots'].map((test) => ({ test, passed: true })) })
    const jobs = (await at.client.get('/round')).body.places.flatMap(
      (p: { jobs: { kind: string; code: string }[] }) => p.jobs,
    )
    expect(jobs.filter((j: { code: string }) => j.code === 'G26-1').map((j: { kind: string }) => j.kind)).toEqual([
      'take-down',
    ])
  })

  it('splits the small ones off at the end, weight for weight', async () => {
    const standing = (await onLine('G26-1')).weightG
    const done = await act('G26-1', {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('North room'),
      weightG: 3300,
      pieces: 90,
      grades: [{ grade: 'small', weightG: 300, pieces: 14 }],
    })
    expect(done.body.made).toEqual(['G26-4'])
    const main = (await at.client.get('/lots/G26-1')).body as LotView
    const small = (await at.client.get('/lots/G26-4')).body as LotView
    expect([main.weightG, main.pieces, small.weightG, small.pieces]).toEqual([3000, 76, 300, 14])
    expect([main.stage, small.stage, small.place]).toEqual(['stored', 'stored', 'North room'])
    const trimmed = main.events.find((e) => e.kind === 'finished')!.weightG
    expect(-trimmed).toBe(standing - 3300)
    expect(inPlainWords(main.events.find((e) => e.kind === 'split-out')!.says)).toContain('G26-4')
    expect((await line()).lots.map((lot) => lot.code)).toEqual(['G26-3'])
  })

  it.each([
    ['a neck nobody cuts', { neck: 'twisted' }],
    ['a pack that is none', { pack: 'plastic' }],
    ['small ones heavier than all', { grades: [{ grade: 'small', weightG: 5000, pieces: 3 }] }],
  ])('refuses to finish with %s', async (_name, over) => {
    const finish = {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('Kitchen'),
      weightG: 300,
      pieces: 9,
      ...over,
    }
    expect((await act('G26-3', finish)).status).toBe(400)
  })

  it('keeps what is stored off the line', async () => {
    const asked = await at.client.get('/line/G26-1')
    expect([asked.status, asked.body]).toEqual([200, null])
    expect((await at.client.get('/line/G99-9')).status).toBe(404)
    expect((await act('G26-1', { act: 'fan', on: true })).body.error.code).toBe('not-drying')
  })
})
