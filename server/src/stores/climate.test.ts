import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { Told } from '@vadose/contract/shapes'
import { inPlainWords } from '@vadose/words'
import { practiceFile } from '../testing/fresh'

const at = practiceFile('2026-11-20')
const post = (path: string, what: object) => at.client.post(path, { requestId: randomUUID(), ...what })
const bring = async (crop: string, weightG: number, place: string) => {
  const heaps = [{ heap: 'sound', weightG, placeId: at.place('Cellar') }]
  const harvest = { crop, harvestedOn: '2026-11-19', totalG: weightG, heaps, sure: true }
  const code = (await post('/harvests', harvest)).body.lots[0].code as string
  if (place !== 'Cellar') await post(`/lots/${code}/acts`, { act: 'move', placeId: at.place(place) })
  return code
}

describe('a place’s climate', () => {
  it('is twelve months with how sure, fitted to what was read there', async () => {
    const { body } = await at.client.get(`/places/${at.place('Cellar')}/climate`)
    expect(body.months).toHaveLength(12)
    expect(body.fittedDays).toBeGreaterThan(10)
    for (const { temperatureC: t, relativeHumidityPct: rh } of body.months) {
      expect(t.p10).toBeLessThan(t.p50)
      expect(rh.p50).toBeLessThan(rh.p90)
    }
    const january = (name: string) =>
      at.client
        .get(`/places/${at.place(name)}/climate`)
        .then(
          ({ body: b }) =>
            b.months.find(({ month }: { month: string }) => month === '2027-01').temperatureC.p50 as number,
        )
    expect(await january('Veranda')).toBeLessThan((await january('Cellar')) - 4)
    expect((await at.client.get(`/places/${randomUUID()}/climate`)).status).toBe(404)
  })

  it('of a place nobody measured says it is a guess, and a thermometer there tells more than elsewhere', async () => {
    const { id } = (await at.client.post('/places', { name: 'Pit', kind: 'clamp' })).body
    // its sensor's readings are struck: nobody has measured
    const strike = { requestId: randomUUID(), from: '2026-10-01', to: '2026-11-20', struck: true }
    expect((await at.client.post(`/places/${id}/readings/strike`, strike)).status).toBeLessThan(300)
    const pit = (await at.client.get(`/places/${id}/climate`)).body
    const cellar = (await at.client.get(`/places/${at.place('Cellar')}/climate`)).body
    const spread = (view: typeof pit) => view.months[1].temperatureC.p90 - view.months[1].temperatureC.p10
    expect(pit.fittedDays).toBe(0)
    expect(spread(pit)).toBeGreaterThan(1.3 * spread(cellar))
    const code = await bring('carrot', 20_000, 'Cellar')
    await post(`/lots/${code}/acts`, { act: 'move', placeId: id })
    const worth = (await at.client.get('/stores/thermometers')).body as {
      place: string
      daysNow: number
      daysThen: number
    }[]
    const there = worth.find(({ place }) => place === 'Pit')!
    expect(there.daysThen).toBeLessThanOrEqual(there.daysNow)
    expect(pit.conflicts).toEqual([])
    const after = (await at.client.get(`/places/${id}/climate`)).body
    expect(after.conflicts.map(({ kind }: { kind: string }) => kind)).toContain('slugs')
  })
})

describe('what does not go together', () => {
  it('is said of the place: gas, mice, light', async () => {
    await bring('apple-late', 60_000, 'Cellar')
    const potatoes = await bring('potato-maincrop', 20_000, 'North room')
    await post(`/lots/${potatoes}/acts`, {
      act: 'finish',
      pack: 'box',
      placeId: at.place('North room'),
      weightG: 19_800,
      sure: true,
    })
    await at.client.put(`/places/${at.place('North room')}`, { mice: true, holdsKg: 100 })
    const places = (await at.client.get('/stores')).body.places as {
      name: string
      mice: boolean
      holdsKg: number | null
      conflicts: { kind: string; codes: string[] }[]
    }[]
    const room = places.find(({ name }) => name === 'North room')!
    expect(room).toMatchObject({ mice: true, holdsKg: 100 })
    expect(room.conflicts.filter(({ codes }) => codes.includes(potatoes)).map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['light', 'mice']),
    )
    const cellar = places.find(({ name }) => name === 'Cellar')!
    expect(cellar.conflicts.every(({ kind }) => kind !== 'mice')).toBe(true)
  })
})

describe('alarms', () => {
  it('ring for frost with what to do, stay muted, come home in the open file', async () => {
    const code = await bring('squash-butternut', 12_000, 'Veranda')
    let ringing: { key: string; kind: string; codes: string[]; todo: Told }[] = []
    for (let week = 0; week < 8 && !ringing.some(({ kind }) => kind === 'frost'); week++) {
      await at.client.post('/clock', { to: 'next-week' })
      ringing = (await at.client.get('/alarms')).body.ringing
    }
    const frost = ringing.find(({ kind }) => kind === 'frost')!
    expect(frost.codes).toContain(code)
    expect(inPlainWords(frost.todo)).toMatch(/Carry|Cover/)
    expect((await post('/alarms/mute', { key: frost.key, muted: true })).status).toBe(201)
    const after = (await at.client.get('/alarms')).body
    expect(after.ringing.map(({ key }: { key: string }) => key)).not.toContain(frost.key)
    expect(after.muted.map(({ key }: { key: string }) => key)).toContain(frost.key)
    const file = await (await fetch(at.client.address('/file'))).json()
    expect(file.muted).toMatchObject([{ key: frost.key }])
    await post('/alarms/mute', { key: frost.key, muted: false })
    expect((await at.client.get('/alarms')).body.ringing.map(({ key }: { key: string }) => key)).toContain(frost.key)
  })
})

describe('what the best arrangement is worked out from', () => {
  it('has every stored lot, to stay first among its ways, and room as it was said', async () => {
    const { body, status } = await at.client.get('/stores/arrangement')
    expect(status).toBe(200)
    const { problem, names } = body
    expect(names).toContain('Cellar')
    expect(problem.places[names.indexOf('North room')].holdsKg).toBe(100)
    expect(problem.lots.length).toBeGreaterThan(1)
    for (const lot of problem.lots) {
      expect(lot.ways[0].moves).toBe(0)
      expect(lot.ways[0].places).toEqual(Array(6).fill(lot.at))
      for (const way of lot.ways) expect(way.lossKg).toBeGreaterThanOrEqual(0)
      expect(Math.max(...lot.ways.map((way: { lossKg: number }) => way.lossKg))).toBeLessThanOrEqual(lot.kg)
    }
  })
})
