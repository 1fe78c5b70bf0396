import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serveFresh, type Client, type Served } from '../testing/fresh'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serveFresh()
  client = served.client()
  await client.post('/households', { name: 'Unmeasured', clock: 'real' })
})
afterAll(() => served.close())

describe('places without sensors', () => {
  it('have no air until somebody reads it, and then they do', async () => {
    const [cellar] = (await client.get('/places')).body.filter((p: { name: string }) => p.name === 'Cellar')
    expect(cellar.air).toEqual({ at: null, temperatureC: null, relativeHumidityPct: null })
    expect(
      (await client.post(`/places/${cellar.id}/readings`, { temperatureC: 9.5, relativeHumidityPct: 88 })).status,
    ).toBe(201)
    const [read] = (await client.get('/places')).body.filter((p: { name: string }) => p.name === 'Cellar')
    expect(read.air).toMatchObject({ temperatureC: 9.5, relativeHumidityPct: 88 })
  })
  it('refuse readings no air can have, and places nobody has', async () => {
    const [one] = (await client.get('/places')).body
    for (const body of [
      { temperatureC: 400, relativeHumidityPct: 50 },
      { temperatureC: 4, relativeHumidityPct: 101 },
      { temperatureC: '4', relativeHumidityPct: 50 },
      {},
    ]) {
      expect((await client.post(`/places/${one.id}/readings`, body)).status).toBe(400)
    }
    expect((await client.post('/places/cellar/readings', { temperatureC: 4, relativeHumidityPct: 50 })).status).toBe(
      404,
    )
  })
  it('are added by name once', async () => {
    expect((await client.post('/places', { name: 'Attic', kind: 'loft' })).status).toBe(201)
    expect((await client.post('/places', { name: 'Attic', kind: 'loft' })).body.error.code).toBe('taken')
    expect((await client.post('/places', { name: 'Moon base', kind: 'moon' })).status).toBe(400)
  })
  it('puts readings into a partition a month', async () => {
    const { rows } = await served.pool.query(
      `select count(*) as n from pg_inherits where inhparent = 'readings'::regclass`,
    )
    expect(rows[0].n).toBeGreaterThanOrEqual(1)
  })
})
