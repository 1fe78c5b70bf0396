import { randomUUID } from 'node:crypto'
import { expect, it } from 'vitest'
import sharp from 'sharp'
import { garlicHarvest, practiceFile } from './testing/fresh'

const at = practiceFile()
const numbered = (method: string, path: string, body: unknown, number: string) =>
  at.client.send(method, path, body, { 'Idempotency-Key': number })
const count = async (table: string) =>
  (await at.served.pool.query<{ n: number }>(`select count(*) as n from ${table}`)).rows[0]!.n

it('a harvest sent twice, at once or later, is there once and answered the same', async () => {
  const harvest = garlicHarvest(at.place('Veranda'))
  const answers = await Promise.all(Array.from({ length: 6 }, () => at.client.post('/harvests', harvest)))
  expect(answers.map(({ status }) => status)).toEqual(Array(6).fill(201))
  expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1)
  expect((await at.client.post('/harvests', harvest)).body).toEqual(answers[0]!.body)
  expect(await count('harvests')).toBe(1)
  // keys in another order are the same content
  const turned = Object.fromEntries(Object.entries(harvest).reverse())
  expect((await at.client.post('/harvests', turned)).body).toEqual(answers[0]!.body)
})

it('a number used for other content, or at another address, is refused and writes nothing', async () => {
  const number = randomUUID()
  const use = { requestId: number, act: 'use', weightG: 100 }
  expect((await at.client.post('/lots/G26-2/acts', use)).status).toBe(201)
  for (const [path, body] of [
    ['/lots/G26-2/acts', { ...use, weightG: 200 }],
    ['/lots/G26-3/acts', use],
    ['/picks', { requestId: number, crop: 'raspberry', weightG: 100 }],
  ] as const) {
    const { status, body: said } = await at.client.post(path, body)
    expect([path, status, said.error?.code]).toEqual([path, 409, 'number-used'])
  }
  expect((await at.client.get('/lots/G26-2')).body.weightG).toBe(600)
  expect((await at.client.get('/lots/G26-3')).body.weightG).toBe(400)
})

it('every kind of write is done once, whether its body has room for a number or not', async () => {
  const picture = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#456' } })
    .jpeg()
    .toBuffer()
  const photo = (number: string) =>
    fetch(at.client.address('/lots/G26-1/photo'), {
      method: 'POST',
      headers: { 'Content-Type': 'image/jpeg', 'Idempotency-Key': number },
      body: new Uint8Array(picture),
    })
  const writes: [string, string, string, unknown][] = [
    ['places', 'POST', '/places', { name: 'Loft', kind: 'loft' }],
    ['sensors', 'POST', '/sensors', { name: 'On the beam', placeId: at.place('Cellar') }],
    [
      "readings where source = 'hand'",
      'POST',
      `/places/${at.place('Kitchen')}/readings`,
      { temperatureC: 19, relativeHumidityPct: 50 },
    ],
    ['own_crops', 'POST', '/almanac/crops', { name: 'Sea kale', template: 'kale' }],
  ]
  for (const [table, method, path, body] of writes) {
    const number = randomUUID()
    const before = await count(table)
    const first = await numbered(method, path, body, number)
    const between = await count(table)
    const again = await numbered(method, path, body, number)
    expect([table, first.status, again.status]).toEqual([table, 201, 201])
    expect([table, between > before, await count(table)]).toEqual([table, true, between])
    const other = await numbered(method, path, { ...(body as object), name: 'Another' }, number)
    expect([table, [400, 409].includes(other.status)]).toEqual([table, true])
  }
  const number = randomUUID()
  expect([(await photo(number)).status, (await photo(number)).status]).toEqual([201, 201])
  const clock = randomUUID()
  const moved = (await numbered('POST', '/clock', { to: 'next-morning' }, clock)).body.today
  expect((await numbered('POST', '/clock', { to: 'next-morning' }, clock)).body.today).toBe(moved)
})

it('a sensor let in twice is one sensor, with the token that came last', async () => {
  const number = randomUUID()
  const made = { name: 'By the door', placeId: at.place('Cellar') }
  const first = (await numbered('POST', '/sensors', made, number)).body
  const again = (await numbered('POST', '/sensors', made, number)).body
  expect(again.id).toBe(first.id)
  const now = (await at.client.get('/frame')).body.now
  const send = (token: string) =>
    at.client.send(
      'POST',
      '/ingest',
      { readings: [{ at: now, temperatureC: 8, relativeHumidityPct: 90 }] },
      { Authorization: `Bearer ${token}` },
    )
  expect([(await send(first.token)).status, (await send(again.token)).status]).toEqual([401, 200])
})

it('a household started twice is one household', async () => {
  const number = randomUUID()
  const body = { name: 'Twice House', clock: 'real' }
  const send = (what: object) => at.client.send('POST', '/households', what, { 'Idempotency-Key': number })
  const own = at.client.household
  const answers = await Promise.all([send(body), send(body), send(body)])
  const other = await send({ ...body, name: 'Other House' })
  at.client.household = own
  expect(answers.map(({ status }) => status)).toEqual([201, 201, 201])
  expect(new Set(answers.map(({ body: said }) => said.address))).toEqual(new Set(['twice-house']))
  expect(other.status).toBe(409)
})

it('whether a write arrived can be asked', async () => {
  const number = randomUUID()
  expect((await at.client.get(`/requests/${number}`)).body).toEqual({ answered: false })
  await numbered('PUT', '/settings', { units: 'us' }, number)
  expect((await at.client.get(`/requests/${number}`)).body).toEqual({ answered: true })
  expect((await at.client.get('/requests/seven')).body).toEqual({ answered: false })
  expect((await numbered('PUT', '/settings', { units: 'us' }, 'seven')).body.error.field).toBe('requestId')
})

it('a batch that names a second twice and comes in any order is taken', async () => {
  const { token } = (await at.client.post('/sensors', { name: 'Jumbled', placeId: at.place('Veranda') })).body
  const second = (s: number, temperatureC: number) => ({
    at: `2026-07-11T03:00:${String(s).padStart(2, '0')}.250Z`,
    temperatureC,
    relativeHumidityPct: 70,
  })
  const { status, body } = await at.client.send(
    'POST',
    '/ingest',
    { readings: [second(30, 3), second(10, 1), second(30, 4), second(20, 2)] },
    { Authorization: `Bearer ${token}` },
  )
  expect([status, body]).toEqual([200, { taken: 3, already: 1 }])
})
