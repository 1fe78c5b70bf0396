import { randomUUID } from 'node:crypto'
import { afterEach, describe, expect, it } from 'vitest'
import { WebSocket } from 'ws'
import type { Revisions } from './changes'
import { practiceFile } from './testing/fresh'

const at = practiceFile('2026-10-02')
const open: WebSocket[] = []
afterEach(() => {
  for (const page of open.splice(0)) page.terminate()
})

/** A page that watches: what it is told, one after the other. */
function watching(household = at.client.household, headers: Record<string, string> = {}) {
  const url = `${at.client.base.replace('http', 'ws')}/api/households/${household}/changes`
  const page = new WebSocket(url, { origin: at.client.base, headers })
  open.push(page)
  // a page let go of before it was open
  page.on('error', () => undefined)
  const told: Revisions[] = []
  const waiting: ((one: Revisions) => void)[] = []
  page.on('message', (data: Buffer) => {
    const one = JSON.parse(data.toString()) as Revisions
    const next = waiting.shift()
    if (next) next(one)
    else told.push(one)
  })
  const next = () =>
    told.length > 0 ? Promise.resolve(told.shift()!) : new Promise<Revisions>((resolve) => waiting.push(resolve))
  const refused = new Promise<number>((resolve) =>
    page.on('unexpected-response', (_, answer) => resolve(answer.statusCode!)),
  )
  return { page, next, refused }
}
const note = (text: string) =>
  at.client
    .post('/harvests', {
      requestId: randomUUID(),
      crop: 'carrot',
      harvestedOn: '2026-10-01',
      totalG: 1000,
      heaps: [{ heap: 'sound', weightG: 1000, placeId: at.place('Cellar') }],
      sure: true,
      bed: text,
    })
    .then(({ status }) => expect(status).toBe(201))

describe('a page that watches its household', () => {
  it('is told where it stands, and whenever something is written', async () => {
    const { next } = watching()
    const first = await next()
    await note('Bed 1')
    const second = await next()
    expect(second.revision).toBeGreaterThan(first.revision)
  })
  it('is told of air apart from entries', async () => {
    const { next } = watching()
    const first = await next()
    await at.client.post(`/places/${at.place('Cellar')}/readings`, { temperatureC: 9, relativeHumidityPct: 85 })
    const second = await next()
    expect(second.airRevision).toBeGreaterThan(first.airRevision)
  })
  it('every one of several, and what another server wrote too', async () => {
    const pages = [watching(), watching(), watching()]
    await Promise.all(pages.map(({ next }) => next()))
    // straight into the database, as another server would
    await at.served.pool.query('update households set revision = revision + 1 where address = $1', [
      at.client.household,
    ])
    const told = await Promise.all(pages.map(({ next }) => next()))
    expect(new Set(told.map(({ revision }) => revision)).size).toBe(1)
  })
  it('is not told of another household', async () => {
    const own = watching()
    const { revision } = await own.next()
    const other = at.served.client()
    await other.post('/households', { name: 'Next Door', clock: 'real', requestId: randomUUID() })
    const theirs = watching(other.household)
    await theirs.next()
    await other.put('/settings', { name: 'Next Door But One' })
    await theirs.next()
    await note('Bed 2')
    // the first thing it hears is its own
    const heard = (await own.next()).revision
    expect(heard).toBeGreaterThan(revision)
    expect(heard).toBe(await revisionNow())
  })
  it('shut and opened again it is told anew', async () => {
    const first = watching()
    await first.next()
    first.page.terminate()
    await note('Bed 3')
    expect((await watching().next()).revision).toBe(await revisionNow())
  })
})

const revisionNow = async () =>
  Number(
    (
      await at.served.pool.query<{ revision: string }>('select revision from households where address = $1', [
        at.client.household,
      ])
    ).rows[0]!.revision,
  )

describe('who may not watch', () => {
  it('a page of another site', async () => {
    const url = `${at.client.base.replace('http', 'ws')}/api/households/${at.client.household}/changes`
    const page = new WebSocket(url, { origin: 'http://elsewhere.example' })
    open.push(page)
    page.on('error', () => undefined)
    const status = await new Promise((resolve) =>
      page.on('unexpected-response', (_, answer) => resolve(answer.statusCode)),
    )
    expect(status).toBe(403)
  })
  it('a host that only resolves to this machine', async () => {
    expect(await watching(at.client.household, { Host: 'rebound.example' }).refused).toBe(403)
  })
  it('a household that is not there, or no household’s address at all', async () => {
    expect(await watching('nobody-s-house').refused).toBe(404)
    expect(await watching('..%2f..').refused).toBe(404)
  })
})
