import { randomUUID } from 'node:crypto'
import { endpoints } from '@vadose/contract/api'
import { expect, it } from 'vitest'
import { garlicHarvest, practiceFile, practiceHousehold } from './testing/fresh'

const at = practiceFile('2026-07-12')

it('describes every endpoint, with what it takes and answers', async () => {
  const { body } = await at.client.send('GET', '/')
  expect(body.openapi).toBe('3.1.0')
  const described = Object.entries(
    body.paths as Record<string, Record<string, { operationId: string; summary: string }>>,
  ).flatMap(([path, methods]) => Object.entries(methods).map(([method, o]) => ({ path, method, ...o })))
  expect(described.map((o) => o.operationId).sort()).toEqual(endpoints.map(({ endpoint }) => endpoint.name).sort())
  expect(new Set(described.map((o) => o.operationId)).size).toBe(described.length)
  for (const { path, summary } of described) {
    expect(summary.length).toBeGreaterThan(10)
    expect(
      path.startsWith('/households') || ['/ingest', '/backups', '/household-files', '/bench/{name}'].includes(path),
    ).toBe(true)
  }
})

it('an unknown household is said to be unknown, never another one', async () => {
  const stranger = at.served.client()
  for (const household of ['nobody', 'test-house-2', 'Test-House', 'x'.repeat(90), "'; drop table places"]) {
    stranger.household = encodeURIComponent(household)
    const { status, body } = await stranger.get('/frame')
    expect([status, body.error.code]).toEqual([404, 'no-such-household'])
  }
})

it('two pages open on two households write each into its own', async () => {
  const other = at.served.client()
  const { place } = await practiceHousehold(other, '2026-07-12', 'Other House')
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
  await other.post(
    '/harvests',
    garlicHarvest(place('Veranda'), { totalG: 400, heaps: [{ heap: 'sound', weightG: 400 }] }),
  )
  expect((await at.client.get('/lots')).body).toHaveLength(3)
  expect((await other.get('/lots')).body).toHaveLength(1)
  // a place of the other house is no place here
  const strange = await at.client.post('/harvests', garlicHarvest(place('Veranda')))
  expect([strange.status, strange.body.error.field]).toEqual([400, 'heaps/0/placeId'])
})

it('a write brings the answers its page has open, as they stand after it', async () => {
  const views = [
    '/line',
    '/frame',
    '/lots/G26-1',
    '/round?on=2026-07-20',
    '/labels.pdf?lots=G26-1',
    '/nothing',
    '/line/G99-9',
  ]
  const body = { requestId: randomUUID(), act: 'weigh', weightG: 4800, basis: 'lot' }
  const got = await at.client.send('POST', '/lots/G26-1/acts', body, { 'X-Views': views.join(' ') })
  expect(got.status).toBe(201)
  expect(got.body.answer.lot.weightG).toBe(4800)
  // what is no view, or is refused, is left for the page to ask itself
  expect(Object.keys(got.body.fresh)).toEqual(views.slice(0, 4))
  for (const view of views.slice(0, 4)) expect(got.body.fresh[view]).toEqual((await at.client.get(view)).body)
  // sent again it is answered alike, once written
  const again = await at.client.send('POST', '/lots/G26-1/acts', body, { 'X-Views': '/frame' })
  expect(again.body.answer.lot.weightG).toBe(4800)
  expect(
    (await at.client.get('/lots/G26-1')).body.events.filter((e: { kind: string }) => e.kind === 'weighed'),
  ).toHaveLength(1)
})
