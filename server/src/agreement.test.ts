import { randomUUID } from 'node:crypto'
import type { LarderView } from '@vadose/contract/larder'
import type { Elsewhere, LotView } from '@vadose/contract/lots'
import type { RoundView } from '@vadose/contract/round'
import type { MovePreview, StoresView } from '@vadose/contract/stores'
import ical from 'ical.js'
import { beforeAll, describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { practiceFile } from './testing/fresh'

const at = practiceFile('2026-09-20')
const read = async <T>(path: string) => (await at.client.get(path)).body as T

/** What a household stores in autumn, some of it where it should not. */
const stored: [crop: string, weightG: number, pieces: number, place: string][] = [
  ['potato-maincrop', 24_000, 180, 'Cellar'],
  ['carrot', 8000, 90, 'Cellar'],
  ['apple-late', 15_000, 110, 'Cellar'],
  ['cabbage-white', 9000, 5, 'North room'],
  ['beetroot', 5000, 30, 'North room'],
  ['leek', 3000, 15, 'Kitchen'],
  ['pear', 4000, 24, 'Kitchen'],
]

beforeAll(async () => {
  for (const [crop, totalG, pieces, place] of stored) {
    const heaps = [{ heap: 'sound', weightG: totalG, pieces, placeId: at.place(place) }]
    const brought = { requestId: randomUUID(), crop, variety: 'Test', bed: 'Bed 3', harvestedOn: '2026-09-20' }
    expect((await at.client.post('/harvests', { ...brought, totalG, heaps })).status, crop).toBe(201)
  }
})

/** The days of the calendar file, by lot and what is to be done. */
function calendarDays(text: string): Map<string, string> {
  const events = new ical.Component(ical.parse(text)).getAllSubcomponents('vevent')
  return new Map(
    events.map((event) => {
      const { startDate, summary } = new ical.Event(event)
      return [summary, startDate.toString()]
    }),
  )
}

/** Everything the screens say of one lot today, under one name for each thing said. */
async function saidOf(code: string) {
  const lot = await read<LotView>(`/lots/${code}`)
  const stores = (await read<StoresView>('/stores')).lots.find((one) => one.code === code)!.keeps!
  const larder = (await read<LarderView>('/larder')).lots.find((one) => one.code === code)!
  const round = await read<RoundView>('/round')
  const elsewhere = await read<Elsewhere>(`/lots/${code}/elsewhere`)
  const away = elsewhere[0]!
  const preview = (await read<MovePreview>(`/stores/move?lot=${code}&place=${away.placeId}`)).keeps!
  const eatFirst = round.eatFirst.find((one) => one.code === code)
  const jobs = round.places.flatMap(({ jobs }) => jobs).filter((job) => job.code === code)
  const calendar = calendarDays(await (await fetch(at.client.address('/exports/jobs.ics'))).text())
  return { lot, stores, larder, round, away, preview, eatFirst, jobs, calendar }
}

describe('from autumn to spring, every screen says the same of a lot on the same day', () => {
  const seen = { overdue: 0, looks: 0, said: 0 }
  it.each([0, 2, 2, 3, 6, 9])('after %i weeks more', { timeout: 120_000 }, async (weeks) => {
    for (let i = 0; i < weeks; i++) await at.client.post('/clock', { to: 'next-week' })
    const kept = (await read<StoresView>('/stores')).lots.filter(({ keeps }) => keeps).map(({ code }) => code)
    for (const code of kept) {
      const { lot, stores, larder, round, away, preview, eatFirst, jobs, calendar } = await saidOf(code)
      const keeping = lot.keeping!
      const until = keeping.nineInTenUntil.p50
      const end = keeping.endedBy[0]!.end
      seen.said++
      // how long it keeps, and what ends it: the lot, the house, the larder, the preview of a move
      expect([stores.nineInTenUntil, stores.endedBy, stores.overdueSince], code).toEqual([
        keeping.nineInTenUntil,
        end,
        keeping.overdueSince,
      ])
      expect([larder.keepsUntil, larder.overdueSince], code).toEqual([until, keeping.overdueSince])
      if (preview.level === 'nine-in-ten') {
        expect([preview.from.nineInTenUntil, preview.from.endedBy], code).toEqual([keeping.nineInTenUntil, end])
        expect([preview.to.nineInTenUntil.p50, preview.to.endedBy], code).toEqual([away.nineInTenUntil, away.endedBy])
      } else expect(preview.from.nineInTenUntil, code).toEqual(keeping.halfUntil)
      // a lot past its time says so everywhere, and promises nothing
      if (keeping.overdueSince) {
        seen.overdue++
        expect(jobs.map(({ kind, dueOn }) => [kind, dueOn])).toContainEqual(['overdue', keeping.overdueSince])
        expect(larder.why).toEqual({ says: 'stores.itsTimeIsOver' })
        expect(until <= round.today, code).toBe(true)
      } else {
        expect(inPlainWords(larder.why), code).toBe(`${end} ends it first`)
        expect(until >= round.today, code).toBe(true)
      }
      if (eatFirst) expect(eatFirst.why, code).toEqual(larder.why)
      // the next look: the lot, the round, the calendar
      const look = jobs.find(({ kind }) => kind === 'check')
      if (look) {
        seen.looks++
        expect(look.dueOn <= round.today ? round.today : look.dueOn, code).toBe(keeping.nextCheckOn)
        expect(inPlainWords(look.why), code).toContain(`Look at ${keeping.lookAt} of ${lot.pieces}`)
        expect(calendar.get(`${inPlainWords(look.title)} (${code})`), code).toBe(keeping.nextCheckOn)
      }
    }
    // some of it is looked over
    for (const code of weeks > 0 ? kept.filter((_, i) => i % 2 === 0) : []) {
      const look = { requestId: randomUUID(), act: 'check', lookedAt: 5, faults: [] }
      await at.client.post(`/lots/${code}/acts`, look)
    }
    const round = await read<RoundView>('/round')
    for (const { name, verdict } of round.places) {
      const [, threat, code] = /^(.+) threatens (\S+)$/.exec(inPlainWords(verdict.says)) ?? []
      if (!code) continue
      const lot = await read<LotView>(`/lots/${code}`)
      expect([name, threat], code).toEqual([lot.place, lot.keeping!.endedBy[0]!.end])
    }
  })
  it('had looks to make and lots past their time among them', () => {
    expect(seen.said).toBeGreaterThan(30)
    expect(seen.looks).toBeGreaterThan(2)
    expect(seen.overdue).toBeGreaterThan(5)
  })
})
