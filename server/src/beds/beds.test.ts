import { randomUUID } from 'node:crypto'
import type { StandView } from '@vadose/contract/beds'
import type { JobView, RoundView } from '@vadose/contract/round'
import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile('2026-06-20')
const say = (what: string, over: object = {}) =>
  at.client.post('/beds/entries', {
    requestId: randomUUID(),
    crop: 'garlic-hardneck',
    variety: 'Red Moor',
    bed: 'Bed 7',
    growsIn: 'bed',
    what,
    ...over,
  })
const beds = async () => (await at.client.get('/beds')).body as StandView[]
const bed = async (name = 'Bed 7') => (await beds()).find((stand) => stand.bed === name)
const jobs = async () => ((await at.client.get('/round')).body as RoundView).places.flatMap(({ jobs }) => jobs)
const job = async (kind: JobView['kind']) => (await jobs()).find((one) => one.kind === kind)

describe('looks at a bed', () => {
  it('are kept, come to one verdict, and ask for the next', async () => {
    expect((await say('scapes', { value: 1 })).status).toBe(201)
    const cut = (await job('cut-scapes'))!
    expect([inPlainWords(cut.title), cut.stand?.bed]).toEqual(['Cut the scapes of the garlic Red Moor, Bed 7', 'Bed 7'])
    expect((await say('scapes-cut')).status).toBe(201)
    expect(await job('cut-scapes')).toBeUndefined()
    expect((await bed())!.verdict).toMatchObject({ state: 'wait', window: { from: '2026-07-11', to: '2026-07-18' } })
    const year = (await at.client.get('/frame')).body.year
    expect(year.harvests).toEqual([{ crop: 'garlic-hardneck', bed: 'Bed 7', from: 71, to: 78 }])
  })
  it('struck out, are as if they had never been made; taken back, they count again', async () => {
    const before = await beds()
    const { body } = await say('sign', { value: 0.55 })
    expect((await bed())!.verdict!.state).toBe('lift')
    expect((await at.client.put(`/beds/entries/${body.id}/struck`, { struck: true })).status).toBe(200)
    expect(await beds()).toEqual(before)
    await at.client.put(`/beds/entries/${body.id}/struck`, { struck: false })
    expect((await bed())!.verdict!.state).toBe('lift')
    expect((await bed())!.verdict!.next).toMatchObject({ what: 'lift' })
    await at.client.put(`/beds/entries/${body.id}/struck`, { struck: true })
    expect((await at.client.put(`/beds/entries/${randomUUID()}/struck`, { struck: true })).status).toBe(404)
    expect((await at.client.put('/beds/entries/bed/struck', { struck: true })).status).toBe(404)
  })
  it('sent twice count once, and what cannot be seen on a crop is refused', async () => {
    const requestId = randomUUID()
    const before = (await bed())!.entries.length
    await say('unwatered', { requestId })
    await say('unwatered', { requestId })
    expect((await bed())!.entries).toHaveLength(before + 1)
    const refusals: [string, object, RegExp][] = [
      ['scapes', { crop: 'carrot' }, /makes no scapes/],
      ['scapes', {}, /how many turns/],
      ['sign', { crop: 'parsnip', value: 0.5 }, /names no sign/],
      ['sign', {}, /how far/],
      ['tried', { value: 9 }, /looked like/],
      ['tops-bent', { crop: 'potato-maincrop' }, /not bent over/],
      ['sign', { value: 0.5, on: '2026-08-01' }, /ahead|future|today/i],
      ['sign', { value: 0.5, crop: 'moonfruit' }, /moonfruit/],
      ['sign', { value: 0.5, bed: '  ' }, /bed/],
    ]
    for (const [what, over, why] of refusals) {
      const { status, body } = await say(what, over)
      expect(status, what).toBe(400)
      expect(body.error.message).toMatch(why)
    }
    expect((await bed())!.entries).toHaveLength(before + 1)
  })
})

describe('what is kept back for planting', () => {
  it('asks to be planted in its season, stands in the bed it went to, and is compared with what came of it', async () => {
    const harvest = (over: object) => at.client.post('/harvests', { ...garlicHarvest(at.place('Veranda')), ...over })
    // grown last year, and brought in late enough to be planted this autumn
    await harvest({
      harvestedOn: '2026-06-18',
      totalG: 1500,
      bed: 'Bed 9',
      heaps: [{ heap: 'planting', weightG: 1500, pieces: 30, placeId: at.place('Veranda') }],
    })
    const lots = (await at.client.get('/lots')).body as { code: string; heap: string }[]
    const { code } = lots.find((lot) => lot.heap === 'planting')!
    const act = (body: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...body })
    await at.client.post('/clock', { to: 'next-week' })
    const finish = {
      act: 'finish',
      neck: 'long',
      pack: 'net',
      placeId: at.place('North room'),
      weightG: 1100,
      sure: true,
    }
    expect((await act({ ...finish, pieces: 30 })).status).toBe(201)
    expect(await job('plant')).toBeUndefined()
    for (let week = 0; week < 15; week++) await at.client.post('/clock', { to: 'next-week' })
    const plant = (await job('plant'))!
    expect([plant.code, plant.dueOn, inPlainWords(plant.why)]).toEqual([
      code,
      '2026-10-01',
      'Planting time is October and November.',
    ])
    const { status, body } = await act({ act: 'plant', pieces: 24, bed: 'Bed 11' })
    expect([status, body.error]).toEqual([201, undefined])
    const planted = (await bed('Bed 11'))!
    expect(planted).toMatchObject({
      plantedOn: expect.stringMatching(/^2026-10/),
      from: [code],
      planted: { pieces: 24 },
    })
    expect(planted.verdict!.next!.on > '2027-05-01').toBe(true)
    // struck out, nothing was planted there
    const { events } = (await at.client.get(`/lots/${code}`)).body
    const event = events.find((e: { kind: string }) => e.kind === 'planted')
    await at.client.post(`/lots/${code}/strike`, { requestId: randomUUID(), event: event.id, why: 'was put elsewhere' })
    expect(await bed('Bed 11')).toBeUndefined()
  })
})

describe('a household’s file', () => {
  it('holds the looks at its beds, and brings them back', async () => {
    const file = (await at.client.get('/file')).body
    expect(file.beds.length).toBeGreaterThan(2)
    const own = await beds()
    const other = at.served.client()
    const brought = await other.post('/household-files', file)
    expect(brought.status).toBe(201)
    other.household = brought.body.address
    expect((await other.get('/beds')).body).toEqual(own)
  })
})
