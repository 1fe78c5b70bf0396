import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { inTransaction, openPool, type Pool } from '../database'
import { householdAt } from '../households'
import { writeAct } from '../lots/write'
import { garlicHarvest, practiceFile } from '../testing/fresh'
import { momentOf, Visit } from '../visit'
import { Foreseen } from './foreseen'
import { Houses, takeEntered, type Entered } from './index'
import type { Known } from './known'

const at = practiceFile()
let pool: Pool
beforeAll(() => {
  const url = new URL(at.served.url)
  url.username = 'vadose_server'
  url.password = 'test'
  pool = openPool(url.href)
})
afterAll(() => pool.end())

const find = async () => (await householdAt(pool, at.client.household))!
const weigh = (weightG: number) => ({ act: 'weigh', weightG, basis: 'lot', sure: true }) as never

it('what was foreseen is of use for those very writes, on what was known then', () => {
  const foreseen = new Foreseen()
  const known = { house: {} } as Known
  const [one, two] = [{ lotId: 'a' }, { lotId: 'b' }] as Entered[] as [Entered, Entered]
  const next = { house: {} } as Known
  foreseen.add('h', known, [one, two], next)
  expect(foreseen.take('other', known, [one, two])).toBeUndefined()
  expect(foreseen.take('h', known, [one])).toBeUndefined()
  expect(foreseen.take('h', known, [two, one])).toBeUndefined()
  expect(foreseen.take('h', known, [])).toBeUndefined()
  // new air was worked in meanwhile
  expect(foreseen.take('h', { house: {} } as Known, [one, two])).toBeUndefined()
  expect(foreseen.take('h', known, [one, two])).toBe(next)
  // nothing is held on to
  expect(foreseen.take('h', known, [one, two])).toBeUndefined()
  foreseen.add('h', known, [one], next)
  foreseen.forget('h')
  expect(foreseen.take('h', known, [one])).toBeUndefined()
})

it('a write that was taken back leaves nothing of what was foreseen of it, and the next one counts once', async () => {
  const { body } = await at.client.post('/harvests', { ...garlicHarvest(at.place('Veranda')), requestId: randomUUID() })
  const code = body.lots[0].code as string
  const houses = new Houses(pool)
  await houses.settled(await find())
  const before = await find()
  const entered: Entered[] = []
  const refused = inTransaction(pool, before.id, async (db) => {
    await writeAct(db, momentOf(before), code, weigh(4000), null)
    entered.push(...takeEntered(db))
    throw new Error('taken back')
  })
  await expect(refused).rejects.toThrow('taken back')
  expect(entered).toHaveLength(1)
  await houses.foresee(before, entered)
  const weighings = async (of: Houses) => {
    const row = await find()
    const { history, weightG } = (await of.of(row)).lot(code)!
    return { weights: history.weighings.map((one) => one.weightG), weightG, moves: [...(await of.moves(row))] }
  }
  expect(await weighings(houses)).toEqual(await weighings(new Houses(pool)))
  expect((await weighings(houses)).weights).not.toContain(4000)

  const visit = new Visit(pool, houses, await find(), '')
  await visit.write((db, moment) => writeAct(db, moment, code, weigh(5800), null))
  await visit.house()
  const told = await weighings(houses)
  expect(told).toEqual(await weighings(new Houses(pool)))
  expect(told.weights.filter((weightG) => weightG === 5800)).toHaveLength(1)
})

it('a write finds worked out what it changed, where nobody was in between', async () => {
  const { body } = await at.client.get('/lots')
  const code = body[0].code as string
  const houses = new Houses(pool)
  await houses.settled(await find())
  const add = vi.spyOn(Foreseen.prototype, 'add')
  const visit = new Visit(pool, houses, await find(), '')
  await visit.write((db, moment) => writeAct(db, moment, code, weigh(5700), null))
  await expect.poll(() => add.mock.calls.length).toBe(1)
  const house = await visit.house()
  expect(house).toBe(add.mock.calls[0]![3].house)
  expect(house.lot(code)!.history.weighings.at(-1)!.weightG).toBe(5700)
  add.mockRestore()
})
