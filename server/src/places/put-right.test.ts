import { randomUUID } from 'node:crypto'
import type { PlaceView } from '@vadose/contract/places'
import type { LotView } from '@vadose/contract/lots'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile } from '../testing/fresh'

const at = practiceFile()
const places = async () => (await at.client.get('/places')).body as PlaceView[]
const cellar = async () => (await places()).find((p) => p.id === at.place('Cellar'))!
const lot = async () => (await at.client.get('/lots/R26-1')).body as LotView
const today = async () => (await at.client.get('/frame')).body.today as string
const put = (id: string, what: object) => at.client.put(`/places/${id}`, what)
const strike = (what: object) =>
  at.client.post(`/places/${at.place('Cellar')}/readings/strike`, { requestId: randomUUID(), ...what })

beforeAll(async () => {
  await at.client.post('/harvests', {
    requestId: randomUUID(),
    crop: 'carrot',
    harvestedOn: await today(),
    totalG: 8000,
    heaps: [{ heap: 'sound', weightG: 8000, placeId: at.place('Cellar') }],
  })
  await at.client.post('/clock', { to: 'next-week' })
})

describe('a place put right', () => {
  it('has another name at once, everywhere', async () => {
    expect((await put(at.place('Cellar'), { name: 'Root cellar' })).status).toBe(200)
    expect((await cellar()).name).toBe('Root cellar')
    expect((await lot()).place).toBe('Root cellar')
  })
  it('is of another kind: the air to expect is, and so are the dates', async () => {
    const before = (await lot()).keeping!.nineInTenUntil.p50
    expect((await put(at.place('Cellar'), { kind: 'room' })).status).toBe(200)
    expect((await cellar()).kind).toBe('room')
    expect((await lot()).keeping!.nineInTenUntil.p50).not.toBe(before)
    expect((await put(at.place('Cellar'), { kind: 'cellar', name: 'Cellar' })).status).toBe(200)
    expect((await lot()).keeping!.nineInTenUntil.p50).toBe(before)
  })
  it('refuses a name that is taken, and a place nobody has', async () => {
    expect((await put(at.place('Cellar'), { name: 'Veranda' })).body.error.code).toBe('taken')
    expect((await put(randomUUID(), { name: 'Nowhere' })).status).toBe(404)
    expect((await put('cellar', { name: 'Nowhere' })).status).toBe(404)
    expect((await put(at.place('Cellar'), { kind: 'moon' })).status).toBe(400)
  })
})

describe('a span of readings', () => {
  it('struck out counts no longer, stays, and can count again', async () => {
    const before = { place: await cellar(), keeping: (await lot()).keeping }
    const on = await today()
    const { status, body } = await strike({ from: on, to: on, struck: true })
    expect([status, body.readings > 0]).toEqual([200, true])
    expect((await cellar()).air.at! < before.place.air.at!).toBe(true)
    expect((await strike({ from: on, to: on, struck: true })).body.readings).toBe(0)
    expect((await strike({ from: on, to: on, struck: false })).body.readings).toBe(body.readings)
    expect({ place: await cellar(), keeping: (await lot()).keeping }).toEqual(before)
  })
  it('refuses a span that ends before it begins', async () => {
    expect((await strike({ from: '2026-08-02', to: '2026-08-01', struck: true })).body.error.field).toBe('to')
  })
})
