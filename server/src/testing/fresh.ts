import { randomUUID } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { pino } from 'pino'
import { afterAll, beforeAll } from 'vitest'
import { makeApp } from '../app'
import { openPool, type Pool } from '../database'
import { migrate } from '../migrate'

const migrations = fileURLToPath(new URL('../../migrations', import.meta.url))
const webRoot = fileURLToPath(new URL('../../../web/dist', import.meta.url))

/** A database of its own for one test file, brought up to date. */
export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const admin = process.env['TEST_DATABASE_URL']!
  const name = `vadose_${randomUUID().replaceAll('-', '')}`
  const run = async (sql: string) => {
    const client = new pg.Client({ connectionString: admin })
    await client.connect()
    await client.query(sql)
    await client.end()
  }
  await run(`create database ${name}`)
  const url = new URL(admin)
  url.pathname = `/${name}`
  await migrate(url.href, migrations)
  return { url: url.href, drop: () => run(`drop database ${name} with (force)`) }
}

export interface Answer<T = Record<string, unknown>> {
  status: number
  body: T
  headers: Headers
}

/** A browser's worth of client: keeps the household it entered. */
export class Client {
  private cookie = ''
  constructor(readonly base: string) {}

  async send<T = never>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<[T] extends [never] ? any : T>> {
    const response = await fetch(`${this.base}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', ...(this.cookie ? { Cookie: this.cookie } : {}), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const set = response.headers.get('set-cookie')
    if (set) this.cookie = set.split(';')[0]!
    const text = await response.text()
    return { status: response.status, body: text.startsWith('<') ? text : JSON.parse(text), headers: response.headers }
  }
  get = (path: string) => this.send('GET', path)
  post = (path: string, body: unknown) => this.send('POST', path, body)
  put = (path: string, body: unknown) => this.send('PUT', path, body)
  delete = (path: string) => this.send('DELETE', path)
}

export interface Served {
  pool: Pool
  url: string
  client: () => Client
  close: () => Promise<void>
}

/** A server over a fresh database. */
export async function serveFresh(): Promise<Served> {
  const database = await freshDatabase()
  const pool = openPool(database.url)
  const server: Server = createServer(makeApp(pool, webRoot, pino({ level: 'silent' })))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  return {
    pool,
    url: database.url,
    client: () => new Client(base),
    close: async () => {
      await new Promise((resolve) => {
        server.close(resolve)
        server.closeAllConnections()
      })
      await pool.end()
      await database.drop()
    },
  }
}

/** A practice household that begins on a day, entered. */
export async function practiceHousehold(client: Client, startsOn = '2026-07-12', name = 'Test House') {
  await client.post('/households', { name, clock: 'practice', startsOn, timeZone: 'Europe/Vienna' })
  const places = (await client.get('/places')).body as { id: string; name: string }[]
  return { place: (wanted: string) => places.find((p) => p.name === wanted)!.id }
}

/** What a test file works with, there from its first hook or test on. */
export interface PracticeFile {
  served: Served
  client: Client
  place: (name: string) => string
}

/** A server and a practice household for one test file, taken down after it. */
export function practiceFile(startsOn?: string): PracticeFile {
  const at = {} as PracticeFile
  beforeAll(async () => {
    at.served = await serveFresh()
    at.client = at.served.client()
    at.place = (await practiceHousehold(at.client, startsOn)).place
  })
  afterAll(() => at.served.close())
  return at
}

export const garlicHarvest = (placeId: string, over: Record<string, unknown> = {}) => ({
  requestId: randomUUID(),
  crop: 'garlic-hardneck',
  variety: 'Test Stiff',
  bed: 'Bed 3',
  harvestedOn: '2026-07-12',
  totalG: 6000,
  signShare: 0.5,
  heaps: [
    { heap: 'sound', weightG: 4900, placeId },
    { heap: 'nicked', weightG: 700, pieces: 12, placeId },
    { heap: 'planting', weightG: 400, placeId },
  ],
  ...over,
})
