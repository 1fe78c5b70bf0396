import { addDays } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import { Router, type Request, type Response } from 'express'
import ical, { ICalCalendarMethod } from 'ical-generator'
import Papa from 'papaparse'
import { asHousehold, type Client, type Pool } from '../database'
import { currentHousehold, currentState, instantOf } from '../households'
import { placesOf } from '../places'
import { allJobs } from '../round'
import { ledgerTable, lotTable, readingTable } from './queries'

/** Rows as CSV (RFC 4180); a text that a spreadsheet would take for a formula is marked as text. */
const csvOf = (rows: Record<string, unknown>[]): string => Papa.unparse(rows, { escapeFormulae: true }) + '\r\n'

const send = (response: Response, type: string, name: string, body: string) =>
  response.type(type).set('Content-Disposition', `attachment; filename="${name}"`).send(body)

/** Everything a household has, in formats that other programs read. */
export function exportRoutes(pool: Pool): Router {
  const router = Router()
  const table =
    (name: string, rows: (db: Client, householdId: string) => Promise<Record<string, unknown>[]>) =>
    async (request: Request, response: Response) => {
      const { id } = await currentHousehold(pool, request)
      send(response, 'text/csv', `vadose-${name}.csv`, csvOf(await asHousehold(pool, id, (db) => rows(db, id))))
    }

  router.get('/exports/lots.csv', table('lots', lotTable))
  router.get('/exports/ledger.csv', table('ledger', ledgerTable))

  router.get('/exports/readings.csv', async (request, response) => {
    const household = await currentHousehold(pool, request)
    const placeId = String(request.query['place'] ?? '')
    const from = String(request.query['from'] ?? '2000-01-01')
    if (!/^\d{4}-\d\d-\d\d$/.test(from) || Number.isNaN(Date.parse(from))) {
      throw new Refusal('invalid', 'from is a day: 2026-09-01.', 'from')
    }
    const rows = await asHousehold(pool, household.id, async (db) => {
      const place = (await placesOf(db, household.id)).find((p) => p.id === placeId)
      if (!place) throw new Refusal('not-found', 'There is no such place in this household.', 'place')
      const since = new Date(instantOf(from, 0, household.timeZone))
      return readingTable(db, household.id, placeId, since)
    })
    send(response, 'text/csv', 'vadose-readings.csv', csvOf(rows))
  })

  router.get('/exports/jobs.ics', async (request, response) => {
    const state = await currentState(pool, request)
    const calendar = ical({
      name: `${state.household.name}: jobs`,
      prodId: { company: 'Vadose', product: 'Vadose', language: 'EN' },
      method: ICalCalendarMethod.PUBLISH,
    })
    for (const job of await allJobs(pool, state)) {
      // what is overdue is due today
      const on = job.dueOn < state.today ? state.today : job.dueOn
      calendar.createEvent({
        id: `job-${job.id}@${state.household.id}`,
        start: new Date(`${on}T00:00:00Z`),
        end: new Date(`${addDays(on, 1)}T00:00:00Z`),
        timezone: 'UTC',
        allDay: true,
        stamp: new Date(state.nowMs),
        summary: job.code ? `${job.title} (${job.code})` : job.title,
        description: job.why,
        location: job.place,
        ...(job.code ? { url: `http://${request.headers.host}/lots/${job.code}` } : {}),
      })
    }
    send(response, 'text/calendar', 'vadose-jobs.ics', calendar.toString())
  })

  return router
}
