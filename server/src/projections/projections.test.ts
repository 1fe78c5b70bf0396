import { randomUUID } from 'node:crypto'
import { civilDateOf } from '@vadose/core/households'
import { expect, it } from 'vitest'
import { inTransaction, openPool } from '../database'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { rebuildProjections } from './rebuild'

const at = practiceFile('2026-07-12')
const act = (code: string, body: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...body })

/** What is kept beside the ledger and the readings. */
async function kept() {
  const lots = await at.served.pool.query('select * from lot_now order by household_id, lot_id')
  const hours = await at.served.pool.query(
    `select household_id, place_id, month, encode(temperature_c, 'hex') as t, encode(relative_humidity_pct, 'hex') as rh,
       encode(rain_mm, 'hex') as rain, last_at from place_hours order by household_id, place_id, month`,
  )
  return { lots: lots.rows, hours: hours.rows }
}

it('is the same when it is all written anew from the ledger and the readings', async () => {
  await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
  await act('G26-1', { act: 'weigh', weightG: 4700, basis: 'lot' })
  await act('G26-2', { act: 'use', pieces: 3 })
  await at.client.post('/clock', { to: 'next-week' })
  await act('G26-1', { act: 'move', placeId: at.place('Kitchen') })
  await act('G26-1', {
    act: 'finish',
    neck: 'long',
    pack: 'net',
    placeId: at.place('North room'),
    weightG: 3400,
    pieces: 90,
    grades: [{ grade: 'large', weightG: 900, pieces: 20 }],
    sure: true,
  })
  await act('G26-3', { act: 'lose', weightG: 400, cause: 'mice' })
  await at.client.post(`/places/${at.place('Cellar')}/readings`, { temperatureC: 12, relativeHumidityPct: 81 })
  const before = await kept()
  expect(before.lots.length).toBe(4)
  expect(before.lots.filter((lot) => lot.stage === 'gone')).toHaveLength(1)
  expect(before.hours.length).toBeGreaterThanOrEqual(5)
  const owner = openPool(at.served.url)
  const [{ id }] = (await owner.query('select id from households')).rows as [{ id: string }]
  await inTransaction(owner, id, async (db) => {
    await db.query('delete from lot_now')
    await db.query('delete from place_hours')
    await rebuildProjections(db, id)
  })
  await owner.end()
  expect(await kept()).toEqual(before)
})

it('hours follow a file that is taken back, and readings that come late', async () => {
  const hour = Math.floor(Date.UTC(2026, 6, 14, 10) / 1000)
  const value = async () => {
    const { rows } = await at.served.pool.query(
      `select temperature_c as t from place_hours h join places p on p.household_id = h.household_id and p.id = h.place_id
       where p.name = 'Cellar' and h.month = '2026-07-01'`,
    )
    return (rows[0].t as Buffer).readFloatLE(4 * (13 * 24 + 10))
  }
  const before = await value()
  const file = {
    requestId: randomUUID(),
    placeId: at.place('Cellar'),
    fileName: 'late.csv',
    at: [hour + 600, hour + 1200, hour + 1800],
    temperatureC: [30, 31, 32],
    relativeHumidityPct: [50, 50, 50],
  }
  const { id } = (await at.client.post('/readings/imports', file)).body
  // the simulated reading at the full hour and the three of the file
  expect(await value()).toBeCloseTo((before + 30 + 31 + 32) / 4, 1)
  await at.client.post(`/readings/imports/${id}/undo`, {})
  expect(await value()).toBe(before)
})

it('two servers over one database say the same, right after a write of either', async () => {
  const other = openPool(at.served.url.replace('vadose@', 'vadose_server:test@'))
  const { Houses } = await import('./houses')
  const { householdAt } = await import('../households')
  const houses = new Houses(other)
  const here = async () => (await houses.of((await householdAt(other, at.client.household))!)).lot('G26-2')?.weightG
  const before = await here()
  await act('G26-2', { act: 'use', pieces: 1 })
  const shown = (await at.client.get('/lots/G26-2')).body.weightG
  expect(await here()).toBe(shown)
  expect(shown).toBeLessThan(before!)
  await other.end()
})

it('a day is the household’s, wherever it lies', () => {
  const midnightUtc = Date.UTC(2026, 9, 2, 0, 30)
  // UTC+13, UTC−7, UTC+5:45 (IANA time zone database, in Node.js)
  expect(civilDateOf(midnightUtc, 'Pacific/Auckland')).toBe('2026-10-02')
  expect(civilDateOf(midnightUtc, 'America/Los_Angeles')).toBe('2026-10-01')
  expect(civilDateOf(Date.UTC(2026, 9, 1, 18, 20), 'Asia/Kathmandu')).toBe('2026-10-02')
  expect(civilDateOf(Date.UTC(2026, 9, 1, 18, 10), 'Asia/Kathmandu')).toBe('2026-10-01')
})
