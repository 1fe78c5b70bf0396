import type { RoundView } from '@vadose/contract/round'
import { randomUUID } from 'node:crypto'
import ICAL from 'ical.js'
import { parse } from 'csv-parse/sync'
import { beforeAll, describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { garlicHarvest, practiceFile } from '../testing/fresh'

const at = practiceFile('2026-07-12')
beforeAll(async () => {
  await at.client.post(
    '/harvests',
    garlicHarvest(at.place('Veranda'), { variety: '=1+1', bed: 'Bed "3", north\nhalf' }),
  )
})
const file = async (path: string) => {
  const response = await fetch(at.client.address(`/exports/${path}`))
  return { status: response.status, type: response.headers.get('content-type') ?? '', text: await response.text() }
}

describe('CSV, read back by csv-parse', () => {
  it('holds every lot with its quantity, quotes and line breaks whole, formulae as text', async () => {
    const { type, text } = await file('lots.csv')
    expect(type).toMatch(/^text\/csv/)
    const rows = parse(text, { columns: true }) as Record<string, string>[]
    expect(rows).toHaveLength(3)
    expect(rows[0]).toMatchObject({ code: 'G26-1', weight_g: '4900', stage: 'drying', bed: 'Bed "3", north\nhalf' })
    expect(rows[0]!['variety']).toBe("'=1+1")
    // a spreadsheet in a Japanese or Chinese setting reads full-width signs as signs
    await at.client.post('/harvests', garlicHarvest(at.place('Veranda'), { variety: '＝1+1', bed: '＋2' }))
    const again = parse((await file('lots.csv')).text, { columns: true }) as Record<string, string>[]
    expect(again.at(-1)).toMatchObject({ variety: "'＝1+1", bed: "'＋2" })
  })
  it('holds a ledger whose sums are the lots', async () => {
    const ledger = parse((await file('ledger.csv')).text, { columns: true }) as Record<string, string>[]
    const lots = parse((await file('lots.csv')).text, { columns: true }) as Record<string, string>[]
    for (const lot of lots) {
      const own = ledger.filter((e) => e['code'] === lot['code'])
      expect(own.reduce((sum, e) => sum + Number(e['weight_g']), 0)).toBe(Number(lot['weight_g']))
      expect(own.every((e) => !Number.isNaN(Date.parse(e['at']!)))).toBe(true)
    }
  })
  it('holds the larder, the round, the year, the counts and the beds', async () => {
    await at.client.post('/larder/stock', {
      requestId: randomUUID(),
      lines: [
        {
          crop: 'plum',
          form: 'jarred',
          source: 'grown',
          unit: 'jar',
          pieces: 6,
          placeId: at.place('Cellar'),
          name: '=jam',
        },
      ],
    })
    const table = async (name: string) => {
      const { status, text } = await file(`${name}.csv`)
      expect(status).toBe(200)
      return parse(text, { columns: true }) as Record<string, string>[]
    }
    const jam = (await table('larder')).find(({ form }) => form === 'jarred')!
    expect(jam).toMatchObject({ what: "'=jam", pieces: '6', unit: 'jar' })
    expect(jam['nine_in_ten_until']! > '2026-12-01').toBe(true)
    expect((await table('round')).some(({ kind, code }) => kind === 'weigh' && code === 'G26-1')).toBe(true)
    const garlic = (await table('year')).find(({ crop }) => crop === 'garlic-hardneck')!
    const g = (name: string) => Number(garlic[name])
    expect(g('put_up_g')).toBeGreaterThan(0)
    expect(g('start_g') + g('put_up_g') + g('cooked_g') + g('corrected_g')).toBe(
      g('eaten_g') + g('given_g') + g('planted_g') + g('fed_g') + g('lost_g') + g('dried_g') + g('left_g'),
    )
    expect(await table('counts')).toEqual([])
    expect(await table('beds')).toEqual([])
  })
  it('holds the readings of one place, and refuses another', async () => {
    const rows = parse((await file(`readings.csv?place=${at.place('Cellar')}&from=2026-07-10`)).text, {
      columns: true,
    }) as Record<string, string>[]
    expect(rows.length).toBeGreaterThan(40)
    expect(rows.every((r) => Number(r['temperature_c']) > -20 && Number(r['relative_humidity_pct']) <= 100)).toBe(true)
    expect((await file('readings.csv?place=nowhere')).status).toBe(404)
    expect((await file(`readings.csv?place=${at.place('Cellar')}&from=spring`)).status).toBe(400)
  })
})

describe('the jobs as a calendar, read back by ical.js', () => {
  it('are whole-day events on the day they are due', async () => {
    const { type, text } = await file('jobs.ics')
    expect(type).toMatch(/^text\/calendar/)
    const events = new ICAL.Component(ICAL.parse(text) as object[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
    const round = (await at.client.get('/round')).body
    const today = (round as RoundView).places.flatMap(({ jobs }) => jobs)
    expect(events.length).toBeGreaterThanOrEqual(today.length)
    for (const job of today) {
      const event = events.find((e) => e.summary === `${inPlainWords(job.title)} (${job.code})`)!
      expect(event.startDate.isDate).toBe(true)
      expect(event.startDate.toString()).toBe('2026-07-12')
      expect(event.endDate.toString()).toBe('2026-07-13')
    }
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
  })
  it('speak as the household does: none of its sentences stands in no table', async () => {
    await at.client.put('/settings', { language: 'en-XA' })
    const { text } = await file('jobs.ics')
    await at.client.put('/settings', { language: 'en-GB' })
    const events = new ICAL.Component(ICAL.parse(text) as object[])
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
    const places = ((await at.client.get('/places')).body as { name: string }[]).map(({ name }) => name)
    expect(events.length).toBeGreaterThan(0)
    for (const { summary, description } of events) {
      // codes, and what people called their lots, beds and places, are theirs
      const theirs = new RegExp(['[A-Z]\\d\\d-\\d+', 'Red Moor', '=jam', 'Bed \\d+', ...places].join('|'), 'gi')
      expect(`${summary} ${description}`.replace(theirs, '')).not.toMatch(/[A-Za-z]{3,}/)
    }
  })
})

describe('the calendar at its private address', () => {
  const feed = async (path: string) => {
    const response = await fetch(at.client.address(path))
    return { status: response.status, text: await response.text() }
  }
  it('is there once somebody asks for it, moves when a new one is made, and stops', async () => {
    expect((await at.client.get('/calendar')).body).toEqual({ path: null })
    expect((await feed('/calendar/guessed/jobs.ics')).status).toBe(404)
    const first = (await at.client.post('/calendar', { requestId: randomUUID() })).body.path as string
    expect(first.split('/')[2]!.length).toBeGreaterThanOrEqual(32)
    const { status, text } = await feed(first)
    expect(status).toBe(200)
    expect(new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').length).toBeGreaterThan(0)
    const second = (await at.client.post('/calendar', { requestId: randomUUID() })).body.path as string
    expect(second).not.toBe(first)
    expect((await feed(first)).status).toBe(404)
    expect((await feed(second)).status).toBe(200)
    expect((await at.client.delete('/calendar')).body).toEqual({ path: null })
    expect((await feed(second)).status).toBe(404)
  })
})
