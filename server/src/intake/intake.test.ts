import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import sharp from 'sharp'
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
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#7a5' } })
  // lying on its side, with the place and owner that a camera writes
  const fromCamera = () =>
    picture(2400, 1200)
      .withExif({ IFD0: { Copyright: 'taken at home', ImageDescription: '48.1N 16.3E' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
  it('keeps the picture upright and small, and none of what the camera wrote beside it', async () => {
    const taken = await fromCamera()
    expect(taken.includes('taken at home')).toBe(true)
    expect((await send('G26-1', taken)).status).toBe(201)
    const kept = Buffer.from(await (await fetch(at.client.address(`/lots/G26-1/photo.jpg`))).arrayBuffer())
    for (const beside of ['48.1N', 'taken at home', 'Exif']) expect(kept.includes(beside)).toBe(false)
    const { width, height, format, exif, icc, xmp } = await sharp(kept).metadata()
    expect([width, height, format, exif, icc, xmp]).toEqual([800, 1600, 'jpeg', undefined, undefined, undefined])
    expect((await lot('G26-1')).pictured).toBe(true)
    expect((await send('G26-1', await picture(30, 20).png().toBuffer(), 'image/png')).status).toBe(201)
  })
  it('is on the lot’s page at once, though the page was read before it, and another page is told', async () => {
    const revision = async () => Number((await at.client.get('/frame')).headers.get('x-revision'))
    expect((await lot('G26-3')).pictured).toBe(false)
    const before = await revision()
    expect((await send('G26-3', await picture(20, 20).jpeg().toBuffer())).status).toBe(201)
    expect((await lot('G26-3')).pictured).toBe(true)
    expect(await revision()).toBeGreaterThan(before)
    expect((await lot('G26-2')).pictured).toBe(false)
  })
  it('is refused when it is none, too large, or of no lot', async () => {
    const jpeg = await fromCamera()
    const refused = async (body: Buffer, type?: string) => {
      const answer = await send('G26-1', body, type)
      return [answer.status, ((await answer.json()) as { error: { message: string } }).error.message]
    }
    expect((await refused(Buffer.from('GIF89a')))[0]).toBe(400)
    expect((await refused(jpeg.subarray(0, jpeg.length / 2)))[0]).toBe(400)
    expect((await refused(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>')))[0]).toBe(400)
    expect((await refused(jpeg, 'text/plain'))[0]).toBe(400)
    expect((await refused(Buffer.alloc(21_000_000)))[0]).toBe(413)
    // a small file that says it is a hundred million pixels
    const bomb = await picture(10, 10).png().toBuffer()
    bomb.writeUInt32BE(10_000, 16)
    bomb.writeUInt32BE(10_000, 20)
    expect((await refused(bomb))[0]).toBe(400)
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)])
    expect((await refused(heic))[1]).toMatch(/HEIC.*JPEG/)
    expect((await send('G26-77', jpeg)).status).toBe(404)
    expect((await fetch(at.client.address(`/lots/G26-2/photo.jpg`))).status).toBe(404)
  })
})
