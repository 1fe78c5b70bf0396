import { habit } from '@vadose/contract/habits'
import { habitLimits, habitNames } from '@vadose/core/almanac'
import { beforeAll, describe, expect, it } from 'vitest'
import { practiceFile, practiceHousehold, type Client } from '../testing/fresh'

const at = practiceFile('2026-07-10')
let client: Client
let other: Client
beforeAll(async () => {
  client = at.client
  other = at.served.client()
  await practiceHousehold(other, '2026-07-10', 'Low Field')
})

const habits = async (of = client) => (await of.get('/almanac')).body.habits
const set = (body: object) => client.put('/almanac/habits', body)
const harvest = (harvestedOn: string) => ({
  requestId: crypto.randomUUID(),
  crop: 'garlic-hardneck',
  bed: 'Long bed',
  harvestedOn,
  totalG: 3000,
  heaps: [{ heap: 'sound', weightG: 3000 }],
})

describe('how a household does it', () => {
  it('may be set within the same limits by the page, by core and by whoever writes scripts', () => {
    expect(Object.keys(habit).sort()).toEqual([...habitNames].sort())
    for (const name of habitNames) {
      const { minimum, maximum } = habit[name] as { minimum?: number; maximum?: number }
      expect([minimum, maximum], name).toEqual([habitLimits[name].lo, habitLimits[name].hi])
    }
  })
  it('is the usual way until it says otherwise, for itself only', async () => {
    expect(await habits()).toEqual({})
    expect((await set({ cookDays: 4, bedYears: 7 })).body.habits).toEqual({ cookDays: 4, bedYears: 7 })
    expect(await habits(other)).toEqual({})
    // what is not named stays; nothing puts the usual one back
    expect((await set({ cookDays: null })).body.habits).toEqual({ bedYears: 7 })
    expect((await set({ bedYears: null })).body.habits).toEqual({})
  })
  it.each([
    [{ cookDays: 0 }, 'cookDays', 'cookDays must be at least 1.'],
    [{ longestLookGapDays: 3.5 }, 'longestLookGapDays', 'longestLookGapDays must be an integer.'],
    [{ bearableLoss: 9 }, 'bearableLoss', 'bearableLoss must be at most 3.'],
    [{ bearableLoss: 'much' }, 'bearableLoss', 'bearableLoss must be a number.'],
    [{ shoeSize: 43 }, 'shoeSize', 'shoeSize is not known here.'],
  ])('refuses %j and keeps what was', async (body, field, message) => {
    const { status, body: answer } = await set(body)
    expect([status, answer.error.field, answer.error.message]).toEqual([400, field, message])
    expect(await habits()).toEqual({})
  })
  it('decides what may join what hangs', async () => {
    const first = (await client.post('/harvests', harvest('2026-07-05'))).body.lots[0].code
    const later = () => {
      const one = harvest('2026-07-10')
      return client.post('/harvests', { ...one, heaps: [{ ...one.heaps[0], addTo: first }] })
    }
    expect((await later()).body.error.message).toMatch(/hold it back/)
    await set({ joinHangingDays: 6 })
    expect((await later()).status).toBe(201)
    await set({ joinHangingDays: null })
  })
  it('brings the next look nearer at once, on the lot and in the round', async () => {
    const cellar = at.place('Cellar')
    const carrots = {
      requestId: crypto.randomUUID(),
      crop: 'carrot',
      harvestedOn: '2026-07-10',
      totalG: 20_000,
      heaps: [{ heap: 'sound', weightG: 20_000, placeId: cellar }],
    }
    const code = (await client.post('/harvests', carrots)).body.lots[0].code
    const next = async () => (await client.get(`/lots/${code}`)).body.keeping.nextCheckOn
    const usual = await next()
    await set({ bearableBadPct: 0.1, longestLookGapDays: 7 })
    const soon = await next()
    expect(soon < usual).toBe(true)
    const looksOn = async (on: string) =>
      (await client.get(`/round?on=${on}`)).body.places
        .flatMap(({ jobs }: { jobs: { code: string; kind: string; dueOn: string }[] }) => jobs)
        .filter((job: { code: string; kind: string }) => job.code === code && job.kind === 'check')
        .map((job: { dueOn: string }) => job.dueOn)
    expect(await looksOn(soon)).toEqual([soon])
    await set({ bearableBadPct: null, longestLookGapDays: null })
    expect(await next()).toBe(usual)
  })
  it('goes home in the household’s file, and comes back', async () => {
    await set({ eatFirstDays: 12 })
    const file = (await client.get('/file')).body
    expect(file.household.habits).toEqual({ eatFirstDays: 12 })
    const brought = await at.served.client().post('/household-files', file)
    expect(brought.status).toBe(201)
    const twin = at.served.client()
    twin.household = brought.body.address
    expect((await twin.get('/almanac')).body.habits).toEqual({ eatFirstDays: 12 })
  })
})
