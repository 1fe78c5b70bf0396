import { randomUUID } from 'node:crypto'
import { expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { Houses } from './houses'
import type { Known } from './known'
import { roughBytes } from './rough-bytes'

const at = practiceFile()

it('a household with more lots and more air is larger', () => {
  const lots = (n: number) => new Map(Array.from({ length: n }, (_, i) => [String(i), {}])) as unknown as Known['lots']
  const air = (hours: number) =>
    new Map([
      [
        'p',
        {
          record: { startMs: 0, temperatureC: new Float32Array(hours), relativeHumidityPct: new Float32Array(hours) },
          lastAtMs: null,
          epoch: 0,
        },
      ],
    ]) as Known['measured']
  const small = roughBytes({ lots: lots(3), measured: air(100) })
  expect(roughBytes({ lots: lots(4), measured: air(100) })).toBeGreaterThan(small)
  expect(roughBytes({ lots: lots(3), measured: air(90_000) })).toBeGreaterThan(small + 500_000)
  // 150 lots in eight places, whose air is read 900 days back: seven of them fit
  expect(roughBytes({ lots: lots(150), measured: air(8 * 21_600) })).toBeLessThan(260e6 / 7)
})

it('only so many are kept, the longest not asked for go first, and come back the same', async () => {
  await at.client.post('/harvests', { ...garlicHarvest(at.place('Veranda')), requestId: randomUUID() })
  const { rows } = await at.served.pool.query(
    `select id, address, name, time_zone as "timeZone", latitude_deg as "latitudeDeg", altitude_m as "altitudeM",
       season_start as "seasonStart", demo, practice_now as "practiceNow", revision, setup_revision as "setupRevision",
       air_revision as "airRevision", units, whole
     from households`,
  )
  const houses = new Houses(at.served.pool)
  const first = await houses.of(rows[0])
  expect(await houses.of(rows[0])).toBe(first)
  // fifty others that are not there to be loaded take its place one by one
  for (let i = 0; i < 50; i++) await houses.of({ ...rows[0], id: randomUUID() })
  const again = await houses.of(rows[0])
  expect(again).not.toBe(first)
  expect(again.lots.map((lot) => lot.code)).toEqual(first.lots.map((lot) => lot.code))
})

it('what it is set up with has a revision of its own: an entry leaves it, a place raises it and is shown', async () => {
  const setup = async () =>
    (await at.served.pool.query<{ revision: number }>('select setup_revision as revision from households')).rows[0]!
      .revision
  const { body } = await at.client.get('/lots')
  const before = await setup()
  await at.client.post(`/lots/${body[0].code}/acts`, { act: 'note', text: 'dry so far', requestId: randomUUID() })
  expect(await setup()).toBe(before)
  await at.client.post('/places', { name: 'Root clamp', kind: 'clamp' })
  expect(await setup()).toBeGreaterThan(before)
  expect(JSON.stringify((await at.client.get('/stores')).body)).toContain('Root clamp')
})
