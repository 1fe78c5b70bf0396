import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { inTransaction, openPool } from './database'
import { databaseAway } from './refusals'
import { runAs } from './testing/database'
import { Doorway } from './testing/doorway'
import { freshDatabase, garlicHarvest, practiceHousehold, serveOver, type Client, type Served } from './testing/fresh'

let database: Awaited<ReturnType<typeof freshDatabase>>
let doorway: Doorway
let served: Served
let client: Client
let place: (name: string) => string
beforeAll(async () => {
  database = await freshDatabase()
  doorway = new Doorway(new URL(database.url))
  served = await serveOver({ ...database, url: (await doorway.open()).href })
  client = served.client()
  place = (await practiceHousehold(client)).place
  await client.post('/harvests', garlicHarvest(place('Veranda')))
})
afterAll(() => served.close())

const note = (text: string) => client.post('/lots/G26-1/acts', { requestId: text, act: 'note', text })
const kept = async () =>
  (await runAs(database.ownerUrl, `select details ->> 'text' as text from lot_events where kind = 'noted'`)).map(
    (row: { text: string }) => row.text,
  )

/** Writers that send the same again until it is acknowledged. */
function writers(count: number) {
  const acknowledged: string[] = []
  const statuses = new Set<number>()
  let going = true
  const write = async () => {
    while (going) {
      const text = randomUUID()
      for (let status = 0; status !== 201;) {
        status = (await note(text)).status
        statuses.add(status)
      }
      acknowledged.push(text)
    }
  }
  const all = Array.from({ length: count }, write)
  return {
    acknowledged,
    statuses,
    stop: async () => {
      going = false
      await Promise.all(all)
    },
  }
}

it('a database that goes and comes under writes costs no write and doubles none', async () => {
  const { acknowledged, statuses, stop } = writers(4)
  for (let i = 0; i < 10; i++) {
    const before = acknowledged.length
    await expect.poll(() => acknowledged.length, { timeout: 20_000, interval: 5 }).toBeGreaterThan(before)
    if (i % 2) {
      await doorway.shut()
      await doorway.open()
    } else {
      // as PostgreSQL cuts everybody off when it is stopped
      await runAs(
        database.ownerUrl,
        `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and usename = 'vadose_server'`,
      )
    }
  }
  await stop()
  expect([...statuses].filter((status) => status !== 201 && status !== 503)).toEqual([])
  const there = await kept()
  expect(new Set(there).size).toBe(there.length)
  expect(acknowledged.filter((text) => !there.includes(text))).toEqual([])
})

it('while it is away every answer is the one sentence, health at once, and afterwards all is as before', async () => {
  await doorway.shut()
  const began = Date.now()
  const health = await client.get('/health')
  expect([health.status, health.body]).toEqual([503, { ok: false, name: 'vadose', ...databaseAway }])
  for (const answer of [
    await client.get('/round'),
    await note(randomUUID()),
    await client.post('/households', { name: 'x', clock: 'real' }),
  ]) {
    expect([answer.status, answer.body, answer.headers.get('retry-after')]).toEqual([503, databaseAway, '2'])
  }
  await doorway.open()
  await expect.poll(async () => (await client.get('/health')).status, { timeout: 20_000 }).toBe(200)
  expect((await client.get('/round')).status).toBe(200)
  expect(Date.now() - began).toBeLessThan(60_000)
})

it('health waits for nothing: not for a full pool, not for a database that answers nobody', async () => {
  doorway.jam()
  const waiting = Array.from({ length: 12 }, () => client.get('/round').catch(() => undefined))
  const began = performance.now()
  expect((await client.get('/health')).status).toBe(503)
  // its own second, not the half minute of those that wait
  expect(performance.now() - began).toBeLessThan(15_000)
  await doorway.shut()
  await Promise.all(waiting)
  await doorway.open()
  await expect.poll(async () => (await client.get('/health')).status, { timeout: 20_000 }).toBe(200)
})

it('writes that get into each other’s way are done again', async () => {
  const pool = openPool(database.url)
  const [{ id }] = (await runAs(database.ownerUrl, 'select id from households limit 1')) as [{ id: string }]
  let tries = 0
  const answer = await inTransaction(pool, id, async () => {
    if (++tries < 3) throw Object.assign(new Error('deadlock detected'), { code: '40P01' })
    return 'done'
  })
  expect([answer, tries]).toEqual(['done', 3])
  await pool.end()
})

it('new households, batches and files of new months at once are all taken', async () => {
  const months = (year: number) => Array.from({ length: 12 }, (_, month) => Date.UTC(year, month, 9, 12) / 1000)
  const tokens = await Promise.all(
    ['Cellar', 'Kitchen', 'Veranda'].map(async (name) => {
      const body = { name: `In the ${name}`, placeId: place(name) }
      return (await client.post('/sensors', body)).body.token as string
    }),
  )
  const answers = await Promise.all([
    ...Array.from({ length: 6 }, (_, i) =>
      served
        .client()
        .post('/households', { name: `At once ${i}`, clock: 'practice', startsOn: `202${i}-03-0${i + 1}` }),
    ),
    ...tokens.map((token, i) =>
      client.send(
        'POST',
        '/ingest',
        {
          readings: months(2019 + i).map((at) => ({
            at: new Date(at * 1000).toISOString(),
            temperatureC: 5,
            relativeHumidityPct: 80,
          })),
        },
        { Authorization: `Bearer ${token}` },
      ),
    ),
    ...[2019, 2020, 2018].map((year, i) =>
      client.post('/readings/imports', {
        requestId: randomUUID(),
        placeId: place(['North room', 'Cellar', 'Garden'][i]!),
        fileName: `${year}.csv`,
        at: months(year),
        temperatureC: months(year).map(() => 6),
        relativeHumidityPct: months(year).map(() => 85),
      }),
    ),
  ])
  expect(answers.map(({ status, body }) => [status, body.error])).toEqual(
    answers.map((_, i) => [i >= 6 && i < 9 ? 200 : 201, undefined]),
  )
})
