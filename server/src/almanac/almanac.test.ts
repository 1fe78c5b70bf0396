import { inPlainWords } from '@vadose/words'
import { noChanges, type AlmanacChanges } from '@vadose/core/almanac'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serveFresh, type Client, type Served } from '../testing/fresh'

let served: Served
let client: Client
let other: Client
const household = (name: string) => ({ name, clock: 'practice', startsOn: '2026-07-10', timeZone: 'Europe/Vienna' })
beforeAll(async () => {
  served = await serveFresh()
  client = served.client()
  other = served.client()
  expect((await client.post('/households', household('Ash Bank'))).status).toBe(201)
  expect((await other.post('/households', household('Low Field'))).status).toBe(201)
})
afterAll(() => served.close())

const changes = async (of = client) => (await of.get('/almanac')).body as AlmanacChanges
const path = 'curing/budget'

describe('a household’s almanac', () => {
  it('begins as it ships', async () => expect(await changes()).toEqual(noChanges))

  it('keeps an override, for this household only, and puts it back', async () => {
    const set = await client.put('/almanac/override', {
      crop: 'garlic-hardneck',
      path,
      value: 500,
      why: 'thick skins here',
    })
    expect(set.status).toBe(200)
    expect((await changes()).overrides).toEqual([
      { crop: 'garlic-hardneck', path, value: 500, why: 'thick skins here' },
    ])
    expect((await changes(other)).overrides).toEqual([])
    await client.put('/almanac/override', { crop: 'garlic-hardneck', path, value: null })
    expect((await changes()).overrides).toEqual([])
  })

  it.each([
    [{ crop: 'garlic-hardneck', path: 'name', value: 3 }, 'invalid'],
    [{ crop: 'garlic-hardneck', path, value: -3 }, 'invalid'],
    [{ crop: 'garlic-hardneck', path, value: 'many' }, 'invalid'],
    [{ crop: 'garlic-hardneck', path, value: [1, 2] }, 'invalid'],
    [{ crop: 'garlic-hardneck', path: 'keeping/freezesAtC', value: 20 }, 'invalid'],
    [{ crop: 'moon-melon', path, value: 3 }, 'unknown-crop'],
    [{ crop: 'garlic-hardneck', path: '__proto__/x', value: 3 }, 'invalid'],
    [{ crop: 'garlic-hardneck', path }, 'invalid'],
  ])('refuses %j', async (body, code) => {
    const { status, body: answer } = await client.put('/almanac/override', body)
    expect([status, answer.error.code]).toEqual([400, code])
    expect((await changes()).overrides).toEqual([])
  })

  it('keeps the school chosen, and refuses one that is none', async () => {
    const choice = { crop: 'garlic-hardneck', topic: 'Neck', choice: 'short' }
    expect((await client.put('/almanac/choice', choice)).status).toBe(200)
    expect((await changes()).choices).toEqual([choice])
    expect((await client.put('/almanac/choice', { ...choice, choice: 'sideways' })).status).toBe(400)
    expect((await client.put('/almanac/choice', { ...choice, topic: 'Weather' })).status).toBe(400)
  })

  it('takes a crop of its own, brings it in, reckons with it, and keeps it while it is in use', async () => {
    const made = await client.post('/almanac/crops', { name: 'Long keeper', template: 'garlic-hardneck' })
    expect([made.status, made.body.id]).toEqual([201, 'own-long-keeper'])
    expect((await client.post('/almanac/crops', { name: 'long KEEPER', template: 'carrot' })).body.error.code).toBe(
      'taken',
    )
    expect((await client.post('/almanac/crops', { name: '  ', template: 'carrot' })).status).toBe(400)
    expect((await client.post('/almanac/crops', { name: 'X', template: 'nothing' })).status).toBe(400)
    const harvest = {
      requestId: crypto.randomUUID(),
      crop: 'own-long-keeper',
      harvestedOn: '2026-07-10',
      totalG: 2000,
      heaps: [{ heap: 'sound', weightG: 2000 }],
    }
    const brought = await client.post('/harvests', harvest)
    expect(brought.status).toBe(201)
    expect((await other.post('/harvests', { ...harvest, requestId: crypto.randomUUID() })).body.error.code).toBe(
      'unknown-crop',
    )
    const lot = (await client.get(`/lots/${brought.body.lots[0].code}`)).body
    expect(lot.curing.reasons.map(inPlainWords).join(' ')).toMatch(/long keeper/)
    expect((await client.delete('/almanac/crops/own-long-keeper')).body.error.code).toBe('in-use')
    await client.post('/almanac/crops', { name: 'Never grown', template: 'carrot' })
    expect((await client.delete('/almanac/crops/own-never-grown')).status).toBe(200)
    expect((await client.delete('/almanac/crops/garlic-hardneck')).status).toBe(404)
  })

  it('forecasts with the household’s number', async () => {
    const code = (await client.get('/lots')).body[0].code
    const ready = async () => inPlainWords((await client.get(`/lots/${code}`)).body.curing.reasons[0])
    expect(await ready()).toMatch(/about 436/)
    await client.put('/almanac/override', { crop: 'own-long-keeper', path, value: 610 })
    expect(await ready()).toMatch(/about 610/)
  })
})

describe('what goes straight into store', () => {
  it('is stored as it comes in, with a forecast; what is eaten first waits fresh', async () => {
    const brought = await client.post('/harvests', {
      requestId: crypto.randomUUID(),
      crop: 'carrot',
      harvestedOn: '2026-07-10',
      totalG: 5000,
      heaps: [
        { heap: 'sound', weightG: 4200 },
        { heap: 'nicked', weightG: 800 },
      ],
    })
    const [sound, nicked] = brought.body.lots as { code: string }[]
    const stored = (await client.get(`/lots/${sound!.code}`)).body
    expect([stored.stage, stored.weightG]).toEqual(['stored', 4200])
    expect(stored.keeping.nineInTenUntil.p50 > '2026-07-12').toBe(true)
    expect((await client.get(`/lots/${nicked!.code}`)).body.stage).toBe('fresh')
  })
})

describe('settings', () => {
  it('keep units and whom to ask, and refuse an address that is none', async () => {
    const frame = (
      await client.put('/settings', {
        units: 'us',
        authorityName: 'County kitchen desk',
        authorityUrl: 'https://food.example.org',
      })
    ).body
    expect(frame.household).toMatchObject({
      units: 'us',
      authority: { name: 'County kitchen desk', url: 'https://food.example.org' },
    })
    for (const authorityUrl of ['javascript:alert(1)', 'food.example.org', 'https://']) {
      expect((await client.put('/settings', { authorityUrl })).status).toBe(400)
    }
    expect((await client.put('/settings', { units: 'stones' })).status).toBe(400)
    expect((await client.put('/settings', { authorityUrl: '' })).body.household.authority).toBeNull()
    expect((await other.get('/frame')).body.household.units).toBe('metric')
  })
})

describe('an own crop that comes with a file', () => {
  it('may say what the tables have words for, and nothing else', async () => {
    const at = served.client()
    await at.post('/households', household('Far Acre'))
    await at.post('/almanac/crops', { name: 'Long keeper', template: 'onion-storing' })
    const file = (await at.get('/file')).body
    const [own] = file.almanac.own
    // what names a temperature is a message, and goes over as one
    expect(own.data.curing.conditions.value).toMatchObject({ says: 'almanac.shadeAndMovingAir' })
    const bring = (value: unknown) => {
      const data = { ...own.data, curing: { ...own.data.curing, conditions: { ...own.data.curing.conditions, value } } }
      return served
        .client()
        .post('/household-files', { ...file, almanac: { ...file.almanac, own: [{ ...own, data }] } })
    }
    expect((await bring({ says: 'almanac.neverHeardOf' })).body.error).toMatchObject({
      code: 'invalid',
      field: 'almanac/own',
      message: 'A text of Long keeper is a message that no table has.',
    })
    expect((await bring({ says: 'nowhere at all' })).status).toBe(400)
    expect((await bring(7)).status).toBe(400)
    expect((await bring('in the barn')).status).toBe(201)
    expect((await bring(own.data.curing.conditions.value)).status).toBe(201)
  })
})
