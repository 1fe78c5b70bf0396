import { randomUUID } from 'node:crypto'
import { eatFirstOf, type LotState, type PlaceFacts } from '@vadose/core/forecast'
import { dayMs } from '@vadose/core/households'
import { describe, expect, it } from 'vitest'
import { householdAt } from '../households'
import { practiceFile } from '../testing/fresh'
import { Houses } from './houses'
import { beyond, reachFor } from './reach'

const nowMs = Date.UTC(2026, 9, 2)
const daysAgo = (days: number) => nowMs - days * dayMs
const place = (id: string, within: string | null = null) => ({ id, within }) as PlaceFacts
const places = [place('cellar'), place('shelf', 'cellar'), place('loft')]
const lot = (broughtDaysAgo: number, placeId: string | null, stays: [days: number, place: string][] = []) =>
  ({
    placeId,
    history: {
      broughtAtMs: daysAgo(broughtDaysAgo),
      stays: stays.map(([days, where]) => ({ atMs: daysAgo(days), placeId: where })),
    },
  }) as unknown as LotState
const daysKnown = (lots: LotState[]) => {
  const reach = reachFor(places, lots, nowMs)
  return Object.fromEntries([...reach].map(([id, ms]) => [id, Math.round((nowMs - ms) / dayMs)]))
}

describe('how far back the air of places is known', () => {
  it('is the same for all where nothing is old', () => {
    expect(daysKnown([])).toEqual({ cellar: 900, shelf: 900, loft: 900 })
    expect(daysKnown([lot(300, 'loft')])).toEqual({ cellar: 900, shelf: 900, loft: 900 })
  })
  it('is as old as what lies there, from when it lay there', () => {
    expect(daysKnown([lot(3285, 'loft', [[3280, 'loft']])])).toEqual({ cellar: 900, shelf: 900, loft: 3285 })
    const carried = lot(3285, 'loft', [
      [3280, 'cellar'],
      [1200, 'loft'],
    ])
    expect(daysKnown([carried])).toEqual({ cellar: 3285, shelf: 900, loft: 1200 })
  })
  it('is that of the whole for a shelf, and of where it lies now for a place that is no more', () => {
    expect(daysKnown([lot(2000, 'shelf', [[2000, 'shelf']])])).toEqual({ cellar: 2000, shelf: 2000, loft: 900 })
    expect(daysKnown([lot(2000, 'loft', [[2000, 'barn']])])).toEqual({ cellar: 900, shelf: 900, loft: 2000 })
    expect(daysKnown([lot(2000, null)])).toEqual({ cellar: 900, shelf: 900, loft: 900 })
  })
  it('does for what came since, not for what came before', () => {
    const known = reachFor(places, [lot(1000, 'loft')], nowMs)
    expect(beyond(known, reachFor(places, [lot(1000, 'loft')], nowMs))).toBe(false)
    expect(beyond(known, reachFor(places, [lot(1001, 'loft')], nowMs))).toBe(true)
    expect(beyond(known, reachFor(places, [lot(1000, 'cellar')], nowMs))).toBe(true)
  })
})

describe('a household that goes on', () => {
  const at = practiceFile()
  it('reads the air again for what was put by years ago, and says of it what a server that starts now says', async () => {
    const { client, served } = at
    const placeId = at.place('Cellar')
    // a warm year, long before anything else: what lay there then is older for it
    const from = Date.UTC(2021, 8, 1) / 1000
    const hours = Array.from({ length: 365 * 6 }, (_, i) => from + i * 4 * 3600)
    const read = await client.post('/readings/imports', {
      requestId: randomUUID(),
      placeId,
      fileName: 'old.csv',
      at: hours,
      temperatureC: hours.map(() => 24),
      relativeHumidityPct: hours.map(() => 60),
    })
    expect(read.status).toBe(201)
    const row = async () => (await householdAt(served.pool, client.household))!
    const going = new Houses(served.pool)
    await going.settled(await row())
    const beans = { crop: 'bean-drying', form: 'fresh', source: 'grown', weightG: 1500, placeId, on: '2021-09-10' }
    const put = await client.post('/larder/stock', { requestId: randomUUID(), lines: [beans] })
    expect(put.status).toBe(201)
    const says = async (houses: Houses) =>
      eatFirstOf(await houses.settled(await row())).map(({ code, keepsUntil, soundNow }) => ({
        code,
        keepsUntil,
        soundNow,
      }))
    const anew = await says(new Houses(served.pool))
    expect(anew.map(({ code }) => code)).toEqual([put.body.lots[0].code])
    expect(await says(going)).toEqual(anew)
  })
})
