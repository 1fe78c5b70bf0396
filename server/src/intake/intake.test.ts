import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile('2026-07-12')
const pick = (crop: string, weightG: number, over: object = {}) =>
  at.client.post('/picks', { requestId: randomUUID(), crop, weightG, ...over })
const lot = async (code: string) => (await at.client.get(`/lots/${code}`)).body

describe('the daily pick', () => {
  it('adds up in one lot a week and starts the next on Monday', async () => {
    const first = await pick('courgette', 800)
    expect(first.status).toBe(201)
    const code = first.body.lots[0].code
    // 12 July 2026 is a Sunday: the next morning begins a week
    expect((await pick('courgette', 450)).body.lots[0].code).toBe(code)
    expect((await lot(code)).weightG).toBe(1250)
    await at.client.post('/clock', { to: 'next-morning' })
    expect((await pick('courgette', 300)).body.lots[0].code).not.toBe(code)
    const { weeks, totalG } = (await at.client.get('/picks')).body.find((p: { crop: string }) => p.crop === 'courgette')
    expect(totalG).toBe(1550)
    expect(weeks).toEqual([
      { from: '2026-07-06', weightG: 1250 },
      { from: '2026-07-13', weightG: 300 },
    ])
  })
  it('sent twice counts once; what hangs is no pick; nonsense is refused', async () => {
    const requestId = randomUUID()
    await pick('raspberry', 200, { requestId })
    const again = await pick('raspberry', 200, { requestId })
    expect((await lot(again.body.lots[0].code)).weightG).toBe(200)
    expect((await pick('garlic-hardneck', 500)).body.error.message).toMatch(/bring it in as a harvest/)
    expect((await pick('moonfruit', 500)).body.error.code).toBe('unknown-crop')
    for (const weightG of [0, -5, 1.5, 3_000_000]) expect((await pick('courgette', weightG)).status).toBe(400)
  })
})

describe('several harvests of one bed', () => {
  it('go into one lot while it is young, and not once it has hung for days', async () => {
    const made = await at.client.post('/harvests', garlicHarvest(at.place('Veranda')))
    const code = made.body.lots[0].code
    const more = (addTo: string, heap = 'sound') =>
      at.client.post('/harvests', {
        ...garlicHarvest(at.place('Veranda')),
        totalG: 1000,
        heaps: [{ heap, weightG: 1000, addTo }],
      })
    expect((await more(code)).body.lots).toEqual([{ code, heap: 'sound', weightG: 1000 }])
    expect((await lot(code)).weightG).toBe(5900)
    expect((await more(code, 'nicked')).body.error.message).toMatch(/another crop or another heap/)
    expect((await more('G26-99')).status).toBe(404)
    await at.client.post('/clock', { to: 'next-week' })
    expect((await more(code)).body.error.message).toMatch(/hold it back/)
    expect((await lot(code)).weightG).toBe(5900)
  })
})

describe('a diseased heap', () => {
  it('marks the bed, and the bed is told of', async () => {
    await at.client.post('/harvests', {
      ...garlicHarvest(at.place('Veranda')),
      totalG: 500,
      bed: 'Bed 13',
      heaps: [{ heap: 'diseased', weightG: 500 }],
    })
    expect((await at.client.get('/harvests/marked-beds')).body).toEqual([
      { bed: 'Bed 13', crop: 'garlic-hardneck', on: '2026-07-12' },
    ])
  })
})

describe('a picture of a lot', () => {
  const send = async (code: string, body: Buffer, type = 'image/jpeg') => {
    return fetch(at.client.address(`/lots/${code}/photo`), {
      method: 'POST',
      headers: { 'Content-Type': type },
      body: new Uint8Array(body),
    })
  }
  // start, JFIF, EXIF with a place in it, comment, tables left out, scan, data, end
  const segment = (marker: number, text: string) => {
    const data = Buffer.from(text)
    const head = Buffer.from([0xff, marker, (data.length + 2) >> 8, (data.length + 2) & 255])
    return Buffer.concat([head, data])
  }
  const jpeg = Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, 'JFIF\0'),
    segment(0xe1, 'Exif\0\0 48.1N 16.3E'),
    segment(0xfe, 'taken at home'),
    segment(0xda, 'scan'),
    Buffer.from([1, 2, 3, 0xff, 0xd9]),
    Buffer.from('trailing place 48.1N'),
  ])
  it('keeps the picture and none of what the camera wrote beside it', async () => {
    const answer = await send('G26-1', jpeg)
    expect(answer.status).toBe(201)
    const kept = Buffer.from(await (await fetch(at.client.address(`/lots/G26-1/photo.jpg`))).arrayBuffer())
    expect(kept.includes('48.1N')).toBe(false)
    expect(kept.includes('taken at home')).toBe(false)
    expect(kept.includes('JFIF')).toBe(true)
    expect(kept.subarray(-5)).toEqual(Buffer.from([1, 2, 3, 0xff, 0xd9]))
    expect((await lot('G26-1')).pictured).toBe(true)
  })
  it('is refused when it is none, too large, or of no lot', async () => {
    expect((await send('G26-1', Buffer.from('GIF89a'))).status).toBe(400)
    expect((await send('G26-1', jpeg.subarray(0, 30))).status).toBe(400)
    expect((await send('G26-1', jpeg, 'text/plain')).status).toBe(400)
    expect((await send('G26-1', Buffer.concat([jpeg, Buffer.alloc(500_000)]))).status).toBe(413)
    expect((await send('G26-77', jpeg)).status).toBe(404)
    expect((await fetch(at.client.address(`/lots/G26-2/photo.jpg`))).status).toBe(404)
  })
})
