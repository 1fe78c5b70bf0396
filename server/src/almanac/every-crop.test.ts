import { crops, type Crop } from '@vadose/core/almanac'
import { inPlainWords } from '@vadose/words'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serveFresh, type Client, type Served } from '../testing/fresh'

let served: Served
let client: Client
let places: Map<string, string>
beforeAll(async () => {
  served = await serveFresh()
  client = served.client()
  await client.post('/households', {
    name: 'Every Crop',
    clock: 'practice',
    startsOn: '2026-09-01',
    timeZone: 'Europe/Vienna',
  })
  const found = (await client.get('/places')).body as { id: string; name: string }[]
  places = new Map(found.map((p) => [p.name, p.id]))
})
afterAll(() => served.close())

const grams = 4000
async function bringIn(crop: Crop): Promise<string[]> {
  const [first, second] = crop.heaps
  const { status, body } = await client.post('/harvests', {
    requestId: crypto.randomUUID(),
    crop: crop.id,
    harvestedOn: '2026-09-01',
    totalG: grams,
    heaps: [
      { heap: first!.id, weightG: grams - 500, placeId: places.get('Veranda') },
      ...(second ? [{ heap: second.id, weightG: 500, placeId: places.get('Kitchen') }] : []),
    ],
  })
  expect(status, JSON.stringify(body)).toBe(201)
  return (body.lots as { code: string }[]).map((l) => l.code)
}
const dates = /^\d{4}-\d\d-\d\d$/

describe('every crop goes all the way', () => {
  const lots = new Map<string, string>()

  it.each(crops.map((c) => [c.id, c] as const))('%s is brought in and forecast', async (_id, crop) => {
    const codes = await bringIn(crop)
    for (const code of codes) {
      const { status, body } = await client.get(`/lots/${code}`)
      expect(status).toBe(200)
      expect(JSON.stringify(body)).not.toMatch(/NaN|Infinity|undefined/)
      for (const event of body.events) expect(inPlainWords(event.says).length).toBeGreaterThan(3)
      if (body.stage === 'stored') {
        expect(body.keeping.nineInTenUntil.p50).toMatch(dates)
        expect(inPlainWords(body.keeping.endedBy[0].why).length).toBeGreaterThan(5)
        expect(body.keeping.lookAt).toBeGreaterThan(0)
      }
      if (body.stage === 'drying') {
        expect(body.curing.progress).toBeGreaterThanOrEqual(0)
        expect(body.curing.reasons.length).toBeGreaterThan(0)
      }
    }
    const first = (await client.get(`/lots/${codes[0]}`)).body
    expect(first.stage).toBe(crop.heaps[0]!.hangs ? 'drying' : 'stored')
    lots.set(crop.id, codes[0]!)
  })

  it('all of them stand on the line, in the stores, the larder and the round', async () => {
    const hanging = crops.filter((c) => c.heaps[0]!.hangs)
    const line = (await client.get('/line')).body
    const onLine = new Set(line.lots.map((l: { code: string }) => l.code))
    for (const crop of hanging) expect(onLine, crop.id).toContain(lots.get(crop.id))
    for (const path of ['/stores', '/larder', '/round', '/frame']) {
      const { status, body } = await client.get(path)
      expect(status, path).toBe(200)
      expect(JSON.stringify(body)).not.toMatch(/NaN|Infinity/)
    }
  })

  it.each(crops.filter((c) => c.heaps[0]!.hangs).map((c) => [c.id, c] as const))(
    '%s on the line says what would help, and takes its own end tests',
    async (id, crop) => {
      const code = lots.get(id)!
      const detail = (await client.get(`/line/${code}`)).body
      expect(detail.options.length).toBeGreaterThan(2)
      const heals = crop.curing!.clock === 'healing'
      // a fan dries, it heals nothing
      expect(detail.options.some((o: { id: string }) => o.id === 'fan-on')).toBe(!heals)
      const results = crop.curing!.endTests.map((t) => ({ test: t.id, passed: true }))
      const requestId = crypto.randomUUID()
      expect((await client.post(`/lots/${code}/acts`, { requestId, act: 'test', results })).status).toBe(201)
      const round = (await client.get('/round')).body
      expect(JSON.stringify(round)).toContain(code)
      const finish = {
        requestId: crypto.randomUUID(),
        act: 'finish',
        ...(crop.necks[0] ? { neck: crop.necks[0].id } : {}),
        pack: crop.packs[0]!.id,
        placeId: places.get('North room'),
        weightG: 3000,
        pieces: 12,
      }
      const wrongNeck = { ...finish, requestId: crypto.randomUUID(), neck: 'swan' }
      expect((await client.post(`/lots/${code}/acts`, wrongNeck)).status).toBe(400)
      const done = await client.post(`/lots/${code}/acts`, finish)
      expect(done.status, JSON.stringify(done.body)).toBe(201)
      const kept = (await client.get(`/lots/${code}`)).body
      expect([kept.stage, kept.weightG, kept.pieces]).toEqual(['stored', 3000, 12])
      expect(kept.keeping.nineInTenUntil.p50).toMatch(dates)
    },
  )

  it('a week later everything still adds up and every fault can be found', async () => {
    expect((await client.post('/clock', { to: 'next-week' })).status).toBe(200)
    const all = (await client.get('/lots')).body as { code: string; crop: string; weightG: number; stage: string }[]
    expect(all.every((l) => l.weightG > 0)).toBe(true)
    for (const crop of crops.slice(0, 12)) {
      const code = lots.get(crop.id)!
      const before = all.find((l) => l.code === code)
      if (before?.stage !== 'stored') continue
      const fault = crop.faults[0]!
      const body = {
        requestId: crypto.randomUUID(),
        act: 'check',
        lookedAt: 3,
        faults: [{ fault: fault.id, pieces: 1, action: fault.actions[0]!.id }],
      }
      const { status, body: answer } = await client.post(`/lots/${code}/acts`, body)
      expect(status, JSON.stringify(answer)).toBe(201)
    }
  })
})
