import { randomUUID } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { afterAll, beforeAll } from 'vitest'
import { makeApp } from '../app'
import { Aside } from '../aside/aside'
import { Changes } from '../changes'
import { openPool, type Pool } from '../database'
import { freshDatabase, type FreshDatabase } from './database'

import { Client, practiceHousehold } from './client'

export { freshDatabase } from './database'
export { Client, garlicHarvest, practiceHousehold } from './client'

const programs = fileURLToPath(new URL('../../dist', import.meta.url))
const webRoot = fileURLToPath(new URL('../../../web/dist', import.meta.url))

export interface Served {
  /** as the owner, who sees all */
  pool: Pool
  /** the database, as its owner */
  url: string
  client: () => Client
  close: () => Promise<void>
}

/** A server over a fresh database. */
export const serveFresh = async (): Promise<Served> => serveOver(await freshDatabase())

/** A server over a database, which goes with it. */
export async function serveOver(database: FreshDatabase): Promise<Served> {
  const pool = openPool(database.url)
  const owner = openPool(database.ownerUrl)
  const log = pino({ level: 'silent' })
  const aside = new Aside(`${programs}/aside-worker.js`, database.url, true)
  const server: Server = createServer(makeApp({ pool, aside, webRoot, programs, log, strict: true }))
  const changes = new Changes(pool, log)
  changes.attach(server)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  return {
    pool: owner,
    url: database.ownerUrl,
    client: () => new Client(base),
    close: async () => {
      changes.end()
      await new Promise((resolve) => {
        server.close(resolve)
        server.closeAllConnections()
      })
      await aside.end()
      await pool.end()
      await owner.end()
      await database.drop()
    },
  }
}

/** One more server over the database of one that runs, asked about the same household; it goes with `close`. */
export async function besides(at: PracticeFile): Promise<{ client: Client; close: () => Promise<void> }> {
  const url = new URL(at.served.url)
  url.username = 'vadose_server'
  url.password = 'test'
  const pool = openPool(url.href)
  const server = createServer(makeApp({ pool, webRoot, programs, log: pino({ level: 'silent' }), strict: true }))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const client = new Client(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)
  client.household = at.client.household
  return {
    client,
    close: async () => {
      server.close()
      server.closeAllConnections()
      await pool.end()
    },
  }
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

/** Bringing things in, and looking at them, in a test file's household. */
export function hands(at: PracticeFile, harvestedOn: string) {
  const post = (path: string, what: object) => at.client.post(path, { requestId: randomUUID(), ...what })
  const bring = async (crop: string, weightG: number, pieces?: number, over: object = {}) =>
    (
      await post('/harvests', {
        crop,
        harvestedOn,
        totalG: weightG,
        heaps: [{ heap: 'sound', weightG, placeId: at.place('Cellar'), ...(pieces ? { pieces } : {}) }],
        sure: true,
        ...over,
      })
    ).body.lots[0].code as string
  const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body
  return { post, bring, lot }
}
