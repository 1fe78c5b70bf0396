import { randomUUID } from 'node:crypto'
import { afterAll, expect, it } from 'vitest'
import { besides, garlicHarvest, practiceFile, practiceHousehold } from '../testing/fresh'

const at = practiceFile()

const ends: (() => Promise<void>)[] = []
async function begin() {
  const { client, close } = await besides(at)
  ends.push(close)
  return client
}
afterAll(() => Promise.all(ends.map((end) => end())))

it('two servers written to at once say the same of a household as one that has just begun', async () => {
  for (let i = 0; i < 3; i++) {
    await at.client.post('/harvests', { ...garlicHarvest(at.place('Veranda')), requestId: randomUUID() })
  }
  const codes = (await at.client.get('/lots')).body.map((lot: { code: string }) => lot.code) as string[]
  const pair = [await begin(), await begin()]
  const acts = [
    { act: 'note', text: 'looked at' },
    { act: 'use', weightG: 7 },
    { act: 'lose', weightG: 5, cause: 'rot' },
    { act: 'weigh', weightG: 5000, basis: 'lot', sure: true },
    { act: 'move', placeId: at.place('Kitchen'), weightG: 11 },
  ]
  const hand = async (n: number) => {
    for (let i = 0; i < 10; i++) {
      const code = codes[(n + i) % codes.length]!
      const answer = await pair[(n + i) % 2]!.post(`/lots/${code}/acts`, {
        ...acts[(2 * n + i) % 5],
        requestId: randomUUID(),
      })
      expect(answer.status).toBe(201)
      if (i % 3 === 0) await pair[(n + i + 1) % 2]!.get('/larder')
    }
  }
  await Promise.all([0, 1, 2, 3].map(hand))
  const newcomer = await begin()
  for (const path of ['/lots', '/line', '/stores', '/larder', '/round', '/year', `/lots/${codes[0]}`]) {
    const said = (await newcomer.get(path)).body
    for (const one of pair) expect((await one.get(path)).body).toEqual(said)
  }
})

it('a household that is gone is written to by no server that knew it, and who comes after it under its name is', async () => {
  const [here, there] = [await begin(), await begin()]
  const start = async () => {
    const { place } = await practiceHousehold(there, '2026-07-12', 'Coming House')
    here.household = there.household
    return (await there.post('/harvests', garlicHarvest(place('Veranda')))).body.lots[0].code as string
  }
  const code = await start()
  const note = (text: string) => here.post(`/lots/${code}/acts`, { requestId: randomUUID(), act: 'note', text })
  expect([(await note('one')).status, (await note('two')).status]).toEqual([201, 201])
  const remove = () => there.send('DELETE', '', { name: 'Coming House' })
  expect((await remove()).status).toBe(200)
  const { status, body } = await note('to nobody')
  expect([status, body.error.code]).toEqual([404, 'no-such-household'])
  // met here, and then removed and begun again by other hands
  expect([await start(), (await note('three')).status]).toEqual([code, 201])
  expect((await remove()).status).toBe(200)
  expect([await start(), (await note('four')).status]).toEqual([code, 201])
  const { events } = (await there.get(`/lots/${code}`)).body as { events: { kind: string }[] }
  expect(events.filter(({ kind }) => kind === 'noted')).toHaveLength(1)
})
