import { describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { randomUUID } from 'node:crypto'

const at = practiceFile()

describe('the practice clock', () => {
  it('starts where it is told and moves by a morning or a week, with a reading for every hour and place', async () => {
    expect((await at.client.get('/frame')).body.today).toBe('2026-07-12')
    expect((await at.client.post('/clock', { to: 'next-morning' })).body.today).toBe('2026-07-13')
    expect((await at.client.post('/clock', { to: 'next-week' })).body.today).toBe('2026-07-20')
    const { rows } = await at.served.pool.query(
      `select count(*) as n, count(distinct at) as hours, count(distinct place_id) as places from readings where at > '2026-07-13T05:30Z' and at <= '2026-07-20T05:30Z'`,
    )
    expect(rows[0]).toEqual({ n: 168 * 5, hours: 168, places: 5 })
  })

  it('moves by nothing else, and the real clock not at all', async () => {
    expect((await at.client.post('/clock', { to: 'last-year' })).status).toBe(400)
    const real = at.served.client()
    await real.post('/households', { name: 'Real', clock: 'real' })
    expect((await real.post('/clock', { to: 'next-week' })).body.error.message).toMatch(/real clock/)
  })

  it('narrows the ready window with weighings and turns jobs over', async () => {
    await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { harvestedOn: '2026-07-20' }))
    const weigh = (weightG: number) =>
      at.client.post('/lots/G26-1/acts', { requestId: randomUUID(), act: 'weigh', weightG, basis: 'bunch' })
    expect((await weigh(620)).status).toBe(201)
    await at.client.post('/clock', { to: 'next-week' })
    const lot = (await at.client.get('/lots/G26-1')).body
    expect(lot.curing.expectedG).toBeGreaterThan(430)
    expect(lot.curing.expectedG).toBeLessThan(600)
    const due = (await at.client.get('/round')).body.places.flatMap(
      (p: { jobs: { kind: string; code: string }[] }) => p.jobs,
    )
    expect(due.some((j: { kind: string; code: string }) => j.kind === 'weigh' && j.code === 'G26-1')).toBe(true)
    await weigh(lot.curing.expectedG)
    const after = (await at.client.get('/round')).body.places.flatMap(
      (p: { jobs: { kind: string; code: string }[] }) => p.jobs,
    )
    expect(after.some((j: { kind: string; code: string }) => j.kind === 'weigh' && j.code === 'G26-1')).toBe(false)
  })

  it('refuses households without sense', async () => {
    for (const body of [
      { name: ' ', clock: 'real' },
      { name: 'x', clock: 'practice' },
      { name: 'x', clock: 'real', startsOn: '2026-01-01' },
      { name: 'x', clock: 'real', timeZone: 'Middle/Earth' },
      { name: 'x', clock: 'real', latitudeDeg: 99 },
    ]) {
      expect((await at.client.post('/households', body)).status).toBe(400)
    }
  })

  it('turns the year round in the south', async () => {
    const south = at.served.client()
    await south.post('/households', { name: 'South', clock: 'practice', startsOn: '2026-01-15', latitudeDeg: -38 })
    const { year } = (await south.get('/frame')).body
    expect([year.startsOn, year.endsOn]).toEqual(['2025-11-01', '2026-10-31'])
  })
})
