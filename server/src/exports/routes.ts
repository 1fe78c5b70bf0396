import { createHash, randomBytes, timingSafeEqual } from 'node:crypto'
import {
  calendarFeed,
  endCalendarAddress,
  exportBeds,
  exportCounts,
  exportJobs,
  exportLarder,
  exportLedger,
  exportLots,
  exportReadings,
  exportRound,
  exportYear,
  makeCalendarAddress,
  readCalendarAddress,
} from '@vadose/contract/exports'
import { exportHousehold, importHousehold } from '@vadose/contract/household-file'
import { planOf } from '@vadose/core/forecast'
import { addDays, instantOf } from '@vadose/core/households'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { inPlainWords, retell, said } from '@vadose/words'
import type { Response } from 'express'
import ical, { ICalCalendarMethod } from 'ical-generator'
import Papa from 'papaparse'
import type { Pool } from '../database'
import { startOnce } from '../households'
import { placesOf } from '../places'
import { alarmsView, jobView, mutedKeys } from '../round'
import type { Server } from '../serve'
import type { Visit } from '../visit'
import { bringHousehold, canonical, canonicalHash, householdFileOf } from './household-file'
import { larderView } from '../larder'
import { yearView } from '../year'
import { bedTable, calendarKey, countTable, ledgerTable, lotTable, readingTable, setCalendarKey } from './queries'

/** What a spreadsheet takes for the beginning of a formula, full-width signs too. */
const formula = /^[=+\-@\t\r\n＝＋－＠]/
/** Rows as CSV (RFC 4180); a text that a spreadsheet would take for a formula is marked as text. */
const csvOf = (rows: Record<string, unknown>[]): string => Papa.unparse(rows, { escapeFormulae: formula }) + '\r\n'

const send = (response: Response, type: string, name: string, body: string) =>
  response.type(type).set('Content-Disposition', `attachment; filename="${name}"`).send(body)

/** Everything a household has, in formats that other programs read. */
export function serveExports(server: Server, pool: Pool): void {
  server.household(exportHousehold, async (visit, _input, response) => {
    const file = await visit.read((db) => householdFileOf(db, visit.id))
    response.set('X-Content-SHA256', canonicalHash(file))
    return send(response, 'application/json', `${visit.household.address}.vadose.json`, canonical(file))
  })

  server.anyone(importHousehold, async ({ body }, _request, number) => {
    const { id, address, name, practising } = await startOnce(pool, number, (db, id) => bringHousehold(db, id, body))
    return { id, address, name, clock: practising ? 'practice' : 'real' }
  })

  server.household(exportLots, async (visit, _input, response) =>
    send(response, 'text/csv', 'vadose-lots.csv', csvOf(await visit.read((db) => lotTable(db, visit.id)))),
  )

  server.household(exportLedger, async (visit, _input, response) =>
    send(response, 'text/csv', 'vadose-ledger.csv', csvOf(await visit.read((db) => ledgerTable(db, visit.id)))),
  )

  server.household(exportLarder, async (visit, _input, response) => {
    const { lots } = larderView(await visit.house(), await visit.moves())
    const rows = lots.map((lot) => ({
      code: lot.code,
      what: lot.name ?? lot.crop,
      form: lot.form,
      variety: lot.variety,
      source: lot.source,
      place: lot.place,
      pieces: lot.pieces,
      unit: lot.unit,
      size: lot.size,
      weight_g: lot.weightG,
      brought_on: lot.broughtOn,
      nine_in_ten_until: lot.keepsUntil,
      past_its_time_since: lot.overdueSince,
      lost_in_a_fortnight: lot.lossAvoidedPerKg.toFixed(3),
      note: lot.note,
    }))
    return send(response, 'text/csv', 'vadose-larder.csv', csvOf(rows))
  })

  server.household(exportRound, async (visit, _input, response) => {
    const house = await visit.house()
    const rows = planOf(house).map((planned) => {
      const { kind, dueOn, title, why, code } = jobView(house, planned)
      return {
        due_on: dueOn,
        kind,
        title: inPlainWords(title),
        why: inPlainWords(why),
        code,
        place: planned.place?.name ?? null,
      }
    })
    return send(response, 'text/csv', 'vadose-round.csv', csvOf(rows))
  })

  server.household(exportYear, async (visit, _input, response) => {
    const { reckoning, from } = yearView(await visit.house(), await visit.moves())
    const rows = reckoning.map(({ causes, ...line }) => ({
      since: from,
      ...Object.fromEntries(
        Object.entries(line).map(([name, value]) => [name.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`), value]),
      ),
      lost_to: causes.map(({ cause, weightG }) => `${cause} ${weightG} g`).join('; '),
    }))
    return send(response, 'text/csv', 'vadose-year.csv', csvOf(rows))
  })

  server.household(exportCounts, async (visit, _input, response) =>
    send(response, 'text/csv', 'vadose-counts.csv', csvOf(await visit.read((db) => countTable(db, visit.id)))),
  )

  server.household(exportBeds, async (visit, _input, response) =>
    send(response, 'text/csv', 'vadose-beds.csv', csvOf(await visit.read((db) => bedTable(db, visit.id)))),
  )

  server.household(exportReadings, async (visit, { query }, response) => {
    const from = query.from ?? '2000-01-01'
    const rows = await visit.read(async (db) => {
      const place = (await placesOf(db, visit.id)).find((p) => p.id === query.place)
      if (!place) throw new Refusal('not-found', told('places.noSuchPlace'), 'place')
      return readingTable(db, visit.id, place.id, new Date(instantOf(from, 0, visit.household.timeZone)))
    })
    return send(response, 'text/csv', 'vadose-readings.csv', csvOf(rows))
  })

  server.household(exportJobs, async (visit, _input, response) =>
    send(response, 'text/calendar', 'vadose-jobs.ics', await calendarOf(visit)),
  )

  const pathOf = (key: string | null) => ({ path: key && `/calendar/${key}/jobs.ics` })
  server.household(readCalendarAddress, async (visit) => pathOf(await visit.read((db) => calendarKey(db, visit.id))))
  server.household(makeCalendarAddress, async (visit) => {
    const key = randomBytes(keyBytes).toString('base64url')
    return visit.write(async (db) => {
      await setCalendarKey(db, visit.id, key)
      return pathOf(key)
    })
  })
  server.household(endCalendarAddress, (visit) =>
    visit.write(async (db) => {
      await setCalendarKey(db, visit.id, null)
      return pathOf(null)
    }),
  )
  server.household(calendarFeed, async (visit, { params }, response) => {
    const key = await visit.read((db) => calendarKey(db, visit.id))
    if (key === null || !sameKey(key, params.key)) throw new Refusal('not-found', told('exports.noCalendar'))
    return response
      .type('text/calendar')
      .set('Cache-Control', 'private, no-cache')
      .send(await calendarOf(visit))
  })
}

const keyBytes = 24
const sameKey = (a: string, b: string) => {
  const digest = (text: string) => createHash('sha256').update(text).digest()
  return timingSafeEqual(digest(a), digest(b))
}

/** The open jobs as a calendar. @source RFC 5545; how often it is asked for again: RFC 7986 REFRESH-INTERVAL */
async function calendarOf(visit: Visit): Promise<string> {
  const house = await visit.house()
  const { household, host } = visit
  const { ringing } = alarmsView(house, await visit.read((db) => mutedKeys(db, visit.id)))
  const { id, address, name, language, units } = household
  const voice = { language, units, today: house.today }
  const calendar = ical({
    name: `${name}: ${retell('jobs', language)}`,
    prodId: { company: 'Vadose', product: 'Vadose', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3600,
  })
  for (const planned of planOf(house)) {
    const job = jobView(house, planned)
    // what is overdue is due today
    const on = job.dueOn < house.today ? house.today : job.dueOn
    calendar.createEvent({
      id: `${job.id}@${id}`,
      start: new Date(`${on}T00:00:00Z`),
      end: new Date(`${addDays(on, 1)}T00:00:00Z`),
      timezone: 'UTC',
      allDay: true,
      stamp: new Date(house.nowMs),
      summary: job.code ? `${said(job.title, voice)} (${job.code})` : said(job.title, voice),
      description: said(job.why, voice),
      location: planned.place?.name ?? null,
      ...(job.code ? { url: `http://${host}/${address}/lots/${job.code}` } : {}),
    })
  }
  for (const { key, on, title, says, todo, place, codes } of ringing) {
    calendar.createEvent({
      id: `${createHash('sha256').update(key).digest('hex').slice(0, 24)}@${id}`,
      start: new Date(`${on}T00:00:00Z`),
      end: new Date(`${addDays(on, 1)}T00:00:00Z`),
      timezone: 'UTC',
      allDay: true,
      stamp: new Date(house.nowMs),
      summary: codes.length === 1 ? `${said(title, voice)} (${codes[0]})` : said(title, voice),
      description: `${said(says, voice)} ${said(todo, voice)}`,
      location: place,
    })
  }
  return calendar.toString()
}
