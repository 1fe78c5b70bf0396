import { randomUUID } from 'node:crypto'
import { expect, it } from 'vitest'
import { openPool } from '../database'
import { householdAt, type HouseholdRow } from '../households'
import { writeAct } from '../lots/write'
import { Visit } from '../visit'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { Houses, type Entered } from './index'
import { Writes } from './entered'

const at = practiceFile()

const row = (revision: number, setupRevision = 1) => ({ id: 'h', revision, setupRevision }) as HouseholdRow
const entered = (kind = 'noted') => [{ lotId: 'l', events: [{ kind }] }] as unknown as Entered[]

it('what was entered between two revisions is known only without a gap and with nothing else written', () => {
  const writes = new Writes()
  const [first, second] = [entered(), entered('weighed')]
  writes.add(row(5), row(6), first)
  writes.add(row(6), row(7), second)
  expect(writes.between('h', 5, 7)).toEqual([...first, ...second])
  expect(writes.between('h', 6, 7)).toEqual(second)
  expect(writes.between('h', 4, 7)).toBeUndefined()
  expect(writes.between('h', 5, 8)).toBeUndefined()
  // a place was renamed in the same transaction, or another server wrote in between
  writes.add(row(7), row(9), entered())
  expect(writes.between('h', 6, 9)).toBeUndefined()
  writes.add(row(10), row(11, 2), entered())
  expect(writes.between('h', 10, 11)).toBeUndefined()
  // what says something of other entries is read
  writes.add(row(12), row(13), entered('undone'))
  expect(writes.between('h', 12, 13)).toBeUndefined()
})

it('what a server wrote itself it does not ask for, and knows as one that reads it all', async () => {
  const { body } = await at.client.post('/harvests', { ...garlicHarvest(at.place('Veranda')), requestId: randomUUID() })
  const [code] = body.lots.map((lot: { code: string }) => lot.code) as [string]
  const url = new URL(at.served.url)
  url.username = 'vadose_server'
  url.password = 'test'
  const pool = openPool(url.href)
  const houses = new Houses(pool)
  const find = async () => (await householdAt(pool, at.client.household))!
  // pictures and harvests stay as they are: a lot's page does not ask for them again
  const { besides } = await houses.settled(await find())
  let asked = 0
  pool.on('acquire', () => asked++)
  const acts = [
    { act: 'weigh', weightG: 5900, basis: 'lot', sure: true },
    { act: 'note', text: 'necks still green' },
    { act: 'use', weightG: 200 },
    { act: 'lose', weightG: 90, cause: 'rot' },
  ] as const
  for (const act of acts) {
    const visit = new Visit(pool, houses, await find(), '')
    await visit.write((db, moment) => writeAct(db, moment, code, act as never, null))
    const before = asked
    const house = await visit.house()
    expect(asked).toBe(before)
    expect(house.besides).toBe(besides)
    const other = new Houses(pool)
    const read = await other.settled(visit.household)
    expect(house.lot(code)!.history).toEqual(read.lot(code)!.history)
    expect([...(await visit.moves())]).toEqual([...(await other.moves(visit.household))])
  }
  // entries another server wrote are read, and with them those of its own that came after: they are not counted again
  const there = new Visit(pool, new Houses(pool), await find(), '')
  const use = { act: 'use', weightG: 70 } as never
  await there.write((db, moment) => writeAct(db, moment, code, use, null))
  const here = new Visit(pool, houses, there.household, '')
  await here.write((db, moment) => writeAct(db, moment, code, use, null))
  await houses.of(there.household)
  expect([...(await here.moves())]).toEqual([...(await new Houses(pool).moves(here.household))])
  expect((await here.house()).lot(code)!.weightG).toBe(5900 - 200 - 90 - 70 - 70)

  // an act that takes a part off makes a lot: that is read
  const visit = new Visit(pool, houses, await find(), '')
  const { made } = await visit.write((db, moment) =>
    writeAct(db, moment, code, { act: 'move', placeId: at.place('Kitchen'), weightG: 500 } as never, null),
  )
  expect((await visit.house()).lot(made[0]!)?.weightG).toBe(500)
  expect((await visit.house()).besides).not.toBe(besides)
  await pool.end()
})
