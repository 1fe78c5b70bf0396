import { standing, type LotEvent } from '@vadose/core/lots'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { besides, practiceFile } from './testing/fresh'
import { kinds, step, take, type Lot, type Step } from './testing/random-steps'

const at = practiceFile()
const screens = [
  '/year',
  '/count',
  '/kitchen/recipes',
  '/frame',
  '/round',
  '/line',
  '/line-advice',
  '/stores',
  '/larder',
  '/lots',
  '/exports/jobs.ics',
]
const steps = 240

const water = ['weighed', 'finished', 'cleaned', 'loaded', 'jarred', 'frozen', 'made']
/** Where every gram stands in the books: what is struck out stands nowhere. */
async function books() {
  const { rows } = await at.served.pool.query(
    `select e.id, e.lot_id as lot, e.kind, e.weight_g as "weightG", e.pieces, e.place_id as "placeId", e.details,
       extract(epoch from e.at)::float8 * 1000 as "atMs" from lot_events e order by e.id`,
  )
  const ledgers = new Map<string, LotEvent[]>()
  for (const row of rows as (LotEvent & { lot: string })[]) {
    ledgers.set(row.lot, [...(ledgers.get(row.lot) ?? []), row])
  }
  const told = [...ledgers.values()].flatMap((events) => standing(events))
  const sum = (test: (event: LotEvent) => boolean) => told.reduce((all, e) => (test(e) ? all + e.weightG : all), 0)
  const of = (...kinds: string[]) => sum(({ kind }) => kinds.includes(kind))
  const ending = (to: string | undefined) => sum(({ kind, details }) => kind === 'lost' && details.to === to)
  return {
    brought: of('brought-in', 'added'),
    eaten: -of('used'),
    given: -of('given'),
    planted: -of('planted'),
    fed: -of('fed'),
    composted: -ending('compost'),
    binned: -ending('bin'),
    burnt: -ending('burn'),
    lost: -ending(undefined),
    waterAndTrimmings: -of(...water),
    corrected: -of('corrected'),
    setAside: of('split-out', 'split-in'),
  }
}
/** In is what went each way and what is left. */
async function requireBalance(after: Step) {
  const { brought, setAside, ...gone } = await books()
  const left = ((await at.client.get('/lots')).body as Lot[]).reduce((all, { weightG }) => all + weightG, 0)
  const away = Object.values(gone).reduce((all, g) => all + g, 0)
  const said = `after ${JSON.stringify({ ...after, crop: after.crop.id })}`
  expect(setAside, said).toBe(0)
  expect(brought, said).toBe(away + left)
}

/** What this server knows by heart is what one finds that begins now and reads it all. */
async function requireSameOfNewcomer(after: number) {
  const { client, close } = await besides(at)
  const codes = ((await at.client.get('/lots')).body as Lot[]).map(({ code }) => `/lots/${code}`)
  for (const path of [...screens.filter((one) => !one.endsWith('.ics')), ...codes]) {
    expect((await at.client.get(path)).body, `${path} after ${after} steps`).toEqual((await client.get(path)).body)
  }
  await close()
}

it(`nothing that is accepted makes any screen fail, in ${steps} steps`, async () => {
  const done = new Map<string, number>()
  let taken = 0
  for (const one of fc.sample(step, { numRuns: steps, seed: 712 })) {
    const lots = (await at.client.get('/lots')).body as Lot[]
    const answer = await take(at, one, lots)
    if (answer && answer.status < 300) done.set(one.kind, (done.get(one.kind) ?? 0) + 1)
    else if (answer) expect([one.kind, answer.status]).toEqual([one.kind, 400])
    for (const path of [...screens, ...(answer?.body.lot ? [`/lots/${answer.body.lot.code}`] : [])]) {
      const screen = await fetch(at.client.address(path))
      if (screen.status !== 200)
        throw new Error(`${path} after ${JSON.stringify({ ...one, crop: one.crop.id })}: ${await screen.text()}`)
      await screen.arrayBuffer()
    }
    await requireBalance(one)
    if (++taken % 60 === 0) await requireSameOfNewcomer(taken)
  }
  for (const lot of (await at.client.get('/lots')).body as Lot[]) {
    const { status, body } = await at.client.get(`/lots/${lot.code}`)
    expect([lot.code, status, body.trouble]).toEqual([lot.code, 200, undefined])
  }
  // everything was done, not only tried
  expect([...done.keys()].sort()).toEqual([...new Set(kinds)].sort())
})
