import { spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Client, freshDatabase, garlicHarvest, practiceHousehold } from './testing/fresh'

const main = fileURLToPath(new URL('../dist/main.js', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'vadose-'))
let database: Awaited<ReturnType<typeof freshDatabase>>
let server: ChildProcess | undefined

async function start(): Promise<string> {
  const note = join(folder, randomUUID())
  server = spawn('node', [main], {
    env: {
      ...process.env,
      DATABASE_URL: database.url,
      DATABASE_OWNER_URL: database.ownerUrl,
      PORT: '0',
      VADOSE_ADDRESS_FILE: note,
    },
    stdio: 'ignore',
  })
  for (let i = 0; i < 1800; i++) {
    await new Promise((resolve) => setTimeout(resolve, 50))
    try {
      return readFileSync(note, 'utf8').trim().split(' ')[1]!
    } catch {
      // not yet
    }
  }
  throw new Error('the server did not start')
}

beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(async () => {
  server?.kill('SIGKILL')
  rmSync(folder, { recursive: true })
  await database.drop()
})

it('loses no acknowledged event when the server is killed in the middle of writes', async () => {
  const setup = new Client(await start())
  const { place } = await practiceHousehold(setup)
  await setup.post('/harvests', garlicHarvest(place('Veranda')))
  const sent: string[] = []
  const acknowledged: string[] = []
  for (let round = 0; round < 3; round++) {
    const base = round === 0 ? setup.base : await start()
    const writer = new Client(base)
    writer.household = setup.household
    let alive = true
    const write = async () => {
      while (alive) {
        const text = randomUUID()
        sent.push(text)
        try {
          const answer = await writer.post('/lots/G26-1/acts', { requestId: text, act: 'note', text })
          if (answer.status === 201) acknowledged.push(text)
        } catch {
          alive = false
        }
      }
    }
    const writers = [write(), write(), write(), write()]
    const before = acknowledged.length
    await expect.poll(() => acknowledged.length - before, { timeout: 120_000, interval: 20 }).toBeGreaterThan(20)
    server!.kill('SIGKILL')
    alive = false
    await Promise.all(writers)
  }
  const owner = new pg.Client({ connectionString: database.ownerUrl })
  await owner.connect()
  const { rows } = await owner.query<{ text: string }>(
    `select details ->> 'text' as text from lot_events where kind = 'noted'`,
  )
  const { rows: sums } = await owner.query(`select sum(weight_g)::int as g from lot_events`)
  await owner.end()
  const kept = new Set(rows.map((row) => row.text))
  expect(acknowledged.length).toBeGreaterThan(20)
  expect(acknowledged.filter((text) => !kept.has(text))).toEqual([])
  // nothing is there twice, and nothing that nobody sent
  expect(rows.length).toBe(kept.size)
  expect([...kept].filter((text) => !sent.includes(text))).toEqual([])
  expect(sums[0].g).toBe(6000)
})
