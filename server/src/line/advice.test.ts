import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { LineAdvice } from '@vadose/contract/line'
import { garlicHarvest, practiceHousehold, serveFresh, type Client, type Served } from '../testing/fresh'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serveFresh()
  client = served.client()
  const { place } = await practiceHousehold(client, '2026-10-20')
  await client.post('/harvests', garlicHarvest(place('Cellar'), { harvestedOn: '2026-10-20' }))
  await client.post('/clock', { to: 'next-week' })
})
afterAll(() => served.close())

describe('advice for the line as a whole', () => {
  it('says what tomorrow does to each place, and what would help a lot in a damp one most', async () => {
    const advice = (await client.get('/line-advice')).body as LineAdvice
    expect(advice.tomorrow.map((t) => [t.place, t.lots])).toEqual([['Cellar', 2]])
    const [best] = advice.moves
    expect(best!.code).toMatch(/^G26-/)
    expect(best!.option.act).not.toBeNull()
    // what is advised does help: done, the lot is ready sooner than it was
    const before = (await client.get(`/line/${best!.code}`)).body.options[0].ready.p50
    const act = { requestId: crypto.randomUUID(), ...best!.option.act }
    expect((await client.post(`/lots/${best!.code}/acts`, act)).status).toBe(201)
    const after = (await client.get(`/line/${best!.code}`)).body.options[0].ready.p50
    expect(before === null || after < before).toBe(true)
  })
  it('offers what a lot allows: no dryer for garlic, smaller bunches where it is bunched', async () => {
    const { options } = (await client.get('/line/G26-1')).body
    const ids = options.map((o: { id: string }) => o.id)
    expect(ids).toContain('thinner')
    expect(ids).not.toContain('dryer')
    const thinner = options.find((o: { id: string }) => o.id === 'thinner')
    expect(thinner.label).toEqual({ says: 'line.thinner', bunched: 'yes' })
    expect(thinner.daysSaved === null || thinner.daysSaved >= 0).toBe(true)
  })
})
