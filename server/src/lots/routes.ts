import { actSchemas, type Act, type ActAnswer, type LotView } from '@vadose/contract/lots'
import { lotCodePattern, struckIn, type LotAct } from '@vadose/core/lots'
import { Refusal } from '@vadose/core/refusal'
import { raw, Router, type Request } from 'express'
import { almanacOf, cropIn } from '../almanac'
import { asHousehold, inTransaction, type Pool } from '../database'
import {
  currentHousehold,
  currentId,
  currentState,
  writeOnce,
  stateOf,
  civilDateOf,
  type HouseholdRow,
} from '../households'
import { checker } from '../http'
import { placesOf } from '../places'
import { eventsOfLot, keepPhoto, lockLot, lotByCode, lotListJson, photoOf } from './queries'
import { strippedJpeg } from './photo'
import { labelSheets, type LabelSheetId } from './label-sheets'
import { labelsPdf } from './labels'
import { tagSvg, tagWords } from './tag'
import { curingView, dryerView, eventView, jarView, keepingView, keepsUntil, lotRow } from './view'
import { writeAct } from './write'

const checkers = Object.fromEntries(Object.entries(actSchemas).map(([name, schema]) => [name, checker<Act>(schema)]))

function checkAct(body: unknown): Act {
  const name = (body as { act?: unknown } | null | undefined)?.act
  const check = typeof name === 'string' && Object.hasOwn(checkers, name) ? checkers[name] : undefined
  if (!check) throw new Refusal('invalid', `act must be one of ${Object.keys(actSchemas).join(', ')}.`, 'act')
  return check(body)
}

function codeIn(request: Request<{ code: string }>): string {
  const code = request.params.code.toUpperCase()
  if (!lotCodePattern.test(code))
    throw new Refusal('not-found', `${request.params.code} is not a lot's code; they look like G26-1.`)
  return code
}

export function lotRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/lots', async (request, response) => {
    const household = await currentHousehold(pool, request)
    response.type('application/json').send(await lotList(pool, household, request.query['gone'] === 'yes'))
  })

  router.get('/lots/:code', async (request, response) => {
    const code = codeIn(request)
    const household = await currentHousehold(pool, request)
    response.json(await lotView(pool, household.id, household.timeZone, code))
  })

  router.post('/lots/:code/acts', async (request, response) => {
    const code = codeIn(request)
    const act = checkAct(request.body)
    const household = await currentHousehold(pool, request)
    const { requestId, ...rest } = act
    const made = await writeOnce(pool, household, requestId, (db, moment) =>
      writeAct(db, moment, code, rest as LotAct, requestId),
    )
    const lot = await asHousehold(pool, household.id, (db) => lotByCode(db, household.id, code))
    response.status(201).json({ lot: lotRow(lot!), made } satisfies ActAnswer)
  })

  router.get('/lots/:code/tag.svg', async (request, response) => {
    const code = codeIn(request)
    const { id, units } = await currentHousehold(pool, request)
    const { lot, almanac } = await asHousehold(pool, id, async (db) => ({
      lot: await lotByCode(db, id, code),
      almanac: await almanacOf(db, id),
    }))
    if (!lot) throw new Refusal('not-found', `There is no lot ${code}.`)
    const address = `http://${request.headers.host}/lots/${code}`
    response.type('image/svg+xml').send(tagSvg(cropIn(almanac, lot.crop), lot, units, address))
  })

  router.post('/lots/:code/photo', raw({ type: 'image/jpeg', limit: '2mb' }), async (request, response) => {
    const code = codeIn(request)
    const id = await currentId(pool, request)
    if (!Buffer.isBuffer(request.body)) throw new Refusal('invalid', 'Send a JPEG picture (image/jpeg).', 'photo')
    const jpeg = strippedJpeg(request.body)
    await inTransaction(pool, id, async (db) => {
      const lot = await lockLot(db, id, code)
      if (!lot) throw new Refusal('not-found', `There is no lot ${code}.`)
      await keepPhoto(db, id, lot.id, jpeg)
    })
    response.status(201).json({ bytes: jpeg.length })
  })

  router.get('/lots/:code/photo.jpg', async (request, response) => {
    const code = codeIn(request)
    const id = await currentId(pool, request)
    const jpeg = await asHousehold(pool, id, (db) => photoOf(db, id, code))
    if (!jpeg) throw new Refusal('not-found', `There is no picture of ${code}.`)
    response.type('image/jpeg').send(jpeg)
  })

  router.get('/labels.pdf', async (request, response) => {
    const asked = request.query['lots']
    const codes = typeof asked === 'string' ? [...new Set(asked.toUpperCase().split(',').filter(Boolean))] : []
    if (codes.length === 0) throw new Refusal('invalid', 'Say which lots: lots=G26-1,N26-4.', 'lots')
    if (codes.length > mostLabels) throw new Refusal('too-large', `At most ${mostLabels} labels at once.`, 'lots')
    const sheet = String(request.query['sheet'] ?? 'a4-21')
    if (!Object.hasOwn(labelSheets, sheet)) {
      throw new Refusal(
        'invalid',
        `There is no label sheet “${sheet}”. Known: ${Object.keys(labelSheets).join(', ')}.`,
        'sheet',
      )
    }
    const { columns, rows } = labelSheets[sheet as LabelSheetId]
    const skip = Number(request.query['skip'] ?? 0)
    if (!Number.isInteger(skip) || skip < 0 || skip >= columns * rows) {
      throw new Refusal('invalid', `skip counts the labels used already: 0 to ${columns * rows - 1}.`, 'skip')
    }
    const state = await currentState(pool, request)
    const labels = codes.map((code) => {
      const lot = state.lots.find((l) => l.code === code)
      if (!lot) throw new Refusal('not-found', `There is no lot ${code} here any more.`, 'lots')
      return {
        words: tagWords(lot.cropData, lot, state.household.units, lot.history.pack ?? undefined),
        address: `http://${request.headers.host}/lots/${code}`,
      }
    })
    response
      .type('application/pdf')
      .set('Content-Disposition', `inline; filename="labels-${codes[0]}.pdf"`)
      .send(await labelsPdf(labels, sheet as LabelSheetId, skip))
  })

  return router
}

/** A season's lots fit in one go. */
const mostLabels = 200

// the list as it was sent last, good until the household's revision rises
const lists = new Map<string, { revision: number; body: Buffer }>()
const listsAtMost = 64

async function lotList(pool: Pool, { id, revision }: HouseholdRow, gone: boolean): Promise<Buffer> {
  const key = `${id} ${gone}`
  const known = lists.get(key)
  if (known?.revision === revision) return known.body
  const body = Buffer.from(await asHousehold(pool, id, (db) => lotListJson(db, id, gone)))
  lists.delete(key)
  lists.set(key, { revision, body })
  if (lists.size > listsAtMost) lists.delete(lists.keys().next().value!)
  return body
}

async function lotView(pool: Pool, householdId: string, timeZone: string, code: string): Promise<LotView> {
  const { row, events, places, pictured } = await asHousehold(pool, householdId, async (db) => {
    const found = await lotByCode(db, householdId, code)
    if (!found) throw new Refusal('not-found', `There is no lot ${code}.`)
    return {
      row: found,
      events: await eventsOfLot(db, householdId, found.id),
      places: await placesOf(db, householdId),
      pictured: (await photoOf(db, householdId, code)) !== undefined,
    }
  })
  const placeName = (id: string | null) => places.find((place) => place.id === id)?.name ?? null
  const state = await stateOf(pool, householdId)
  const crop = cropIn(state.almanac, row.crop)
  const lot = state.lots.find((l) => l.code === code)
  const keeps = lot?.stage === 'stored'
  const struck = struckIn(events.map((e) => ({ ...e, atMs: e.at.getTime() })))
  return {
    ...lotRow(row),
    events: events.map((e) => eventView(crop, e, placeName(e.placeId), (ms) => civilDateOf(ms, timeZone), struck)),
    keeping: keeps ? keepingView(state, lot) : null,
    curing: lot?.stage === 'drying' ? curingView(state, lot) : null,
    dryer: lot?.stage === 'dryer' ? dryerView(state, lot) : null,
    jar: lot?.stage === 'conditioning' ? jarView(state, lot) : null,
    pictured,
    checks: (lot?.history.checks ?? []).map((c) => ({ on: state.dateOf(c.atMs), lookedAt: c.lookedAt, bad: c.bad })),
    elsewhere: keeps
      ? state.places
          .filter((place) => place.id !== lot.placeId && !['outdoors', 'freezer'].includes(place.kind))
          .map((place) => {
            const there = keepsUntil(state, lot, place)
            return { placeId: place.id, place: place.name, ...there, nineInTenUntil: there.nineInTenUntil.p50 }
          })
          .sort((a, b) => (a.nineInTenUntil < b.nineInTenUntil ? 1 : -1))
      : [],
  }
}
