import { randomUUID } from 'node:crypto'
import type { LotView } from '@vadose/contract/lots'
import type { PlaceView } from '@vadose/contract/places'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile()
const places = async () => (await at.client.get('/places')).body as PlaceView[]
const named = async (name: string) => (await places()).find((place) => place.name === name)
const retired = async () => (await at.client.get('/places/retired')).body as { name: string }[]
const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body as LotView
const retire = (id: string, to = true) => at.client.put(`/places/${id}/retired`, { retired: to })
const divide = (name: string, within: string) => at.client.post('/places', { name, kind: 'room', within })
const act = (code: string, body: object) => at.client.post(`/lots/${code}/acts`, { requestId: randomUUID(), ...body })

beforeAll(async () => {
  for (const crop of ['carrot', 'beetroot']) {
    await at.client.post('/harvests', {
      requestId: randomUUID(),
      crop,
      harvestedOn: '2026-07-12',
      totalG: 8000,
      heaps: [{ heap: 'sound', weightG: 8000, placeId: at.place('Cellar') }],
    })
  }
  await at.client.post('/clock', { to: 'next-week' })
})

describe('a place divided', () => {
  it('has a part that is called by it, is of its kind, has its air, and follows it in the walk', async () => {
    const cellar = (await named('Cellar'))!
    expect((await divide('top shelf', cellar.id)).status).toBe(201)
    const shelf = (await named('Cellar, top shelf'))!
    expect(shelf).toMatchObject({ kind: 'cellar', within: cellar.id, air: cellar.air, recent: cellar.recent })
    const order = (await places()).map(({ name }) => name)
    expect(order.indexOf('Cellar, top shelf')).toBe(order.indexOf('Cellar') + 1)
  })
  it('keeps what is moved to the part as long as in the whole, until the part is measured itself', async () => {
    const shelf = (await named('Cellar, top shelf'))!
    const before = (await lot('R26-1')).keeping!.nineInTenUntil
    expect((await act('R26-1', { act: 'move', placeId: shelf.id })).status).toBe(201)
    expect((await lot('R26-1')).keeping!.nineInTenUntil).toEqual(before)
    await at.client.post(`/places/${shelf.id}/readings`, { temperatureC: 19, relativeHumidityPct: 45 })
    expect((await named('Cellar, top shelf'))!.air.temperatureC).toBe(19)
    expect((await named('Cellar'))!.air.temperatureC).not.toBe(19)
  })
  it('takes its parts along when it is renamed, and lends them its kind', async () => {
    const { id } = (await named('Cellar'))!
    const shelf = (await named('Cellar, top shelf'))!
    await at.client.put(`/places/${id}`, { name: 'Vault', kind: 'shed' })
    expect(await named('Vault, top shelf')).toMatchObject({ kind: 'shed' })
    expect((await lot('R26-1')).place).toBe('Vault, top shelf')
    expect((await at.client.put(`/places/${shelf.id}`, { kind: 'room' })).body.error.message).toMatch(/part of Vault/)
    await at.client.put(`/places/${id}`, { name: 'Cellar', kind: 'cellar' })
  })
  it('refuses a part of a part, a name too long or taken, and a whole nobody has', async () => {
    const { id } = (await named('Cellar'))!
    const shelf = (await named('Cellar, top shelf'))!
    expect((await divide('left', shelf.id)).body.error.message).toMatch(/part already/)
    expect((await divide('Top Shelf', id)).body.error.code).toBe('taken')
    expect((await divide('the shelf behind the old wine press on the left', id)).status).toBe(400)
    expect((await divide('left', randomUUID())).status).toBe(404)
  })
})

describe('a place made dark or bright', () => {
  it('greens potatoes or does not, whatever its kind; its kind’s way again when nothing is said', async () => {
    const room = (await named('North room'))!
    expect(room.dark).toBe(false)
    await at.client.post('/harvests', {
      requestId: randomUUID(),
      crop: 'potato-maincrop',
      harvestedOn: '2026-07-19',
      totalG: 9000,
      heaps: [{ heap: 'sound', weightG: 9000, placeId: room.id }],
    })
    const pack = { act: 'finish', pack: 'box', placeId: room.id, weightG: 8900, pieces: 90, sure: true }
    expect((await act('P26-1', pack)).status).toBe(201)
    const ends = async () => (await lot('P26-1')).keeping!.endedBy.map(({ end }) => end)
    expect(await ends()).toContain('greening')
    await at.client.put(`/places/${room.id}`, { dark: true })
    expect((await named('North room'))!.dark).toBe(true)
    expect(await ends()).not.toContain('greening')
    await at.client.put(`/places/${room.id}`, { dark: null })
    expect(await ends()).toContain('greening')
    await act('P26-1', { act: 'use', pieces: 90 })
  })
})

describe('a place out of use', () => {
  it('is refused while something lies there, or when it is the last', async () => {
    const { id } = (await named('Cellar'))!
    expect((await retire(id)).body.error.message).toMatch(/R26-2 still there: move what lies in Cellar first/)
    expect((await retire(randomUUID())).status).toBe(404)
    expect((await retire('cellar')).status).toBe(404)
  })
  it('is no choice any more, its lots’ past stays told, and it comes back', async () => {
    const room = at.place('North room')
    await act('R26-2', { act: 'move', placeId: room })
    await act('R26-2', { act: 'move', placeId: at.place('Cellar') })
    const before = await lot('R26-2')
    expect((await retire(room)).status).toBe(200)
    expect(await named('North room')).toBeUndefined()
    expect((await retired()).map(({ name }) => name)).toEqual(['North room'])
    const after = await lot('R26-2')
    expect(after.events).toEqual(before.events)
    expect(after.keeping!.nineInTenUntil).toEqual(before.keeping!.nineInTenUntil)
    expect((await act('R26-2', { act: 'move', placeId: room })).body.error.message).toBe('North room is out of use.')
    expect((await at.client.post('/places', { name: 'north room', kind: 'room' })).body.error.message).toMatch(
      /out of use/,
    )
    // an entry struck out brings the lot back to where it cannot be put: it is seen there all the same
    const moved = after.events.filter((event) => event.kind === 'moved').at(-1)!
    await at.client.post('/lots/R26-2/strike', { requestId: randomUUID(), event: moved.id, why: 'never went back' })
    expect((await lot('R26-2')).place).toBe('North room')
    expect(await named('North room')).toBeDefined()
    expect((await retire(room, false)).status).toBe(200)
    expect(await retired()).toEqual([])
  })
})

describe('two places that are one', () => {
  it('are joined: everything moves, parts and all, and each move stands in its lot', async () => {
    const [cellar, kitchen] = [(await named('Cellar'))!, (await named('Kitchen'))!]
    await act('R26-2', { act: 'move', placeId: cellar.id })
    const join = (into: string) => at.client.post(`/places/${cellar.id}/join`, { requestId: randomUUID(), into })
    const shelf = (await named('Cellar, top shelf'))!
    expect((await join(shelf.id)).status).toBe(400)
    expect((await join(cellar.id)).status).toBe(400)
    expect((await join(randomUUID())).status).toBe(404)
    const { status, body } = await join(kitchen.id)
    expect([status, body.moved]).toEqual([201, ['R26-2', 'R26-1']])
    for (const code of ['R26-1', 'R26-2']) {
      const { place, events } = await lot(code)
      expect([place, events.at(-1)!.kind]).toEqual(['Kitchen', 'moved'])
    }
    expect((await retired()).map(({ name }) => name)).toEqual(['Cellar', 'Cellar, top shelf'])
  })
  it('and the file brings back the parts and what is out of use', async () => {
    const file = (await at.client.get('/file')).body
    const other = at.served.client()
    const brought = await other.post('/household-files', file)
    expect(brought.status).toBe(201)
    other.household = brought.body.address
    expect((await other.get('/places/retired')).body.map((p: { name: string }) => p.name)).toEqual([
      'Cellar',
      'Cellar, top shelf',
    ])
  })
})

describe('the places in another order', () => {
  it('are walked so from then on, parts after their whole; nobody else’s', async () => {
    const names = async () =>
      ((await at.client.get('/places')).body as { id: string; name: string }[]).map(({ name }) => name)
    const before = (await at.client.get('/places')).body as { id: string; name: string; within: string | null }[]
    const wholes = before.filter(({ within }) => within === null)
    const turned = [...wholes].reverse().map(({ id }) => id)
    expect((await at.client.put('/places-order', { ids: turned })).status).toBe(200)
    expect((await names()).filter((name) => wholes.some((whole) => whole.name === name))).toEqual(
      [...wholes].reverse().map(({ name }) => name),
    )
    expect((await at.client.put('/places-order', { ids: ['00000000-0000-4000-8000-000000000000'] })).status).toBe(404)
  })
})
