import { randomUUID } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { afterAll, beforeAll } from 'vitest'
import { makeApp } from '../app'
import { openPool, type Pool } from '../database'
import { freshDatabase } from './database'

export { freshDatabase } from './database'

const webRoot = fileURLToPath(new URL('../../../web/dist', import.meta.url))

export interface Answer<T = Record<string, unknown>> {
  status: number
  body: T
  headers: Headers
}

/** What is no household's own. */
const ownerless = /^\/(households(\/|$)|health|ingest|bench\/|nothing$|$)/

/** A client of the API: what it asks for is about the household it was told of. */
export class Client {
  /** the household's name in addresses */
  household = ''
  constructor(readonly base: string) {}

  /** Where a path of the household's is. */
  address = (path: string): string =>
    `${this.base}/api${ownerless.test(path) ? path : `/households/${this.household}${path}`}`

  async send<T = never>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<[T] extends [never] ? any : T>> {
    const response = await fetch(this.address(path), {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const text = await response.text()
    // who starts a household goes on in it
    if (method === 'POST' && path === '/households' && response.ok) this.household = JSON.parse(text).address
    return { status: response.status, body: text.startsWith('<') ? text : JSON.parse(text), headers: response.headers }
  }
  get = (path: string) => this.send('GET', path)
  post = (path: string, body: unknown) => this.send('POST', path, body)
  put = (path: string, body: unknown) => this.send('PUT', path, body)
  delete = (path: string) => this.send('DELETE', path)
}

export interface Served {
  /** as the owner, who sees all */
  pool: Pool
  /** the database, as its owner */
  url: string
  client: () => Client
  close: () => Promise<void>
}

/** A server over a fresh database. */
export async function serveFresh(): Promise<Served> {
  const database = await freshDatabase()
  const pool = openPool(database.url)
  const owner = openPool(database.ownerUrl)
  const log = pino({ level: 'silent' })
  const server: Server = createServer(makeApp({ pool, webRoot, log, strict: true }))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  return {
    pool: owner,
    url: database.ownerUrl,
    client: () => new Client(base),
    close: async () => {
      await new Promise((resolve) => {
        server.close(resolve)
        server.closeAllConnections()
      })
      await pool.end()
      await owner.end()
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
