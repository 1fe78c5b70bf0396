import { randomUUID } from 'node:crypto'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { resolve } from 'node:path'
import { pino } from 'pino'
import { makeApp } from '../server/src/app'
import { Aside } from '../server/src/aside/aside'
import { openPool } from '../server/src/database'
import { freshDatabase } from '../server/src/testing/database'
import { Client, practiceHousehold } from '../server/src/testing/client'
import { inTurn } from './rounds'

/** What the heaviest calculation that is allowed does to everybody else: p95 of a screen while it runs, against idle. */
const small = process.argv[2] === 'small'
const shots = small ? 20 : 200
const rounds = small ? 1 : 3

const database = await freshDatabase('vadose_bench')
const pool = openPool(database.url)
const aside = new Aside(resolve('server/dist/aside-worker.js'), database.url)
const log = pino({ level: 'silent' })
const server = createServer(makeApp({ pool, aside, webRoot: '.', programs: 'server/dist', log }))
await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
const client = new Client(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)
await practiceHousehold(client)

/** p95 of the round, ms. */
async function screen(): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < shots; i++) {
    const began = performance.now()
    await client.get('/round')
    times.push(performance.now() - began)
  }
  return times.sort((a, b) => a - b)[Math.floor(0.95 * times.length)]!
}

const places = (await client.get('/places')).body as { id: string }[]
let year = 0
/** A year of five-minute readings, other ones each time. */
function yearOfReadings(): string {
  const n = small ? 20_000 : 105_120
  const from = 1_420_070_400 + (year++ % 10) * 31_536_000
  const at = Array.from({ length: n }, (_, i) => from + i * 300)
  return JSON.stringify({
    requestId: randomUUID(),
    placeId: places[0]!.id,
    fileName: 'years.csv',
    at,
    temperatureC: at.map((_, i) => 8 + (i % 9)),
    relativeHumidityPct: at.map((_, i) => 80 + (i % 9)),
  })
}

/** Twenty thousand forecasts in one call, which is cut off after its twenty seconds; and megabytes that lead nowhere. */
const keeps = JSON.stringify(
  Array.from({ length: 20_000 }, () => ({ crop: 'onion-storing', temperatureC: 2, relativeHumidityPct: 70 })),
)
const brackets = '['.repeat(7_000_000)

const during = (work: () => Promise<unknown>) => async (): Promise<number> => {
  let going = true
  const heavy = (async () => {
    while (going) await work()
  })()
  const p95 = await screen()
  going = false
  await heavy
  return p95
}
const calculations = during(() =>
  Promise.all([client.post('/bench/keep', keeps), client.post('/bench/cure', brackets)]),
)
const imports = during(() => client.post('/readings/imports', yearOfReadings()))

await screen()
for (const [what, work] of [
  ['the heaviest calculations run', calculations],
  ['years of readings come in', imports],
] as const) {
  const { a, b, ratio, spread } = await inTurn(work, screen, rounds)
  const range = spread.map((r) => r.toFixed(2)).join('–')
  console.log(
    `the round while ${what}: p95 ${a.toFixed(1)} ms, idle ${b.toFixed(1)} ms, ratio ${ratio.toFixed(2)} (${range}); aim at most 3`,
  )
}
process.exit(0)
