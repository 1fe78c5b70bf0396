import { errorBody } from '@vadose/contract/shapes'
import { cropById, cropFiles } from '@vadose/core/almanac'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Asking, type Asked } from './testing/asked'
import { garlicHarvest, practiceHousehold, serveFresh, type Client, type Served } from './testing/fresh'
import { checker } from './validate'

/** FUZZ_REQUESTS=100000 by hand; FUZZ_SEED for others. */
const requests = Number(process.env['FUZZ_REQUESTS'] ?? 4_000)
const firstSeed = Number(process.env['FUZZ_SEED'] ?? 20261126)
/** Requests of one household: a house that nobody could fill would be slow and would show nothing new. */
const perHouse = 500
/** A request that is not answered in this time hangs, ms. */
const hangsMs = 20_000
const screens = [
  '/frame',
  '/round',
  '/line',
  '/line-advice',
  '/stores',
  '/larder',
  '/lots',
  '/lots?gone=yes',
  '/places',
]

let served: Served
beforeAll(async () => {
  served = await serveFresh()
})
afterAll(() => served.close())

/** A household with a harvest on the line, some of it down, and a file's readings. */
async function house(): Promise<{ client: Client; asking: Asking }> {
  const client = served.client()
  const { place } = await practiceHousehold(client)
  await client.post('/harvests', garlicHarvest(place('Veranda')))
  const places = (await client.get('/places')).body as { id: string }[]
  const lots = (await client.get('/lots')).body as { code: string }[]
  const crops = cropFiles.map(({ id }) => cropById(id))
  const asking = new Asking({
    households: [client.household],
    places: places.map(({ id }) => id),
    lots: [...lots.map(({ code }) => code), 'G26-4', 'C26-1', 'B26-1'],
    crops: crops.map(({ id }) => id),
    heaps: [...new Set(crops.flatMap(({ heaps }) => heaps.map(({ id }) => id)))],
    packs: [...new Set(crops.flatMap(({ packs }) => packs.map(({ id }) => id)))],
    today: '2026-07-12',
  })
  return { client, asking }
}

const isError = checker(errorBody)
/** Answers by endpoint and whether they were given or refused. */
const seen = new Map<string, number>()

/** @returns what is wrong with the answer */
async function fault(client: Client, { name, method, path, type, body, headers }: Asked): Promise<string | undefined> {
  const response = await fetch(`${client.base}/api${path}`, {
    method,
    headers: { 'Content-Type': type, ...headers },
    ...(body === undefined || method === 'GET' ? {} : { body: body as BodyInit }),
    signal: AbortSignal.timeout(hangsMs),
  })
  const text = await response.text()
  const kind = `${name} ${response.ok ? 'answered' : 'refused'}`
  seen.set(kind, (seen.get(kind) ?? 0) + 1)
  if (response.status >= 500) return `${response.status} ${text}`
  if (response.ok) return undefined
  try {
    isError(JSON.parse(text))
    return undefined
  } catch {
    return `${response.status} without an error's shape: ${text.slice(0, 200)}`
  }
}

it(`answers ${requests} random requests without ever failing, and keeps its books`, async () => {
  const failures: string[] = []
  // most that happens in a house happens to its lots; new households cost most and show least
  const often = {
    act: 40,
    'bring-in': 15,
    calculate: 10,
    clock: 1,
    'start-household': 1,
    'remove-household': 0,
    'add-place': 12,
    settings: 10,
    'add-reading': 10,
    lot: 10,
    stores: 10,
    pick: 10,
  }
  for (let done = 0; done < requests; done += perHouse) {
    const { client, asking } = await house()
    const numRuns = Math.min(perHouse, requests - done)
    const queue = fc.sample(asking.anything(often, 5), { numRuns, seed: firstSeed + done })[Symbol.iterator]()
    const worker = async () => {
      for (const asked of queue) {
        const wrong = await fault(client, asked).catch((error: unknown) => String(error))
        if (wrong) failures.push(`${asked.method} ${asked.path} ${String(asked.body).slice(0, 400)}: ${wrong}`)
      }
    }
    await Promise.all([worker(), worker(), worker(), worker()])
    // and every screen opens, with every lot's page
    const lots = (await client.get('/lots')).body as { code: string }[]
    for (const path of [...screens, ...lots.map(({ code }) => `/lots/${code}`)]) {
      const { status, body } = await client.get(path)
      if (status !== 200) failures.push(`afterwards ${path}: ${status} ${JSON.stringify(body)}`)
    }
  }
  if (process.env['FUZZ_SHOW']) console.log([...seen].sort().map(String).join(' | '))
  expect(failures).toEqual([])
  // the ledger stands, and what is kept beside it is what it says
  const { rows } = await served.pool.query(
    `select l.code, sum(e.weight_g)::int as g, n.weight_g as kept from lots l
     join lot_events e on e.household_id = l.household_id and e.lot_id = l.id
     join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
     group by l.household_id, l.code, n.weight_g having sum(e.weight_g) <> n.weight_g or sum(e.weight_g) < 0`,
  )
  expect(rows).toEqual([])
  // what can be done was done, not only refused
  for (const name of ['act', 'bring-in', 'pick', 'add-place', 'settings', 'add-reading', 'lot', 'stores']) {
    expect([name, (seen.get(`${name} answered`) ?? 0) > requests / 1000]).toEqual([name, true])
  }
}, 3_600_000)
