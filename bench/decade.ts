import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer, request, Agent } from 'node:http'
import type { AddressInfo } from 'node:net'
import { monitorEventLoopDelay, performance } from 'node:perf_hooks'
import express from 'express'
import { pino } from 'pino'
import { makeApp } from '../server/src/app'
import { openPool } from '../server/src/database'
import { Houses, warmBooks } from '../server/src/projections'
import { breather } from '../server/src/projections/breathe'
import { freshDatabase, runAs } from '../server/src/testing/database'
import { copyDecade, firstDay, makeDecade, tenYears, type Size } from './decade-household'
import { p95InTurn } from './rounds'

/** Ten years of a household on one server: what screens, writes and readings cost, against bare routes in the same run. */
const small = process.argv[2] === 'small'
const size: Size = small ? { ...tenYears, readings: 20_000, lots: 60, here: 20, hanging: 4 } : tenYears
const shots = small ? 10 : 100
const rounds = small ? 1 : 5
const copies = small ? 1 : 29

const database = await freshDatabase('vadose_bench')
const decade = await makeDecade(database.ownerUrl, 'decade', size)
const young = await makeDecade(database.ownerUrl, 'young', firstDay)
await runAs(database.ownerUrl, 'analyze')
for (let i = 0; i < copies; i++) await copyDecade(database.ownerUrl, decade, `copy-${i}`)
await runAs(
  database.ownerUrl,
  'create table bare (id uuid primary key, at timestamptz default now()); grant insert on bare to vadose_app',
)
await runAs(database.ownerUrl, 'analyze')

const pool = openPool(database.url)
const houses = new Houses(pool)
const app = express()
app.get('/bare', async (_request, response) => {
  const { rows } = await pool.query('select 1 as one')
  response.json(rows)
})
app.post('/bare', async (_request, response) => {
  const client = await pool.connect()
  await client.query('begin')
  await client.query('insert into bare (id) values ($1)', [randomUUID()])
  await client.query('commit')
  client.release()
  response.status(201).json({ ok: true })
})
app.use(makeApp({ pool, houses, webRoot: '.', programs: 'server/dist', log: pino({ level: 'silent' }) }))
const server = createServer(app)
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const { port } = server.address() as AddressInfo
const agent = new Agent({ keepAlive: true, maxSockets: 1 })

function once(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<number> {
  return new Promise((resolve, reject) => {
    const began = performance.now()
    const sent = request(
      { port, host: '127.0.0.1', method, path, agent, headers: { 'content-type': 'application/json', ...headers } },
      (response) => {
        const chunks: Buffer[] = []
        response.on('data', (chunk: Buffer) => chunks.push(chunk))
        response.on('end', () =>
          response.statusCode! < 300
            ? resolve(performance.now() - began)
            : reject(
                new Error(`${method} ${path} answered ${response.statusCode}: ${Buffer.concat(chunks).toString()}`),
              ),
        )
      },
    )
    sent.on('error', reject)
    sent.end(body === undefined ? undefined : JSON.stringify(body))
  })
}
/** One of each at a time, so that a busy moment of the machine, or of the collector, slows both. */
async function compare(what: string, ours: () => Promise<number>, bare: () => Promise<number>, aim: string) {
  const { a, b, ratio, spread } = await p95InTurn(ours, bare, shots, rounds)
  console.log(
    `decade: ${what} p95 ${a.toFixed(2)} ms, bare ${b.toFixed(2)} ms, ratio ${ratio.toFixed(2)} (${spread.map((s) => s.toFixed(2)).join('–')}), aim ${aim}`,
  )
}
const bareRead = () => once('GET', '/bare')
const bareWrite = () => once('POST', '/bare', {})
const at = (path: string, of = decade) => `/api/households/${of.address}${path}`
let n = 0
const use = () =>
  once('POST', at(`/lots/${decade.stored[n % decade.stored.length]}/acts`), {
    requestId: randomUUID(),
    act: 'note',
    text: `note ${n++}`,
  })
let turn = 0
/** Each lot on the line in turn, a gram less each round. */
const weigh = () => {
  const code = decade.hanging[turn % decade.hanging.length]!
  const weightG = 555 - Math.floor(turn++ / decade.hanging.length)
  return once('POST', at(`/lots/${code}/acts`), {
    requestId: randomUUID(),
    act: 'weigh',
    weightG,
    basis: 'bunch',
    sure: true,
  })
}

// as a server does when it begins
await warmBooks()
const delay = monitorEventLoopDelay({ resolution: 5 })
/** Seconds that the machine's processors were taken from it by its neighbours, so far; 0 where it is not told. */
const stolenS = (): number => {
  try {
    return Number(readFileSync('/proc/stat', 'utf8').split(/\s+/)[8]) / 100
  } catch {
    return 0
  }
}
/** longest hold of the event loop in each part, ms, its 99.9th percentile, and what neighbours took meanwhile */
const holds: { part: string; longest: number; p999: number; stolen: number }[] = []
let stolen = stolenS()
function heldIn(part: string): void {
  holds.push({ part, longest: delay.max / 1e6, p999: delay.percentile(99.9) / 1e6, stolen: stolenS() - stolen })
  delay.reset()
  stolen = stolenS()
}
/** Stretches of bare arithmetic, as long as those of a household's, with a question between: what the machine itself holds up. */
async function bareStretches(seconds: number): Promise<void> {
  const breathe = breather()
  const until = performance.now() + 1000 * seconds
  for (let n = 0; performance.now() < until; n++) {
    for (let i = 0; i < 100_000; i++) Math.exp(i / 1e5)
    await breathe()
    if (n % 10 === 0) await pool.query('select 1 as one')
  }
}
const cold = performance.now()
delay.enable()
await once('GET', at('/round'))
console.log(`decade: first screen of a server that knows nothing yet ${(performance.now() - cold).toFixed(0)} ms`)
heldIn('the first household')
await once('GET', at('/round', young))
for (let i = 0; i < shots; i++) await Promise.all([once('GET', '/bare'), once('POST', '/bare', {})])

// first of all, as long as a lot on the line has as many weighings as in a garden, and not as many as a benchmark makes
await compare('a note on a lot in store', use, bareWrite, '≤ 4 of a bare insert')
await compare('a weighing on the line', weigh, bareWrite, '≤ 4 of a bare insert')

const screens = {
  Today: '/round',
  Line: '/line',
  Stores: '/stores',
  Larder: '/larder',
  'a lot': `/lots/${decade.stored[1] ?? decade.hanging[0]}`,
}
for (const [name, path] of Object.entries(screens)) {
  await compare(name, () => once('GET', at(path)), bareRead, '≤ 4')
  let writes = 0
  const after = async () => {
    await (writes++ % 2 ? use() : weigh())
    return once('GET', at(path))
  }
  await compare(`${name}, right after a write,`, after, bareRead, '≤ 4')
}

/** CPU seconds and time until everything a write touches is worked out again. */
async function freshAfter(write: () => Promise<unknown>): Promise<{ cpu: number; ms: number }> {
  const began = performance.now()
  const before = process.cpuUsage()
  await write()
  await houses.settled((await row(decade.id))!)
  const { user, system } = process.cpuUsage(before)
  return { cpu: (user + system) / 1e6, ms: performance.now() - began }
}
const row = async (id: string) => {
  const { householdById } = await import('../server/src/households')
  return householdById(pool, id)
}
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!
async function report(what: string, write: () => Promise<unknown>) {
  const all: { cpu: number; ms: number }[] = []
  for (let i = 0; i < (small ? 2 : 15); i++) all.push(await freshAfter(write))
  console.log(
    `decade: ${what}: all it touches fresh after ${median(all.map((x) => x.ms)).toFixed(0)} ms, ${median(all.map((x) => x.cpu)).toFixed(3)} CPU s, aim ≤ 1000 ms, 0.3 CPU s`,
  )
}
await report('a note', use)
await report('a weighing', weigh)
heldIn('screens and writes')
let warmer = 0
const reading = (of = decade) =>
  once('POST', at(`/places/${of.places.get('cellar')}/readings`, of), {
    temperatureC: 10 + (warmer = (warmer + 0.01) % 1),
    relativeHumidityPct: 85,
  })
await report('a reading in the cellar', () => reading())

const { token } = await new Promise<{ token: string }>((resolve, reject) => {
  const sent = request(
    { port, host: '127.0.0.1', method: 'POST', path: at('/sensors'), headers: { 'content-type': 'application/json' } },
    (response) => {
      let text = ''
      response.on('data', (chunk) => (text += chunk))
      response.on('end', () => resolve(JSON.parse(text)))
    },
  )
  sent.on('error', reject)
  sent.end(JSON.stringify({ name: 'Bench', placeId: decade.places.get('cellar') }))
})
const youngToken = await new Promise<{ token: string }>((resolve) => {
  const sent = request(
    {
      port,
      host: '127.0.0.1',
      method: 'POST',
      path: at('/sensors', young),
      headers: { 'content-type': 'application/json' },
    },
    (response) => {
      let text = ''
      response.on('data', (chunk) => (text += chunk))
      response.on('end', () => resolve(JSON.parse(text)))
    },
  )
  sent.end(JSON.stringify({ name: 'Bench', placeId: young.places.get('cellar') }))
})
let instant = Date.now() - 3_600_000
const ingest = (of: string) =>
  once(
    'POST',
    '/api/ingest',
    { readings: [{ at: new Date((instant += 1000)).toISOString(), temperatureC: 10, relativeHumidityPct: 85 }] },
    { authorization: `Bearer ${of}` },
  )
await compare(
  'a sensor’s reading in year ten against day one',
  () => ingest(token),
  () => ingest(youngToken.token),
  '≤ 1.2',
)
heldIn('readings')
for (let i = 0; i < copies; i++) await once('GET', `/api/households/copy-${i}/round`)
heldIn(`${copies} more households`)
await bareStretches(small ? 1 : 30)
heldIn('bare stretches')
delay.disable()
console.log(
  `decade: longest hold of the event loop ${Math.max(...holds.slice(0, -1).map(({ longest }) => longest)).toFixed(1)} ms, aim ≤ 50: ${holds
    .map(
      ({ part, longest, p999, stolen }) =>
        `${part} ${longest.toFixed(1)} (p99.9 ${p999.toFixed(1)}, neighbours took ${stolen.toFixed(1)} s)`,
    )
    .join(', ')}`,
)
const { rss, heapUsed } = process.memoryUsage()
console.log(
  `decade: ${copies + 2} households worked out, resident ${(rss / 2 ** 20).toFixed(0)} MB, heap ${(heapUsed / 2 ** 20).toFixed(0)} MB, aim < 600 MB for 30`,
)
agent.destroy()
await new Promise((resolve) => server.close(resolve))
await pool.end()
await database.drop()
