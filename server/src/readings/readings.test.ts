import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { practiceFile, practiceHousehold } from '../testing/fresh'

const at = practiceFile('2026-07-12')

const start = Date.UTC(2026, 5, 1) / 1000
const columns = (count: number, from = start, step = 300) => ({
  at: Array.from({ length: count }, (_, i) => from + i * step),
  temperatureC: Array.from({ length: count }, (_, i) => 10 + (i % 7) / 10),
  relativeHumidityPct: Array.from({ length: count }, () => 88),
})
const file = (over: object = {}) => ({
  requestId: randomUUID(),
  placeId: at.place('Cellar'),
  fileName: 'cellar.csv',
  ...columns(2000),
  ...over,
})
const inCellar = async () =>
  (await at.served.pool.query('select count(*) as n from readings where place_id = $1', [at.place('Cellar')])).rows[0].n

describe('a logger file brought in', () => {
  it('says first what it would add, adds it once, and is taken back whole', async () => {
    const before = await inCellar()
    const given = file()
    expect((await at.client.post('/readings/imports', { ...given, lookOnly: true })).body.added).toBe(2000)
    expect(await inCellar()).toBe(before)
    const first = await at.client.post('/readings/imports', given)
    expect(first).toMatchObject({ status: 201, body: { given: 2000, added: 2000 } })
    // the same request again answers the same; the same file again adds nothing
    expect((await at.client.post('/readings/imports', given)).body.added).toBe(2000)
    expect((await at.client.post('/readings/imports', file())).body.added).toBe(0)
    expect((await at.client.post('/readings/imports', { ...file(), lookOnly: true })).body.added).toBe(0)
    expect(await inCellar()).toBe(before + 2000)
    const list = (await at.client.get('/readings/imports')).body
    expect(list.map((i: { added: number }) => i.added)).toEqual([0, 2000])
    expect((await at.client.post(`/readings/imports/${first.body.id}/undo`, {})).body).toEqual({ removed: 2000 })
    expect(await inCellar()).toBe(before)
    expect((await at.client.post(`/readings/imports/${first.body.id}/undo`, {})).status).toBe(404)
  })
  it('keeps how the file was read, by its headings', async () => {
    const mapping = { time: 0, order: 'year-first', zone: 'UTC', temperature: 1, unit: 'F', humidity: 2 }
    await at.client.post('/readings/imports', file({ headings: 'a|b|c', mapping }))
    expect((await at.client.get('/readings/mappings')).body).toContainEqual({ headings: 'a|b|c', mapping })
  })
  it('refuses what cannot be, and writes none of it', async () => {
    const before = await inCellar()
    const bad = [
      file({ temperatureC: [1, 2] }),
      file({ at: [...columns(2000).at].reverse() }),
      file({ placeId: randomUUID() }),
      file(columns(10, Date.UTC(2027, 0, 1) / 1000)),
      file(columns(10, Date.UTC(1970, 0, 1) / 1000)),
      file({ fileName: 'a\u0000b' }),
      file({ ...columns(1), temperatureC: [300] }),
      { ...file(), fileName: undefined },
    ]
    for (const body of bad) {
      const { status, body: answer } = await at.client.post('/readings/imports', body)
      expect(status).toBe(400)
      expect(answer.error.message.length).toBeGreaterThan(10)
    }
    expect(await inCellar()).toBe(before)
  })
  it('outdoors takes a forecast, which gives way to what is measured', async () => {
    const garden = at.place('Garden')
    const now = Date.UTC(2026, 6, 12, 6) / 1000
    const ahead = {
      ...columns(24, now + 3600, 3600),
      temperatureC: Array.from({ length: 24 }, () => -4),
      rainMm: Array.from({ length: 24 }, () => 1),
    }
    const given = await at.client.post(
      '/readings/imports',
      file({ placeId: garden, fileName: 'forecast.csv', ...ahead }),
    )
    expect(given.body.added).toBeGreaterThan(20)
    const round = (await at.client.get('/round')).body
    expect(round.weatherSays.map(inPlainWords).join(' ')).toMatch(/Frost/)
    await at.client.post('/clock', { to: 'next-morning' })
    const { rows } = await at.served.pool.query(
      `select count(*) as n from readings where place_id = $1 and source = 'forecast' and at <= to_timestamp($2)`,
      [garden, now + 20 * 3600],
    )
    expect(rows[0].n).toBe(0)
  })
})

describe('a sensor with a token', () => {
  const reading = (minute: number) => ({
    at: `2026-07-01T00:${String(minute).padStart(2, '0')}:00+02:00`,
    temperatureC: 11,
    relativeHumidityPct: 85,
  })
  const send = (token: string, body: unknown) =>
    at.served.client().send('POST', '/ingest', body, { Authorization: `Bearer ${token}` })
  it('sends batches that may come twice', async () => {
    const { token, id } = (await at.client.post('/sensors', { name: 'Shelf two', placeId: at.place('Cellar') })).body
    const batch = { readings: [reading(30), reading(5), reading(10)] }
    expect(await send(token, batch)).toMatchObject({ status: 200, body: { taken: 3, already: 0 } })
    expect((await send(token, { readings: [...batch.readings, reading(15)] })).body).toEqual({ taken: 1, already: 3 })
    const [sensor] = (await at.client.get('/sensors')).body.filter((s: { id: string }) => s.id === id)
    expect(sensor).toMatchObject({ name: 'Shelf two', place: 'Cellar', simulated: false })
    expect(JSON.stringify(await at.client.get('/sensors'))).not.toContain(token)
    expect((await at.client.delete(`/sensors/${id}`)).status).toBe(200)
    expect((await send(token, batch)).status).toBe(401)
  })
  it('sends a month at once', async () => {
    const { token } = (await at.client.post('/sensors', { name: 'Long asleep', placeId: at.place('Veranda') })).body
    const readings = Array.from({ length: 5000 }, (_, i) => ({
      at: new Date(Date.UTC(2026, 5, 1) + i * 600_000 + 1000).toISOString(),
      temperatureC: 11.25,
      relativeHumidityPct: 85.5,
    }))
    expect((await send(token, { readings })).body).toEqual({ taken: 5000, already: 0 })
    expect((await send(token, { readings: [...readings, readings[0]] })).status).toBe(400)
  })
  it('is turned away without one, with a wrong clock, or with air that cannot be', async () => {
    expect((await at.served.client().post('/ingest', { readings: [reading(1)] })).status).toBe(401)
    const { token } = (await at.client.post('/sensors', { name: 'Odd', placeId: at.place('Cellar') })).body
    expect(
      (await send(token, { readings: [{ ...reading(1), at: '2031-01-01T00:00:00Z' }] })).body.error.message,
    ).toMatch(/clock/)
    expect((await send(token, { readings: [{ ...reading(1), at: '1970-01-01T00:00:00Z' }] })).status).toBe(400)
    for (const over of [{ temperatureC: 200 }, { at: 'yesterday' }, { relativeHumidityPct: -1 }]) {
      expect((await send(token, { readings: [{ ...reading(1), ...over }] })).status).toBe(400)
    }
    expect((await send(token, { readings: [] })).status).toBe(400)
  })
  it('writes into its own household only', async () => {
    const other = at.served.client()
    const { place: otherPlace } = await practiceHousehold(other, '2026-07-12', 'Other House')
    expect((await at.client.post('/sensors', { name: 'Stray', placeId: otherPlace('Cellar') })).status).toBe(400)
    const { token } = (await other.post('/sensors', { name: 'Shelf two', placeId: otherPlace('Cellar') })).body
    await send(token, { readings: [reading(42)] })
    const { rows } = await at.served.pool.query(
      `select distinct place_id from readings where at = '2026-06-30T22:42:00Z'`,
    )
    expect(rows).toEqual([{ place_id: otherPlace('Cellar') }])
  })
})
