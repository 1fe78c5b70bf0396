import { randomUUID } from 'node:crypto'
import { createServer, get, Agent } from 'node:http'
import type { AddressInfo } from 'node:net'
import { performance } from 'node:perf_hooks'
import { fileURLToPath } from 'node:url'
import express from 'express'
import pg from 'pg'
import { pino } from 'pino'
import { makeApp } from '../server/src/app'
import { openPool } from '../server/src/database'
import { migrate } from '../server/src/migrate'
import { inTurn } from './rounds'

const admin = process.env['TEST_DATABASE_URL']!
const name = `vadose_bench_${randomUUID().replaceAll('-', '')}`
async function run(url: string, sql: string, values: unknown[] = []) {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const { rows } = await client.query(sql, values)
  await client.end()
  return rows
}
await run(admin, `create database ${name}`)
const url = new URL(admin)
url.pathname = `/${name}`
await migrate(url.href, fileURLToPath(new URL('../migrations', import.meta.url)))
const id = randomUUID()
await run(
  url.href,
  `insert into households (id, name, time_zone, latitude_deg, altitude_m, season_start) values ($1, 'Bench', 'UTC', 47, 400, '05-01')`,
  [id],
)
await run(
  url.href,
  `with p as (insert into places (household_id, name, kind, walk) values ('${id}', 'Cellar', 'cellar', 1) returning id),
     l as (insert into lots (household_id, code, crop, heap, fate, brought_on)
       select '${id}', 'N26-' || n, 'onion-storing', 'sound', 'store', '2026-08-01' from generate_series(1, 200) n returning id)
   insert into lot_events (household_id, lot_id, kind, at, weight_g, pieces, place_id)
   select '${id}', l.id, case when n = 1 then 'brought-in' else 'used' end, now(), case when n = 1 then 12000 else -100 end,
     case when n = 1 then 100 else -1 end, case when n = 1 then p.id end
   from l, p, generate_series(1, 10) n`,
)
await run(url.href, 'analyze')

const pool = openPool(url.href)
const app = express()
app.get('/bare', async (_request, response) => {
  const { rows } = await pool.query('select 1 as one')
  response.json(rows)
})
app.use(makeApp(pool, '.', pino({ level: 'silent' })))
const server = createServer(app)
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const { port } = server.address() as AddressInfo
const agent = new Agent({ keepAlive: true, maxSockets: 1 })

const once = (path: string) =>
  new Promise<number>((resolve, reject) => {
    const began = performance.now()
    get({ port, host: '127.0.0.1', path, agent, headers: { cookie: `vadose_household=${id}` } }, (response) => {
      response.resume()
      response.on('end', () =>
        response.statusCode === 200
          ? resolve(performance.now() - began)
          : reject(new Error(`${path} answered ${response.statusCode}`)),
      )
    }).on('error', reject)
  })
const p95 = async (path: string) => {
  const times: number[] = []
  for (let i = 0; i < 200; i++) times.push(await once(path))
  return times.sort((a, b) => a - b)[189]!
}

for (const path of ['/bare', '/api/lots']) for (let i = 0; i < 200; i++) await once(path)
/** Touches the household before each request, so that the list is put together anew every time. */
const p95AfterWrite = async () => {
  const times: number[] = []
  for (let i = 0; i < 60; i++) {
    await pool.query('update households set revision = revision + 1 where id = $1', [id])
    times.push(await once('/api/lots'))
  }
  return times.sort((x, y) => x - y)[56]!
}
const { a, b, ratio, spread } = await inTurn(
  () => p95('/api/lots'),
  () => p95('/bare'),
  9,
)
const anew = await inTurn(p95AfterWrite, () => p95('/bare'), 5)
console.log(
  `lots: list of 200 p95 ${a.toFixed(2)} ms, bare select 1 p95 ${b.toFixed(2)} ms, ratio ${ratio.toFixed(2)} (${spread.map((s) => s.toFixed(2)).join('–')}), aim ≤ 2.5`,
)
console.log(
  `lots: the same right after a write p95 ${anew.a.toFixed(2)} ms, ratio ${anew.ratio.toFixed(2)} (${anew.spread.map((s) => s.toFixed(2)).join('–')}), no aim set`,
)
agent.destroy()
await new Promise((resolve) => server.close(resolve))
await pool.end()
await run(admin, `drop database ${name} with (force)`)
